<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\OwnIngredient;
use App\Support\Refused;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Correction;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\OwnEntry;
use Crown\Catalogue\ReadyBlend;
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
            'parts' => 'sometimes|array|max:'.ReadyBlend::MOST_PARTS,
            'parts.*.ingredient' => 'required|string|max:80',
            'parts.*.percent' => 'present|nullable|numeric',
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
            'parts.*.ingredient.required' => 'Choose what is in it, or take the row out.',
            'figures.*.source.required' => 'Say where the figure comes from.',
        ];
    }

    /**
     * @return array{name: string, ...<string, mixed>} as it is kept
     *
     * @throws Refused|Problem for what core would not read
     */
    public function draft(Catalogue $reference, Catalogue $all): array
    {
        /** @var array{name: string, ...<string, mixed>} $draft */
        $draft = $this->validated();
        $like = $this->string('like')->value();
        if ($like !== '' && ! $reference->has($like)) {
            throw Refused::because('like', 'Choose an ingredient of the catalogue that yours is like, or none.');
        }
        $this->parts($all);
        OwnEntry::read('own-0', $draft, $all)->blend?->holdsNoBlend();

        return $draft;
    }

    /** @throws Refused where a part is not there, or is this; or where this is a part itself and would be a blend */
    private function parts(Catalogue $all): void
    {
        $route = $this->route('own');
        $self = is_scalar($route) ? OwnIngredient::ID.$route : '';
        foreach ($this->collect('parts')->all() as $n => $part) {
            $id = is_array($part) && is_string($part['ingredient'] ?? null) ? $part['ingredient'] : '';
            if (! $all->has($id) || $id === $self) {
                throw Refused::because("parts.$n.ingredient", 'Choose something of the catalogue, or of your own.');
            }
        }
        $in = $this->collect('parts')->isEmpty() || $self === '' ? [] : OwnIngredient::blendsWith($self);
        if ($in !== []) {
            throw Refused::because('parts', sprintf('It is in a blend: %s. A blend holds no blend.', $in[0]));
        }
    }
}
