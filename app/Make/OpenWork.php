<?php

declare(strict_types=1);

namespace App\Make;

use App\Formula\Formula;
use App\Pantry\KnowsPlans;
use Crown\Assessment\Composition;
use Crown\Assessment\Context;
use Crown\Formula\Size;

/** Open batches, and orders that want more jars than stand there. */
final class OpenWork implements KnowsPlans
{
    /** Open batches that are reckoned with at most. */
    private const MOST_OPEN = 50;

    public function __construct(private readonly Orders $orders)
    {
    }

    public function wanted(Context $context): array
    {
        $open = [];
        foreach (Batch::query()->where('state', 'open')->limit(self::MOST_OPEN)->get() as $batch) {
            $open[] = Composition::of($batch->composed(), $context);
        }
        foreach ($this->orders->planned() as $one) {
            $formula = $one->plan->toMake > 0 ? Formula::query()->find($one->order->formula_id) : null;
            if ($formula !== null) {
                $size = Size::jars($one->plan->toMake, $one->order->jar_ml);
                $open[] = Composition::of($formula->composed()->withSize($size), $context);
            }
        }

        return $open;
    }
}
