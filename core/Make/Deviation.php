<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Measure\Amount;
use Crown\Measure\Number;
use Crown\Words\Message;

/** One thing that went otherwise than planned. */
final readonly class Deviation
{
    /**
     * @param  string  $code over, under, miscounted, left-out, passed-over or too-warm
     * @param  string  $subject the line or the task, in words
     * @param  float|null  $planned grams, drops or °C; null where it is no figure
     * @param  float|null  $found likewise
     * @param  string  $note what was said of it
     */
    public function __construct(
        public string $code,
        public string $subject,
        public ?float $planned = null,
        public ?float $found = null,
        public string $note = '',
    ) {
    }

    public function words(): string
    {
        $planned = Amount::number(round($this->planned ?? 0.0, 2));
        $found = Amount::number(round($this->found ?? 0.0, 2));

        return match ($this->code) {
            'over', 'under' => sprintf('%s: %s g for %s g.', $this->subject, $found, $planned),
            'miscounted' => sprintf(
                '%s: %s for %s.',
                $this->subject,
                Number::counted((float) $found, 'drop'),
                $planned,
            ),
            'left-out' => Message::said('make.deviation.was-left-out', ['subject' => $this->subject]),
            'passed-over' => sprintf('Passed over: %s (%s).', $this->subject, rtrim($this->note, '.')),
            default => Message::said('make.deviation.ticked-too-warm-c', [
                'subject' => $this->subject,
                'found' => $found,
                'planned' => $planned,
            ]),
        };
    }
}
