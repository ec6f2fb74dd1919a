import { useThrottleFn } from '@vueuse/core';
import { onScopeDispose } from 'vue';

/** Milliseconds between two questions while someone types. */
const AT_MOST_EVERY = 150;

/**
 * What is asked while someone types: at once at the first key, then at most every 150 ms, and once after the last. What is stale
 * by then is aborted, and an answer that comes late is never shown.
 */
export function useLatest<T>(question: (signal: AbortSignal) => Promise<T>, show: (answer: T) => void, fail: (error: unknown) => void) {
    let current: AbortController | null = null;
    let left = false;

    async function now(): Promise<void> {
        if (left) return;
        current?.abort();
        const mine = (current = new AbortController());
        try {
            const answer = await question(mine.signal);
            if (mine === current) show(answer);
        } catch (e) {
            if (mine === current && !(e instanceof DOMException && e.name === 'AbortError')) fail(e);
        }
    }
    /** Forgets what is being asked: nothing is to be known any more. */
    function forget(): void {
        current?.abort();
        current = null;
    }
    onScopeDispose(() => {
        left = true;
        forget();
    });
    const soon = useThrottleFn(now, AT_MOST_EVERY, true, true);

    return { now, soon: (): void => void soon(), forget };
}
