<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\OwnFigure;
use App\Catalogue\OwnIngredient;
use App\Catalogue\StudioCatalogue;
use App\Formula\Formula;
use App\Studio\IngredientUses;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Difference;
use Crown\Catalogue\Evidence;
use Crown\Catalogue\HairAction;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\NameMatch;
use Crown\Catalogue\Need;
use Crown\Catalogue\StandIns;
use Crown\Catalogue\Wanted;
use Crown\Exchange\IngredientFile;
use Crown\Formula\Phase;
use Crown\Head\Porosity;
use Crown\Head\Profile;
use Crown\Head\Strand;
use Crown\Measure\Property;
use Crown\Steep\Preparation;
use Crown\Steep\SteepMethod;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Finding ingredients, reading about one, and laying several side by side. */
final class IngredientController
{
    private const MOST_COMPARED = 4;

    public function __construct(private readonly StudioCatalogue $catalogue)
    {
    }

    #[Speaks('IngredientList', does: 'Find ingredients by name, or by what they must be')]
    public function index(Request $request): JsonResponse
    {
        $catalogue = $this->catalogue->get();
        $atHand = $this->catalogue->atHand();
        $wanted = $this->wanted($request, $atHand);
        $found = $wanted->in($catalogue);
        $name = mb_substr($request->string('q')->value(), 0, 80);
        if ($name !== '') {
            // By name the order is that of likeness; what was filtered out stays out.
            $allowed = array_fill_keys(array_map(static fn (Ingredient $i): string => $i->id, $found), true);
            $found = array_values(
                array_filter(
                    array_map(
                        static fn (NameMatch $m): Ingredient => $m->ingredient,
                        $catalogue->search($name, $request->hasAny(['kind', 'need', 'action', 'without']) ? 60 : 8),
                    ),
                    static fn (Ingredient $i): bool => isset($allowed[$i->id]),
                ),
            );
        }

        return new JsonResponse([
            'items' => array_map(
                static fn (Ingredient $i): array => self::row($i, in_array($i->id, $atHand, true), $wanted->needs),
                $found,
            ),
        ]);
    }

