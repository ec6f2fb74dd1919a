<?php

declare(strict_types=1);

namespace App\Formula;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Name;
use Crown\Catalogue\Need;
use Crown\Problem;
use Crown\Solving\Goal;
use Crown\Solving\Requirement;
use Crown\Solving\Requirement\EffectiveSolids;
use Crown\Solving\Requirements;
use Crown\Solving\Wish;
use Crown\Solving\Wished;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What is wished of a formula: $defs/DesignAsk. */
final class DesignRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'wishes' => 'present|array|max:12',
            'wishes.*.kind' => ['required', Rule::enum(Wish::class)],
            'wishes.*.of' => 'present|nullable|string|max:80',
            'demands' => 'nullable|array|max:30',
            'demands.*.kind' => 'required|string|max:20',
            'demands.*.min' => 'nullable|numeric',
            'demands.*.max' => 'nullable|numeric',
            'demands.*.of' => 'nullable|string|max:200',
            'demands.*.at' => 'nullable|numeric',
            'most_ingredients' => 'nullable|integer|between:0,40',
            'goals' => 'nullable|array|max:3',
            'goals.*' => ['required', 'distinct', Rule::enum(Goal::class)],
            'serves' => 'nullable|array|max:17',
            'serves.*' => ['required', Rule::enum(Need::class)],
        ];
    }

    /** @return list<Wished> */
    public function wishes(): array
    {
        $wishes = [];
        foreach ($this->rows('wishes') as $row) {
            $wishes[] = new Wished(Wish::from(self::text($row, 'kind')), self::text($row, 'of') ?: null);
        }

        return $wishes;
    }

    /** @return list<Requirement>|null null when the wishes alone are to decide */
    public function requirements(Catalogue $all): ?array
    {
        if ($this->validated('demands') === null) {
            return null;
        }
        $requirements = [];
        foreach ($this->rows('demands') as $n => $row) {
            $requirements[] = Problem::within("demands.$n", static fn (): Requirement => Requirements::written(
                self::text($row, 'kind'),
                self::number($row, 'min'),
                self::number($row, 'max'),
                self::text($row, 'of'),
                self::number($row, 'at') ?? EffectiveSolids::USUAL_CELSIUS,
                self::names(explode('+', self::text($row, 'of')), $all),
            ));
        }

        return $requirements;
    }

    /** @return int|null null for any number */
    public function mostIngredients(): ?int
    {
        return $this->integer('most_ingredients') ?: null;
    }

    /** @return list<Goal> */
    public function goals(): array
    {
        return array_map(Goal::from(...), $this->words('goals'));
    }

    /** @return list<Need>|null null when none is named */
    public function serves(): ?array
    {
        return array_map(Need::from(...), $this->words('serves')) ?: null;
    }

    /** @param  list<string>  $ids */
    private static function names(array $ids, Catalogue $all): string
    {
        return implode(
            ' and ',
            array_map(
                static fn (string $id): string => $all->has($id) ? Name::inSentence($all->get($id)->name) : $id,
                $ids,
            ),
        );
    }

    /** @return list<array<array-key, mixed>> */
    private function rows(string $key): array
    {
        return array_values(array_filter((array) $this->validated($key, []), is_array(...)));
    }

    /** @return list<string> */
    private function words(string $key): array
    {
        return array_values(array_filter((array) $this->validated($key, []), is_string(...)));
    }

    /** @param  array<array-key, mixed>  $row */
    private static function text(array $row, string $key): string
    {
        return is_string($row[$key] ?? null) ? $row[$key] : '';
    }

    /** @param  array<array-key, mixed>  $row */
    private static function number(array $row, string $key): ?float
    {
        return is_numeric($row[$key] ?? null) ? (float) $row[$key] : null;
    }
}
