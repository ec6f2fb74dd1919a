<?php

declare(strict_types=1);

namespace Crown\Reading;

use DateTimeImmutable;

/** An oil that was steeped in the studio, by what people may call it. */
final readonly class OwnOil
{
    /**
     * @param  string  $id by which the catalogue has it
     * @param  string  $title as it is called in the studio
     * @param  list<string>  $plants ids of what was steeped
     * @param  list<string>  $oils ids of what it was steeped in
     */
    public function __construct(
        public string $id,
        public string $title,
        public array $plants,
        public array $oils,
        public DateTimeImmutable $madeOn,
    ) {
    }
}
