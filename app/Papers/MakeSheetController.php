<?php

declare(strict_types=1);

namespace App\Papers;

use App\Make\Batch;
use App\Make\BatchPlan;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use Crown\Make\Stops;
use Illuminate\Http\Response;

/** The make sheet of a batch on one A4: what is weighed and done, with room to write beside it by hand. */
final class MakeSheetController
{
    /** Lines and tasks from which it is set smaller, so that it stays on one side. */
    private const MANY = 24;

    private const VERY_MANY = 36;

    public function __construct(
        private readonly BatchPlan $plan,
        private readonly CurrentStudio $studio,
        private readonly Printer $printer,
    ) {
    }

    public function __invoke(int $batch): Response
    {
        $row = Batch::query()->findOrFail($batch);
        $sheet = $this->plan->sheet($row);
        $weighings = $sheet->weighings();
        $tasks = $sheet->tasks();
        $rows = count($weighings) + count($tasks);

        return $this->printer->pdf(
            'make',
            [
                'batch' => $row,
                'weighings' => $weighings,
                'tasks' => $tasks,
                'names' => array_column(
                    array_map(static fn ($w): array => ['line' => $w->line, 'name' => $w->name], $weighings),
                    'name',
                    'line',
                ),
                'stops' => Stops::open($this->plan->of($row)),
                'points' => match (true) {
                    $rows > self::VERY_MANY => 6.5,
                    $rows > self::MANY => 7.5,
                    default => 9.0,
                },
                'studio' => $this->studio->get()->name,
                'printed' => Day::today()->toDateString(),
            ],
            210,
            297,
            'make-'.$row->lot_code,
        );
    }
}
