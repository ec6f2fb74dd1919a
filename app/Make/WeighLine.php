<?php

declare(strict_types=1);

namespace App\Make;

use App\Support\Refused;
use App\Support\StaleWrite;
use Closure;
use Crown\Make\MakeError;
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
        $of = array_filter(
            $this->plan->sheet($batch)->weighings(),
            static fn (Weighing $w): bool => $w->line === $line,
        );
        if ($of === []) {
            throw Refused::because('line', 'This batch has no such line.');
        }
        $put = $asked->put(array_values($of)[0]);
        $batch->revise($asked->integer('revision'), [], $present);
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
}
