import { onBeforeUnmount, onMounted, shallowReactive } from 'vue';

/** Something that can be done here and now: shown in the line at the top, in the help for keys, and started by its key. */
export interface Act {
    label: string;
    key?: string;
    run: () => void;
}

export const acts = shallowReactive<Act[]>([]);

/** Offers acts for as long as the component is on the screen. */
export function useActs(mine: Act[]): void {
    onMounted(() => acts.push(...mine));
    onBeforeUnmount(() => {
        for (const act of mine) acts.splice(acts.indexOf(act), 1);
    });
}

function typing(target: EventTarget | null): boolean {
    return target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));
}

/** Single letters start acts, unless something is being typed or a dialog is open. */
export function onKey(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target) || document.querySelector('[role=dialog]')) return;
    const act = [...acts].reverse().find((a) => a.key === event.key);
    if (act) {
        event.preventDefault();
        act.run();
    }
}
