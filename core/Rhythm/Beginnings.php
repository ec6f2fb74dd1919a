<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use Crown\Assessment\ShelfLife;
use Crown\Measure\School;
use Crown\Steep\SteepMethod;
use JsonSerializable;

/**
 * What a new steep, formula or routine begins with, by the sides that a studio took where makers disagree. Heat comes
 * before what is left in, and that before light: a jar that is kept warm is strained, and stands in no sun.
 */
final readonly class Beginnings implements JsonSerializable
{
    /**
     * @param  string  $form of a plant: dried or fresh
     * @param  float  $storageCelsius °C
     * @param  int  $perWeek applications
     * @param  float  $gramsPerUse g
     * @param  string  $way of using it; "" for scalp and lengths
     */
    private function __construct(
        public SteepMethod $method,
        public string $form,
        public bool $pressed,
        public float $storageCelsius,
        public int $perWeek,
        public float $gramsPerUse,
        public string $way,
    ) {
    }

    /** @param  array<array-key, mixed>  $chosen options by school, as a studio keeps them */
    public static function of(array $chosen): self
    {
        $schools = School::all($chosen);
        $daily = $schools[School::Rhythm->value] === 'daily';

        return new self(
            match (true) {
                $schools[School::Heat->value] === 'warm' => SteepMethod::WaterBath,
                $schools[School::Straining->value] === 'left' => SteepMethod::LeaveIn,
                $schools[School::Light->value] === 'sun' => SteepMethod::SunnySill,
                default => SteepMethod::ColdDark,
            },
            $schools[School::Plant->value],
            $schools[School::Pressing->value] === 'pressed',
            $schools[School::Cold->value] === 'fridge' ? ShelfLife::FRIDGE : 20.0,
            $daily ? 7 : 2,
            $daily ? 1.0 : 3.0,
            $schools[School::Place->value] === 'lengths' ? 'Lengths only' : '',
        );
    }

    /** @return array<string, mixed> $defs/Beginnings */
    public function jsonSerialize(): array
    {
        return [
            'method' => $this->method->value,
            'form' => $this->form,
            'pressed' => $this->pressed,
            'storage_c' => $this->storageCelsius,
            'per_week' => $this->perWeek,
            'grams_per_use' => $this->gramsPerUse,
            'way' => $this->way,
        ];
    }
}
