<?php

declare(strict_types=1);

namespace Tests\Core\Json;

use Crown\Formula\ProductKind;
use Crown\Json\JsonError;
use Crown\Json\Node;
use Crown\Steep\SteepMethod;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NodeTest extends TestCase
{
    private static function node(): Node
    {
        return Node::of([
            'name' => 'Oil',
            'grams' => 12,
            'written' => '1.5',
            'pressed' => true,
            'sent' => '0',
            'none' => null,
            'method' => 'hot-jar',
            'size' => ['jars' => 3],
            'lines' => [['name' => 'a'], ['name' => 5]],
            'words' => ['one', 'two'],
        ]);
    }

    public function test_what_stands_there_is_read_as_what_it_is(): void
    {
        $node = self::node();

        self::assertSame(
            ['Oil', 12.0, 1.5, true, false],
            [
                $node->text('name'),
                $node->number('grams'),
                $node->number('written'),
                $node->flag('pressed'),
                $node->flag('sent', true),
            ],
        );
        self::assertSame(SteepMethod::HotJar, $node->one('method', SteepMethod::class));
        self::assertSame(
            [3.0, 'a', ['one', 'two']],
            [$node->object('size')?->number('jars'), $node->objects('lines')[0]->text('name'), $node->texts('words')],
        );
    }

    public function test_what_is_absent_or_null_is_none(): void
    {
        $node = self::node();

        foreach (['none', 'absent'] as $key) {
            self::assertFalse($node->has($key));
            self::assertSame(
                ['', 'x', null, true, null, [], []],
                [
                    $node->text($key),
                    $node->text($key, 'x'),
                    $node->number($key),
                    $node->flag($key, true),
                    $node->object($key),
                    $node->objects($key),
                    $node->texts($key),
                ],
            );
            self::assertSame(SteepMethod::ColdDark, $node->one($key, SteepMethod::class, SteepMethod::ColdDark));
        }
    }

    /** @return iterable<string, array{callable(Node): mixed, string, string}> reading, path, what is allowed */
    public static function wrong(): iterable
    {
        yield 'a number for a text' => [static fn (Node $n) => $n->text('grams'), 'grams', 'a text'];
        yield 'a long text' => [static fn (Node $n) => $n->text('name', longest: 2), 'name', 'at most 2 characters'];
        yield 'a word for a number' => [static fn (Node $n) => $n->number('name'), 'name', 'a number'];
        yield 'a number for yes or no' => [static fn (Node $n) => $n->flag('grams'), 'grams', 'true or false'];
        yield 'another word' => [static fn (Node $n) => $n->one('name', SteepMethod::class), 'name', 'hot-jar'];
        yield 'no object' => [static fn (Node $n) => $n->object('name'), 'name', 'an object'];
        yield 'a list of words' => [static fn (Node $n) => $n->objects('words'), 'words.0', 'an object'];
        yield 'inside a list' => [
            static fn (Node $n) => $n->objects('lines')[1]->text('name'),
            'lines.1.name',
            'a text',
        ];
        yield 'a list of objects' => [static fn (Node $n) => $n->texts('lines'), 'lines.0', 'a text'];
    }

    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_named_by_its_path(callable $read, string $path, string $allowed): void
    {
        try {
            $read(self::node());
            self::fail('It was read.');
        } catch (JsonError $problem) {
            self::assertSame($path, $problem->path);
            self::assertStringContainsString($allowed, $problem->getMessage());
        }
    }

    public function test_a_number_is_no_word_of_a_choice(): void
    {
        foreach ([0, 1, 1.5, true, [], 'soft'] as $wrong) {
            try {
                Node::of(['kind' => $wrong])->one('kind', ProductKind::class);
                self::fail('taken: '.json_encode($wrong));
            } catch (JsonError $e) {
                self::assertSame('kind', $e->path);
                self::assertStringContainsString('whipped-butter', $e->getMessage());
            }
        }
        self::assertSame(ProductKind::Balm, Node::of(['kind' => 'balm'])->one('kind', ProductKind::class));
        self::assertSame(ProductKind::Balm, Node::of([])->one('kind', ProductKind::class, ProductKind::Balm));
    }
}
