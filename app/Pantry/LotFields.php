<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\Day;

/** What may be said of a bottle that was bought, wherever it is said. */
final class LotFields
{
    /**
     * @param  string  $under where they stand in the request: "", or "lots.*."
     * @return array<string, mixed>
     */
    public static function rules(string $under = ''): array
    {
        $day = 'bail|nullable|'.Day::WRITTEN;

        return array_combine(
            array_map(static fn (string $field): string => $under.$field, [
                'supplier', 'batch_number', 'bought_on', 'printed_on', 'opened_on', 'opened_months', 'tare_grams',
                'cost', 'currency', 'rate', 'place', 'note',
            ]),
            [
                'nullable|string|max:200',
                'nullable|string|max:80',
                $day,
                $day,
                $day,
                'nullable|numeric|min:0.1|max:240',
                'nullable|numeric|min:0|max:100000',
                'nullable|numeric|min:0|max:1000000',
                'nullable|string|max:3',
                'nullable|numeric|gt:0|max:1000000',
                'nullable|string|max:80',
                'nullable|string|max:500',
            ],
        );
    }
}
