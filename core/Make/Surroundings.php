<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Measure\Band;

/** Where a vessel stands while what is in it cools. Method page: docs/methods/cooling.md. */
enum Surroundings: string
{
    case Air = 'air';
    case Water = 'cold-water';
    case Fridge = 'fridge';
    case Freezer = 'freezer';

    /** A room where nobody measured it, °C. */
    public const ROOM = 21.0;

    /** Tap water in a bath, °C: our estimate. */
    private const BATH = 14.0;

    /**
     * What leaves each square metre for each kelvin of difference, W/m²K. Estimates of ours from the textbook ranges:
     * natural convection with radiation in air, still water round the sides.
     */
    private const TRANSFER = [
        'air' => [6.0, 10.0, 15.0],
        'cold-water' => [40.0, 90.0, 160.0],
        'fridge' => [5.0, 9.0, 14.0],
        'freezer' => [5.0, 9.0, 15.0],
    ];

    /** @param  float  $room where the air is measured, °C */
    public function celsius(float $room = self::ROOM): float
    {
        return match ($this) {
            self::Air => $room,
            self::Water => self::BATH,
            self::Fridge => 4.0,
            self::Freezer => -18.0,
        };
    }

    /** Where it stands meanwhile, as far as a task says; what is chilled stands in the fridge where it says nothing. */
    public static function during(Task $task): self
    {
        $said = mb_strtolower($task->act);

        return match (true) {
            str_contains($said, 'freez') => self::Freezer,
            preg_match('/\b(?:cold water|ice)\b/u', $said) === 1 => self::Water,
            str_contains($said, 'fridge') => self::Fridge,
            $task->kind === TaskKind::Chill && ! str_contains($said, 'let it cool') => self::Fridge,
            default => self::Air,
        };
    }

    public function transfer(): Band
    {
        return Band::of(...self::TRANSFER[$this->value]);
    }
}
