<?php

declare(strict_types=1);

namespace Crown\Reading;

use DateTimeImmutable;

/** What a studio knows besides the catalogue: the oils it steeped, and the names that its makers settled before. */
final readonly class Knowledge
{
    /** @var array<string, Settled> by the name as keyed() has it */
    public array $names;

    /**
     * @param  list<OwnOil>  $oils
     * @param  list<Settled>  $names
     * @param  DateTimeImmutable|null  $today for "from last month"; null leaves such words unread
     */
    public function __construct(
        public array $oils = [],
        array $names = [],
        public ?DateTimeImmutable $today = null,
    ) {
        $byName = [];
        foreach ($names as $settled) {
            $byName[self::keyed($settled->written)] = $settled;
        }
        $this->names = $byName;
    }

    /** A name as it is compared: small letters, one space between its words. */
    public static function keyed(string $name): string
    {
        return trim(preg_replace('/\s+/u', ' ', mb_strtolower($name)) ?? '');
    }

    /** What a name was settled as before. */
    public function settled(string $name): ?Settled
    {
        return $this->names === [] ? null : $this->names[self::keyed($name)] ?? null;
    }
}
