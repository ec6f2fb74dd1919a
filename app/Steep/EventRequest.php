<?php

declare(strict_types=1);

namespace App\Steep;

use App\Studio\Day;
use Crown\Problem;
use Crown\Steep\EntryKind;
use Crown\Steep\Preparation;
use Crown\Steep\SteepDraft;
use Crown\Steep\SteepMethod;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;

/** What happened to a jar on a day: $defs/SteepEventDraft. */
final class EventRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(EntryKind::class)->only(EntryKind::written())],
            'on' => Day::RULE.'|before_or_equal:'.Day::today()->toDateString(),
            'note' => 'present|nullable|string|max:500',
            'colour' => 'sometimes|nullable|string|max:80',
            'smell' => 'sometimes|nullable|string|max:80',
            'sign' => 'required_if:kind,sign|string|max:200',
            'grams' => 'required_if:kind,weighed,drawn|numeric|gt:0|max:100000',
            'before' => 'required_if:kind,bowl|numeric|gt:0|max:100000',
            'after' => 'required_if:kind,bowl|numeric|gt:0|lte:before',
            'method' => ['required_if:kind,moved', Rule::enum(SteepMethod::class)],
            'days' => 'sometimes|nullable|integer|between:1,400',
            'celsius' => 'sometimes|nullable|numeric|min:0|max:150',
            'held_for' => 'sometimes|nullable|string|max:60',
            'ingredient' => 'required_if:kind,herb,oil|string|max:80',
            'form' => 'required_if:kind,herb|string|max:20',
            'preparation' => ['required_if:kind,herb', Rule::enum(Preparation::class)],
            'amount' => 'required_if:kind,herb,oil|string|max:120',
            'keep' => 'sometimes|boolean',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'on.before_or_equal' => 'That day has not come yet.',
            'days.between' => '1 to 400 days, or nothing for as was planned.',
            'before.gt' => 'Weigh the bowl before it is heated: more than 0 g.',
            'after.gt' => 'Weigh the bowl after it was heated: more than 0 g.',
            'grams.gt' => 'More than 0 g.',
            'after.lte' => 'The bowl cannot weigh more after heating than before.',
            'grams.required_if' => 'Weigh it: how many grams?',
        ];
    }

    public function kind(): EntryKind
    {
        return EntryKind::from($this->string('kind')->value());
    }

    /** The day it happened. */
    public function day(): Carbon
    {
        return Carbon::parse($this->string('on')->value());
    }

    /**
     * @return array<array-key, mixed> what an entry of its kind holds
     *
     * @throws Problem about what was written of heat and time
     */
    public function contents(): array
    {
        /** @var array<string, mixed> $given */
        $given = $this->validated();

        $contents = array_diff_key($given, ['kind' => 1, 'on' => 1, 'note' => 1, 'keep' => 1]);

        return $this->kind() === EntryKind::Moved ? SteepDraft::held($contents) : $contents;
    }
}
