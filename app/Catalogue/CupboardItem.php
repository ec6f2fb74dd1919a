<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Studio\BelongsToStudio;
use Illuminate\Database\Eloquent\Model;

/**
 * An ingredient that stands in the studio's cupboard.
 *
 * @property int $id
 * @property string $ingredient
 * @property float|null $grams how much there is; null while nobody said
 */
final class CupboardItem extends Model
{
    use BelongsToStudio;

    protected $table = 'cupboard_items';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['grams' => 'float'];
}
