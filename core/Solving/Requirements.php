<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Catalogue\Need;
use Crown\Solving\Requirement\ConstituentShare;
use Crown\Solving\Requirement\CostOfHundredGrams;
use Crown\Solving\Requirement\DermalMaxima;
use Crown\Solving\Requirement\EffectiveSolids;
use Crown\Solving\Requirement\EssentialOilLoad;
use Crown\Solving\Requirement\FattyAcidShare;
use Crown\Solving\Requirement\Heaviness;
use Crown\Solving\Requirement\KeepsMonths;
use Crown\Solving\Requirement\PointsForNeed;
use Crown\Solving\Requirement\Saturation;
use Crown\Solving\Requirement\ShareOf;

/** Requirements by the names that documents have for them. */
final class Requirements
{
    public const KINDS = [
        'solids',
        'weight',
        'saturated',
        'monounsaturated',
        'polyunsaturated',
        'life',
        'cost',
        'load',
        'dermal',
        'constituent',
        'need',
        'share',
    ];

    /**
     * @param  string  $kind one of KINDS
     * @param  float|null  $least in the kind's own unit: % of effective solids, heaviness 1 to 5, % of the mass,
     *     months, money for 100 g, points; null for an open end
     * @param  string|null  $of a constituent for "constituent"; a need for "need"; ids of ingredients with + between
     *     for "share"
     * @param  float  $at °C for "solids"
     * @param  string|null  $called what its ingredients are called, where their ids are not to be shown
     *
     * @throws SolveError about "kind", "min" or "of"
     */
    public static function written(
        string $kind,
        ?float $least = null,
        ?float $most = null,
        ?string $of = null,
        float $at = EffectiveSolids::USUAL_CELSIUS,
        ?string $called = null,
    ): Requirement {
        $between = new Between($least, $most);

        return self::ofWhole($kind, $between, $at)
            ?? self::ofPart($kind, $between, $of ?? '', $called)
            ?? throw SolveError::field('kind', implode(', ', self::KINDS));
    }

    private static function ofWhole(string $kind, Between $between, float $at): ?Requirement
    {
        return match ($kind) {
            'solids' => new EffectiveSolids($between, $at),
            'weight' => new Heaviness($between),
            'saturated', 'monounsaturated', 'polyunsaturated' => new FattyAcidShare($between, Saturation::from($kind)),
            'life' => new KeepsMonths($between),
            'cost' => new CostOfHundredGrams($between),
            'load' => new EssentialOilLoad($between),
            'dermal' => new DermalMaxima($between),
            default => null,
        };
    }

    private static function ofPart(string $kind, Between $between, string $of, ?string $called): ?Requirement
    {
        return match ($kind) {
            'constituent' => new ConstituentShare($between, $of),
            'need' => new PointsForNeed($between, self::need($of)),
            'share' => new ShareOf($between, explode('+', $of), $called),
            default => null,
        };
    }

    private static function need(string $of): Need
    {
        return Need::tryFrom($of) ?? throw SolveError::field('of', implode(', ', array_column(Need::cases(), 'value')));
    }
}
