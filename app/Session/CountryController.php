<?php

declare(strict_types=1);

namespace App\Session;

use App\Support\Speaks;
use Crown\Measure\Habits;
use Illuminate\Http\JsonResponse;

/** What people of each country measure and pay with: where a studio begins. */
final class CountryController
{
    #[Speaks('Countries', does: 'Countries with what a studio there begins with')]
    public function index(): JsonResponse
    {
        return new JsonResponse(['items' => array_map(static fn (Habits $h): array => [
            'country' => $h->country,
            'name' => $h->name,
            'cup' => $h->cup->value,
            'decimal_comma' => $h->decimalComma,
            'date_style' => $h->dates->value,
            'currency' => $h->currency,
            'region' => $h->region,
        ], Habits::all())]);
    }
}
