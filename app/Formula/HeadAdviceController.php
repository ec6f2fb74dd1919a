<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Head\Head;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Support\Refused;
use App\Support\Speaks;
use App\Support\Words;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Need;
use Crown\Formula\ProductKind;
use Crown\Head\FirstFormula;
use Crown\Head\Shortlist;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** From a head to what may go into its jar. */
final class HeadAdviceController
{
    private const MOST = 12;

    public function __construct(private readonly StudioCatalogue $catalogue, private readonly CurrentStudio $studio)
    {
    }

    #[Speaks(
        'HeadAdvice',
        does: 'Which ingredients serve the needs of a head, which to leave out and why, what to try first',
    )]
    public function show(int $head, Request $request): JsonResponse
    {
        $row = Head::query()->with('marks')->findOrFail($head);
        $request->validate([
            'need' => ['nullable', Rule::enum(Need::class)],
            'kind' => ['nullable', Rule::enum(IngredientKind::class)],
        ]);
        $profile = $row->profile();
        $needs = $request->filled('need') ? [Need::from($request->string('need')->value())] : $profile->needs();
        $shortlist = new Shortlist($this->catalogue->get(), $profile, $this->studio->get()->season(Day::today()));
        $atHand = $this->catalogue->atHand();

        return new JsonResponse([
            'red_flags' => $profile->redFlags(),
            'at_hand' => $atHand,
            'needs' => array_map(
                static fn (Need $need): array => [
                    'need' => $need->value,
                    'label' => $need->label(),
                    ...$shortlist->for($need, [], $request->string('kind')->value(), self::MOST)->jsonSerialize(),
                ],
                $needs,
            ),
        ]);
    }

    #[Speaks('FirstFormulaMade', 'FirstFormulaAsk', 201, 'Put a first version for this head on the bench')]
    public function formula(int $head, Request $request, Bench $bench): JsonResponse
    {
        $row = Head::query()->with('marks')->findOrFail($head);
        $request->validate([
            'kind' => ['required', Rule::enum(ProductKind::class)],
            'ingredients' => 'present|array|max:20',
            'ingredients.*' => 'string|max:80',
        ]);
        $profile = $row->profile();
        if ($profile->redFlags() !== []) {
            throw Refused::because(
                'head',
                sprintf('A clinician should see %s first: %s.', $row->name, implode(', ', $profile->redFlags())),
            );
        }
        $first = (new FirstFormula(
            $this->catalogue->get(),
            $profile,
            $this->studio->get()->season(Day::today()),
        ))->make(ProductKind::from($request->string('kind')->value()), Words::of($request, 'ingredients'));
        $formula = Formula::query()->create($bench->row(new Given($first->formula, $row, null)));

        return new JsonResponse(['id' => $formula->id, 'remarks' => $first->remarks], 201);
    }
}
