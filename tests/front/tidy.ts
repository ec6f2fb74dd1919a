import { enableAutoUnmount } from '@vue/test-utils';
import { afterEach } from 'vitest';

// A bench that was left tries to save until it is saved: it must not reach into the next test.
const timers = new Set<number>();
const real = window.setTimeout;
window.setTimeout = ((work: () => void, ms?: number) => {
    const id = real(work, ms);
    timers.add(id);
    return id;
}) as typeof window.setTimeout;

// What is registered first runs last: when everything is taken down.
afterEach(async () => {
    await new Promise((done) => real(() => done(null), 0));
    for (const id of timers) window.clearTimeout(id);
    timers.clear();
    document.body.innerHTML = '';
    document.cookie = 'XSRF-TOKEN=; expires=Thu, 01 Jan 1970 00:00:00 GMT';
    localStorage.clear();
});
enableAutoUnmount(afterEach);
