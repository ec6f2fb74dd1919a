import { enter, expect, openStudio, skip, test } from './studio';
import type { Page } from '@playwright/test';

/** Names of this run: the studio may have those of another. */
const RUN = Date.now().toString(36);

async function describe(page: Page, name: string): Promise<void> {
    await page.goto('/heads/new');
    await page.getByLabel('Name, or what you call this head').fill(name);
}
/** As a script on the page would: the application knows its own pages. */
function got<T>(page: Page, path: string): Promise<T> {
    return page.evaluate(async (p) => (await fetch(p, { headers: { Accept: 'application/json' } })).json() as Promise<T>, path);
}
async function heads(page: Page, name: string): Promise<number> {
    const list = await got<{ items: { name: string }[] }>(page, '/api/heads');
    return list.items.filter((h) => h.name === name).length;
}

test('pressed twice in one breath, a head is kept once', async ({ page }) => {
    await enter(page);
    await describe(page, `Pressed twice ${RUN}`);
    await page.getByRole('button', { name: 'Keep this head' }).dblclick();
    await expect(page.getByRole('heading', { name: `What suits Pressed twice ${RUN}` })).toBeVisible();
    expect(await heads(page, `Pressed twice ${RUN}`)).toBe(1);
});

test('an answer that is lost on the way is asked for again, and what was done is not done twice', async ({ page }) => {
    await enter(page);
    let lost = 0;
    await page.route('**/api/heads', async (route) => {
        if (route.request().method() !== 'POST' || lost++ > 0) return route.continue();
        // The server has done it; nothing of its answer arrives.
        await route.fetch();
        await route.abort();
    });
    await describe(page, `Lost answer ${RUN}`);
    await page.getByRole('button', { name: 'Keep this head' }).click();
    await expect(page.getByRole('heading', { name: `What suits Lost answer ${RUN}` })).toBeVisible();
    expect(lost).toBe(2);
    expect(await heads(page, `Lost answer ${RUN}`)).toBe(1);
});

test('while the database is away it is said so, what was typed stays, and it is sent again', async ({ page }) => {
    await enter(page);
    let away = true;
    await page.route('**/api/heads', (route) =>
        away && route.request().method() === 'POST'
            ? route.fulfill({
                  status: 503,
                  json: { message: 'The database does not answer. Nothing you typed is lost; try again in a moment.' },
              })
            : route.continue(),
    );
    await describe(page, `Patient head ${RUN}`);
    await page.getByRole('button', { name: 'Keep this head' }).click();
    await expect(page.getByText('is sent again until it does')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Keep this head' })).toBeDisabled();
    await expect(page.getByLabel('Name, or what you call this head')).toHaveValue(`Patient head ${RUN}`);
    away = false;
    await expect(page.getByRole('heading', { name: `What suits Patient head ${RUN}` })).toBeVisible();
    expect(await heads(page, `Patient head ${RUN}`)).toBe(1);
});

test('a place that cannot be fetched says why, and comes when it is asked for again', async ({ page }) => {
    await enter(page);
    let away = true;
    await page.route('**/api/steeps*', (route) =>
        away
            ? route.fulfill({
                  status: 503,
                  json: { message: 'The database does not answer. Nothing you typed is lost; try again in a moment.' },
              })
            : route.continue(),
    );
    await page.goto('/steeps');
    await expect(page.getByText('The database does not answer.')).toBeVisible();
    away = false;
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByText('The database does not answer.')).toHaveCount(0);
    await expect(page.getByRole('link', { name: /strain|shake|steep/i }).first()).toBeVisible();
});

test('the studio keeps the time of where it is', async ({ page }) => {
    // Her own: nobody else works in it meanwhile.
    await page.goto('/');
    await openStudio(page, 'Teuila');
    await skip(page);
    await page.goto('/studio');
    const zone = page.getByLabel('Time zone, in which your day begins');
    await zone.selectOption('Pacific/Kiritimati');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText('Saved. Every figure')).toBeVisible();
    const there = new Intl.DateTimeFormat('en-CA', { timeZone: 'Pacific/Kiritimati' }).format(new Date());
    expect((await got<{ date: string }>(page, '/api/today')).date).toBe(there);
    await page.goto('/');
    await expect(page.getByRole('heading', { level: 1 })).toContainText(String(Number(there.slice(-2))));
});
