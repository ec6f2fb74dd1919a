import { ref } from 'vue';

/** Edits to one thing within this time are one step. */
const ONE_STEP = 900;
const MOST_STEPS = 200;

/**
 * What was done, to be taken back and done again.
 *
 * @param state how everything is now
 * @param restore puts it back to how it was
 */
export function useHistory(state: () => string, restore: (state: string) => void) {
    const past: string[] = [];
    const future: string[] = [];
    const canUndo = ref(false);
    const canRedo = ref(false);
    let last = { what: '', at: 0 };

    function tell(): void {
        canUndo.value = past.length > 0;
        canRedo.value = future.length > 0;
    }
    /** To be called before a change; `what` names the thing, so that typing in one field is one step. */
    function step(what: string): void {
        const now = Date.now();
        if (last.what !== what || now - last.at > ONE_STEP) {
            past.push(state());
            if (past.length > MOST_STEPS) past.shift();
            future.length = 0;
        }
        last = { what, at: now };
        tell();
    }
    function travel(from: string[], to: string[]): void {
        const kept = from.pop();
        if (kept === undefined) return;
        to.push(state());
        last = { what: '', at: 0 };
        restore(kept);
        tell();
    }
    return { canUndo, canRedo, step, undo: () => travel(past, future), redo: () => travel(future, past) };
}
