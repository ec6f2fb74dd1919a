<?php

declare(strict_types=1);

namespace App\Formula;

use App\Studio\BelongsToStudio;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * One kept state of a formula. Never changed after it was written.
 *
 * @property int $id
 * @property int $formula_id
 * @property int $number
 * @property string $note
 * @property array<string, mixed> $document
 * @property array<string, mixed>|null $summary what its jar shows; null for versions kept before that was noted
 * @property Carbon $created_at
 */
final class FormulaVersion extends Model
{
    use BelongsToStudio;

    protected $table = 'formula_versions';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['document' => 'array', 'summary' => 'array'];
}
