<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\BelongsToStudio;
use Crown\Assessment\TextureFamily;
use Crown\Json\Node;
use Crown\Learning\Observation;
use Crown\Learning\Predicted;
use Crown\Learning\TextureFound;
use Crown\Make\Sign;
use Crown\Measure\Months;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What was found on a finished batch. The batch itself is a record and does not change; findings stand beside it.
 *
 * @property int $id
 * @property int $batch_id
 * @property Carbon $on_date
 * @property string $texture a TextureFound, or ""
 * @property float|null $overrun_percent
 * @property float|null $whipped_minutes
 * @property float $whipped_pace minutes at medium speed that one of them was worth
 * @property string $state good, off, or ""
 * @property string $note
 * @property list<string>|null $signs each a Sign
 * @property string $family
 * @property float $predicted_months 0 where it could not be told
 * @property Batch $batch
 */
final class BatchFinding extends Model
{
    use BelongsToStudio;

    protected $table = 'batch_findings';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = [
        'on_date' => 'date',
        'overrun_percent' => 'float',
        'whipped_minutes' => 'float',
        'whipped_pace' => 'float',
        'predicted_months' => 'float',
        'signs' => 'array',
    ];

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    /** @return list<Sign> */
    public function signs(): array
    {
        return array_values(array_filter(array_map(Sign::tryFrom(...), $this->signs ?? [])));
    }

    /** Whether it is more than a note. */
    public function teaches(): bool
    {
        return self::tells(Node::of($this->getAttributes()), $this->months());
    }

    /** Age of the batch on the day of the finding, months. */
    public function months(): float
    {
        return self::between($this->batch->made_on->toDateString(), $this->on_date->toDateString());
    }

    public function observation(): Observation
    {
        return self::observed(Node::of($this->getAttributes()), $this->months());
    }

    public static function between(string $made, string $found): float
    {
        return max(0.0, Months::ofDays((strtotime($found.' UTC') - strtotime($made.' UTC')) / 86_400));
    }

    public static function tells(Node $row, float $months): bool
    {
        return $row->text('texture') !== ''
            || $row->has('overrun_percent')
            || ($row->text('state') !== '' && $months > 0.0);
    }

    public static function observed(Node $row, float $months): Observation
    {
        return new Observation(
            // In its row 0 stands for a life that could not be told.
            new Predicted($row->one('family', TextureFamily::class), $row->number('predicted_months') ?: null),
            TextureFound::tryFrom($row->text('texture')),
            $row->number('overrun_percent'),
            // What is learned is of minutes at medium speed.
            ($row->number('whipped_minutes') ?? 0.0) * ($row->number('whipped_pace') ?? 1.0),
            // On the day of its making it says nothing of its life.
            $row->text('state') === '' || $months <= 0.0 ? null : $months,
            $row->text('state') === 'off',
        );
    }
}
