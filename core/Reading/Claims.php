<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Assessment\Assessment;
use Crown\Assessment\Portion;
use Crown\Reading\Grammar\Lexicons;
use JsonSerializable;

/** What a recipe says of itself, how much it makes and how long it keeps, held against what was reckoned of it. */
final readonly class Claims implements JsonSerializable
{
    /** "Double this for two heads, half it for short hair". */
    private const TIMES = '/
        \b(?<times>doubled?|tripled?|halved?|half)\s+(?:this|it|that|the\ (?:recipe|amounts?))\b
    /xiu';

    /** @param  list<float>  $times by which it may be made larger or smaller, as it says */
    private function __construct(public ?ClaimedYield $yield, public ?ClaimedLife $life, public array $times)
    {
    }

    public static function in(string $text): self
    {
        $numbers = [...Lexicons::numbers('en'), 'a' => 1.0, 'an' => 1.0];

        return new self(ClaimedYield::in($text, $numbers), ClaimedLife::in($text, $numbers), self::times($text));
    }

    /** @return list<string> what it claims, in its own words */
    public function words(): array
    {
        return array_values(array_filter([$this->yield?->words, $this->life?->words], is_string(...)));
    }

    /** @return list<string> what it claims and what does not fit what was reckoned, as sentences */
    public function against(Assessment $assessment): array
    {
        $composition = $assessment->subject->composition;
        $known = $composition->counted() !== []
            && array_filter($composition->portions, static fn (Portion $p): bool => ! $p->counts()) === [];

        return $known
            ? array_values(array_filter(
                [
                    $this->yield?->against($assessment) ?? $this->yield?->each($assessment),
                    $this->life?->against($assessment),
                ],
                is_string(...),
            ))
            : [];
    }

    /** @return array<string, int|float>|null with "grams" or "millilitres", and "jars" */
    public function jsonSerialize(): ?array
    {
        $said = array_filter(
            [
                'grams' => $this->yield?->grams,
                'millilitres' => $this->yield?->millilitres,
                'jars' => $this->yield?->jars,
            ],
            static fn (int|float|null $much): bool => $much !== null,
        );

        return $said === [] ? null : $said;
    }

    /** @return list<float> each once, in the order of the text */
    private static function times(string $text): array
    {
        preg_match_all(self::TIMES, $text, $m);
        $times = array_map(static fn (string $word): float => match (mb_strtolower($word)[0]) {
            'd' => 2.0,
            't' => 3.0,
            default => 0.5,
        }, $m['times']);

        return array_values(array_unique($times));
    }
}
