<?php

declare(strict_types=1);

namespace App\Make;

use App\Support\Refused;
use App\Support\StaleWrite;
use Closure;
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
     * @throws Refused|StaleWrite
     */
    public function __invoke(Batch $batch, WeighRequest $asked, string $by, Closure $present): void
    {
        $line = $asked->string('line')->value();
        $lines = array_map(static fn (Weighing $w): string => $w->line, $this->plan->sheet($batch)->weighings());
        if (! in_array($line, $lines, true)) {
            throw Refused::because('line', 'This batch has no such line.');
        }
        $batch->revise($asked->integer('revision'), [], $present);
        WeighIn::query()->updateOrCreate(
            ['batch_id' => $batch->id, 'line' => $line],
            ['gathered' => $asked->boolean('gathered'), 'grams' => $asked->number('grams'), 'by_name' => $by],
        );
        $batch->unsetRelation('weighIns');
    }
}
