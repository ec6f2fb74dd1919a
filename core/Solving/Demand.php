<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Catalogue\Need;

/** One thing asked of the blend: a figure between two ends. In a maker's words by words(). */
final readonly class Demand
{
    private const KINDS = [
        'solids',
        'weight',
        'saturated',
        'monounsaturated',
        'polyunsaturated',
        'life',
        'cost',
        'load',
        'dermal',
        'constituent',
        'need',
        'share',
    ];

    /**
     * @param  string  $kind one of the kinds
     * @param  string  $of a constituent for "constituent"; a need for "need"; ingredient ids with + between for "share"
     * @param  float  $at °C for "solids"
     * @param  string  $called what its ingredients are called, where their ids are not to be shown
     * @param  float  $least in the kind's own unit: % of effective solids, weight 1 to 5, % of the mass, months, money
     *     per 100 g, points
     */
    public function __construct(
        public string $kind,
        public float $least = -INF,
        public float $most = INF,
        public string $of = '',
        public float $at = 25.0,
        public string $called = '',
    ) {
        if (! in_array($kind, self::KINDS, true)) {
            throw SolveError::field('demands.kind', implode(', ', self::KINDS));
        }
        if ($least > $most || is_nan($least) || is_nan($most)) {
            throw SolveError::field('demands.'.$kind, 'a least that is no more than the most');
        }
        if ($kind === 'need' && Need::tryFrom($of) === null) {
            throw SolveError::field('demands.of', implode(', ', array_column(Need::cases(), 'value')));
        }
    }

    public function need(): Need
    {
        return Need::from($this->of);
    }

    public function words(): string
    {
        $n = static fn (float $x): string => rtrim(rtrim(number_format($x, 2, '.', ''), '0'), '.');
        $between = match (true) {
            is_finite($this->least) && is_finite($this->most) && $this->least === $this->most => 'exactly '
                .$n($this->least),
            is_finite($this->least) && is_finite($this->most) => $n($this->least).' to '.$n($this->most),
            is_finite($this->least) => 'at least '.$n($this->least),
            default => 'at most '.$n($this->most),
        };

        return match ($this->kind) {
            'solids' => sprintf('effective solids at %s °C %s %%', $n($this->at), $between),
            'weight' => sprintf('weight on the hair %s', $between),
            'life' => sprintf('keeps %s months', $between),
            'cost' => sprintf('costs %s for 100 g', $between),
            'load' => sprintf('essential oils %s %%', $between),
            'dermal' => 'every essential oil under its own dermal maximum',
            'constituent' => sprintf('%s %s %%', $this->of, $between),
            'need' => sprintf('%s %s points', $this->need()->label(), $between),
            'share' => sprintf(
                '%s %s %%',
                $this->called !== '' ? $this->called : str_replace('+', ' and ', $this->of),
                $between,
            ),
            default => sprintf('%s fat %s %%', $this->kind, $between),
        };
    }
}
