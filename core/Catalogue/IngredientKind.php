<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** What an ingredient is, which decides the facts it needs and the phase it usually goes in with. */
enum IngredientKind: string
{
    case CarrierOil = 'carrier-oil';
    case Butter = 'butter';
    case Wax = 'wax';
    case LiquidWaxEster = 'liquid-wax-ester';
    case FreshPlant = 'fresh-plant';
    case DriedHerb = 'dried-herb';
    case Powder = 'powder';
    case ReadySteep = 'ready-steep';
    case EssentialOil = 'essential-oil';
    case OilActive = 'oil-soluble-active';
    case WaterActive = 'water-soluble-active';
    case Emulsifier = 'emulsifier';
    case Conditioning = 'conditioning-agent';
    case Humectant = 'humectant';
    case Preservative = 'preservative';
    case Antioxidant = 'antioxidant';
    case Starch = 'starch';
    case Water = 'water';
    case Gel = 'gel';
    /** A name that was written but not found: never in the catalogue's files. */
    case Unknown = 'unknown';

    /** Pours at room temperature. */
    public function isLiquid(): bool
    {
        return match ($this) {
            self::CarrierOil,
            self::LiquidWaxEster,
            self::ReadySteep,
            self::EssentialOil,
            self::OilActive,
            self::Humectant,
            self::Preservative,
            self::Antioxidant,
            self::Water,
            self::Gel => true,
            default => false,
        };
    }

    /** Melted before use: counted among the solids of a blend. */
    public function isMelted(): bool
    {
        return match ($this) {
            self::Butter, self::Wax, self::Emulsifier, self::Conditioning => true,
            default => false,
        };
    }

    /** A fat that is mostly liquid in a warm room: what a plant is steeped in, and what fills a bottle. */
    public function isLiquidFat(): bool
    {
        return $this === self::CarrierOil || $this === self::LiquidWaxEster || $this === self::ReadySteep;
    }

    /** Oils, butters and waxes: what a blend is made of, and what may take another's place in it. */
    public function isFat(): bool
    {
        return $this->isLiquidFat() || $this === self::Butter || $this === self::Wax;
    }

    /** What a jar may be filled up with; of the rest "q.s." says as much as it needs. */
    public function fillsUp(): bool
    {
        return match ($this) {
            self::EssentialOil, self::WaterActive, self::Emulsifier, self::Conditioning, self::Preservative,
            self::Antioxidant => false,
            default => true,
        };
    }

    /** Goes rancid: what its own life means is that. */
    public function oxidises(): bool
    {
        return match ($this) {
            self::CarrierOil,
            self::LiquidWaxEster,
            self::Butter,
            self::Wax,
            self::ReadySteep,
            self::EssentialOil,
            self::OilActive,
            self::Emulsifier,
            self::Conditioning,
            self::Antioxidant => true,
            default => false,
        };
    }

    /** Plant matter that comes in fresh, dried or powdered forms. */
    public function isPlant(): bool
    {
        return $this === self::FreshPlant || $this === self::DriedHerb || $this === self::Powder;
    }

    /** Powder and plant, of which much makes a paste. */
    public function makesPaste(): bool
    {
        return $this->isPlant() || $this === self::Starch;
    }

    /** How the jar draws it: liquid, soft fat, hard fat, wax, plant, water or active. */
    public function matter(): string
    {
        return match ($this) {
            self::CarrierOil, self::LiquidWaxEster, self::ReadySteep => 'liquid',
            self::Butter => 'soft-fat',
            self::Emulsifier, self::Conditioning => 'hard-fat',
            self::Wax => 'wax',
            self::FreshPlant, self::DriedHerb, self::Powder, self::Starch => 'plant',
            self::Water, self::Gel, self::Humectant, self::WaterActive => 'water',
            self::EssentialOil, self::OilActive, self::Preservative, self::Antioxidant => 'active',
            self::Unknown => 'unknown',
        };
    }
}
