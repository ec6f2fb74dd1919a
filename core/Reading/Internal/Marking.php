<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Formula\Step;
use Crown\Reading\Claims;
use Crown\Reading\Fate;
use Crown\Reading\ReadAs;
use Crown\Reading\ReadLine;

/**
 * What a text became, marked where it stands in it; and what the maker said of its places, heard. It comes after the
 * rows were read, when it is known which line has which number.
 */
final readonly class Marking
{
    private const YOU_SAID = 'You said that nothing of it goes in.';

    /**
     * @param  list<Row>  $listed rows of a list
     * @param  list<Told>  $told the same in plain words
     */
    public function __construct(
        private array $listed,
        private array $told,
        private Spans $spans,
        private Entries $entries,
        private Claims $claims,
        private ReadAs $as,
    ) {
    }

    /**
     * The lines as the maker put them right: another ingredient or amount, one that is none, one that was not read.
     *
     * @param  list<ReadLine>  $lines
     * @return list<ReadLine>
     */
    public function corrected(array $lines): array
    {
        $kept = [];
        foreach ($lines as $line) {
            $said = $this->as->about($line->place, $line->name, $line->writtenAmount);
            if ($said !== null && $said->out && $line->row !== null) {
                $this->spans->words($line->row, $line->name, Fate::Remark, null, self::YOU_SAID)
                    || $this->spans->row($line->row, Fate::Remark, null, self::YOU_SAID);
            }
            if ($said?->out === true) {
                continue;
            }
            $kept[] = $said === null ? $line : $this->entries->corrected($line, $said);
        }
        foreach (array_keys($this->listed) as $n) {
            $row = $this->placeOf($this->listed[$n]->of);
            foreach ($this->as->in($row) as $said) {
                $added = $this->entries->added($row, $said);
                $kept = $added === null ? $kept : [...$kept, $added->on($this->listed[$n]->of, $row)];
            }
        }

        return $kept;
    }

    /** A row of the source as it was pasted: by that its places are found again. */
    public function placeOf(int $of): string
    {
        $shown = $this->spans->shown($of);
        if ($shown !== '') {
            return $shown;
        }
        $n = array_search($of, array_map(static fn (Row $r): int => $r->of, $this->listed), true);

        return $n === false ? '' : $this->listed[$n]->text;
    }

    /**
     * Where the lines and steps stand in the text.
     *
     * @param  list<ReadLine>  $lines
     * @param  list<array{Step, int}>  $steps as they were written, each with its row of the source
     * @param  list<ReadLine>  $again what the method names once more
     * @param  array<int, list<string>>  $figures by row: its figures that nothing took
     */
    public function mark(array $lines, array $steps, array $again, array $figures): void
    {
        foreach ($steps as $n => [$step, $row]) {
            $this->spans->step($row, $step, $n + 1);
        }
        $numbers = [];
        foreach ($lines as $n => $line) {
            $line->row === null || $this->spans->line($line->row, $line, $n + 1);
            $numbers[$line->ingredient()] = $n + 1;
        }
        foreach ($figures as $n => $of) {
            foreach ($of as $figure) {
                $this->unplaced($n, $figure);
            }
        }
        foreach ($again as $said) {
            // Said again in the method: its words belong to the line of the list.
            if ($said->row !== null && isset($numbers[$said->ingredient()])) {
                $this->spans->again($said->row, $said, $numbers[$said->ingredient()]);
            }
        }
    }

    /** A figure that nothing took; unless the maker said what it is. */
    private function unplaced(int $n, string $figure): void
    {
        $of = $this->listed[$n]->of;
        if ($this->isClaimed($figure, $n)) {
            return;
        }
        foreach ($this->as->in($this->placeOf($of)) as $said) {
            if ($said->amount === $figure) {
                $said->out && $this->spans->figure($of, $figure, Fate::Remark, self::YOU_SAID);

                return;
            }
        }
        $this->spans->figure($of, $figure, Fate::Unplaced);
    }

    /** Whether a figure of a row is one of what the recipe says of itself: how much it makes, how long it keeps. */
    private function isClaimed(string $figure, int $n): bool
    {
        foreach ($this->claims->words() as $words) {
            if (str_contains($words, $figure) && str_contains($this->told[$n]->plain, $words)) {
                return true;
            }
        }

        return false;
    }
}
