import { ref } from 'vue';

export interface Notice {
    words: string;
    undo?: () => void;
    stop?: boolean;
}

export const notice = ref<Notice | null>(null);
let timer = 0;

/** Says something at the foot of the screen for a while; a problem stays until it is closed. */
export function tell(words: string, options: { undo?: () => void; stop?: boolean } = {}): void {
    window.clearTimeout(timer);
    notice.value = { words, ...options };
    if (!options.stop) timer = window.setTimeout(() => (notice.value = null), 8000);
}

export function tellProblem(error: unknown): void {
    tell(error instanceof Error ? error.message : 'Something went wrong here. What you typed is kept.', { stop: true });
}
