import type { Schemas } from '../api/client';

/** Numbers and dates as people say them. Nothing here computes; it only puts what the core said into words. */

let numbers = 'en';

/** From here on decimals stand after a comma, or after a point. */
export function writeNumbers(decimalComma: boolean): void {
    numbers = decimalComma ? 'de' : 'en';
}

export function num(value: number, digits?: number): string {
    const d = digits ?? (Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 10 ? 1 : 2);
    return value.toLocaleString(numbers, { minimumFractionDigits: 0, maximumFractionDigits: d });
}

export function fixed(value: number, digits: number): string {
    return value.toLocaleString(numbers, { minimumFractionDigits: digits, maximumFractionDigits: digits });
}

type DateStyle = Schemas['StudioDraft']['date_style'];
let dates: Intl.LocalesArgument = 'en-GB';
/** Where dates are written as figures, by the international order. */
let dated = true;

/** From here on the day stands before the month, after it, or dates are figures. */
export function writeDates(style: DateStyle): void {
    dates = style === 'month-first' ? 'en-US' : 'en-GB';
    dated = style !== 'numbers';
}

function asDay(date: string): Date {
    return new Date(`${date.slice(0, 10)}T00:00:00Z`);
}

let zone: string | undefined;

/** From here on "today" is the date in this time zone; without one, in the browser's own. */
export function keepTimeIn(timeZone: string | undefined): void {
    zone = timeZone;
}

/** The calendar date where the studio is: a morning there may still be yesterday in UTC. */
export function todayDate(): string {
    const parts = new Intl.DateTimeFormat('en', { timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit' }).formatToParts();
    const part = (type: string): string => parts.find((p) => p.type === type)?.value ?? '';
    return `${part('year').padStart(4, '0')}-${part('month')}-${part('day')}`;
}

export function daysFromToday(date: string, today = todayDate()): number {
    return Math.round((asDay(date).getTime() - asDay(today).getTime()) / 86_400_000);
}

/** "today", "tomorrow", "in 3 days, Friday", "4 days ago", "14 March 2027". */
export function sayDate(date: string, today = todayDate()): string {
    const days = daysFromToday(date, today);
    const weekday = asDay(date).toLocaleDateString('en-GB', { weekday: 'long', timeZone: 'UTC' });
    if (days === 0) return 'today';
    if (days === 1) return 'tomorrow';
    if (days === -1) return 'yesterday';
    if (days > 1 && days <= 13) return `in ${days} days, ${weekday}`;
    if (days < -1 && days >= -13) return `${-days} days ago, ${weekday}`;
    return longDate(date);
}

/** How long: "30 s", "45 min", "1 h 30 min", "4 weeks". */
export function sayMinutes(minutes: number): string {
    const of = (size: number, word: string): string => `${num(minutes / size)} ${word}${minutes / size === 1 ? '' : 's'}`;
    if (minutes < 1) return `${num(minutes * 60)} s`;
    if (minutes < 90) return `${num(minutes)} min`;
    if (minutes < 1440) return `${Math.floor(minutes / 60)} h${minutes % 60 ? ` ${num(minutes % 60)} min` : ''}`;
    if (minutes % 10_080 === 0 || minutes > 20_160) return of(10_080, 'week');
    return of(1440, 'day');
}

/** The time of day where the studio is: "14:05". */
export function sayTime(at: string): string {
    return new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone });
}

