<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\Day;
use App\Support\Refused;
use Crown\Make\BatchClosing;
use Crown\Make\Inspected;
use Crown\Measure\Kit;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;

/** What was filled when a batch was done: $defs/FinishAsk. */
final class FinishRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => 'required|integer|min:1',
            'jars' => 'required|integer|min:1|max:10000',
            'jar_ml' => 'required|numeric|min:1|max:20000',
            'net_grams' => 'required_without:full_grams|nullable|numeric|gt:0|max:100000',
            'full_grams' => 'nullable|numeric|gt:0|max:100000',
            'jar' => 'nullable|integer',
            'note' => 'present|nullable|string|max:2000',
            'bowl_ml' => 'nullable|numeric|gt:0|max:1000000',
            'remainder_grams' => 'nullable|numeric|min:0|max:1000000',
            'sample_kept' => 'sometimes|boolean',
            'inspected' => 'sometimes|array|max:10',
            'inspected.*' => ['distinct', Rule::enum(Inspected::class)],
            'made_on' => 'bail|nullable|'.Day::WRITTEN,
            'although' => 'nullable|string|max:500',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'jars.min' => 'At least one jar was filled.',
            'net_grams.required_without' => 'What one jar holds, in grams.',
            'net_grams.gt' => 'The net contents of a jar are more than 0 g.',
        ];
    }

    /** What the jars hold: as it was entered, or as a jar of the kit weighed full says. */
    public function net(Kit $kit): float
    {
        return $this->filled('full_grams')
            ? BatchClosing::net($this->float('full_grams'), $kit->item($this->integer('jar')))
            : $this->float('net_grams');
    }

    /** The day it was made, where that was before it was written down. */
    public function madeOn(Carbon $begun): Carbon
    {
        $said = $this->filled('made_on') ? Carbon::parse($this->string('made_on')->value()) : $begun;

        return $said <= Day::today() ? $said : throw Refused::because('made_on', 'A day up to today.');
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        return [
            'remainder_grams' => $this->float('remainder_grams'),
            'bowl_ml' => $this->filled('bowl_ml') ? $this->float('bowl_ml') : null,
            'sample_kept' => $this->boolean('sample_kept'),
            'inspected' => array_values((array) $this->input('inspected', [])),
            'jars' => $this->integer('jars'),
            'jar_ml' => $this->float('jar_ml'),
            'note' => $this->string('note')->value(),
        ];
    }
}
