<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Imports run one way (docs/architecture.md): read by phpat under phpstan, not by PHPUnit. */
final class RoomsTest
{
    /** Each room, and the rooms that it may not import because they lie above it. */
    private const ABOVE = [
        'Measure' => ['Catalogue', 'Formula', 'Steep', 'Make', 'Head', 'Rhythm', 'Papers', 'Exchange', 'Console'],
        'Catalogue' => ['Formula', 'Steep', 'Make', 'Head', 'Rhythm', 'Papers', 'Exchange', 'Console'],
        'Formula' => ['Steep', 'Make', 'Head', 'Rhythm', 'Papers', 'Exchange', 'Console'],
        'Steep' => ['Make', 'Head', 'Rhythm', 'Papers', 'Exchange', 'Console'],
        'Make' => ['Head', 'Rhythm', 'Papers', 'Exchange', 'Console'],
        'Head' => ['Rhythm', 'Papers', 'Exchange', 'Console'],
        'Rhythm' => ['Papers', 'Exchange', 'Console'],
        'Papers' => ['Exchange', 'Console'],
        'Exchange' => ['Console'],
    ];

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function roomsImportOneWay(): iterable
    {
        foreach (self::ABOVE as $room => $above) {
            yield $room => PHPat::rule()
                ->classes(Selector::inNamespace('Crown\\'.$room))
                ->shouldNotDependOn()
                ->classes(...array_map(static fn (string $r) => Selector::inNamespace('Crown\\'.$r), $above))
                ->because('imports run from Measure upwards, never down');
        }
    }

    #[TestRule]
    public function coreKnowsNoFramework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Crown'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('Illuminate'),
                Selector::inNamespace('Laravel'),
                Selector::inNamespace('App'),
                Selector::inNamespace('Symfony'),
            )
            ->because('the rules of the job stand without a framework');
    }
}
