<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Request;

/** Lists of words as a request brings them, validated before. */
final class Words
{
    /** @return list<string> */
    public static function of(Request $request, string $key): array
    {
        return array_values(array_filter((array) $request->input($key), is_string(...)));
    }
}
