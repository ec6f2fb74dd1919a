<?php

declare(strict_types=1);

namespace App\Formula;

use App\Studio\BelongsToStudio;
use App\Studio\CurrentStudio;
use Crown\Reading\Settled;
use Illuminate\Database\Eloquent\Model;

/**
 * What a name means in the recipes of a studio, once somebody has said so.
 *
 * @property int $id
 * @property string $written in small letters
 * @property string $ingredient
 * @property string $form
 */
final class SettledName extends Model
{
    use BelongsToStudio;

    protected $table = 'settled_names';

    protected $guarded = ['id', 'studio_id'];

    /** @return list<Settled> all of the studio's */
    public static function known(CurrentStudio $studio): array
    {
        $settled = [];
        foreach ($studio->rows('settled_names', 'written, ingredient, form') as $row) {
            $settled[] = new Settled($row->text('written'), $row->text('ingredient'), $row->text('form'));
        }

        return $settled;
    }
}
