<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\BelongsToStudio;
use App\Studio\IngredientUses;
use App\Studio\NamesIngredients;
use App\Studio\Revised;
use App\Support\Refused;
use Crown\Formula\Formula as Composed;
use Crown\Formula\FormulaDocument;
use Crown\Make\Actuals;
use Crown\Make\OneDose;
use Crown\Make\Put;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

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
 * @property Carbon|null $created_at
 * @property float $factor how much larger it was made at the counter, to put its shares right
 * @property float $remainder_grams left over that went into no jar
 * @property float|null $bowl_ml how far it stood in a marked bowl after whipping
 * @property bool $sample_kept
 * @property bool $rehearsal
 * @property list<string> $inspected what was looked at, by Inspected
 * @property string $although why it was made although the bench stops at it; "" where it does not
 * @property array<string, mixed> $document
 * @property Collection<int, WeighIn> $weighIns
 * @property Collection<int, BatchStep> $steps the tasks that were done
 * @property array<string, mixed>|null $actual the assessment of what was weighed
 * @property array<string, mixed>|null $label
 */
final class Batch extends Model
{
    use BelongsToStudio;
    use NamesIngredients;
    use Revised;
    use SoftDeletes;

    private const REAL = 'real';

    protected $table = 'batches';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = [
        'made_on' => 'date',
        'best_before' => 'date',
        'jar_ml' => 'float',
        'net_grams' => 'float',
        'factor' => 'float',
        'remainder_grams' => 'float',
        'bowl_ml' => 'float',
        'sample_kept' => 'boolean',
        'rehearsal' => 'boolean',
        'inspected' => 'array',
        'document' => 'array',
        'actual' => 'array',
        'label' => 'array',
    ];

    protected $attributes = ['factor' => 1.0, 'remainder_grams' => 0.0, 'inspected' => '[]', 'rehearsal' => false];

    /** What is only rehearsed is no batch: nothing but the counter knows of it. */
    protected static function booted(): void
    {
        self::addGlobalScope(self::REAL, static function (Builder $query): void {
            $query->where($query->qualifyColumn('rehearsal'), false);
        });
    }

    /**
     * What is rehearsed is written as what it is.
     *
     * @return Builder<self>
     */
    public function newQuery(): Builder
    {
        /** @var Builder<self> $query */
        $query = parent::newQuery();

        return $this->rehearsal ? $query->withoutGlobalScope(self::REAL) : $query;
    }

    /** @return Builder<self> what is made, and what is rehearsed */
    public static function atCounter(): Builder
    {
        return self::query()->withoutGlobalScope(self::REAL);
    }

    /** @return Builder<self> */
    public static function rehearsals(): Builder
    {
        return self::atCounter()->where('rehearsal', true);
    }

    /** @throws Refused when it is done: a record is not changed */
    public static function open(int $id): self
    {
        $row = self::atCounter()->findOrFail($id);

        return $row->state !== 'done' ? $row : throw Refused::now(
            'state',
            'This batch is done. A record is not changed; make it again instead.',
        );
    }

    /** Whether it was one use, made fresh each time: nothing of it is kept. */
    public function isOneDose(): bool
    {
        return $this->although === OneDose::WHY;
    }

    public function holder(): string
    {
        return IngredientUses::BATCH;
    }

    /** @return HasMany<WeighIn, $this> */
    public function weighIns(): HasMany
    {
        return $this->hasMany(WeighIn::class);
    }

    /** @return HasMany<BatchStep, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(BatchStep::class);
    }

    /** @return array<string, Put> what went in, by line, as far as it is known */
    public function put(): array
    {
        $put = [];
        foreach ($this->weighIns as $weighIn) {
            $put[$weighIn->line] = $weighIn->put();
        }

        return array_filter($put);
    }

    /** The assessment of what was weighed, object for object as it was kept; null while it is open. */
    public function actualAsKept(): mixed
    {
        $kept = $this->getAttributes()['actual'] ?? null;

        return is_string($kept) ? json_decode($kept) : null;
    }

    public function composed(): Composed
    {
        return FormulaDocument::read($this->document);
    }

    /** The formula with what truly went in. */
    public function made(): Composed
    {
        return Actuals::of($this->composed(), $this->put());
    }
}
