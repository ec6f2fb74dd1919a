<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Name;
use Crown\Catalogue\NameMatch;
use Crown\Catalogue\Origin;
use Crown\Catalogue\Solubility;
use Crown\Formula\Line;
use Crown\Measure\Amount;
use Crown\Measure\AmountReader;
use Crown\Measure\CannotTell;
use Crown\Measure\Converter;
use Crown\Measure\Figure;
use Crown\Measure\Kitchen;
use Crown\Measure\MeasureError;
use Crown\Measure\Unit;
use Crown\Reading\Asked;
use Crown\Reading\Choice;
use Crown\Reading\Correction;
use Crown\Reading\ReadAs;
use Crown\Reading\ReadLine;
use Crown\Reading\SettledBy;
use Crown\Reading\Understood;
use Crown\Steep\Quantity;

/** What goes in as lines of a recipe: the name looked up, the amount weighed, and what is doubtful of it asked. */
final readonly class Lines
{
    /** A name that is taken without asking. */
    public const SURE = Names::SURE;

    /** A name that is asked about; below it nothing is near enough. */
    public const NEAR = 0.62;

    private const EXACT = 0.999;

    /** Two names that are as near as this are both possible. */
    private const CLOSE = 0.04;

    private const NOT_KNOWN = 'What may take its place, "%s", is not known.';

    /** More of an "essential oil" than anybody puts in one recipe. */
    private const HARDLY_GRAMS = 12.0;

    private const HARDLY_PERCENT = 10.0;

    /** More of an antioxidant than anybody pours pure. */
    private const HARDLY_PURE_GRAMS = 15.0;

    private const INFUSED = '/
        # "rosemary infused in olive oil", "peppermint infused oil", "clove oil, home made", "infused clove oil",
        # "rosemary in olive oil", "olive oil infused with rosemary"
        ^(?:
            (?<in>\p{L}[\p{L} -]{2,40}?)\s+(?:infused|steeped|macerated)\s+with\s+(?<herb>\p{L}[\p{L}\' ]{2,40})
            |(?<plant>\p{L}[\p{L}\' ]{2,40}?)
                [\s-]+(?:(?:infused|steeped|macerated)\s+(?:in\s+)?|in\s+)(?<oil>\p{L}[\p{L} -]{2,40})
            |(?:infused|steeped|macerated|home[\s-]?made)\s+(?<of>\p{L}[\p{L}\' ]{2,40}?)\s+oil
            |(?<its>\p{L}[\p{L}\' ]{2,40}?)\s+oil,?\s+\(?(?:
                home[\s-]?made|infused|steeped|macerated|infusion|macerate
            )\)?
        )$
    /xiu';

    /** Words that say how it was bought, not what it is. */
    private const ADJECTIVES = '/
        \b(
            enough|organic|raw|pure|virgin|virgen|vierge|vergine|virgem|extra|unrefined|refined
            |cold[- ]pressed|grass[- ]?fed|free[- ]range|home[- ]?made|shop[- ]bought|store[- ]bought
            |coldpressed|good\ quality|high\ quality|food\ grade|cosmetic\ grade|optional|to\ taste
            |of\ your\ choice|your\ favou?rite|more\ or\ less|approximately|level|full|large|small|medium
            |big|chopped|sliced|peeled|minced|diced|grated|softened|crushed|boiling|filtered|lukewarm|whole
            |loose|packed|natural
            |vegan|hot|warm
        )\b
    /xiu';

    public function __construct(private Names $names, private Kitchen $kitchen, public ReadAs $as = new ReadAs())
    {
    }

    /**
     * A line of what goes in, looked up and weighed.
     *
     * @param  string  $row as it was pasted
     * @param  list<array{string, string}>  $others what may take its place: name and amount, "" for its own
     */
    public function placed(
        string $row,
        string $name,
        string $amount,
        array $others = [],
        bool $optional = false,
    ): ReadLine {
        $line = $this->lookedUp($row, $name, $amount);
        $choices = [];
        foreach ($others as [$written, $much]) {
            $best = $this->matches($written)[0] ?? null;
            if ($best === null || $best->score < self::NEAR) {
                $line = $line->asking(Asked::Ingredient, sprintf(self::NOT_KNOWN, $written));
            } elseif ($best->ingredient->id !== $line->ingredient()) {
                $choices[$best->ingredient->id] = new Choice($best->ingredient, $written, $much);
            }
        }

        return $choices === [] && ! $optional ? $line : $line->leavingOpen(array_values($choices), $optional);
    }

    /** A line as the maker puts it right. */
    public function corrected(ReadLine $line, Correction $said): ReadLine
    {
        $amount = $said->says === '' ? $line->amount : $said->says;
        $meant = $this->names->byId($said->ingredient);
        if ($meant === null && $said->says === '') {
            return $line;
        }
        $form = $said->form !== '' ? $said->form : $line->form;
        $again = $meant === null
            ? $this->lookedUp($line->text, $line->name, $amount)
            : $this->weighed($line->text, $line->name, $amount, $form, [
                new NameMatch($meant, 1.0, $line->name),
                ...array_values(array_filter(
                    $line->matches,
                    static fn (NameMatch $m): bool => $m->ingredient->id !== $meant->id,
                )),
            ], '');

        return $again->inPlaceOf($line, SettledBy::Maker);
    }

    /** A line that was not read, as the maker says it is; null when she names no ingredient. */
    public function added(string $row, Correction $said): ?ReadLine
    {
        $meant = $said->out ? null : $this->names->byId($said->ingredient);
        if ($meant === null) {
            return null;
        }
        $amount = $said->says === '' ? $said->amount : $said->says;
        $line = $this->weighed($row, '', $amount, $said->form, [new NameMatch($meant, 1.0, '')], '');

        $place = new ReadLine($row, Understood::Yes, '', $said->amount, '', [], null, []);

        return $line->inPlaceOf($place, SettledBy::Maker);
    }

    private function lookedUp(string $row, string $name, string $amount): ReadLine
    {
        // Longer than anybody writes a name or an amount: the row itself is kept whole, what is made of it is cut.
        $name = mb_substr($name, 0, Line::LONGEST_NAME);
        $amount = mb_strlen($amount) > Line::LONGEST_AMOUNT ? '' : $amount;
        $steeped = $this->steeped($row, $name, $amount);
        if ($steeped !== null) {
            return $steeped;
        }
        $form = self::form($name);
        $plain = trim(
            preg_replace('/^(?:\s*(?:ripe|mashed|small|large|medium|big|fresh|whole)\b)+/iu', '', $name) ?? $name,
        );
        $measured = (new MeasuredAs($this->names))->first($plain, $amount, $this->matches($name));
        $matches = $this->names->settled($name) === null
            ? $this->names->poured()->first($plain, $amount, $form, $measured)
            : $measured;
        $best = $matches[0] ?? false;
        $steep = preg_match('/\b(?:drops?|gtt)\b/iu', $amount) === 1 ? null : $this->ofItsPlant($plain, $best);
        if ($steep !== null) {
            $asks = sprintf('No such oil is in the catalogue. Is "%s" an oil that was steeped with it?', $name);

            return $this->weighed($row, $name, $amount, '', [$steep, ...$matches], $asks);
        }
        $kind = Names::kind($name);
        if ($kind !== '' && ($best === false || $best->score < self::EXACT)) {
            // Whatever is nearest by name would be an ingredient of our own invention: none is taken, some are offered.
            $which = sprintf('Which %s is meant?', $kind);

            return self::unknown($row, $name, $amount, '', $this->names->ofKind($kind), $which);
        }
        if ($matches === [] || $best === false || $best->score < self::NEAR || self::contradicts($form, $best)) {
            $why = sprintf('"%s" is not in the catalogue.', mb_substr($name, 0, 60));

            return self::unknown($row, $name, $amount, $form, $matches, $why);
        }
        $settled = $this->names->settled($name);
        $line = $this->weighed($row, $name, $amount, $settled->form ?? $form, $matches, null);

        return $settled === null ? $line : $line->inPlaceOf($line, SettledBy::Studio);
    }

    /**
     * "Peppermint-infused olive oil": one that was steeped here of both, if there is one; or an oil with all that its
     * plant warns of, at a strength that nobody knows. Where the plant is not known, it is not known either.
     */
    private function steeped(string $row, string $name, string $amount): ?ReadLine
    {
        $infused = preg_match(self::INFUSED, $name, $m, PREG_UNMATCHED_AS_NULL) === 1;
        if (! $infused || ($this->names->matching($name)[0]->score ?? 0.0) >= self::EXACT) {
            return null;
        }
        $here = $this->names->steepedHere($name);
        if ($here !== []) {
            $asks = sprintf('Is "%s" %s, which was steeped here?', $name, $here[0]->ingredient->name);

            return $this->weighed($row, $name, $amount, '', $here, $asks);
        }
        $plant = (string) ($m['herb'] ?? $m['plant'] ?? $m['of'] ?? $m['its'] ?? '');
        $base = (string) ($m['in'] ?? $m['oil'] ?? 'oil');
        $oil = preg_match('/^(?:oils?|it)$/iu', $base) === 1 ? null : $base;
        $meant = $this->names->infused($plant, $oil);
        if ($meant === null) {
            $why = sprintf('What "%s" was steeped with is not known.', mb_substr($name, 0, 60));

            return self::unknown($row, $name, $amount, '', $this->names->matching($name), $why);
        }
        $asks = sprintf('Steeped elsewhere with %s: nobody knows how strongly. What it warns of counts.', $plant);

        return $this->weighed($row, $name, $amount, '', [new NameMatch($meant, 1.0, $name)], $asks);
    }

    /** "Onion oil", where nothing is called so: of a plant that is known it can only be steeped. */
    private function ofItsPlant(string $name, NameMatch|false $best): ?NameMatch
    {
        $isSure = $best !== false && $best->score >= self::SURE;
        if ($isSure || preg_match('/^(\p{L}[\p{L} ]{2,40})\s+oil$/iu', $name, $m) !== 1) {
            return null;
        }
        $plant = $this->names->matching($m[1])[0] ?? null;
        $is = $plant !== null && $plant->score >= self::EXACT && $plant->ingredient->kind->isPlant();
        $steeped = $is ? $this->names->infused($m[1], null) : null;

        return $steeped === null ? null : new NameMatch($steeped, self::SURE, $name);
    }

    /** What is dried is no oil, however like it is called. */
    private static function contradicts(string $form, NameMatch $match): bool
    {
        return $form === 'dried' && $match->score < self::EXACT && $match->ingredient->kind->isLiquidFat();
    }

    /** @param  list<NameMatch>  $matches */
    private static function unknown(
        string $row,
        string $name,
        string $amount,
        string $form,
        array $matches,
        string $why,
    ): ReadLine {
        return new ReadLine(
            $row,
            Understood::No,
            $name,
            $amount,
            $form,
            $matches,
            null,
            [Asked::Ingredient->value => $why],
        );
    }

    /**
     * @param  non-empty-list<NameMatch>  $matches
     * @param  string|null  $another what is doubtful of the name; null when that is to be found out
     */
    private function weighed(
        string $row,
        string $name,
        string $amount,
        string $form,
        array $matches,
        ?string $another,
    ): ReadLine {
        $ingredient = $matches[0]->ingredient;
        $written = $amount;
        $amount = $this->ounces($row, $amount, $ingredient);
        $form = isset($ingredient->forms[$form]) || $form === 'melted' ? $form : '';
        [$grams, $unweighed] = $this->weigh($amount, $ingredient, $form);
        $another ??= $this->another($name, $amount, $matches, $grams);
        $doubts = array_filter(
            [Asked::Ingredient->value => $another, Asked::Amount->value => $unweighed],
            static fn (string $d): bool => $d !== '',
        );

        return new ReadLine(
            $row,
            $doubts === [] ? Understood::Yes : Understood::Doubtful,
            $name,
            $amount,
            $form,
            $matches,
            $grams,
            $doubts,
            written: $written,
        );
    }

    /** Whether an amount may be meant by weight or by volume: "4 oz castor oil", and not "4 fl oz", "4 oz (113 g)". */
    public static function isOpenOunce(string $row, string $amount, Ingredient $ingredient): bool
    {
        return $ingredient->kind->isLiquid()
            && preg_match('/\bby (?:weight|mass|volume)\b/iu', $row) !== 1
            && preg_match('/\b(?:oz|ounces?)\b/iu', $amount) === 1
            && preg_match('/\bfl(?:uid|\.)?\s*(?:oz|ounces?)|\d\s*(?:g|grams?|ml)\b/iu', $amount) !== 1;
    }

    /** An ounce of a liquid, where ounces are read by volume. */
    private function ounces(string $row, string $amount, Ingredient $ingredient): string
    {
        return $this->as->ouncesByVolume && self::isOpenOunce($row, $amount, $ingredient)
            ? preg_replace('/\b(?:oz\.?|ounces?)(?!\p{L})/iu', 'fl oz', $amount) ?? $amount
            : $amount;
    }

    /**
     * What is doubtful of a name, as a question; "" when nothing is.
     *
     * @param  non-empty-list<NameMatch>  $matches
     * @param  Figure|null  $grams null when they cannot be told
     */
    private function another(string $name, string $amount, array $matches, ?Figure $grams): string
    {
        $best = $matches[0];
        $next = $matches[1] ?? null;
        $also = $best->score < self::EXACT ? $this->alsoNamed($name, $best->ingredient) : '';

        return match (true) {
            $also !== '' => sprintf('It names %s too. Give each a row of its own.', $also),
            $best->score < self::SURE => sprintf('Is "%s" %s?', $name, Name::inSentence($best->ingredient->name)),
            $next !== null && $best->score < self::EXACT && self::isOwn($best) => sprintf(
                'Which "%s" is meant? There are several.',
                $name,
            ),
            $best->score < self::EXACT && $next !== null && $best->score - $next->score < self::CLOSE
                && ! self::isCounted($amount, $best->ingredient, $next->ingredient) => sprintf(
                    '"%s" may also be %s.',
                    $name,
                    Name::inSentence($next->ingredient->name),
                ),
            $this->maybeSteep($best->ingredient, $name, $amount, $grams) => sprintf(
                'So much "%s" can hardly be an essential oil. Is it a steeped oil?',
                $name,
            ),
            self::isMuchToBePure($best->ingredient, $grams) => sprintf(
                'So much "%s" is hardly pure. Is it thinned with an oil? Its bottle says so.',
                $name,
            ),
            Own::says($name) && $best->ingredient->kind === IngredientKind::EssentialOil => sprintf(
                'No such oil was steeped here. Is "%s" the essential oil?',
                $name,
            ),
            default => '',
        };
    }

    /**
     * Another ingredient that stands in one row with the first, so that it is not dropped in silence; "" when there is
     * none.
     */
    private function alsoNamed(string $name, Ingredient $first): string
    {
        $pieces
            = preg_split(
                '/\s*(?:,|;|&|\+|\band\b|\bplus\b|\bwith\b)\s*/iu',
                preg_replace('/\([^)]*\)?/u', ' ', $name) ?? $name,
            )
            ?: [];
        foreach (count($pieces) > 1 ? $pieces : [] as $piece) {
            $match = $this->matches(trim($piece))[0] ?? false;
            if ($match !== false && $match->score >= self::SURE && $match->ingredient->id !== $first->id) {
                return Name::inSentence($match->ingredient->name);
            }
        }

        return '';
    }

    /** @return array{Figure|null, string} the mass when it can be told, and why not when it cannot */
    private function weigh(string $amount, Ingredient $ingredient, string $form): array
    {
        if ($amount === '') {
            return [null, 'No amount is given.'];
        }
        if (Quantity::covers($amount)) {
            return [null, 'How much covers it, its jar tells: start the steep, or write how much it was.'];
        }
        try {
            $read = AmountReader::read($amount);

            return $read->unit->isRelative()
                ? [null, '']
                : [
                    (new Converter($this->kitchen))->grams(
                        $read,
                        $ingredient->substance($form === '' ? $ingredient->usualForm() : $form),
                    ),
                    '',
                ];
        } catch (MeasureError|CannotTell $e) {
            return [null, $e->getMessage()];
        }
    }

    /** Nobody blends an essential oil by the tablespoon, or one part of it to one of castor oil. */
    private function maybeSteep(Ingredient $ingredient, string $name, string $amount, ?Figure $grams): bool
    {
        if (
            $ingredient->kind !== IngredientKind::EssentialOil
            || preg_match('/\b(essential|e\.?o)\b/iu', $name) === 1
        ) {
            return false;
        }
        if ($grams !== null) {
            return $grams->band->best > self::HARDLY_GRAMS;
        }
        try {
            $read = AmountReader::read($amount);
        } catch (MeasureError) {
            return false;
        }

        return $read->unit === Unit::Part
            || ($read->unit === Unit::Percent && $read->count->best > self::HARDLY_PERCENT);
    }

    /** What keeps an oil is used by the drop; by the spoon it is sold thinned. */
    private static function isMuchToBePure(Ingredient $ingredient, ?Figure $grams): bool
    {
        return $ingredient->kind === IngredientKind::Antioxidant
            && $ingredient->kind->isLiquid()
            && $ingredient->composition->solubility === Solubility::Oil
            && ($grams->band->best ?? 0.0) > self::HARDLY_PURE_GRAMS;
    }

    private static function form(string $name): string
    {
        return match (true) {
            preg_match('/\bmelted\b/iu', $name) === 1 => 'melted',
            preg_match('/\b(powder(ed)?|ground)\b/iu', $name) === 1 => 'powder',
            preg_match('/\b(dried|dry)\b/iu', $name) === 1 => 'dried',
            preg_match('/\b(fresh|sprigs?|juice)\b/iu', $name) === 1 => 'fresh',
            default => '',
        };
    }

    /** Of a drop only what drips can be meant: lavender's oil, and not its flower. */
    private static function isCounted(string $amount, Ingredient $best, Ingredient $next): bool
    {
        return $best->kind->isLiquid()
            && $next->kind->isPlant()
            && preg_match('/\b(?:drops?|gtt)\b/iu', $amount) === 1;
    }

    private static function isOwn(NameMatch $match): bool
    {
        return $match->ingredient->provenance->origin === Origin::Steeped;
    }

    /** @return list<NameMatch> best first */
    public function matches(string $name): array
    {
        $direct = $this->names->matching($name);
        $here = isset($direct[0]) && Own::says($name) && self::isOwn($direct[0]);
        if ($here || ($direct[0]->score ?? 0.0) >= self::EXACT) {
            return $direct;
        }
        $short = preg_replace(['/\([^)]*\)?/u', '/^(?:my|our)\s+(?:own\s+)?/iu'], ' ', $name) ?? $name;
        $short = preg_replace('/,.*$/u', '', $short) ?? $short;
        $short = preg_replace(self::ADJECTIVES, ' ', $short) ?? $short;
        $short = preg_replace('/\b(melted|powdered|ground|dried|dry|fresh)\b/iu', ' ', $short) ?? $short;
        $again = $this->names->matching(trim(preg_replace('/\s+/u', ' ', $short) ?? $short));

        return ($again[0]->score ?? 0.0) > ($direct[0]->score ?? 0.0) ? $again : $direct;
    }
}
