<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Support\Refused;
use Crown\Reading\Settled;
use Illuminate\Foundation\Http\FormRequest;

/** What a name means: $defs/SettledName. */
final class SettledNameRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'written' => 'required|string|max:'.Settled::LONGEST,
            'ingredient' => 'required|string|max:80',
            'form' => 'present|nullable|string|max:20',
        ];
    }

    /** @throws Refused when there is no such ingredient */
    public function settled(): Settled
    {
        $id = $this->string('ingredient')->value();
        if (! $this->container->make(StudioCatalogue::class)->get()->has($id)) {
            throw Refused::because('ingredient', 'There is no such ingredient.');
        }

        return new Settled($this->string('written')->value(), $id, $this->string('form')->value());
    }
}
