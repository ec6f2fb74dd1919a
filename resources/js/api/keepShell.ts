/** The page that every batch is shown on, and where the worker keeps it (vite.config.ts). */
const PAGE = '/make';
const CACHE = 'counter-shell';

/** From the first time at the counter on, its pages open without a network. Where the browser has no workers, they do not. */
export async function keepShell(): Promise<void> {
    if (!('serviceWorker' in navigator)) return;
    try {
        await navigator.serviceWorker.register('/build/sw.js', { scope: '/' });
        await navigator.serviceWorker.ready;
        await (await caches.open(CACHE)).add(PAGE);
    } catch {
        // It goes on as long as the page stays open.
    }
}
