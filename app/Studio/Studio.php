<?php

declare(strict_types=1);

namespace App\Studio;

use Crown\Head\Season;
use Crown\Measure\CupSize;
use Crown\Measure\Kit;
use Crown\Measure\Kitchen;
use Crown\Measure\Ways;
use Crown\Papers\Region;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * The people and things of one workshop. Every other row belongs to one.
 *
 * @property int $id
 * @property string $name
 * @property string $maker
 * @property string $cup
 * @property float $scale_grams
 * @property float $bowl_ml what the largest bowl holds; 0 while nobody said
 * @property bool $demo
 * @property string $time_zone an IANA name; its "today" is the calendar date there (Day)
 * @property bool $southern whether its winter is in June
 * @property string $country ISO 3166, or "" while nobody said
 * @property string $currency ISO 4217, or "" while nobody said
 * @property bool $decimal_comma whether figures are written with a comma
 * @property string $date_style a DateStyle
 * @property array<array-key, mixed>|null $kit
 * @property array<array-key, mixed>|null $schools
 * @property Carbon|null $set_up_on null until it was asked what it measures with
 * @property Carbon|null $leaving_on the day on which it is taken away; null while it stays
 */
final class Studio extends Model
{
    protected $table = 'studios';

    protected $guarded = ['id'];

    protected $casts = [
        'scale_grams' => 'float',
        'bowl_ml' => 'float',
        'demo' => 'bool',
        'southern' => 'bool',
        'decimal_comma' => 'bool',
        'kit' => 'array',
        'schools' => 'array',
        'set_up_on' => 'date',
        'leaving_on' => 'date',
    ];

    protected $attributes = [
        'cup' => 'us',
        'scale_grams' => 1,
        'bowl_ml' => 0,
        'southern' => false,
        'time_zone' => 'UTC',
        'country' => '',
        'currency' => '',
        'decimal_comma' => false,
        'date_style' => 'day-first',
        'demo' => false,
    ];

    /** @return HasMany<User, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(User::class);
    }

    public function season(Carbon $day): Season
    {
        return Season::on($day->toDateTimeImmutable(), $this->southern);
    }

    /** Its scales, spoons, droppers, bowls, jars and places. */
    public function ownKit(): Kit
    {
        // Read once: what is kept as JSON is decoded each time it is asked for.
        $kit = $this->kit;

        return Kit::read($kit ?? []);
    }

    /** Whose rules its labels follow first. */
    public function region(): Region
    {
        return Region::of($this->country);
    }

    /** The sides it took where makers disagree. */
    public function ways(): Ways
    {
        $sides = $this->schools;

        return Ways::of($sides ?? []);
    }

    /** What this studio measures with. */
    public function kitchen(): Kitchen
    {
        $bowl = $this->bowl_ml ?: null;

        return $this->ownKit()->kitchen(CupSize::from($this->cup), $this->scale_grams, $bowl, $this->ways());
    }
}