export function longDate(date: string): string {
    if (!dated) return date.slice(0, 10);
    return asDay(date).toLocaleDateString(dates, { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' });
}

/** "Friday, 27 November": the day that is looked at. */
export function sayDay(date: string): string {
    const weekday = asDay(date).toLocaleDateString('en-GB', { weekday: 'long', timeZone: 'UTC' });
    if (!dated) return `${weekday}, ${date.slice(0, 10)}`;
    return asDay(date).toLocaleDateString(dates, { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' });
}

export function shortDate(date: string): string {
    if (!dated) return date.slice(5, 10);
    return asDay(date).toLocaleDateString(dates, { day: 'numeric', month: 'short', timeZone: 'UTC' });
}

/** "in 3 days, Friday", "17 Dec 2026": short, for what stands in a row. */
export function sayUntil(date: string, today = todayDate()): string {
    return Math.abs(daysFromToday(date, today)) <= 6 || !dated
        ? sayDate(date, today)
        : asDay(date).toLocaleDateString(dates, { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });
}

/** "1 jar", "2 jars": a number with what it counts in the fitting form. */
export function counted(value: number, one: string, digits = 0): string {
    const shown = num(value, digits);
    return `${shown} ${one}${shown === '1' ? '' : 's'}`;
}

/** "Dried nettle", "Amla powder": a name with its form, where the name does not say it already. */
export function withForm(name: string, form: string | null | undefined): string {
    return !form || name.toLowerCase().split(/\s+/u).includes(form.toLowerCase()) ? name : `${name} ${form}`;
}

/** Of a jar, whose day may be one that nobody can tell. */
export function sayBestBefore(date: string | null | undefined): string {
    return date ? `best before ${sayDate(date)}` : 'best before: cannot tell';
}

/** "9 days", "2.5 months", "2 years". */
export function sayMonths(months: number | null | undefined): string {
    if (!months) return 'cannot tell';
    if (months < 1.5) return counted(months * 30.44, 'day');
    if (months < 24) return counted(months, 'month', months < 6 ? 1 : 0);
    return counted(months / 12, 'year', 1);
}

export const KINDS: Record<string, string> = {
    'scalp-oil': 'Scalp oil',
    'hair-oil': 'Hair oil',
    'sealing-oil': 'Sealing oil',
    'hot-oil': 'Hot-oil treatment',
    balm: 'Pomade or balm',
    'whipped-butter': 'Whipped butter',
    'stirred-butter': 'Stirred butter',
    'conditioner-bar': 'Conditioner bar',
    'rinse-out-balm': 'Rinse-out balm',
    emulsion: 'Emulsion',
};

export const AUDIENCES: Record<Schemas['Formula']['audience'], string> = {
    'adult-leave-on': 'Adult, stays in the hair',
    'adult-rinse-off': 'Adult, rinsed out',
    face: 'Hairline and face',
    body: 'Hair and body',
    pregnancy: 'Pregnancy or nursing',
    'child-6-12': 'Child of 6 to 12',
    'child-2-6': 'Child of 2 to 6',
    infant: 'Under 2',
};

export const PHASES: Record<Schemas['FormulaLine']['phase'], string> = {
    melt: 'Melt',
    warm: 'Warm oils',
    'cool-down': 'Cool-down',
    'whip-in': 'Whip in',
    water: 'Water',
};

export const SEVERITIES: Record<string, string> = { stop: 'Stop', caution: 'Caution', note: 'Note' };

/** What a finding is about, by the page of its rule. */
export const ABOUT: Record<string, string> = {
    allergens: 'Allergens',
    amounts: 'Amounts and tools',
    fit: 'Whom it is for',
    label: 'Selling',
    life: 'Keeping',
    load: 'Strong oils',
    phases: 'Heat and what dissolves',
    preservation: 'Preservation',
    reading: 'Not understood',
    steeps: 'Its steeped oils',
    unknown: 'Not known yet',
    cautions: 'To beware of',
    texture: 'Texture',
    water: 'Water',
};

type Need = NonNullable<Schemas['DesignAsk']['serves']>[number];
export const NEEDS: Record<Need, string> = {
    'dry-lengths': 'dry lengths',
    'dry-scalp': 'dry scalp',
    flaking: 'flaking',
    itch: 'itch',
    'oily-scalp': 'oily scalp',
    breakage: 'breakage and split ends',
    'thin-edges': 'thin edges',
    shedding: 'shedding',
    'length-retention': 'keeping length',
    dullness: 'dullness',
    frizz: 'frizz',
    slip: 'slip for detangling',
    'over-processed': 'over-processed hair',
    sealing: 'sealing in moisture',
    'protective-styles': 'braids and protective styles',
    'first-grey': 'first grey',
    'child-gentle': "a child's gentle care",
};

export const GRADES = ['no basis found', 'traditional use', 'laboratory or animals', 'trials on people', 'well established'];

export const INGREDIENT_KINDS: Record<string, string> = {
    'carrier-oil': 'carrier oil',
    'liquid-wax-ester': 'liquid wax ester',
    butter: 'butter',
    wax: 'wax',
    'fresh-plant': 'fresh plant',
    'dried-herb': 'dried herb',
    powder: 'powder',
    'ready-steep': 'steeped oil',
    'essential-oil': 'essential oil',
    'oil-soluble-active': 'oil-soluble active',
    'water-soluble-active': 'water-soluble active',
    emulsifier: 'emulsifier',
    'conditioning-agent': 'conditioning agent',
    humectant: 'humectant',
    preservative: 'preservative',
    antioxidant: 'antioxidant',
    starch: 'starch or clay',
    water: 'water or hydrosol',
    gel: 'gel',
};

export const ACTIONS: Record<string, string> = {
    penetrating: 'goes into the fibre',
    'partly-penetrating': 'goes partly into the fibre',
    sealing: 'seals the surface',
    conditioning: 'settles and eases combing',
    none: '',
};

export const SCALPS: Record<Schemas['MarkDraft']['state'], string> = {
    'not-known': 'not known',
    calm: 'calm',
    dry: 'dry',
    oily: 'oily',
    flaking: 'flaking',
    itchy: 'itchy',
    thinning: 'thinner than it was',
    alarming: 'sores, pain, bare patch',
};

export const ZONES: Record<Schemas['MarkDraft']['zone'], string> = {
    hairline: 'hairline',
    'temple-left': 'left temple',
    'temple-right': 'right temple',
    top: 'top',
    crown: 'crown',
    'side-left': 'left side',
    'side-right': 'right side',
    back: 'back',
    nape: 'nape',
};

const STRANDS: Schemas['Hair']['strand'][] = ['fine', 'medium', 'coarse'];
const POROSITIES: Schemas['Hair']['porosity'][] = ['low', 'normal', 'high'];
/** Hair that is nobody's in particular. */
export const HAIR_TYPES = STRANDS.flatMap((strand) =>
    POROSITIES.map((porosity) => ({
        key: `${strand} ${porosity}`,
        words: `${strand}, ${porosity} porosity`,
        hair: { strand, porosity } satisfies Schemas['Hair'],
    })),
);

export const ROLES: Record<string, string> = {
    owner: 'Owner: everything, and who else is in it',
    maker: 'Maker: everything that is made',
    helper: 'Helper: Today, the counter, shakes and ticks; no recipe is changed, no price is seen',
};

/** What is written down for the owner. */
export const SECURITY: Record<string, string> = {
    opened: 'opened the studio',
    'signed-in': 'signed in',
    'signed-out': 'signed out',
    failed: 'A sign-in failed, as',
    password: 'has a new password',
    recovered: 'came back in with a code',
    codes: 'had new codes made',
    'session-ended': 'ended a session',
    denied: 'asked for what is not her part',
    invited: 'asked somebody in',
    joined: 'joined',
    'role-changed': 'changed a part',
    removed: 'took somebody out',
    linked: 'made a private link',
    unlinked: 'ended a private link',
    exported: 'took everything away as a file',
    leaving: 'asked to leave',
    staying: 'stays after all',
};

/** Of a jar in which something went bad or was called back. */
export const BAD = 'must not be used';
