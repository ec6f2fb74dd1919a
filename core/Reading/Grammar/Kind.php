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
    /** What is done with a vessel: "top off", "fill". */
    case TopVerb = 'top_verb';
    /** As far as it goes: "to the rim". */
    case Brim = 'brim';
    /** Of an amount: "by weight", "by volume". */
    case ByWeight = 'by_weight';
    case ByVolume = 'by_volume';
    /** What stands before a warmth: "to 50", "below 40". */
    case Temper = 'temper';
    /** As much as covers it. */
    case Cover = 'cover';
    /** What is done with what covers: "cover with". */
    case CoverWith = 'cover_with';
    /** Up to how much: "ad", "to", "q.s. to". */
    case UpTo = 'up_to';
    case Vessel = 'vessel';
    /** What says that nothing is in it yet: "empty", "tare". */
    case Bare = 'empty';
    /** Where a level stands: "mark", "line". */
    case Mark = 'mark';
    /** For so much of another thing: "per", "to every". */
    case Per = 'per';
    case Times = 'x';
    /** So many times the amount of another: "twice as much". */
    case TimesAs = 'times_as';
    /** As much as what stands before it: "ditto". */
    case SameAgain = 'same_again';
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
    /** How much of what there is goes in: "(use 60)", "I only had". */
    case Used = 'used';
    /** What leaves a thing open: "optional", "if you have it". */
    case Optional = 'optional';
    case TimeUnit = 'times';
    /** What counts a time that no step waits for: "years". */
    case LongTime = 'time_more';
    case Degrees = 'degrees';
    case Act = 'acts';
    case Form = 'forms';
    /** What part of a plant it is: "buds". */
    case PlantPart = 'parts';
    /** How it was bought or made ready, and not what it is. */
    case Grade = 'grade';
    /** What joins a plant with the oil that it was steeped in. */
    case Infused = 'infused';
    /** "A few", "quelques". */
    case Few = 'few';
    /** What is made, and not what goes in: "salve", "scalp oil". */
    case Product = 'product';
    /** What is mixed of other things, although it can be bought: "gel", "tea". */
    case Mixture = 'mixture';
    /** What tells of another making: "next time", "instead". */
    case Variant = 'variant';
    /** What tells of somebody else's making: "she wrote", "the store one". */
    case Others = 'others';
    /** What tells that it is hers: "mine", "my version". */
    case Own = 'own';
    /** What tells of this making, after another was told of: "now", "the new one". */
    case Now = 'now';
    /** What heads one making of several, and what it is: a version, a vessel, the earlier or the later one. */
    case Version = 'version';
    /** "A", "the"; before a measure it counts one. */
    case Article = 'articles';
    /** What joins the rest with what it is: "is", "with". */
    case Link = 'links';
    /** What says that it was made here: "my". */
    case Mine = 'mine';
    /** What another amount is held against: "twice as much A as B". */
    case AsMuch = 'as';
    /** Between the ends of a range: "2 to 3". */
    case RangeTo = 'range_to';
    /** Between a figure and its time: "10 more minutes". */
    case BeforeTime = 'before_time';
    case Total = 'totals';
    /** What a figure behind it counts, and no amount: "step 2", "pH 5". */
    case Numbered = 'numbered';
    /** What a figure before it counts, and no amount: "3 times", "2 kids". */
    case HowOften = 'how_often';
    case Month = 'month_names';
    /** Beside it, and not in it: "over a cup of tea". */
    case Beside = 'beside';
    /** What is done with a thing that is not mixed in: "rinse with", "drink". */
    case NotMixed = 'not_mixed';
    /** What a thing is sold or poured in: "bag", "shot glass". */
    case Pack = 'pack';
    /** Between vessels and their size: "4 tins of 40 ml". */
    case SizeOf = 'size_of';
    /** Before the unit of all figures: "all in". */
    case AllIn = 'all_in';
    case Steeped = 'steeped';
    /** "A and B in equal parts". */
    case EqualLed = 'equal_led';
    /** Where something stands or is warmed, in English words: "im Wasserbad" is in a water bath. */
    case Place = 'places';
    case Greeting = 'greetings';
    /** What a row of the head of a letter begins with: "Subject". */
    case Mail = 'mail';
    /** What says that figures are parts: "ratio". */
    case InRatio = 'in_ratio';
    /** What stands for a thing that was named before: "of it". */
    case It = 'it';
    /** As much as she likes: "to taste". */
    case AsLiked = 'as_liked';
    /** One amount without another: "2 tbsp less 1 tsp". */
    case Less = 'less';
    /** No more than what follows: "at most", "less than". */
    case AtMost = 'at_most';
    /** What says that things are put in order, and not mixed: "ranked", "best to worst". */
    case Ranked = 'ranked';
    /** What a picture stands for: 🥥. */
    case Pictured = 'pictured';
    /** A sign that is spoken out: "comma". */
    case SpokenSign = 'spoken_signs';
    /** What a question begins with. */
    case Question = 'question';
    /** Which mark of several. */
    case Ordinal = 'ordinal';
    /** A word that is cut short and ends with a point: "vit.". */
    case Cut = 'cut';
    /** Small words that mean nothing of their own. */
    case Stop = 'stop';
    case HeadList = 'head_list';
    case HeadMethod = 'head_method';
    case HeadUse = 'head_use';
}
