import type { Page } from '@playwright/test';
import { expect, goTo, openStudio, test } from './studio';

/** Asks the application as the page itself does: for what stands behind the counter. */
function ask<T>(page: Page, method: string, path: string, body?: unknown): Promise<T> {
    return page.evaluate(
        async ([method, path, body]) => {
            const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
            const answer = await fetch(`/api/${path}`, {
                method,
                headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
                ...(body !== null && { body }),
            });
            return answer.json();
        },
        [method, path, body === undefined ? null : JSON.stringify(body)] as const,
    );
}
/** Rosemary in olive oil, begun four weeks ago and strained today: how formulas name its oil, and how much there is. */
async function steeped(page: Page): Promise<{ id: number; ingredient: string; grams: number }> {
    const begun = await ask<{ id: number; revision: number }>(page, 'POST', 'steeps', {
        name: 'Rosemary in olive',
        herbs: [{ ingredient: 'rosemary', form: 'dried', preparation: 'none', amount: '40 g', draw: 1, cost: null }],
        oils: [{ ingredient: 'olive-oil', amount: '360 g', cost: null }],
        water_grams: 0,
        method: 'cold-dark',
        celsius: 0,
        minutes: 0,
        days: 0,
        jar_ml: 700,
        diameter_cm: 9,
        mouth_cm: 0,
        shaken_daily: true,
        pressed: false,
        started_on: new Date(Date.now() - 28 * 86_400_000).toISOString().slice(0, 10),
    });
    const done = await ask<{ lot: { id: number; ingredient: string; grams: number } }>(page, 'POST', `steeps/${begun.id}/strain`, {
        revision: begun.revision,
        yield_grams: 300,
        loss_grams: 0,
        herb: 'kept',
    });
    return done.lot;
}
interface Batch {
    id: number;
    weighings: { line: string; name: string; ingredient: string; target_grams: number; actual_grams: number | null }[];
}
interface Shelf {
    items: { id: number; ingredient: string; left_grams: number | null; batch_id: number | null }[];
}
const BOTTLE = 1000;

/** A studio of its own with a bottle of each thing in the recipe, and the recipe on its way to be made. */
type Line = { ingredient: string; name: string };
async function begun(
    page: Page,
    name: string,
    recipe: string,
    extra: Record<string, unknown> = {},
    of?: (line: Line) => Line,
): Promise<Batch> {
    if (!of) {
        await page.goto('/sign-in');
        await openStudio(page, name);
    }
    const { formula } = await ask<{ formula: { kind: string; lines: Line[] } }>(page, 'POST', 'read', { text: recipe });
    if (of) formula.lines = formula.lines.map(of);
    const all = [...new Set(formula.lines.map((l) => l.ingredient))].filter((id) => !/^(lot|steep)-/.test(id));
    await ask(page, 'POST', 'pantry/lots', { lots: all.map((ingredient) => ({ ingredient, grams: BOTTLE })) });
    const kept = await ask<{ id: number }>(page, 'POST', 'formulas', { formula: { ...formula, ...extra }, head_id: null, hair: null });
    const batch = await ask<Batch>(page, 'POST', 'batches', { formula_id: kept.id, although: 'Made for this one afternoon.' });
    await page.goto(`/make/${batch.id}`);
    await expect(page.getByRole('heading', { name: 'Put everything on the counter' })).toBeVisible();
    return batch;
}

const step = (page: Page) => page.getByRole('region', { name: 'This step' });
const head = async (page: Page): Promise<string> => (await step(page).getByRole('heading', { level: 2 }).first().textContent()) ?? '';

