<?php

declare(strict_types=1);

namespace Crown\Console;

use Closure;
use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Severity;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Need;
use Crown\Exchange\DemandFile;
use Crown\Exchange\IngredientFile;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\FormulaDocument;
use Crown\Formula\FormulaError;
use Crown\Head\AgeBand;
use Crown\Head\Porosity;
use Crown\Head\Profile;
use Crown\Head\Scalp;
use Crown\Head\Shortlist;
use Crown\Head\Strand;
use Crown\Make\Cooling;
use Crown\Make\ProbeReading;
use Crown\Make\Surroundings;
use Crown\Measure\AmountReader;
use Crown\Measure\Band;
use Crown\Measure\Converter;
use Crown\Measure\CupSize;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Measure\Vessel as Bowl;
use Crown\Problem;
use Crown\Reading\ReadLine;
use Crown\Reading\RecipeReader;
use Crown\Solving\SolveError;
use Crown\Steep\Charge;
use Crown\Steep\Herb;
use Crown\Steep\MethodTable;
use Crown\Steep\Pour;
use Crown\Steep\Preparation;
use Crown\Steep\Signs;
use Crown\Steep\SteepAdvice;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\Straining;
use Crown\Steep\Vessel;
use Crown\Steep\Way;
use DateTimeImmutable;
use JsonSerializable;

