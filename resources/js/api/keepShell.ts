/** From the first time at the counter on, its pages open without a network. Where the browser has no workers, they do not. */
export function keepShell(): void {
    if (!('serviceWorker' in navigator)) return;
    navigator.serviceWorker.register('/build/sw.js', { scope: '/' }).catch(() => undefined);
}