/** Does what one step asks for, and waits for the next; `weighs` may do otherwise with a line. */
async function doStep(page: Page, weighs: (name: string, target: number) => Promise<boolean>): Promise<boolean> {
    const now = await head(page);
    if (now === 'Count the jars and close the batch') return false;
    if (
        now === 'Put everything on the counter' ||
        (await step(page).getByRole('button', { name: 'It is not done after all' }).isVisible())
    ) {
        await page.getByRole('button', { name: /^Next/ }).click();
    } else if (await step(page).getByLabel('Drops that fell').isVisible()) {
        await step(page)
            .getByLabel('Drops that fell')
            .fill(((await step(page).locator('.counter-figure').textContent()) ?? '').trim());
        await step(page).getByRole('button', { name: 'Counted' }).click();
    } else if (await step(page).getByLabel('The scale shows, grams').isVisible()) {
        const target = Number(((await step(page).locator('.counter-figure').textContent()) ?? '').replace(',', ''));
        if (!(await weighs(now, target))) await weigh(page, target);
    } else {
        await step(page).getByRole('button', { name: 'Done', exact: true }).click();
    }
    await expect(step(page).getByRole('heading', { level: 2, name: now, exact: true })).toHaveCount(0);
    return true;
}
async function weigh(page: Page, grams: number): Promise<void> {
    await step(page).getByLabel('The scale shows, grams').fill(String(grams));
    await step(page).getByRole('button', { name: 'Weighed' }).click();
}
const asAsked = (): Promise<boolean> => Promise.resolve(false);

async function close(page: Page, jars: number, net: number): Promise<void> {
    await page.getByLabel('Jars filled').fill(String(jars));
    await page.getByLabel('Net in one, grams').fill(String(net));
    for (const what of ['No chip and no crack', 'Rim and outside wiped', 'Closed, and the lid holds']) await page.getByLabel(what).check();
    await page.getByRole('button', { name: 'Done: keep the record' }).click();
    const why = page.getByLabel(/Why it is kept all the same/);
    await expect(page.locator('body'), 'kept, or asked why').toContainText(/What was truly weighed|Why it is kept all the same/);
    if (await why.isVisible()) {
        await why.fill('Made for this one afternoon.');
        await page.getByRole('button', { name: 'Done: keep the record' }).click();
    }
    await expect(page.getByText('What was truly weighed')).toBeVisible();
}

/** Every bottle is lighter by what was truly weighed, to the centigram; each thing was taken once. */
async function stockIsRight(page: Page, batch: Batch): Promise<void> {
    const done = await ask<Batch>(page, 'GET', `batches/${batch.id}`);
    const shelf = await ask<Shelf>(page, 'GET', 'pantry/shelf');
    // What was steeped here is looked for by its own lot.
    for (const w of done.weighings.filter((x) => !/^(lot|steep)-/.test(x.ingredient))) {
        const of = done.weighings.filter((x) => x.ingredient === w.ingredient).reduce((sum, x) => sum + (x.actual_grams ?? 0), 0);
        const left = shelf.items.find((l) => l.ingredient === w.ingredient && l.batch_id === null)?.left_grams ?? NaN;
        expect(Math.abs(left - (BOTTLE - of)), `${w.name}: ${left} left`).toBeLessThan(0.01);
    }
}

test('a whipped butter by her own method: one poured too much, and all the rest follows', async ({ page }) => {
    const batch = await begun(
        page,
        'Efua',
        'Cloud whip\n120 g shea butter\n40 g coconut oil\n20 g argan oil\n\nMelt the shea and coconut oil. Freeze for 30 minutes. ' +
            'Whip 10 minutes. Freeze for 15 minutes. Add the argan and whip 5 minutes. Spoon into jars.',
    );
    let poured = false;
    const heads: string[] = [];
    for (let n = 0; n < 40; n++) {
        heads.push(await head(page));
        const on = await doStep(page, async (name) => {
            if (name !== 'Coconut oil' || poured) return false;
            poured = true;
            await weigh(page, 60);
            await expect(step(page).getByText('20 g too much')).toBeVisible();
            await expect(step(page).getByText(/Kept so, Coconut oil is 30.0 % and not 22.2 %/)).toBeVisible();
            await expect(step(page).getByText('Then add 60 g Shea butter to what is in.')).toBeVisible();
            await step(page)
                .getByRole('button', { name: /Make all the rest larger/ })
                .click();
            return true;
        });
        if (!on) break;
    }
    expect(heads.filter((h) => h.startsWith('Freeze'))).toEqual(['Freeze for 30 minutes.', 'Freeze for 15 minutes.']);
    await goTo(page, /Add more: Shea butter/);
    await expect(step(page).getByText('120 g are in: add 60 g, then enter the whole')).toBeVisible();
    await weigh(page, 180);
    await expect(step(page).getByRole('heading', { name: /Shea butter/ })).toHaveCount(0);
    await goTo(page, /Count the jars/);
    await expect(step(page).getByText('270 g were weighed.')).toBeVisible();
    await close(page, 2, 130);
    await stockIsRight(page, batch);
    await expect(page.getByRole('row', { name: /Shea butter/ })).toContainText('66.7');
});

