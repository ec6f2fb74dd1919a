<?php

declare(strict_types=1);

namespace App\Make;

use App\Support\ReadsNumbers;
use Crown\Make\MakeError;
use Crown\Make\Put;
use Crown\Make\PutHow;
use Crown\Make\Weighing;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What the scale showed for a line, or that it stands ready: $defs/WeighAsk. */
final class WeighRequest extends FormRequest
{
    use ReadsNumbers;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => 'required|integer|min:1',
            'line' => 'required|string|max:40',
            'gathered' => 'required|boolean',
            'grams' => 'present|nullable|numeric|min:0|max:1000000',
            'how' => ['sometimes', Rule::enum(PutHow::class)],
            // All the rest becomes as much larger, so that the shares are as they were meant.
            'rebalance' => 'sometimes|boolean',
            // The bottle that the maker took it from, where that is not the one to be used first.
            'lot' => 'sometimes|nullable|integer|min:1',
            'drops' => 'sometimes|nullable|integer|between:1,10000',
        ];
    }

    /**
     * What went in of a line; null when it only stands ready.
     *
     * @throws MakeError about "grams", "drops" or "how"
     */
    public function put(Weighing $of): ?Put
    {
        $how = $this->enum('how', PutHow::class) ?? PutHow::Weighed;
        $grams = $this->number('grams');

        return match ($how) {
            PutHow::Weighed => $grams === null ? null : Put::weighed($grams),
            PutHow::Counted => Put::counted($of, $this->integer('drops')),
            PutHow::TooLittle => Put::tooLittle($of),
            PutHow::LeftOut => Put::leftOut(),
        };
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'grams.min' => 'A weight is more than 0 g.',
            'drops.between' => 'Whole drops, 1 to 10,000.',
            'drops.integer' => 'Whole drops, 1 to 10,000.',
        ];
    }
}
