<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Formula\Formula;

/** A batch half way: what is in the bowl as it was weighed, and the rest as it is still to be weighed. */
final readonly class Putting
{
    /**
     * @param  list<Weighing>  $asked with the targets as they are now
     * @param  array<string, Put>  $put by line
     */
    public function __construct(private Formula $formula, public array $asked, public array $put)
    {
    }

    /** The same with one more line in. */
    public function and(Weighing $line, Put $put): self
    {
        return new self($this->formula, $this->asked, [...$this->put, $line->line => $put]);
    }

    /**
     * The same with all targets larger by a factor.
     *
     * @param  float  $factor more than 0
     */
    public function scaled(float $factor): self
    {
        return new self(
            $this->formula,
            array_map(static fn (Weighing $w): Weighing => $w->scaled($factor), $this->asked),
            $this->put,
        );
    }

    /** What it will be if the rest is weighed as it is asked for. */
    public function judged(Context $context): Assessment
    {
        $all = $this->put;
        foreach ($this->asked as $weighing) {
            $all[$weighing->line] ??= $weighing->asAsked();
        }

        return Assessor::standard()->assess(Actuals::of($this->formula, $all), $context);
    }

    /**
     * What is in and comes to less than is asked of it now.
     *
     * @return array<string, float> grams that are wanting, by line
     */
    public function wanting(): array
    {
        $wanting = [];
        foreach ($this->asked as $weighing) {
            $in = $this->put[$weighing->line] ?? null;
            if ($in !== null && $weighing->wants($in)) {
                $wanting[$weighing->line] = $weighing->targetGrams - $in->grams;
            }
        }

        return $wanting;
    }
}
