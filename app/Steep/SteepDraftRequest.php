<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use Crown\Problem;
use Crown\Steep\Preparation;
use Crown\Steep\SteepDraft;
use Crown\Steep\SteepMethod;
use DateTimeImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A jar as a maker describes it: $defs/SteepDraft; and the day on which it is wanted: $defs/SteepAsk. */
final class SteepDraftRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'present|nullable|string|max:200',
            'herbs' => 'required|array|min:1|max:40',
            'herbs.*.ingredient' => 'required|string|max:80',
            'herbs.*.form' => 'required|string|max:20',
            'herbs.*.preparation' => ['required', Rule::enum(Preparation::class)],
            'herbs.*.amount' => 'required|string|max:120',
            'herbs.*.draw' => 'required|integer|between:1,3',
            'herbs.*.cost' => 'present|nullable|numeric|min:0|max:100000',
            'oils' => 'required|array|min:1|max:12',
            'oils.*.ingredient' => 'required|string|max:80',
            'oils.*.amount' => 'required|string|max:120',
            'oils.*.cost' => 'present|nullable|numeric|min:0|max:100000',
            'water_grams' => 'required|numeric|min:0|max:10000',
            'method' => ['required', Rule::enum(SteepMethod::class)],
            'celsius' => 'required|numeric|min:0|max:150',
            'minutes' => 'required|numeric|min:0|max:1440',
            'held_for' => 'sometimes|nullable|string|max:60',
            'days' => 'required|integer|min:0|max:400',
            'jar_ml' => 'required|numeric|min:0|max:100000',
            'diameter_cm' => 'required|numeric|min:0|max:100',
            'mouth_cm' => 'required|numeric|min:0|max:100',
            'shaken_daily' => 'required|boolean',
            'shaken_sometimes' => 'sometimes|boolean',
            'pressed' => 'required|boolean',
            'started_on' => Day::RULE,
            'although' => 'sometimes|nullable|string|max:500',
            'wanted' => 'bail|nullable|'.Day::WRITTEN,
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'herbs.required' => 'A steep needs at least one plant.',
            'herbs.max' => 'At most 40 plants in one jar.',
            'oils.max' => 'At most 12 oils in one jar.',
            'oils.required' => 'A steep needs at least one oil.',
            'herbs.*.amount.required' => 'How much of this plant?',
            'oils.*.amount.required' => 'How much of this oil?',
        ];
    }

    /**
     * The jar, its amounts in grams, not yet kept.
     *
     * @throws Problem about the draft's own fields
     */
    public function steep(StudioCatalogue $catalogue, CurrentStudio $studio): Steep
    {
        $started = $this->string('started_on')->value();
        $draft = new SteepDraft($catalogue->get(), $studio->get()->kitchen(), new DateTimeImmutable($started));

        return new Steep([
            'name' => $this->string('name')->value(),
            'started_on' => $started,
            'document' => $draft->resolved($this->safe()->except(['name', 'started_on', 'wanted', 'although'])),
        ]);
    }

    public function wanted(): ?DateTimeImmutable
    {
        return $this->filled('wanted') ? new DateTimeImmutable($this->string('wanted')->value()) : null;
    }
}
