<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use Crown\Steep\SteepError;
use Crown\Steep\SteepStart;

/** Begins a jar: it has a name, what goes in comes off the shelf, and a stop has a reason that stays. */
final class BeginSteep
{
    public function __construct(private readonly StudioCatalogue $catalogue, private readonly SteepStock $stock)
    {
    }

    /**
     * @param  Steep  $steep not yet kept
     * @param  string  $by who does it
     *
     * @throws SteepError about "although"
     */
    public function __invoke(Steep $steep, string $by, ?string $although): Steep
    {
        $all = $this->catalogue->get();
        $plan = $steep->plan($all);
        SteepStart::decide($plan, $all->limits(), $although);
        $steep->name = $steep->name !== '' ? $steep->name : $plan->charge->name();
        $steep->although = trim($although ?? '');
        $steep->save();
        $this->stock->taken($steep, $by);

        return $steep;
    }
}