/** The core's front door, without web or database: what bin/crown runs. Its JSON is fixed in docs/formats. */
final readonly class Cli
{
    private const HELP = <<<'TEXT'
    crown convert "<amount>" "<ingredient>" [--form powder] [--cup us|metric|imperial] [--scale 1]
    crown ingredient "<name>"
    crown ingredient --need flaking [--strand fine] [--porosity low] [--scalp oily] [--avoid "tree nut"]
                [--kind carrier-oil] [--limit 20]
    crown read FILE|-
    crown assess FILE|- [--audience adult-leave-on] [--storage-c 20] [--scale 1] [--wet-use] [--for-sale]
    crown steep --plant calendula --form dried --grams 40 --oil "sunflower high oleic" --oil-ml 400
                [--jar-ml 700 --diameter-cm 9]
                [--method cold-dark] [--celsius 70 --minutes 60] [--start 2027-01-04 | --wanted 2027-02-20]
                [--shaken daily|never] [--pressed]

    crown cool --from 75 --to 40 --surroundings 21
               (--tau-minutes 22 | --reading 0:75 --reading 10:60 [--step-c 1] | --grams 300 [--vessel glass-bowl]
               [--where air|cold-water|fridge|freezer])
    crown solve FILE|-     (a demand file: docs/formats)

    Every command takes --json. Exit 0: done; 1: done, with a finding of severity stop; 2: bad input.

    TEXT;

    /** @param  Closure(string): string  $read gives the text of a file, or of standard input for "-" */
    public function __construct(private Catalogue $catalogue, private Closure $read, private string $today)
    {
    }

    /** @param  list<string>  $argv without the program's name */
    public function run(array $argv): Outcome
    {
        try {
            $arguments = Arguments::of(array_slice($argv, 1));

            return match ($argv[0] ?? 'help') {
                'convert' => $this->convert($arguments),
                'ingredient' => $this->ingredient($arguments),
                'read' => $this->readRecipe($arguments),
                'assess' => $this->assess($arguments),
                'steep' => $this->steep($arguments),
                'cool' => $this->cool($arguments),
                'solve' => $this->solve($arguments),
                'help', '--help', '-h' => new Outcome(0, self::HELP),
                default => throw UsageError::unknown($argv[0]),
            };
        } catch (Problem $e) {
            return new Outcome(2, '', str_replace("\n", ' ', $e->getMessage())."\n");
        }
    }

    private function convert(Arguments $arguments): Outcome
    {
        $amount = AmountReader::read($arguments->word(0, 'an amount'));
        $ingredient = $this->find($arguments->word(1, 'an ingredient'));
        $form = $arguments->text('form', $ingredient->usualForm());
        $substance = $ingredient->substance($form);
        $grams = (new Converter($this->kitchen($arguments)))->grams($amount, $substance);
        $millilitres
            = $ingredient->facts->has(Property::Density20) && ! $ingredient->kind->isPlant()
                ? (new Converter($this->kitchen($arguments)))->millilitres($grams, $substance)->band
                : null;

        return $this->done(
            $arguments,
            [
                'ingredient' => $ingredient->id,
                'grams' => $grams->band,
                'millilitres' => $millilitres,
                'basis' => $grams->basis->value,
                'working' => [$grams->working],
            ],
            sprintf(
                "%s of %s: %.3g g (%.3g to %.3g), %s.\n%s\n",
                $amount->written,
                $ingredient->name,
                $grams->band->best,
                $grams->band->low,
                $grams->band->high,
                $grams->basis->value,
                $grams->working->words,
            ),
        );
    }

    private function ingredient(Arguments $arguments): Outcome
    {
        if ($arguments->flag('need')) {
            return $this->need($arguments);
        }
        $name = $arguments->word(0, 'a name');
        $match = $this->catalogue->search($name, 1)[0] ?? throw UsageError::nothingNear($name);
        $sheet = IngredientFile::write($match->ingredient, $this->catalogue, $match->score);

        return $this->done(
            $arguments,
            $sheet,
            sprintf(
                "%s (%s), %s. Weight %s, keeps %s months.\n",
                $match->ingredient->name,
                $match->ingredient->inci,
                $match->ingredient->kind->value,
                json_encode($sheet['weight']),
                json_encode($sheet['life_months']),
            ),
        );
    }

    private function need(Arguments $arguments): Outcome
    {
        $need
            = Need::tryFrom($arguments->text('need', ''))
            ?? throw UsageError::option('need', implode(', ', array_column(Need::cases(), 'value')));
        $strand
            = Strand::tryFrom($arguments->text('strand', 'medium'))
            ?? throw UsageError::option('strand', 'fine, medium, coarse');
        $porosity
            = Porosity::tryFrom($arguments->text('porosity', 'normal'))
            ?? throw UsageError::option('porosity', 'low, normal, high');
        $scalp
            = Scalp::tryFrom($arguments->text('scalp', 'calm'))
            ?? throw UsageError::option('scalp', implode(', ', array_column(Scalp::cases(), 'value')));
        $kind = $arguments->text('kind', '');
        $only = IngredientKind::tryFrom($kind);
        if ($kind !== '' && $only === null) {
            throw UsageError::option('kind', implode(', ', array_column(IngredientKind::cases(), 'value')));
        }
        $avoid = array_values(array_filter(array_map(trim(...), explode(',', $arguments->text('avoid', '')))));
        $head = new Profile('this head', $strand, $porosity, $scalp, AgeBand::Adult);
        $result = (new Shortlist($this->catalogue, $head))->for(
            $need,
            $avoid,
            $only,
            max(1, (int) $arguments->number('limit', 20)),
        );
        $text = implode(
            '',
            array_map(
                static fn (array $r): string => sprintf(
                    "%-26s %5.2f  evidence %d  %s\n",
                    $r['id'],
                    $r['score'],
                    $r['evidence'],
                    implode(' ', $r['reasons']),
                ),
                $result->ranked,
            ),
        );

        return $this->done($arguments, $result, $text.$result->first."\n");
    }

    private function readRecipe(Arguments $arguments): Outcome
    {
        $recipe = (new RecipeReader($this->catalogue, $this->kitchen($arguments)))->read(
            ($this->read)($arguments->word(0, 'a file, or - for standard input')),
        );
        $text = implode(
            '',
            array_map(
                static fn (ReadLine $l): string => sprintf(
                    "%-9s %-26s %-14s %s\n",
                    $l->understood->value,
                    $l->ingredient(),
                    $l->amount,
                    $l->text,
                ),
                $recipe->lines,
            ),
        );

        return $this->done($arguments, $recipe, $text);
    }

    private function assess(Arguments $arguments): Outcome
    {
        $kitchen = $this->kitchen($arguments);
        $formula = $this->formula(($this->read)($arguments->word(0, 'a file, or - for standard input')), $kitchen);
        if ($arguments->text('audience', '') !== '') {
            $formula = $formula->withAudience(
                Audience::tryFrom($arguments->text('audience', ''))
                    ?? throw UsageError::option('audience', implode(', ', array_column(Audience::cases(), 'value'))),
            );
        }
        $formula = $formula->withUse(
            $formula->wetUse || $arguments->flag('wet-use'),
            $formula->forSale || $arguments->flag('for-sale'),
            $arguments->number('storage-c', $formula->storageCelsius),
        );
        $assessment = Assessor::standard()->assess($formula, new Context($this->catalogue, $kitchen));
        $lines = implode(
            '',
            array_map(
                static fn (Portion $p): string => sprintf(
                    "%6.2f %%  %8.2f g  %s\n",
                    $p->percent(),
                    $p->grams->band->best,
                    $p->ingredient->name,
                ),
                $assessment->subject->composition->portions,
            ),
        );
        $findings = implode(
            '',
            array_map(
                static fn (Finding $f): string => sprintf("%s: %s\n", $f->severity->value, $f->message()),
                $assessment->findings,
            ),
        );

        return $this->done($arguments, $assessment, $lines.$findings, $assessment->hasStop() ? 1 : 0);
    }

    private function steep(Arguments $arguments): Outcome
    {
        $plant = $this->plant($arguments->required('plant'));
        $oil = $this->find($arguments->required('oil'));
        $method
            = SteepMethod::tryFrom($arguments->text('method', 'cold-dark'))
            ?? throw UsageError::option('method', implode(', ', array_column(SteepMethod::cases(), 'value')));
        $start
            = $arguments->text('wanted', '') !== ''
                ? $arguments->date('wanted', $this->today)
                : $arguments->date('start', $this->today);
        $form = $arguments->text('form', $plant->usualForm());
        $steep = SteepPlan::begun(
            Charge::of(
                new Herb($plant, $form, $arguments->number('grams', 0.0), $start, Preparation::usual($form, $method)),
                new Pour($oil, $arguments->number('oil-ml', 0.0) * $oil->density20(), $start),
            ),
            $method,
            (new Way(
                $arguments->text('shaken', 'daily') !== 'never',
                $arguments->flag('pressed'),
                $arguments->number('celsius', 0.0) ?: null,
                $arguments->number('minutes', 0.0) ?: null,
            ))->fitting($method),
            Vessel::written($arguments->number('jar-ml', 0.0), $arguments->number('diameter-cm', 0.0), 0.0),
        );
        if ($arguments->text('wanted', '') !== '') {
            $steep = $steep->readyOn($start);
        }
        $advice = SteepAdvice::on($steep, $this->catalogue->limits());
        $stop = array_filter($advice, static fn (SteepAdvice $a): bool => $a->severity === Severity::Stop) !== [];

        return $this->done(
            $arguments,
            [
                ...$steep->figures(),
                'straining' => Straining::inShort($steep),
                'signs' => Signs::of($steep),
                'methods' => MethodTable::for($steep, new DateTimeImmutable($this->today), null),
                'findings' => $advice,
            ],
            sprintf(
                "Start %s, strain %s, ready %s. Yield about %.0f g.\n%s\n%s",
                $steep->timeline->start->format('Y-m-d'),
                $steep->timeline->strainDay()->format('Y-m-d'),
                $steep->timeline->readyDay()->format('Y-m-d'),
                $steep->recovery->yieldGrams()->best,
                Straining::inShort($steep),
                implode('', array_map(
                    static fn (SteepAdvice $a): string => sprintf("%s: %s\n", $a->severity->value, $a->message()),
                    $advice,
                )),
            ),
            $stop ? 1 : 0,
        );
    }

    private function cool(Arguments $arguments): Outcome
    {
        $where = Surroundings::tryFrom($arguments->text('where', 'air'))
            ?? throw UsageError::option('where', implode(', ', array_column(Surroundings::cases(), 'value')));
        $around = $arguments->number('surroundings', $where->celsius());
        $from = $arguments->number('from', 75.0);
        $to = $arguments->number('to', 40.0);
        if ($from <= $around) {
            throw UsageError::option('from', 'a temperature over that of its surroundings');
        }
        $cooling = $this->cooling($arguments, $where, $around, $from);
        $minutes = $cooling->minutesTo($to)
            ?? throw UsageError::option('to', 'a temperature over that of its surroundings');

        return $this->done(
            $arguments,
            ['tau_minutes' => $cooling->tau, 'minutes' => $minutes],
            sprintf(
                "From %g to %g °C: about %.0f minutes (%.0f to %.0f); tau %.0f.\n",
                $from,
                $to,
                $minutes->best,
                $minutes->low,
                $minutes->high,
                $cooling->tau->best,
            ),
        );
    }

    private function cooling(Arguments $arguments, Surroundings $where, float $around, float $from): Cooling
    {
        $readings = array_map(self::reading(...), $arguments->all('reading'));
        if ($readings !== []) {
            $tau = Cooling::fitted($readings, $around, $arguments->number('step-c', 0.0) ?: null)->tau;
        } elseif ($arguments->flag('tau-minutes')) {
            $said = $arguments->number('tau-minutes', 0.0);
            $tau = Band::exact($said > 0.0 ? $said : throw UsageError::option('tau-minutes', 'minutes over 0'));
        } else {
            $grams = (float) $arguments->required('grams');
            $material = explode('-', $arguments->text('vessel', 'glass-bowl'))[0];

            return $grams > 0.0
                ? Cooling::estimated($grams, new Bowl('', null, $material), $where, $around, $from)
                : throw UsageError::option('grams', 'a mass over 0');
        }

        return Cooling::known($tau, $around, $from);
    }

    private static function reading(string $written): ProbeReading
    {
        return preg_match('/^(\d+(?:\.\d+)?):(-?\d+(?:\.\d+)?)$/', $written, $m) === 1
            ? new ProbeReading((float) $m[1], (float) $m[2])
            : throw UsageError::option('reading', 'minutes and °C, as 10:60');
    }

    private function solve(Arguments $arguments): Outcome
    {
        $json = json_decode(($this->read)($arguments->word(0, 'a demand file, or - for standard input')), true, 32);
        $answer = DemandFile::solve(
            is_array($json) ? $json : throw SolveError::field('the file', 'valid JSON of demands'),
            $this->catalogue,
        );
        $text
            = $answer->status === 'impossible'
                ? sprintf(
                    "Impossible together: %s.\n%s",
                    implode('; ', $answer->conflict),
                    implode(
                        '',
                        array_map(
                            static fn (array $r): string => sprintf(
                                "Would give way: %s, to %g.\n",
                                $r['demand'],
                                $r['to'],
                            ),
                            $answer->relax,
                        ),
                    ),
                )
                : implode(
                    '',
                    array_map(
                        static fn (string $id, float $share): string => sprintf("%6.2f %%  %s\n", $share, $id),
                        array_keys($answer->shares),
                        $answer->shares,
                    ),
                )
                    .sprintf(
                        "%s; bound by: %s\n",
                        $answer->status,
                        $answer->binding === [] ? 'nothing' : implode('; ', $answer->binding),
                    );

        return $this->done($arguments, $answer, $text);
    }

    private function formula(string $text, Kitchen $kitchen): Formula
    {
        if (str_starts_with(ltrim($text), '{')) {
            $json = json_decode($text, true, 64);

            return is_array($json)
                ? FormulaDocument::read($json)
                : throw FormulaError::field('the file', 'valid JSON of a formula, or the text of a recipe');
        }

        return (new RecipeReader($this->catalogue, $kitchen))->read($text)->toFormula();
    }

    /** The nearest that is a plant: a peel is not the oil that is pressed from it. */
    private function plant(string $name): Ingredient
    {
        foreach ($this->catalogue->search($name) as $match) {
            if ($match->ingredient->kind->isPlant()) {
                return $match->ingredient;
            }
        }

        throw UsageError::nothingNear($name);
    }

    private function find(string $name): Ingredient
    {
        return ($this->catalogue->search($name, 1)[0] ?? throw UsageError::nothingNear($name))->ingredient;
    }

    private function kitchen(Arguments $arguments): Kitchen
    {
        return new Kitchen(
            CupSize::tryFrom($arguments->text('cup', 'us')) ?? throw UsageError::option('cup', 'us, metric, imperial'),
            $arguments->number('scale', 1.0),
        );
    }

    /** @param  JsonSerializable|array<string, mixed>  $data */
    private function done(Arguments $arguments, JsonSerializable|array $data, string $text, int $exit = 0): Outcome
    {
        return new Outcome(
            $exit,
            $arguments->flag('json')
                ? json_encode(
                    $data,
                    JSON_UNESCAPED_UNICODE
                        | JSON_UNESCAPED_SLASHES
                        | JSON_PRESERVE_ZERO_FRACTION
                        | JSON_THROW_ON_ERROR,
                )."\n"
                : $text,
        );
    }
}
