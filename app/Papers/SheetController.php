<?php

declare(strict_types=1);

namespace App\Papers;

use App\Formula\Bench;
use App\Formula\Formula;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use Crown\Assessment\WithoutScale;
use Crown\Make\MakeSheet;
use Crown\Make\Task;
use Illuminate\Http\Response;

/** A formula on one sheet for the wall or the folder: grams, shares, spoons, method, and what was said of it. A4. */
final class SheetController
{
    public function __construct(
        private readonly Bench $bench,
        private readonly CurrentStudio $studio,
        private readonly Printer $printer,
    ) {
    }

    public function __invoke(int $formula): Response
    {
        $row = Formula::query()->with('head.marks')->findOrFail($formula);
        $profile = Bench::profile($row->head, $row->hair);
        $assessment = $this->bench->assess($row->composed(), $profile);
        $kitchen = $this->studio->get()->kitchen();
        $without = WithoutScale::of($assessment->subject->composition, $kitchen);
        $steps = array_map(static fn ($step): string => $step->text, $row->composed()->steps);

        return $this->printer->pdf(
            'sheet',
            [
                'sheet' => $assessment->jsonSerialize(),
                'formula' => $row->composed(),
                'spoons' => array_column(
                    $without->rows($this->bench->assess($without->formula, $profile)->subject->composition),
                    'measure',
                    'line',
                ),
                'steps' => $steps !== []
                        ? $steps
                        : array_map(
                            static fn (Task $t): string => $t->words(),
                            (new MakeSheet($assessment))->tasks(),
                        ),
                'life' => $assessment->subject->life,
                'studio' => $this->studio->get()->name,
                'printed' => Day::today()->toDateString(),
            ],
            210,
            297,
            'formula-'.$row->id,
        );
    }
}
