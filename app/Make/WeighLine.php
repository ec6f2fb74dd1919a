<?php

declare(strict_types=1);

namespace App\Make;

use App\Support\Refused;
use App\Support\StaleWrite;
use Closure;
use Crown\Make\MakeError;
use Crown\Make\OverPour;
use Crown\Make\Put;
use Crown\Make\PutHow;
use Crown\Make\Weighing;

/** Writes down what the scale showed for a line, or that it stands ready. */
final class WeighLine
{
    /** More than so many times of what was asked for is another batch. */
    private const MOST = 5;

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
        $larger = $put !== null && $asked->boolean('rebalance') ? $batch->factor * $this->factor($of, $put) : null;
        $batch->revise($asked->integer('revision'), $larger === null ? [] : ['factor' => $larger], $present);
        WeighIn::query()->updateOrCreate(
            ['batch_id' => $batch->id, 'line' => $line],
            [
                'gathered' => $asked->boolean('gathered'),
                'grams' => $put?->grams,
                'how' => $put->how ?? PutHow::Weighed,
                'drops' => $put?->drops,
                'by_name' => $by,
            ],
        );
        $batch->unsetRelation('weighIns');
    }

    /** @throws Refused when no more went in than was asked for */
    private function factor(Weighing $of, Put $put): float
    {
        $factor = OverPour::factorFor($of, $put);

        return $factor > 1.0 && $factor <= self::MOST ? $factor : throw Refused::because(
            'rebalance',
            sprintf('All the rest follows where more went in than was asked for, up to %d times of it.', self::MOST),
        );
    }
}
