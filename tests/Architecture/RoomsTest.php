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
    /** The rooms of core: each may import those before it, and none after it. */
    private const CORE = [
        'Json',
        'Words',
        'Measure',
        'Catalogue',
        'Formula',
        'Assessment',
        'Solving',
        'Learning',
        'Steep',
        'Reading',
        'Pantry',
        'Make',
        'Head',
        'Rhythm',
        'Papers',
        'Exchange',
        'Console',
    ];

    /** The rooms of app, likewise. */
    private const APP = [
        'Support',
        'Studio',
        'Catalogue',
        'Session',
        'Head',
        'Formula',
        'Pantry',
        'Steep',
        'Make',
        'Rhythm',
        'Papers',
        'Today',
        'Demo',
    ];

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function roomsImportOneWay(): iterable
    {
        foreach (['Crown' => self::CORE, 'App' => self::APP] as $layer => $rooms) {
            foreach ($rooms as $place => $room) {
                $after = array_slice($rooms, $place + 1);
                if ($after !== []) {
                    yield $layer.$room => PHPat::rule()
                        ->classes(Selector::inNamespace($layer.'\\'.$room))
                        ->shouldNotDependOn()
                        ->classes(
                            ...array_map(static fn (string $r) => Selector::inNamespace($layer.'\\'.$r), $after),
                        )
                        ->because('imports run one way: core from Json upwards, app from Support upwards');
                }
            }
        }
    }

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function nobodyNamesTheInsidesOfAnother(): iterable
    {
        foreach (self::CORE as $room) {
            $insides = 'Crown\\'.$room.'\\Internal';
            yield $room => PHPat::rule()
                ->classes(
                    Selector::AllOf(
                        Selector::AnyOf(Selector::inNamespace('Crown'), Selector::inNamespace('App')),
                        Selector::Not(Selector::inNamespace('Crown\\'.$room)),
                    ),
                )
                ->shouldNotDependOn()
                ->classes(Selector::inNamespace($insides))
                ->because('what stands in Internal may change at any time: the room has a public face');
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
