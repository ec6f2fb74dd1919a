<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Words\Message;

/** How a blend stands at 25 °C, by its effective solids. Method page: docs/methods/texture.md. */
enum TextureClass: string
{
    case Liquid = 'liquid';
    case Pourable = 'pourable';
    case SoftSalve = 'soft-salve';
    case Butter = 'butter';
    case FirmBalm = 'firm-balm';
    case Stick = 'stick';
    case Bar = 'bar';

    /** @param  float  $solids effective solids in per cent; may exceed 100 with much wax */
    public static function ofSolids(float $solids): self
    {
        return match (true) {
            $solids < 2.0 => self::Liquid,
            $solids < 8.0 => self::Pourable,
            $solids < 18.0 => self::SoftSalve,
            $solids < 32.0 => self::Butter,
            $solids < 50.0 => self::FirmBalm,
            $solids <= 70.0 => self::Stick,
            default => self::Bar,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Liquid => Message::said('assessment.texture-class.liquid'),
            self::Pourable => Message::said('assessment.texture-class.thick-but-pourable'),
            self::SoftSalve => Message::said('assessment.texture-class.soft-salve'),
            self::Butter => Message::said('assessment.texture-class.butter-soft-balm'),
            self::FirmBalm => Message::said('assessment.texture-class.firm-balm'),
            self::Stick => Message::said('assessment.texture-class.stick'),
            self::Bar => Message::said('assessment.texture-class.bar'),
        };
    }
}
