import type { ScaleReading } from './devices';

/** Grams in one of what a scale writes behind its figure. */
const UNITS: Readonly<Record<string, number>> = { g: 1, gr: 1, kg: 1000, mg: 0.001, oz: 28.349523, lb: 453.59237, ct: 0.2 };
/** What says that it has not come to rest, or that there is too much on it. */
const MOVING = /^(?:us|s d|d|u|unst\w*|dyn\w*|\?)$/i;
const OVER = /\b(?:ol|over(?:load)?|oflo|--ol--|h{3,}|e{2,}rr?)\b|-{4,}|\^{3,}/i;
/** At rest, gross, net, tare: words that may stand before the figure. */
const KNOWN = /^(?:st|stable|gs|g|nt|n|net|gross|s|s s|t|)$/i;
const LONGEST = 200;

/**
 * One line of a scale: an optional word for its state ("ST", "US", "S", "D"), an optional "GS" or "NT", a figure with its
 * sign before it or apart from it, with a point or a comma, and a unit (g where none stands). Null for what is no reading.
 */
export function readLine(line: string): ScaleReading | null {
    const text = line
        .slice(0, LONGEST)
        .replace(/[^\x20-\x7e]/g, ' ')
        .trim();
    if (OVER.test(text)) return { grams: 0, stable: false, overload: true };
    const found =
        /^(?<head>[a-z?][a-z ,:;?]*?)?[,:;\s]*(?<sign>[+-]?)\s*(?<figure>\d{1,6}(?:[.,]\d{1,4})?)\s*(?<unit>[a-z]{0,2})\s*(?<tail>\?)?$/i.exec(
            text,
        )?.groups;
    if (!found) return null;
    const unit = UNITS[(found['unit'] || 'g').toLowerCase()];
    if (unit === undefined) return null;
    const words = (found['head'] ?? '').split(/[,:;]/).map((w) => w.trim());
    if (words.some((w) => !KNOWN.test(w) && !MOVING.test(w))) return null;
    const grams = Number((found['figure'] ?? '').replace(',', '.')) * unit * (found['sign'] === '-' ? -1 : 1);
    return { grams: Number(grams.toFixed(4)), stable: !words.some((w) => MOVING.test(w)) && !found['tail'], overload: false };
}

/** Puts lines together out of what comes in pieces; a stream without an end of line is cut off. */
export function lineByLine(tell: (line: string) => void): (piece: string) => void {
    let kept = '';
    return (piece) => {
        const parts = (kept + piece).split(/[\r\n]+/);
        kept = (parts.pop() ?? '').slice(-LONGEST);
        for (const part of parts) if (part.trim() !== '') tell(part);
    };
}
