<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Support\Refused;
use Crown\Catalogue\HairAction;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Need;
use Crown\Catalogue\Shunned;
use Crown\Catalogue\Sought;
use Crown\Catalogue\Wanted;
use Crown\Head\Porosity;
use Crown\Head\Profile;
use Crown\Head\Strand;
use Crown\Measure\Bounds;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What an ingredient must be called, or be. */
final class FindRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
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
        ];
    }

    /** What is looked for by name; "" for any. */
    public function name(): string
    {
        return mb_substr($this->string('q')->value(), 0, 80);
    }

    /**
     * @param  list<string>  $atHand
     *
     * @throws Refused for a kind or an action that is none
     */
    public function wanted(array $atHand): Wanted
    {
        $text = fn (string $key): string => $this->string($key)->value();
        $number = fn (string $key, float $none): float => $this->filled($key)
            ? $this->float($key)
            : $none;
        $kinds = array_map(
            static fn (string $k): IngredientKind => IngredientKind::tryFrom($k)
                ?? throw Refused::because(
                    'kind',
                    'Allowed: '.implode(', ', array_column(IngredientKind::cases(), 'value')).'.',
                ),
            Commas::split($text('kind')),
        );
        $actions = array_map(
            static fn (string $a): HairAction => HairAction::tryFrom($a)
                ?? throw Refused::because(
                    'action',
                    'Allowed: '.implode(', ', array_column(HairAction::cases(), 'value')).'.',
                ),
            Commas::split($text('action')),
        );

        $suits = Profile::hairType(
            Strand::tryFrom($text('strand')) ?? Strand::NotKnown,
            Porosity::tryFrom($text('porosity')) ?? Porosity::NotKnown,
        )->heavinessSought();

        $need = Need::tryFrom($text('need'));

        return new Wanted(
            $kinds,
            $need === null ? null : new Sought($need, $this->integer('evidence')),
            new Bounds(
                max($suits->low, $number('lightest', 1.0)),
                min($suits->high, $number('heaviest', 5.0)),
            ),
            $actions,
            new Shunned(Commas::split($text('without')), $this->boolean('vegan'), $text('pregnancy') ?: null),
            $this->boolean('at_hand') ? $atHand : null,
            $text('by') === '' ? Wanted::BY_NAME : $text('by'),
        );
    }
}
