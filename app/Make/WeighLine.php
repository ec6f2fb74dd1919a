<?php

declare(strict_types=1);

namespace App\Make;

use App\Pantry\NextBottles;
use App\Support\Refused;
use App\Support\StaleWrite;
use Closure;
use Crown\Catalogue\Name;
use Crown\Make\MakeError;
use Crown\Make\OverPour;
use Crown\Make\Put;
use Crown\Make\PutHow;
use Crown\Make\Weighing;

/** Writes down what the scale showed for a line, or that it stands ready. */
final class WeighLine
{
    public function __construct(private readonly BatchPlan $plan)
    {
    }

    /**
     * @param  Closure(Batch): array<string, mixed>  $present the newer state, for whoever comes too late
     *
     * @throws Refused|StaleWrite|MakeError
     */
    public function __invoke(Batch $batch, WeighRequest $asked, string $by, Closure $present): void
    {
        $line = $asked->string('line')->value();
        $of = $this->plan->weighing($batch, $line);
        $put = $asked->put($of);
        $lot = $asked->filled('lot') ? $this->bottle($of, $asked->integer('lot')) : null;
        $larger = $put !== null && $asked->boolean('rebalance') ? $batch->factor * $this->factor($of, $put) : null;
        $batch->revise($asked->integer('revision'), $larger === null ? [] : ['factor' => $larger], $present);
        WeighIn::query()->updateOrCreate(
            ['batch_id' => $batch->id, 'line' => $line],
            [
                'gathered' => $asked->boolean('gathered'),
                'grams' => $put?->grams,
                'how' => $put->how ?? PutHow::Weighed,
                'drops' => $put?->drops,
                // That it stands ready says nothing of its bottle.
                ...$asked->has('lot') ? ['lot_id' => $lot] : [],
                'by_name' => $by,
            ],
        );
        $batch->unsetRelation('weighIns');
    }

    /** @throws Refused when it is no bottle of this that stands there */
    private function bottle(Weighing $of, int $lot): int
    {
        return NextBottles::of([$of->ingredient])->has($of->ingredient, $lot) ? $lot : throw Refused::because(
            'lot',
            sprintf('It is no bottle of %s that stands on the shelf.', Name::inSentence($of->name)),
        );
    }

    /** @throws Refused when no more went in than was asked for */
    private function factor(Weighing $of, Put $put): float
    {
        $factor = OverPour::factorFor($of, $put);

        return $factor > 1.0 && $factor <= Weighing::MOST ? $factor : throw Refused::because(
            'rebalance',
            sprintf('The rest follows where more went in than was asked for, up to %d times of it.', Weighing::MOST),
        );
    }
}
