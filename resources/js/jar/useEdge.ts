import { computed, ref, type Ref } from 'vue';
import type { JarBand } from './JarView.vue';

/** Per cent moved by one press of an arrow key, and by a page key. */
const STEP = 0.5;
const PAGE = 5;

export interface Moved {
    from: string;
    to: string;
    points: number;
}

/**
 * The edges between bands that may be moved. While one is dragged the jar shows what it would be; what it then truly is,
 * the core says: on letting go the move is told, and the shown shift stays until the bands come back changed.
 */
export function useEdge(bands: Ref<JarBand[]>, movable: Ref<string[]>, innerHeight: Ref<number>, tell: (moved: Moved) => void) {
    const held = ref<{ lower: string; upper: string; startY: number } | null>(null);
    const points = ref(0);

    const visible = computed(() => bands.value.filter((b) => b.percent > 0));
    const edges = computed(() =>
        visible.value.flatMap((lower, i) => {
            const upper = visible.value[i + 1];
            return upper && movable.value.includes(lower.id) && movable.value.includes(upper.id) ? [{ lower, upper }] : [];
        }),
    );
    /** The bands as they would be. */
    const shown = computed(() =>
        visible.value.map((b) => {
            if (!held.value) return b;
            if (b.id === held.value.lower) return { ...b, percent: b.percent + points.value };
            if (b.id === held.value.upper) return { ...b, percent: b.percent - points.value };
            return b;
        }),
    );

    function clamp(lower: JarBand, upper: JarBand, wanted: number): number {
        return Math.max(-lower.percent, Math.min(upper.percent, wanted));
    }
    function grab(event: PointerEvent, lower: JarBand, upper: JarBand): void {
        held.value = { lower: lower.id, upper: upper.id, startY: event.clientY };
        points.value = 0;
        if (event.currentTarget instanceof Element) event.currentTarget.setPointerCapture(event.pointerId);
        event.preventDefault();
    }
    function drag(event: PointerEvent, lower: JarBand, upper: JarBand, scale: number): void {
        if (!held.value || held.value.lower !== lower.id) return;
        const percent = ((held.value.startY - event.clientY) / scale / innerHeight.value) * 100;
        points.value = clamp(lower, upper, Math.round(percent * 10) / 10);
    }
    function drop(lower: JarBand, upper: JarBand): void {
        if (!held.value) return;
        if (points.value === 0) held.value = null;
        else tell({ from: upper.id, to: lower.id, points: points.value });
    }
    function press(event: KeyboardEvent, lower: JarBand, upper: JarBand): void {
        const by = { ArrowUp: STEP, ArrowRight: STEP, ArrowDown: -STEP, ArrowLeft: -STEP, PageUp: PAGE, PageDown: -PAGE }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        const moved = clamp(lower, upper, by);
        if (moved !== 0) tell({ from: upper.id, to: lower.id, points: moved });
    }
    /** What was moved has come back from the core, or was given up. */
    function settle(): void {
        held.value = null;
        points.value = 0;
    }
    return { edges, shown, grab, drag, drop, press, settle };
}
