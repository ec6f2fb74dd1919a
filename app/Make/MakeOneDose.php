<?php

declare(strict_types=1);

namespace App\Make;

use App\Formula\Bench;
use App\Formula\Formula;
use App\Formula\Given;
use App\Formula\ReadBack;
use Crown\Make\MakeSheet;
use Crown\Make\OneDose;
use Crown\Problem;

/** Puts a recipe on the bench, as much as one use takes, and begins to make it. */
final class MakeOneDose
{
    public function __construct(private readonly Bench $bench, private readonly BeginBatch $begin)
    {
    }

    /** @throws Problem where the bench stops at more than that it would not keep */
    public function __invoke(ReadBack $read, string $by): Batch
    {
        $formula = OneDose::of($read->formula, new MakeSheet($read->assessment));
        $row = Formula::query()
            ->create($this->bench->row(new Given($formula, null, null)))
            ->refresh();

        return ($this->begin)($row, $by, OneDose::although($this->bench->assess($formula, null)));
    }
}
