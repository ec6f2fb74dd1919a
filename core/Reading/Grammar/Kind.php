<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** What a word of a recipe may be, besides a part of a name. Its words stand in data/lexicons, by language. */
enum Kind: string
{
    /** A number as a word: "twenty", "zwanzig". */
    case Number = 'numbers';
    /** A part of one: "third", "demi". */
    case Fraction = 'fractions';
    /** What amounts are measured in, with the unit that it is: "EL" is tbsp. */
    case Unit = 'units';
    /** What makes a plant its oil or butter, before or behind its name: "EO", "HE de", "b.". */
    case Essential = 'essential';
    /** A measure that is another in every hand: "handful". */
    case Loose = 'loose';
    case Of = 'of';
    case Or = 'or';
    case Plus = 'plus';
    case Each = 'each';
    /** The same amount of each: "equal parts". */
    case Equal = 'equal';
    case Hedge = 'hedge';
    /** Of hedges those that leave open how much. */
    case Rough = 'rough';
    case Heap = 'heap';
    /** What is left: "the rest", "balance". */
    case Rest = 'rest';
    /** What is done with the rest: "top up with". */
    case TopUp = 'top_up';
    /** As far as it goes: "to the rim". */
    /** What is done with a vessel: "top off", "fill". */
    case TopVerb = 'top_verb';
    case Brim = 'brim';
    /** Of an amount: "by weight", "by volume". */
    case ByWeight = 'by_weight';
    case ByVolume = 'by_volume';
    /** What stands before a warmth: "to 50", "below 40". */
    case Temper = 'temper';
    /** As much as covers it. */
    case Cover = 'cover';
    /** Up to how much: "ad", "to", "q.s. to". */
    case UpTo = 'up_to';
    case Vessel = 'vessel';
    /** Where a level stands: "mark", "line". */
    case Mark = 'mark';
    /** For so much of another thing: "per", "to every". */
    case Per = 'per';
    case Times = 'x';
    /** So many times the amount of another: "twice as much". */
    case TimesAs = 'times_as';
    /** What stands round a ratio: "in a ratio of". */
    case RatioWord = 'ratio_words';
    /** What joins its names and figures: "to". */
    case RatioTo = 'ratio_to';
    case Not = 'not';
    case TookOut = 'took_out';
    case Correct = 'correct';
    /** What mends something said before: "EDIT". */
    case Edit = 'edit';
    case Yields = 'yields';
    case Currency = 'currency';
    /** What is said of shopping, and of no recipe: "reorder", "bought". */
    case Bought = 'bought';
    /** What leaves an amount open behind it: "or so". */
    case OrSo = 'or_so';
    /** What says how long something is enough: "lasts". */
    case Lasting = 'lasting';
    /** What leaves a thing open: "optional", "if you have it". */
    case Optional = 'optional';
    case TimeUnit = 'times';
    /** What counts a time that no step waits for: "years". */
    case LongTime = 'time_more';
    case Degrees = 'degrees';
    case Act = 'acts';
    case Form = 'forms';
    /** How it was bought or made ready, and not what it is. */
    case Grade = 'grade';
    /** What joins a plant with the oil that it was steeped in. */
    case Infused = 'infused';
    /** "A few", "quelques". */
    case Few = 'few';
    /** What is made, and not what goes in: "salve", "scalp oil". */
    case Product = 'product';
    /** What tells of another making: "next time", "instead". */
    case Variant = 'variant';
    /** Small words that mean nothing of their own. */
    case Stop = 'stop';
    case HeadList = 'head_list';
    case HeadMethod = 'head_method';
    case HeadUse = 'head_use';
}
