<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\BelongsToStudio;
use App\Studio\Revised;
use Crown\Exchange\FormulaFile;
use Crown\Formula\Formula as Composed;
use Crown\Make\ProcessLoss;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use stdClass;

/**
 * One making of a formula. Keeps the formula as it was on that day; once done, nothing of it changes.
 *
 * @property int $id
 * @property int $revision
 * @property int|null $formula_id
 * @property string $lot_code
 * @property string $title
 * @property string $kind
 * @property string $state open or done
 * @property Carbon $made_on
 * @property string $by_name
 * @property int $jars
 * @property float $jar_ml
 * @property float $net_grams
 * @property Carbon|null $best_before
 * @property string $note
 * @property array<string, mixed> $document
 * @property array<string, array{gathered: bool, grams: float|null}> $weighings by line id
 * @property array<string, mixed>|null $actual the assessment of what was weighed
 * @property array<string, mixed>|null $label
 */
final class Batch extends Model
{
    use BelongsToStudio;
    use Revised;

    /** How many of them are what the studio is now. */
    private const LATEST = 30;

    protected $table = 'batches';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = [
        'made_on' => 'date',
        'best_before' => 'date',
        'jar_ml' => 'float',
        'net_grams' => 'float',
        'document' => 'array',
        'weighings' => 'array',
        'actual' => 'array',
        'label' => 'array',
    ];

    public function composed(): Composed
    {
        return FormulaFile::read($this->document);
    }

    /** What the studio's latest batches have lost on their way into the jars. */
    public static function processLoss(): ProcessLoss
    {
        $rows = self::query()
            ->where('state', 'done')
            ->orderByDesc('id')
            ->limit(self::LATEST)
            ->toBase()
            ->get(['weighings', 'jars', 'net_grams'])
            ->all();

        return ProcessLoss::of(
            array_values(
                array_map(
                    static fn (stdClass $row): array => [
                        'weighed' => (float) array_sum(
                            array_map(
                                floatval(...),
                                array_column((array) json_decode((string) $row->weighings, true), 'grams'),
                            ),
                        ),
                        'filled' => $row->jars * (float) $row->net_grams,
                    ],
                    $rows,
                ),
            ),
        );
    }
}