test('a wax balm without a network: each weight is kept and written once, and a wrong pour is put right', async ({ page, context }) => {
    const batch = await begun(
        page,
        'Lulu',
        'Edge balm\n20 g beeswax\n60 g castor oil\n20 g shea butter\n10 drops rosemary essential oil\n\n' +
            'Melt everything together at 50 C. Add the rosemary oil. Pour into tins.',
    );
    await goTo(page, /Weigh: Beeswax/);
    // Too little first: it is talked over, more is added, and the whole is entered.
    await weigh(page, 12);
    await expect(step(page).getByText('8 g too little')).toBeVisible();
    await step(page)
        .getByRole('button', { name: /Add 8 g/ })
        .click();
    await weigh(page, 20);
    await expect(step(page).getByRole('heading', { name: 'Beeswax' })).toHaveCount(0);
    const held = await head(page);
    // The page itself is kept by then.
    await expect
        .poll(() => page.evaluate(async () => (await caches.match('/make')) !== undefined && !!navigator.serviceWorker.controller))
        .toBe(true);
    // From here on nothing goes out.
    await context.setOffline(true);
    for (let n = 0; n < 3; n++) await doStep(page, asAsked);
    await expect(page.getByText(/No network\. \d entr(y is|ies are) kept here/)).toBeVisible();
    await page.reload();
    await expect(step(page).getByRole('heading', { level: 2 }).first(), 'also when it is opened again').toBeVisible();
    await expect(page.getByText(/No network/)).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText(/No network/)).toHaveCount(0);
    const weighed = async (): Promise<number> =>
        (await ask<Batch>(page, 'GET', `batches/${batch.id}`)).weighings.filter((w) => w.actual_grams !== null).length;
    await expect.poll(weighed, 'what was kept is sent').toBeGreaterThanOrEqual(3);
    expect(await head(page)).not.toBe(held);
    await goTo(page, /Melt/);
    await expect(step(page).getByText('Beeswax does not melt there')).toBeVisible();
    await expect(step(page).getByText('You wrote: Melt everything together at 50 C.')).toBeVisible();
    for (let n = 0; n < 30 && (await doStep(page, asAsked)); n++);
    await close(page, 3, 30);
    await stockIsRight(page, batch);
});

test('a bar with drops: a clock goes on through a reload, rings when its time has come, and sets its own time', async ({ page }) => {
    const batch = await begun(
        page,
        'Mira',
        'Slip bar\n60 g BTMS-50\n20 g cocoa butter\n20 g cetyl alcohol\n12 drops lavender essential oil',
        { kind: 'conditioner-bar' },
    );
    await goTo(page, /Let it cool/);
    await step(page).getByLabel('Minutes').fill('25');
    await step(page).getByRole('button', { name: 'Start the clock' }).click();
    await expect(page.getByRole('timer')).toHaveText(/^2[45]:\d\d$/);
    await page.reload();
    await expect(page.getByRole('timer'), 'it is kept by the server').toHaveText(/^2[45]:\d\d$/);
    // Half an hour goes by on the server's clock.
    await page.route(`**/api/batches/${batch.id}`, async (route) => {
        const answer = await route.fetch();
        const json = await answer.json();
        await route.fulfill({ response: answer, json: { ...json, now: new Date(Date.parse(json.now) + 1_800_000).toISOString() } });
    });
    await expect(page.getByRole('alert').filter({ hasText: 'Time: Let it cool' })).toBeVisible();
    await page.unroute(`**/api/batches/${batch.id}`);
    await page.getByRole('button', { name: 'Heard' }).click();
    await expect(page.getByRole('button', { name: 'Heard' })).toHaveCount(0);

    // The probe: two readings, and it says when it is there.
    await goTo(page, /Let it cool/);
    for (const celsius of ['75', '74,5']) {
        await step(page).getByLabel('The probe shows, °C').fill(celsius);
        await step(page).getByRole('button', { name: 'Write it down' }).click();
        await expect(step(page).getByLabel('The probe shows, °C')).toHaveValue('');
    }
    await expect(step(page).getByText('Worked out from your readings')).toBeVisible();
    await expect(step(page).getByText(/It is there in/)).toBeVisible();
    await goTo(page, /Put everything|Gather/);
    for (let n = 0; n < 30 && (await doStep(page, asAsked)); n++);
    await close(page, 2, 45);
    await stockIsRight(page, batch);
    await expect(page.getByRole('row', { name: /Lavender/ })).toContainText('12 drops');
});

