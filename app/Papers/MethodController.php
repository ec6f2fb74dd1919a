<?php

declare(strict_types=1);

namespace App\Papers;

use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Str;

/** The pages that say how each figure is worked out, as they lie in docs/methods: one text for maker and engineer. */
final class MethodController
{
    #[Speaks('MethodList', does: 'How figures are worked out: the pages')]
    public function index(): JsonResponse
    {
        $items = array_map(
            static fn (string $file): array => [
                'name' => basename($file, '.md'),
                'title' => self::title((string) file_get_contents($file)),
            ],
            glob(base_path('docs/methods/*.md')) ?: [],
        );
        usort($items, static fn (array $a, array $b): int => strcasecmp($a['title'], $b['title']));

        return new JsonResponse(['items' => $items]);
    }

    #[Speaks('MethodPage', does: 'How one kind of figure is worked out')]
    public function show(string $method): JsonResponse
    {
        $file = base_path("docs/methods/$method.md");
        abort_unless(is_file($file), 404);
        $text = (string) file_get_contents($file);

        return new JsonResponse(['name' => $method, 'title' => self::title($text), 'text' => Str::after($text, "\n")]);
    }

    private static function title(string $text): string
    {
        return Str::of($text)->before("\n")->ltrim('# ')->toString();
    }
}