    #[Speaks(
        'IngredientPage',
        does: 'One ingredient with all its figures and sources, where it is used and what could stand in for it',
    )]
    public function show(string $ingredient, Request $request): JsonResponse
    {
        $all = $this->catalogue->get();
        $found = self::find($ingredient, $all);
        $item = Cupboard::lot($ingredient);
        $without = self::words($request->string('without')->value());

        return new JsonResponse([
            'ingredient' => IngredientFile::write($found, $all, 1.0),
            'in_cupboard' => $item !== null,
            'stock_grams' => $item?->left_grams,
            'used_in' => Formula::query()
                ->whereIn('id', IngredientUses::of(IngredientUses::FORMULA, [$ingredient]))
                ->orderByDesc('updated_at')
                ->orderByDesc('id')
                ->limit(12)
                ->get(['id', 'title', 'kind'])
                ->map(static fn (Formula $f): array => ['id' => $f->id, 'title' => $f->title, 'kind' => $f->kind])
                ->all(),
            'stand_ins' => (new StandIns($all))->for($found, $without),
            'own_figures' => OwnFigure::query()
                ->where('ingredient', $ingredient)
                ->orderBy('id')
                ->get()
                ->map(
                    static fn (OwnFigure $f): array => [
                        'id' => $f->id,
                        'form' => $f->form,
                        'property' => $f->property,
                        'label' => Property::from($f->property)->label(),
                        'value' => ['low' => $f->low, 'best' => $f->best, 'high' => $f->high],
                        'source' => $f->source,
                    ],
                )
                ->all(),
            'own' => str_starts_with($ingredient, 'own-') ? self::ownDraft($ingredient) : null,
        ]);
    }

    #[Speaks('Comparison', does: 'Two to four ingredients side by side, with how each differs from the first')]
    public function compare(Request $request): JsonResponse
    {
        $ids = array_values(array_unique(self::words($request->string('ids')->value())));
        if (count($ids) < 2 || count($ids) > self::MOST_COMPARED) {
            throw Refused::because(
                'ids',
                sprintf('Name 2 to %d ingredients, with commas between.', self::MOST_COMPARED),
            );
        }
        $all = $this->catalogue->get();
        $found = array_map(static fn (string $id): Ingredient => self::find($id, $all), $ids);

        return new JsonResponse([
            'ingredients' => array_map(
                static fn (Ingredient $i): array => IngredientFile::write($i, $all, 1.0),
                $found,
            ),
            'differences' => array_map(
                static fn (Ingredient $i): array => $i === $found[0] ? [] : Difference::between($found[0], $i),
                $found,
            ),
        ]);
    }

    /** @throws Refused */
    public static function find(string $id, Catalogue $catalogue): Ingredient
    {
        return $catalogue->has($id)
            ? $catalogue->get($id)
            : throw Refused::missing('ingredient', 'There is no such ingredient in the catalogue.');
    }

    /** @param  list<string>  $atHand */
    private function wanted(Request $request, array $atHand): Wanted
    {
        $request->validate([
            'q' => 'nullable|string|max:200',
            'kind' => 'nullable|string|max:200',
            'need' => ['nullable', Rule::enum(Need::class)],
            'evidence' => 'nullable|integer|between:0,4',
            'lightest' => 'nullable|numeric|between:1,5',
            'heaviest' => 'nullable|numeric|between:1,5',
            'strand' => ['nullable', Rule::enum(Strand::class)],
            'porosity' => ['nullable', Rule::enum(Porosity::class)],
            'action' => 'nullable|string|max:100',
            'without' => 'nullable|string|max:300',
            'vegan' => 'nullable|boolean',
            'at_hand' => 'nullable|boolean',
            'pregnancy' => 'nullable|in:ok,caution,advised-against',
            'by' => 'nullable|in:name,evidence,life,weight',
        ]);
        $text = static fn (string $key): string => $request->string($key)->value();
        $number = static fn (string $key, float $none): float => $request->filled($key)
            ? $request->float($key)
            : $none;
        $kinds = array_map(
            static fn (string $k): IngredientKind => IngredientKind::tryFrom($k)
                ?? throw Refused::because(
                    'kind',
                    'Allowed: '.implode(', ', array_column(IngredientKind::cases(), 'value')).'.',
                ),
            self::words($text('kind')),
        );
        $actions = array_map(
            static fn (string $a): HairAction => HairAction::tryFrom($a)
                ?? throw Refused::because(
                    'action',
                    'Allowed: '.implode(', ', array_column(HairAction::cases(), 'value')).'.',
                ),
            self::words($text('action')),
        );

        $suits = Profile::hairType(
            Strand::tryFrom($text('strand')) ?? Strand::NotKnown,
            Porosity::tryFrom($text('porosity')) ?? Porosity::NotKnown,
        )->heavinessSought();

        return new Wanted(
            $kinds,
            $text('need') === '' ? [] : [Need::from($text('need'))],
            $request->integer('evidence'),
            max($suits->low, $number('lightest', 1.0)),
            min($suits->high, $number('heaviest', 5.0)),
            $actions,
            self::words($text('without')),
            $request->boolean('vegan'),
            $atHand,
            $request->boolean('at_hand'),
            $text('pregnancy'),
            $text('by') === '' ? Wanted::BY_NAME : $text('by'),
        );
    }

    /** @return list<string> */
    private static function words(string $commas): array
    {
        return array_values(
            array_filter(array_map(trim(...), explode(',', $commas)), static fn (string $w): bool => $w !== ''),
        );
    }

    /** @return array<string, mixed> */
    private static function ownDraft(string $ingredient): array
    {
        $own = OwnIngredient::query()->findOrFail((int) substr($ingredient, 4));

        return ['id' => $own->id, 'revision' => $own->revision, ...$own->document];
    }

    /**
     * @param  list<Need>  $needs
     * @return array<string, mixed>
     */
    private static function row(Ingredient $i, bool $atHand, array $needs): array
    {
        $evidence = $needs === [] ? [] : $i->evidenceFor($needs[0]);

        return [
            'id' => $i->id,
            'name' => $i->name,
            'inci' => $i->inci,
            'kind' => $i->kind->value,
            'matter' => $i->kind->matter(),
            'forms' => array_keys($i->forms),
            'usual_form' => $i->usualForm(),
            'usual_phase' => Phase::usualFor($i)->value,
            'usual_preparation' => Preparation::usual($i->usualForm(), SteepMethod::ColdDark)->value,
            'weight' => $i->facts->has(Property::Weight) && ! $i->kind->isPlant()
                    ? $i->facts->get(Property::Weight)->band->best
                    : null,
            'life_months' => $i->facts->has(Property::LifeMonths)
                ? $i->facts->get(Property::LifeMonths)->band->best
                : null,
            'action' => $i->onHair->action->value,
            'feel' => $i->onHair->feel,
            'allergens' => $i->precautions->allergens,
            'vegan' => $i->vegan,
            'pregnancy' => $i->precautions->pregnancy->value,
            'pregnancy_reason' => $i->precautions->pregnancyReason,
            'origin' => $i->provenance->origin->value,
            'corrected' => $i->provenance->corrections !== [],
            'at_hand' => $atHand,
            'serves' => array_map(static fn (Evidence $e): array => IngredientFile::evidence($e), $evidence),
        ];
    }
}
