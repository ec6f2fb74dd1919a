import type { Schemas } from '../../../api/client';
import { num } from '../../../ui/words';

type Gated = Pick<Schemas['Task'], 'kind' | 'gate'>;

/** A limit is read at its upper end, what is held at its best; a window as both ends. */
export function gateCelsius(task: Gated): string {
    const band = task.gate.celsius;
    if (!band) return '';
    if (task.kind === 'melt' || task.kind === 'hold' || task.kind === 'warm-water') return num(band.best, 0);
    if (task.kind === 'cool') return num(band.high, 0);
    return Math.round(band.low) === Math.round(band.high) ? num(band.best, 0) : `${num(band.low, 0)}–${num(band.high, 0)}`;
}

/** "30", or "8–12" where the time is a range that is said. */
export function gateMinutes(task: Gated): string {
    const band = task.gate.minutes;
    if (!band) return '';
    return task.kind === 'whip' && band.high - band.low > 2 ? `${num(band.low, 0)}–${num(band.high, 0)}` : num(band.best, 0);
}

/** "about 12 minutes (9 to 16)". */
export function aboutMinutes(band: Schemas['Band']): string {
    const round = (minutes: number): string => num(minutes, minutes < 10 ? 1 : 0);
    return `about ${round(band.best)} minutes (${round(band.low)} to ${round(band.high)})`;
}

/** "29:45", "1:05:00". */
export function clock(milliseconds: number): string {
    const seconds = Math.max(0, Math.ceil(milliseconds / 1000));
    const two = (n: number): string => String(n).padStart(2, '0');
    const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
    return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}
