<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Lists that can grow: last touched first, a page at a time, by a cursor on an index. */
final class Pages
{
    private const SIZE = 50;

    /**
     * @template T of Model
     *
     * @param  Builder<T>  $query
     * @param  Closure(T): array<string, mixed>  $row
     */
    public static function answer(Builder $query, Request $request, Closure $row): JsonResponse
    {
        $page = $query->orderByDesc('updated_at')->orderByDesc('id')->cursorPaginate(self::SIZE, ['*'], 'cursor', $request->string('cursor')->value() ?: null);

        return new JsonResponse(['items' => array_map($row, $page->items()), 'next' => $page->nextCursor()?->encode()]);
    }
}
