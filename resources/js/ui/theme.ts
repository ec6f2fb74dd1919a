/** Light or dark: as the reader chose, or else as her device says. */
import { ref } from 'vue';

type Theme = 'light' | 'dark';

function wanted(): Theme {
    const kept = localStorage.getItem('theme');
    if (kept === 'light' || kept === 'dark') return kept;
    return matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

export const theme = ref<Theme>('light');

export function applyTheme(): void {
    theme.value = wanted();
    document.documentElement.dataset.theme = theme.value;
}

export function turnTheme(): void {
    localStorage.setItem('theme', theme.value === 'dark' ? 'light' : 'dark');
    applyTheme();
}
