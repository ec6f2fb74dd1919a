<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Words\Message;

/** A jar with straight sides. What is not known is null. */
final readonly class Vessel
{
    /** Below this a jar's mouth is too narrow to strain into, cm. */
    private const WIDE_MOUTH = 6.0;

    /** @throws SteepError about "jar_ml" */
    public function __construct(
        public ?float $millilitres = null,
        public ?float $diameterCm = null,
        public ?float $mouthCm = null,
    ) {
        $outside = static fn (?float $size, float $most): bool => $size !== null && ($size <= 0.0 || $size > $most);
        if ($outside($millilitres, 100_000.0) || $outside($diameterCm, 100.0) || $outside($mouthCm, 100.0)) {
            throw SteepError::field('jar_ml', new Message('steep.allowed.jar'));
        }
    }

    /** As a document has it, where 0 stands for not known. @throws SteepError about "jar_ml" */
    public static function written(float $millilitres, float $diameterCm, float $mouthCm): self
    {
        return new self($millilitres ?: null, $diameterCm ?: null, $mouthCm ?: null);
    }

    public function isKnown(): bool
    {
        return $this->millilitres !== null && $this->diameterCm !== null;
    }

    /** Of the inner width; null when that is not known. */
    public function areaCm2(): ?float
    {
        return $this->diameterCm === null ? null : (M_PI * $this->diameterCm ** 2) / 4;
    }

    public function isNarrow(): bool
    {
        return $this->mouthCm !== null && $this->mouthCm < self::WIDE_MOUTH;
    }
}
