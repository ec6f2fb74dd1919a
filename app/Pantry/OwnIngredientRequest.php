<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Support\Refused;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Correction;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\OwnEntry;
use Crown\Measure\Property;
use Crown\Problem;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** An ingredient of one's own: $defs/OwnDraft. */
final class OwnIngredientRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => [
                'required',
                'string',
                'max:120',
                Rule::unique('own_ingredients', 'name')
                    ->where('studio_id', $this->user()?->studio_id)
                    ->ignore($this->route('own')),
            ],
            'inci' => 'present|string|max:200',
            'kind' => ['required', Rule::enum(IngredientKind::class)],
            'like' => 'present|string|max:80',
            'synonyms' => 'present|array|max:20',
            'synonyms.*' => 'string|max:80',
            'allergens' => 'present|array|max:20',
            'allergens.*' => 'string|max:80',
            'vegan' => 'required|boolean',
            'figures' => 'present|array|max:40',
            'figures.*.form' => 'present|string|max:20',
            'figures.*.property' => [
                'required',
                Rule::in(array_map(static fn (Property $p): string => $p->value, Correction::ALLOWED)),
            ],
            ...BandRules::of('figures.*.'),
            'figures.*.source' => 'required|string|max:200',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'An ingredient needs a name.',
            'name.unique' => 'You have an ingredient of this name already.',
            'figures.*.source.required' => 'Say where the figure comes from.',
        ];
    }

    /**
     * @return array{name: string, ...<string, mixed>} as it is kept
     *
     * @throws Refused|Problem for what core would not read
     */
    public function draft(Catalogue $reference): array
    {
        /** @var array{name: string, ...<string, mixed>} $draft */
        $draft = $this->validated();
        $like = $this->string('like')->value();
        if ($like !== '' && ! $reference->has($like)) {
            throw Refused::because('like', 'Choose an ingredient of the catalogue that yours is like, or none.');
        }
        OwnEntry::read('own-0', $draft, $reference);

        return $draft;
    }
}