test('a steeped scalp oil with two at the counter: each sees the other within moments', async ({ page }) => {
    await page.goto('/sign-in');
    await openStudio(page, 'Noma');
    const rosemary = await steeped(page);
    const batch = await begun(page, 'Noma', 'Scalp oil\n80 g olive oil\n20 g castor oil\n6 drops peppermint essential oil', {}, (line) =>
        line.ingredient === 'olive-oil' ? { ...line, ingredient: rosemary.ingredient, name: 'Rosemary in olive' } : line,
    );
    const other = await page.context().newPage();
    await other.goto(`/make/${batch.id}`);
    await goTo(other, /Wash hands/);
    await goTo(page, /Wash hands/);
    await step(page).getByRole('button', { name: 'Done', exact: true }).click();
    await expect(step(other).getByText(/^Done, /), 'what the other ticked').toBeVisible();
    // Both weigh at once, each another line: nothing is lost.
    await goTo(page, /Weigh: Rosemary in olive/);
    await goTo(other, /Weigh: Castor oil/);
    await Promise.all([weigh(page, 80), weigh(other, 20)]);
    await expect(step(other).getByRole('heading', { name: 'Castor oil' })).toHaveCount(0);
    await expect
        .poll(async () => (await ask<Batch>(page, 'GET', `batches/${batch.id}`)).weighings.filter((w) => w.actual_grams !== null).length)
        .toBe(2);
    await other.close();
    await goTo(page, /Weigh: Peppermint/);
    for (let n = 0; n < 20 && (await doStep(page, asAsked)); n++);
    await close(page, 2, 48);
    const left = await ask<{ left_grams: number }>(page, 'GET', `pantry/lots/${rosemary.id}`);
    expect(Math.abs(left.left_grams - (rosemary.grams - 80))).toBeLessThan(0.01);
    await stockIsRight(page, batch);
});

test('a rehearsal with the stand-ins keeps nothing, and says what would have gone wrong', async ({ page }) => {
    await page.goto('/sign-in');
    await openStudio(page, 'Rehema');
    const { formula } = await ask<{ formula: object }>(page, 'POST', 'read', { text: 'Oil\n80 g olive oil\n20 g castor oil' });
    const kept = await ask<{ id: number }>(page, 'POST', 'formulas', { formula, head_id: null, hair: null });
    await page.goto(`/formulas/${kept.id}`);
    await page.getByRole('button', { name: 'Practise it' }).click();
    await expect(page.getByText(/A rehearsal: nothing of it is kept/)).toBeVisible();
    await goTo(page, /Weigh: Castor oil/);
    await step(page).getByRole('button', { name: 'Use the stand-in scale' }).click();
    const scale = step(page).getByRole('group', { name: 'The scale' });
    await scale.getByRole('button', { name: 'Spoon 1 g in' }).click();
    // It rested at nothing before; and it creeps while it stands.
    await expect(scale.getByRole('status')).not.toHaveText(/^0\.0/);
    await expect(scale.getByText('at rest')).toBeVisible();
    await scale.getByRole('button', { name: 'Take this' }).click();
    await expect(step(page).getByText(/^1\d g too little/)).toBeVisible();
    await step(page).getByRole('button', { name: 'Keep it as it is' }).click();
    await goTo(page, /Count the jars/);
    await expect(step(page).getByText(/Castor oil: [\d.]+ g for 20 g\./)).toBeVisible();
    await expect(step(page).getByText('Olive oil was never weighed.')).toBeVisible();
    await step(page)
        .getByRole('button', { name: /^End it/ })
        .click();
    await expect(page).toHaveURL(/\/formulas\/\d+$/);
    const list = await ask<{ items: unknown[] }>(page, 'GET', 'batches');
    expect(list.items).toEqual([]);
});
