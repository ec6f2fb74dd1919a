<?php

declare(strict_types=1);

namespace App\Head;

use App\Studio\BelongsToStudio;
use App\Studio\Day;
use App\Studio\Revised;
use App\Studio\Touched;
use BackedEnum;
use Crown\Catalogue\Condition;
use Crown\Catalogue\Need;
use Crown\Head\AgeBand;
use Crown\Head\CrownMap;
use Crown\Head\Dislike;
use Crown\Head\Porosity;
use Crown\Head\Profile;
use Crown\Head\Scalp;
use Crown\Head\Season;
use Crown\Head\Sign;
use Crown\Head\Strand;
use Crown\Head\Style;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/**
 * A person whose hair is cared for.
 *
 * @property int $id
 * @property int $revision
 * @property string $name
 * @property string $strand
 * @property string $porosity
 * @property string $density
 * @property string $curl
 * @property string $scalp
 * @property string $age_band
 * @property bool $pregnant
 * @property list<string> $allergies
 * @property list<array{what: string, season: string}> $dislikes
 * @property list<string> $wants
 * @property list<string> $conditions
 * @property list<string> $signs
 * @property string $style
 * @property string $hardness
 * @property int $wash_every_days 0 when it is not known
 * @property string $note
 * @property Carbon $updated_at
 * @property Collection<int, HeadMark> $marks
 */
final class Head extends Model
{
    use BelongsToStudio;
    use Revised;
    use Touched;

    protected $table = 'heads';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = [
        'pregnant' => 'bool',
        'allergies' => 'array',
        'dislikes' => 'array',
        'wants' => 'array',
        'conditions' => 'array',
        'signs' => 'array',
        'wash_every_days' => 'int',
    ];

    /** The head a request has chosen by head_id, if any. One of another studio is not found. */
    public static function chosen(Request $request): ?self
    {
        $id = $request->json('head_id');

        return is_int($id) ? self::query()->with('marks')->findOrFail($id) : null;
    }

    /** @return HasMany<HeadMark, $this> */
    public function marks(): HasMany
    {
        return $this->hasMany(HeadMark::class)->orderBy('on_date')->orderBy('id');
    }

    public function crownMap(): CrownMap
    {
        return new CrownMap(array_values($this->marks->map(static fn (HeadMark $m) => $m->mark())->all()));
    }

    /**
     * A word that is no choice any more hides no head.
     *
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $choices
     * @param  list<string>  $words
     * @return list<T>
     */
    private static function known(string $choices, array $words): array
    {
        $known = [];
        foreach ($words as $word) {
            $choice = $choices::tryFrom($word);
            if ($choice !== null) {
                $known[] = $choice;
            }
        }

        return $known;
    }

    public function profile(): Profile
    {
        return new Profile(
            $this->name,
            Strand::tryFrom($this->strand) ?? Strand::NotKnown,
            Porosity::tryFrom($this->porosity) ?? Porosity::NotKnown,
            $this->crownMap()->scalp(
                Day::today()->toDateTimeImmutable(),
                Scalp::tryFrom($this->scalp) ?? Scalp::NotKnown,
            ),
            AgeBand::tryFrom($this->age_band) ?? AgeBand::NotKnown,
            $this->pregnant,
            $this->allergies,
            array_map(
                static fn (array $d): Dislike => new Dislike($d['what'], Season::from($d['season'])),
                $this->dislikes,
            ),
            self::known(Need::class, $this->wants),
            self::known(Condition::class, $this->conditions),
            self::known(Sign::class, $this->signs),
            Style::tryFrom($this->style) ?? Style::NotKnown,
        );
    }
}
