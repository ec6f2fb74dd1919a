<?php

declare(strict_types=1);

namespace Tests\Core\Rhythm;

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
        'storage_c' => 20.0,
        'per_week' => 2,
        'grams_per_use' => 3.0,
        'way' => '',
    ];

    /**
     * @param  array<string, string>  $chosen
     * @param  array<string, mixed>  $otherwise
     */
    #[DataProvider('sides')]
    public function test_one_side_changes_what_is_begun_and_nothing_else(array $chosen, array $otherwise): void
    {
        self::assertSame([...self::SAFER, ...$otherwise], Beginnings::of($chosen)->jsonSerialize());
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
        yield 'lengths' => [['place' => 'lengths'], ['way' => 'Lengths only']];
    }
}
