import type { Schemas } from '../api/client';
import type { JarBand } from './JarView.vue';

/** What a jar cut open shows of an assessment: what is melted first lies lowest. */
export function bandsOf(assessment: Schemas['Assessment']): JarBand[] {
    return [...assessment.lines]
        .sort((a, b) => a.turn - b.turn)
        .map((l) => ({ id: l.id, name: l.name, percent: l.shown_percent, matter: l.matter }));
}

/** The same for a kept row, which has only matter and share. */
export function smallBands(bands: { matter: string; percent: number }[]): JarBand[] {
    return bands.map((b, i) => ({ id: String(i), name: '', ...b }));
}

/** A jar in words, for whoever hears the page. */
export function sayJar(bands: JarBand[]): string {
    const filled = bands.filter((b) => b.percent > 0).map((b) => `${b.name} ${b.percent} %`);
    return `A jar cut open: ${filled.join(', ') || 'empty'}.`;
}
