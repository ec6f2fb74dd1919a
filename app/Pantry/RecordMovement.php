<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\Day;
use App\Support\Refused;
use Crown\Pantry\MovementKind;
use Illuminate\Support\Carbon;

/** Writes down what somebody says of a lot: weighed, given, sold, gone bad, spilt. */
final class RecordMovement
{
    public function __construct(private readonly MoveStock $move)
    {
    }

    /** @throws Refused */
    public function __invoke(Lot $lot, MovementRequest $asked, string $by): void
    {
        $kind = $asked->kind();
        $grams = $this->grams($lot, $asked);
        $note = trim($asked->string('note')->value());
        if ($kind === MovementKind::Counted) {
            $this->move->to($lot, $grams, $by, $note);
        } else {
            if ($grams <= 0.0) {
                throw Refused::because('grams', 'More than 0 g.');
            }
            if ($kind === MovementKind::Opened && $lot->batch_id === null) {
                throw Refused::because('kind', 'Of a bottle say the day on which it was opened.');
            }
            $on = $asked->filled('on') ? Carbon::parse($asked->string('on')->value()) : Day::today();
            $this->move->out($lot, $kind, $grams, $on, [
                'by_name' => $by,
                'note' => $note,
                'to_name' => trim($asked->string('to')->value()),
                'jars' => $asked->integer('jars'),
                'price' => $asked->filled('price') ? $asked->float('price') : null,
            ]);
        }
    }

    /** @throws Refused when the bottle's own weight is not known, or it weighs less than that */
    private function grams(Lot $lot, MovementRequest $asked): float
    {
        if ($asked->filled('full_grams')) {
            $tare = $lot->tare_grams ?? throw Refused::because(
                'full_grams',
                'What it weighs empty is not written down: write it in its tare first, or enter what is in it.',
            );
            $full = $asked->float('full_grams');

            return $full >= $tare ? $full - $tare : throw Refused::because(
                'full_grams',
                sprintf('It weighs %g g empty: with something in it it weighs more.', $tare),
            );
        }
        if ($asked->filled('jars') && ! $asked->filled('grams')) {
            $each = $lot->netGrams() ?? throw Refused::because(
                'jars',
                'This is not counted in jars: say how many grams.',
            );

            return $asked->integer('jars') * $each;
        }

        return $asked->float('grams');
    }
}
