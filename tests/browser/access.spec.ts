import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { enter, expect, goTo, test } from './studio';

// These take longest and share nothing: they need not wait for each other.
test.describe.configure({ mode: 'parallel' });

async function first(page: Page, place: string): Promise<string> {
    await page.goto(`/${place}`);
    const link = page
        .locator(`main a[href^="/${place}/"]`)
        .filter({ has: page.locator('.font-head') })
        .first();
    return (await link.getAttribute('href')) ?? '';
}

/** Every part of a screen has what it fetches. */
async function settled(page: Page): Promise<void> {
    await expect(page.getByRole('heading').first()).toBeVisible();
    await expect(page.getByText(/^Fetching .*…$/)).toHaveCount(0);
}

/** In the dark only the colours are another: the rest was looked at in the light. */
async function clean(page: Page, what: string, scheme: 'light' | 'dark' = 'light'): Promise<void> {
    await settled(page);
    // Nothing stands in a frame: no second page has to be opened to gather what was found in each.
    const axe = new AxeBuilder({ page }).setLegacyMode(true);
    const { violations } = await (scheme === 'dark' ? axe.withRules(['color-contrast', 'link-in-text-block']) : axe).analyze();
    expect(
        violations.map((v) => `${what}: ${v.id} ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`),
        what,
    ).toEqual([]);
}

for (const scheme of ['light', 'dark'] as const) {
    test(`axe finds nothing on any screen, ${scheme}`, async ({ browser }) => {
        test.setTimeout(600_000);
        const page = await (await browser.newContext({ colorScheme: scheme, viewport: { width: 1280, height: 800 } })).newPage();
        await page.goto('/sign-in');
        await expect(page.getByRole('button', { name: 'Enter the demo studio' })).toBeVisible();
        await clean(page, 'sign-in', scheme);
        for (const before of ['/open', '/recover']) {
            await page.goto(before);
            await clean(page, before, scheme);
        }
        await enter(page);
        const places = [
            '/',
            '/formulas',
            '/formulas/paste',
            '/formulas/new',
            '/methods',
            '/methods/texture',
            '/steeps',
            '/steeps/start',
            '/make',
            '/pantry',
            '/pantry/shelf',
            '/pantry/shopping',
            '/pantry/orders',
            '/pantry/rosemary-eo',
            '/pantry/shea-butter',
            '/pantry?need=itch',
            '/pantry/compare?ids=shea-butter,mango-butter',
            '/pantry/own/new?like=castor-oil',
            '/heads',
            '/heads/new',
            '/rhythm',
            '/papers',
            '/studio',
            '/studio?part=kit',
            '/studio?part=ways',
            '/studio?part=people',
            '/studio?part=links',
            '/studio?part=safety',
            '/studio?part=data',
            '/set-up',
            '/nowhere',
        ];
        const bench = await first(page, 'formulas');
        places.push(`/formulas/compare?of=${bench.split('/').pop()}`);
        for (const place of ['formulas', 'steeps', 'make', 'heads', 'rhythm']) places.push(await first(page, place));
        for (const place of places) {
            await page.goto(place);
            await clean(page, place, scheme);
        }
        await page.keyboard.press('Control+k');
        await expect(page.getByRole('combobox', { name: 'Find or do anything' })).toBeVisible();
        await clean(page, 'the line that finds', scheme);
    });
}

test('counter screens fit a phone and have large targets', async ({ browser }) => {
    const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await enter(page);
    await page.goto('/make');
    await page
        .getByRole('link', { name: /Braid sealing oil/ })
        .first()
        .click();
    await goTo(page, /^\d*✓?\s*Weigh: Castor oil/);
    const figure = page.getByText(/^\d+\.\d$/).first();
    await expect(figure).toBeVisible();
    expect(await figure.evaluate((e) => parseFloat(getComputedStyle(e).fontSize))).toBeGreaterThanOrEqual(72);
    expect((await page.getByRole('button', { name: 'Weighed' }).boundingBox())?.height).toBeGreaterThanOrEqual(56);
    for (const place of ['/', '/make', page.url(), '/steeps', await first(page, 'steeps')]) {
        await page.goto(place);
        await settled(page);
        expect(await page.evaluate(() => document.documentElement.scrollWidth), `${place} does not scroll sideways`).toBeLessThanOrEqual(
            390,
        );
    }
    await clean(page, 'steep on a phone');
});

test('the web server lists no folder, runs no other file, and says what it sends', async ({ page, request }) => {
    for (const path of ['/build/', '/build/assets/', '/storage/', '/.env', '/index.php/other.php', '/%00', '/..%2f.env']) {
        const answer = await request.get(path);
        expect.soft(await answer.text(), path).not.toMatch(/Index of|APP_KEY|<\?php/);
    }
    expect((await request.get('/%00')).status()).toBe(400);
    expect((await request.get('/index.php/other.php')).status()).toBe(404);
    await page.goto('/');
    const script = await page.locator('script[src*="/build/assets/"]').first().getAttribute('src');
    expect((await request.get(script ?? '')).headers()['x-content-type-options']).toBe('nosniff');
});

test('nothing is fetched from anywhere else', async ({ page }) => {
    const outside: string[] = [];
    page.on('request', (r) => {
        if (!r.url().startsWith(new URL(page.url() === 'about:blank' ? r.url() : page.url()).origin) && !r.url().startsWith('data:'))
            outside.push(r.url());
    });
    await enter(page);
    await page.goto('/formulas');
    await settled(page);
    expect(outside).toEqual([]);
});
