<?php

declare(strict_types=1);

namespace App\Head;

use App\Studio\BelongsToStudio;
use App\Studio\Revised;
use Crown\Head\AgeBand;
use Crown\Head\Porosity;
use Crown\Head\Profile;
use Crown\Head\Scalp;
use Crown\Head\Strand;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;

/**
 * A person whose hair is cared for.
 *
 * @property int $id
 * @property int $revision
 * @property string $name
 * @property string $strand
 * @property string $porosity
 * @property string $scalp
 * @property string $age_band
 * @property bool $pregnant
 * @property list<string> $allergies
 * @property list<string> $dislikes
 */
final class Head extends Model
{
    use BelongsToStudio;
    use Revised;

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['pregnant' => 'bool', 'allergies' => 'array', 'dislikes' => 'array'];

    /** The head a request has chosen by head_id, if any. One of another studio is not found. */
    public static function chosen(Request $request): ?self
    {
        $id = $request->json('head_id');

        return is_int($id) ? self::query()->findOrFail($id) : null;
    }

    public function profile(): Profile
    {
        return new Profile(
            $this->name,
            Strand::from($this->strand),
            Porosity::from($this->porosity),
            Scalp::from($this->scalp),
            AgeBand::from($this->age_band),
            $this->pregnant,
            $this->allergies,
            $this->dislikes,
        );
    }
}
