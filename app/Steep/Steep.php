<?php

declare(strict_types=1);

namespace App\Steep;

use App\Pantry\Lot;
use App\Pantry\LotBottles;
use App\Pantry\Picture;
use App\Pantry\StockMovement;
use App\Studio\BelongsToStudio;
use App\Studio\IngredientUses;
use App\Studio\NamesIngredients;
use App\Studio\Revised;
use App\Studio\Touched;
use Crown\Catalogue\Bottle;
use Crown\Catalogue\Catalogue;
use Crown\Json\Node;
use Crown\Measure\Band;
use Crown\Pantry\LotSource;
use Crown\Steep\Entry;
use Crown\Steep\EntryKind;
use Crown\Steep\JarState;
use Crown\Steep\Standing;
use Crown\Steep\SteepDocument;
use Crown\Steep\SteepPlan;
use DateTimeImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * One jar of plants in oils.
 *
 * @phpstan-type HerbRow array{
 *     ingredient: string, form: string, preparation: string, amount: string, grams: float, draw: int, cost: float|null,
 * }
 * @phpstan-type OilRow array{ingredient: string, amount: string, grams: float, cost: float|null}
 * @phpstan-type Kept array{
 *     herbs: list<HerbRow>, oils: list<OilRow>, water_grams: float, method: string, celsius: float, minutes: float,
 *     days: int, jar_ml: float, diameter_cm: float, mouth_cm: float, shaken_daily: bool, pressed: bool,
 * }
 *
 * @property int $id
 * @property int $studio_id
 * @property int $revision
 * @property string $name
 * @property Kept $document
 * @property Carbon $started_on
 * @property Carbon|null $strained_on
 * @property string $state running, strained or spoiled
 * @property string $reason why it was given up; "" while it was not
 * @property string $although why it was begun although something of it is stopped at; "" where nothing is
 * @property Carbon|null $spoiled_on
 * @property Collection<int, SteepedLot> $lots
 * @property Collection<int, SteepShake> $shakes
 * @property Collection<int, SteepEvent> $events
 * @property Collection<int, Picture> $photos
 */
final class Steep extends Model
{
    use BelongsToStudio;
    use NamesIngredients;
    use Revised;
    use SoftDeletes;
    use Touched;

    /** Before its number: the id under which formulas name the oil that it will give, and the one that it gave. */
    public const OIL = Lot::OF_STEEP;

    protected $table = 'steeps';

    protected $guarded = ['id', 'studio_id'];

    protected $attributes = ['state' => 'running', 'name' => '', 'reason' => '', 'although' => ''];

    protected $casts = ['document' => 'array', 'started_on' => 'date', 'strained_on' => 'date', 'spoiled_on' => 'date'];

    /**
     * The jar, held until the transaction ends: whatever else is done to it meanwhile waits, and then goes by what it
     * finds.
     *
     * @throws ModelNotFoundException
     */
    public static function held(int $id): self
    {
        return self::query()->lockForUpdate()->findOrFail($id);
    }

    public function holder(): string
    {
        return IngredientUses::STEEP;
    }

    /** @return list<array<array-key, mixed>> what went in at the start, and what came in later */
    protected function naming(): array
    {
        return [
            $this->document,
            ...array_values($this->events()->get()->map(static fn (SteepEvent $e): array => $e->data)->all()),
        ];
    }

    /**
     * The jar with all that its page shows; of one that was put away too, for its oils may still be used.
     *
     * @throws ModelNotFoundException
     */
    public static function whole(int $id): self
    {
        return self::query()
            ->withTrashed()
            ->with(['shakes', 'lots', 'events', 'photos', 'poured'])
            ->findOrFail($id);
    }

    /**
     * The jar as it is by a day.
     *
     * @param  Carbon|null  $until null for now
     * @param  Band|null  $retention what the studio's own past steeps kept
     * @param  Carbon|null  $standsTo the day up to which it stands though it was to be strained before; null for as
     *     planned
     */
    public function plan(
        Catalogue $catalogue,
        ?Carbon $until = null,
        ?Band $retention = null,
        ?Carbon $standsTo = null,
    ): SteepPlan {
        return $this->kept()->plan(
            $this->exists ? $catalogue->outOf($this->bottles()) : $catalogue,
            $this->journal(),
            $until?->toDateTimeImmutable(),
            ($this->strained_on ?? $standsTo)?->toDateTimeImmutable(),
            $retention,
        );
    }

    /** @return array<string, Bottle> out of which it was filled, whatever stands on the shelf by now */
    private function bottles(): array
    {
        $named = [];
        $events = $this->relationLoaded('events') ? $this->events : $this->events()->get();
        $happened = $events->map(static fn (SteepEvent $e): array => $e->data)->all();
        foreach ([$this->document, ...array_values($happened)] as $document) {
            $node = Node::of($document);
            foreach ([$node, ...$node->objects('herbs'), ...$node->objects('oils')] as $part) {
                $named[] = $part->text('ingredient');
            }
        }
        $bought = array_filter($named, static fn (string $id): bool => $id !== ''
            && ! str_starts_with($id, Lot::OF_LOT)
            && ! str_starts_with($id, Lot::OF_STEEP));

        $poured = $this->relationLoaded('poured') ? $this->poured : $this->poured()->get();

        return LotBottles::poured(
            array_values(array_unique($bought)),
            $poured->pluck('day', 'ingredient')->all(),
        );
    }

    public function kept(): SteepDocument
    {
        return new SteepDocument($this->document, $this->started_on->toDateTimeImmutable());
    }

    /** @return list<Entry> in the order in which they happened; none of a jar that is not kept yet */
    public function journal(): array
    {
        return $this->exists
            ? array_values($this->events->map(static fn (SteepEvent $e): Entry => $e->entry())->all())
            : [];
    }

    /** How far it has come. */
    public function standing(): Standing
    {
        return new Standing(
            JarState::from($this->state),
            array_values(
                $this->shakes->map(static fn (SteepShake $s): DateTimeImmutable => $s->day())->all(),
            ),
            $this->events->contains('kind', EntryKind::Settling->value),
            $this->events->contains('kind', EntryKind::Ready->value),
        );
    }

    /** What was strained, when it was. */
    public function strained(): ?SteepedLot
    {
        return $this->lots->firstWhere('event_id', null);
    }

    /** @return HasMany<SteepShake, $this> */
    public function shakes(): HasMany
    {
        return $this->hasMany(SteepShake::class)->orderBy('date');
    }

    /** @return HasMany<SteepEvent, $this> in the order in which they happened */
    public function events(): HasMany
    {
        return $this->hasMany(SteepEvent::class)->orderBy('on_date')->orderBy('id');
    }

    /** @return HasMany<StockMovement, $this> what was poured in of bottles, each with its earliest printed "day" */
    public function poured(): HasMany
    {
        return $this->hasMany(StockMovement::class)
            ->join('lots', 'lots.id', '=', 'stock_movements.lot_id')
            ->where('lots.source', LotSource::Bought->value)
            ->groupBy('stock_movements.steep_id', 'lots.ingredient')
            ->select(['stock_movements.steep_id', 'lots.ingredient'])
            ->selectRaw('min(lots.use_by) as day');
    }

    /** @return HasMany<SteepedLot, $this> what was drawn, and what was strained */
    public function lots(): HasMany
    {
        return $this->hasMany(SteepedLot::class)->orderBy('id');
    }

    /** @return HasMany<Picture, $this> */
    public function photos(): HasMany
    {
        return $this->hasMany(Picture::class)->orderBy('on_date')->orderBy('id');
    }
}
