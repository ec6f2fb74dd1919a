<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Formula\Audience;
use Crown\Formula\Formula;

/** Which findings a maker's reason may outweigh. Method page: docs/methods/accepting.md. */
final class Acceptability
{
    /** Beginnings of the codes that no reason outweighs, as far as they are stops. */
    private const NEVER = ['head.age', 'head.allergy', 'head.clinician', 'lot.withdrawn', 'lot.awaited'];

    /** Likewise, of a product meant for sale. */
    private const NEVER_FOR_SALE = ['water.', 'preservative.', 'lot.grown', 'lot.past'];

    /**
     * Never a stop for a child, in pregnancy, for an allergy, for an oil that went bad, for an oil that no skin should
     * meet, or for unpreserved water meant for sale.
     */
    public static function allows(Finding $finding, Formula $formula): bool
    {
        return $finding->severity !== Severity::Stop
            || ! (
                $formula->audience->isChild()
                || $formula->audience === Audience::Pregnancy
                || self::isAbout($finding, self::NEVER)
                || self::isPoison($finding)
                || ($formula->forSale && self::isAbout($finding, self::NEVER_FOR_SALE))
            );
    }

    /** An essential oil of which nothing at all is allowed. */
    private static function isPoison(Finding $finding): bool
    {
        return $finding->code === 'load.oil' && $finding->figure(FigureName::DermalMaximum)->best <= 0.0;
    }

    /** @param  list<string>  $starts of codes */
    private static function isAbout(Finding $finding, array $starts): bool
    {
        foreach ($starts as $start) {
            if (str_starts_with($finding->code, $start)) {
                return true;
            }
        }

        return false;
    }
}
