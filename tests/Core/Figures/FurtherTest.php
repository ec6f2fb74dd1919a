<?php

declare(strict_types=1);

namespace Tests\Core\Figures;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** A mark of all that follows from the cases of Further, words among it: a change of any moves one. */
final class FurtherTest extends CoreTestCase
{
    use Recorded;

    private const CASES = [
        'told' => 338,
        'examples' => 270,
        'edges' => 160,
        'alone' => 496,
        'jars' => 60,
        'amounts' => 40,
        'counter' => 80,
        'shelf' => 60,
        'files' => 60,
    ];

    /** @return iterable<string, array{string, int}> */
    public static function cases(): iterable
    {
        foreach (self::CASES as $kind => $count) {
            for ($n = 0; $n < $count; $n++) {
                yield "$kind $n" => [$kind, $n];
            }
        }
    }

    #[DataProvider('cases')]
    public function test_all_is_as_it_was(string $kind, int $n): void
    {
        $draw = new Draw('further', $n, self::catalogue());
        $parts = match ($kind) {
            'told' => Further::ofTold($n, self::catalogue()),
            'examples' => Further::ofExample($n, self::catalogue()),
            'edges' => Further::ofEdges($n, self::catalogue()),
            'alone' => Further::ofAlone($n, self::catalogue()),
            'jars' => Further::ofJars($draw),
            'amounts' => Further::ofAmounts($n, self::catalogue()),
            'counter' => Further::ofCounter($n, $draw),
            'shelf' => Further::ofShelf($n, $draw),
            default => Further::ofFiles($n, $draw),
        };

        self::same(
            'further',
            $kind.' '.$n,
            array_map(static fn (mixed $part): string => substr(Wider::marked($part), 0, 6), $parts),
        );
    }
}
