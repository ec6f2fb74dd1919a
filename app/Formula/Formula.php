<?php

declare(strict_types=1);

namespace App\Formula;

use App\Head\Head;
use App\Studio\BelongsToStudio;
use App\Studio\IngredientUses;
use App\Studio\NamesIngredients;
use App\Studio\Revised;
use App\Studio\Touched;
use Crown\Formula\Family;
use Crown\Formula\Formula as Composed;
use Crown\Formula\FormulaDocument;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * A formula as it stands on the bench: saved as it is typed. Kept versions are FormulaVersion.
 *
 * @property int $id
 * @property int $revision
 * @property int|null $head_id
 * @property int|null $base_id of which it is a variant
 * @property array<string, mixed>|null $base_document the base as it was last passed on
 * @property array{strand: string, porosity: string}|null $hair the type of hair it is for, when no head is chosen
 * @property string $title
 * @property string $kind
 * @property string $ingredients names, to be found by
 * @property array<string, mixed> $document a formula file
 * @property array<string, mixed> $summary what its row in the list shows
 * @property Carbon $updated_at
 * @property Head|null $head
 */
final class Formula extends Model
{
    use BelongsToStudio;
    use NamesIngredients;
    use Revised;
    use SoftDeletes;
    use Touched;

    protected $table = 'formulas';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['document' => 'array', 'summary' => 'array', 'hair' => 'array', 'base_document' => 'array'];

    public function holder(): string
    {
        return IngredientUses::FORMULA;
    }

    /** @return BelongsTo<Head, $this> */
    public function head(): BelongsTo
    {
        return $this->belongsTo(Head::class);
    }

    /** @return HasMany<FormulaVersion, $this> */
    public function versions(): HasMany
    {
        return $this->hasMany(FormulaVersion::class)->orderByDesc('number');
    }

    public function composed(): Composed
    {
        return FormulaDocument::read($this->document);
    }

    /** @return list<self> those that are variants of it */
    public function variants(): array
    {
        return array_values(
            self::query()->with('head.marks')->where('base_id', $this->id)->orderBy('title')->get()->all(),
        );
    }

    /** The variant as it would be with all that was changed in its base since. */
    public function passedOnFrom(self $base): Composed
    {
        return Family::pass(
            FormulaDocument::read($this->base_document ?? $base->document),
            $base->composed(),
            $this->composed(),
        );
    }
}
