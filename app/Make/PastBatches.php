<?php

declare(strict_types=1);

namespace App\Make;

use App\Catalogue\KnowsExperience;
use App\Formula\KnowsProcessLoss;
use App\Studio\CurrentStudio;
use Crown\Assessment\Experience;
use Crown\Json\Node;
use Crown\Learning\Batches;
use Crown\Make\ProcessLoss;
use stdClass;

/** What the studio's own batches have taught it. */
final class PastBatches implements KnowsExperience, KnowsProcessLoss
{
    /**
     * A studio's latest findings are what it is now: another stove, other hands and other butters were another studio.
     */
    private const LATEST_FINDINGS = 200;

    /** What of a finding says something of the next batch. */
    private const TEACHING = 'texture, overrun_percent, whipped_minutes, whipped_pace, batch_findings.state, family, '
        .'predicted_months, on_date';

    /** How many batches are what the studio is now. */
    private const LATEST_BATCHES = 30;

    public function __construct(private readonly CurrentStudio $studio)
    {
    }

    public function experience(): Experience
    {
        $rows = $this->studio->rows(
            'batch_findings join batches on batches.id = batch_findings.batch_id',
            self::TEACHING.', batches.made_on',
            'order by batch_findings.id desc limit '.self::LATEST_FINDINGS,
        );
        $seen = [];
        foreach ($rows as $row) {
            $months = BatchFinding::between($row->text('made_on'), $row->text('on_date'));
            if (BatchFinding::tells($row, $months)) {
                $seen[] = BatchFinding::observed($row, $months);
            }
        }

        return Batches::teach(...$seen);
    }

    public function processLoss(): ProcessLoss
    {
        $rows = Batch::query()
            ->select(['id', 'jars', 'net_grams', 'remainder_grams'])
            ->where('state', 'done')
            ->withSum('weighIns as weighed', 'grams')
            ->orderByDesc('id')
            ->limit(self::LATEST_BATCHES)
            ->toBase()
            ->get()
            ->all();

        return ProcessLoss::of(
            array_values(
                array_map(
                    static fn (Node $row): array => [
                        'weighed' => $row->number('weighed') ?? 0.0,
                        // What was left over was not lost.
                        'filled' => ($row->number('jars') ?? 0.0) * ($row->number('net_grams') ?? 0.0)
                            + ($row->number('remainder_grams') ?? 0.0),
                    ],
                    array_map(static fn (stdClass $row): Node => Node::of((array) $row), $rows),
                ),
            ),
        );
    }
}
