<?php

declare(strict_types=1);

namespace Tests\Core\Rhythm;

use Crown\Formula\ProductKind;
use Crown\Measure\Ways;
use Crown\Rhythm\Beginnings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a studio that took a side begins with; every one that took none, with the safer. */
final class BeginningsTest extends TestCase
{
    private const SAFER = [
        'method' => 'cold-dark',
        'form' => 'dried',
        'pressed' => false,
        'one_herb' => true,
        'storage_c' => 20.0,
        'kind' => 'whipped-butter',
        'spoons' => false,
        'per_week' => 2,
        'grams_per_use' => 3.0,
    ];

    /**
     * @param  array<string, string>  $chosen
     * @param  array<string, mixed>  $otherwise
     */
    #[DataProvider('sides')]
    public function test_one_side_changes_what_is_begun_and_nothing_else(array $chosen, array $otherwise): void
    {
        $begun = Beginnings::of(Ways::of($chosen))->jsonSerialize();
        unset($begun['ways']);
        self::assertSame([...self::SAFER, ...$otherwise], $begun);
    }

    /** @return iterable<string, array{array<string, string>, array<string, mixed>}> */
    public static function sides(): iterable
    {
        yield 'none' => [[], []];
        yield 'sun' => [['light' => 'sun'], ['method' => 'sunny-sill']];
        yield 'left in, in the sun' => [['straining' => 'left', 'light' => 'sun'], ['method' => 'leave-in']];
        yield 'warm' => [['heat' => 'warm', 'straining' => 'left', 'light' => 'sun'], ['method' => 'water-bath']];
        yield 'fresh' => [['plant' => 'fresh'], ['form' => 'fresh']];
        yield 'pressed' => [['pressing' => 'pressed'], ['pressed' => true]];
        yield 'fridge' => [['cold' => 'fridge'], ['storage_c' => 5.0]];
        yield 'daily' => [['rhythm' => 'daily'], ['per_week' => 7, 'grams_per_use' => 1.0]];
        yield 'many herbs' => [['herbs' => 'many'], ['one_herb' => false]];
        yield 'poured' => [['body' => 'poured'], ['kind' => 'balm']];
        yield 'spoons' => [['measuring' => 'spoons'], ['spoons' => true]];
    }

    public function test_layers_are_for_what_seals_and_lengths_for_all_else(): void
    {
        $lengths = Beginnings::of(Ways::of(['place' => 'lengths', 'order' => 'oil-cream']));
        self::assertSame('Lengths only', $lengths->way(ProductKind::HairOil));
        self::assertSame('After water, and a cream over it', $lengths->way(ProductKind::SealingOil));
        $usual = Beginnings::of(Ways::safer());
        self::assertSame([null, 'After water and a cream, as the last'], [
            $usual->way(ProductKind::HairOil),
            $usual->way(ProductKind::SealingOil),
        ]);
        self::assertCount(count(ProductKind::cases()), $usual->jsonSerialize()['ways']);
    }
}
