<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Pagination\Cursor;
use Throwable;

/**
 * Lists that can grow: last touched first, a page at a time, by a cursor on an index. Looking for words goes through so
 * many rows and no more for one answer, which then says where to look on: it takes no longer with a hundred thousand
 * rows.
 */
final class Pages
{
    private const SIZE = 50;

    private const LOOKED_THROUGH = 2_000;

    /**
     * @template T of Model
     *
     * @param  Builder<T>  $query
     * @param  Closure(T): array<string, mixed>  $row
     * @param  list<string>  $named the columns in which every word of ?q= is looked for
     * @param  list<string>  $states what ?state= may ask for, several with commas between
     */
    public static function answer(
        Builder $query,
        Request $request,
        Closure $row,
        array $named = [],
        array $states = [],
        int $size = self::SIZE,
    ): JsonResponse {
        $query->orderByDesc('updated_at')->orderByDesc('id');
        $cursor = self::cursor($request->string('cursor')->value());
        $asked = $request->string('state')->value();
        if ($states !== [] && $asked !== '') {
            $wanted = explode(',', $asked);
            $query->whereIn(
                'state',
                array_diff($wanted, $states) === []
                    ? $wanted
                    : throw Refused::because('state', 'Allowed: '.implode(', ', $states).'.'),
            );
        }
        $words
            = $named === []
                ? []
                : (preg_split('/\s+/', mb_substr($request->string('q')->value(), 0, 80), -1, PREG_SPLIT_NO_EMPTY)
                ?: []);
        $edge = $words === [] ? null : self::edge($query, $cursor);
        if ($edge !== null) {
            self::beyond($query, $edge, '>=');
        }
        foreach ($words as $word) {
            $query->whereAny($named, 'like', '%'.addcslashes($word, '%_\\').'%');
        }
        $page = $query->cursorPaginate($size, ['*'], 'cursor', $cursor);

        return new JsonResponse([
            'items' => array_map($row, $page->items()),
            'next' => ($page->nextCursor() ?? $edge)?->encode(),
        ]);
    }

    /**
     * @param  list<string>  $columns by which the rows are ordered
     *
     * @throws Refused for what no page gave
     */
    public static function cursor(string $given, array $columns = ['updated_at', 'id']): ?Cursor
    {
        try {
            $cursor = Cursor::fromEncoded($given === '' ? null : $given);
        } catch (Throwable) {
            $cursor = new Cursor([]);
        }
        if ($cursor !== null && array_diff($columns, array_keys($cursor->toArray())) !== []) {
            throw Refused::because('cursor', 'Allowed: what the page before gave as its next.');
        }

        return $cursor;
    }

    /**
     * The last row that is looked at for this answer; null when all that is left is looked at.
     *
     * @param  Builder<covariant Model>  $query
     */
    private static function edge(Builder $query, ?Cursor $cursor): ?Cursor
    {
        // Nothing else of the rows is read: the index has both.
        $rows = (clone $query)->toBase()->select(['updated_at', 'id']);
        if ($cursor !== null) {
            self::beyond($rows, $cursor, '<');
        }
        $last = $rows->offset(self::LOOKED_THROUGH - 1)->first();

        return $last === null ? null : new Cursor(['updated_at' => $last->updated_at, 'id' => $last->id]);
    }

    /** @param  Builder<covariant Model>|\Illuminate\Database\Query\Builder  $query */
    private static function beyond(Builder|\Illuminate\Database\Query\Builder $query, Cursor $at, string $which): void
    {
        $touched = $at->parameter('updated_at');
        // The first condition is the one that an index can answer.
        $query
            ->where('updated_at', $which[0].'=', $touched)
            ->where(
                static fn (Builder|\Illuminate\Database\Query\Builder $q) => $q
                    ->where('updated_at', $which[0], $touched)
                    ->orWhere('id', $which, $at->parameter('id')),
            );
    }
}
