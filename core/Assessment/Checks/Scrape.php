<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Assessment\Texture;
use Crown\Formula\ProductKind;

/** Is something scooped from its jar too hard for a finger in a cold room? */
final readonly class Scrape implements Check
{
    private const TOO_HARD = 50.0;

    public function examine(Examined $subject): array
    {
        $scooped = in_array(
            $subject->formula()->kind,
            [ProductKind::Balm, ProductKind::WhippedButter, ProductKind::StirredButter, ProductKind::RinseOutBalm],
            true,
        );
        if (! $scooped || ! $subject->texture->hasCurves()) {
            return [];
        }
        $cold = $subject->texture->solids(Texture::COLD_ROOM);
        if ($cold->best < self::TOO_HARD) {
            return [];
        }

        return [
            new Finding('texture.scrape', Severity::Note, [], [FigureName::SolidsAt12->is($cold)], 'texture'),
        ];
    }
}
