import type { Locator, Page } from '@playwright/test';
import { enter, expect, onBench, pick, test } from './studio';

const saved = (page: Page): Promise<void> => expect(page.getByText('Saved', { exact: true })).toBeVisible();
const edge = (page: Page, name: string): Locator => page.getByRole('slider', { name: `Edge between ${name}` });

test('begin with a skeleton that gives its reasons, go on from a copy', async ({ page }) => {
    await enter(page);
    await page.keyboard.press('n');
    await expect(page.getByRole('heading', { name: 'Begin a formula' })).toBeVisible();
    await page.getByLabel('Product').selectOption({ label: 'Pomade or balm' });
    await page.getByRole('combobox', { name: 'Hair', exact: true }).selectOption({ label: 'coarse, high porosity' });
    await page.getByRole('button', { name: 'Start from this basic recipe' }).click();
    await expect(page).toHaveURL(/\/formulas\/\d+$/);
    await expect(page.getByLabel('Product')).toHaveValue('balm');
    await expect(page.getByLabel('Notes')).toHaveValue(/:/);
    await expect(page.getByText(/\d stops?/)).toHaveCount(0);
    await page.getByRole('textbox', { name: 'Title' }).fill('Skeleton to copy');
    await saved(page);
    await page.goto('/formulas/new');
    await pick(page, 'Formula to copy', 'Skeleton to copy');
    await page.getByRole('button', { name: 'Copy it' }).click();
    await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue('Skeleton to copy, another');
});

test("begin with a ready steep: its oil is in it, and it is the studio's own", async ({ page }) => {
    await enter(page);
    await page.goto('/formulas/new');
    const oil = page.getByLabel('Steeped oil').locator('option:not([disabled])').first();
    const name = ((await oil.textContent()) ?? '').trim().replace(/, \d+ g$/, '');
    await page.getByLabel('Steeped oil').selectOption((await oil.getAttribute('value')) ?? '');
    await page.getByRole('button', { name: 'Build around it' }).click();
    await expect(page.getByLabel(`Amount of ${name}`)).toBeVisible();
});

test('move an edge of the jar by key and by hand; a locked line does not move', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Edge butter\n50 g shea butter\n50 g babassu oil');
    const between = edge(page, 'Shea butter and Babassu oil');
    await between.focus();
    await page.keyboard.press('PageUp');
    await expect(page.getByLabel('Amount of Shea butter')).toHaveValue('55 g');
    await page.keyboard.press('ArrowDown');
    await expect(page.getByLabel('Amount of Babassu oil')).toHaveValue('45.5 g');
    // What a hand does after a pause is a step of its own.
    await page.waitForTimeout(1000);
    const box = await between.boundingBox();
    if (!box) throw new Error('the edge has no place');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y - 60, { steps: 6 });
    await page.mouse.up();
    await expect(page.getByLabel('Amount of Shea butter')).not.toHaveValue('54.5 g');
    await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
    await expect(page.getByLabel('Amount of Shea butter')).toHaveValue('54.5 g');
    await page.getByRole('button', { name: 'More for Shea butter' }).click();
    await page.getByRole('menuitem', { name: 'Lock its share' }).click();
    await expect(between).toHaveCount(0);
    await saved(page);
    await page.reload();
    await expect(page.getByText('locked', { exact: true })).toBeVisible();
});

test('put something else in the place of a line, see what changes, take it back', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Swap oil\n60 g sweet almond oil\n39 g jojoba oil\n1 g vitamin e');
    await page.getByRole('button', { name: 'More for Sweet almond oil' }).click();
    await page.getByRole('menuitem', { name: 'What could take its place' }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByRole('listitem')).toHaveCount(5);
    await expect(dialog.getByText('No tree nut any more.').first()).toBeVisible();
    await dialog.getByRole('listitem').filter({ hasText: 'No tree nut any more.' }).first().getByRole('button', { name: /^Take/ }).click();
    await expect(page.getByLabel('Amount of Sweet almond oil')).toHaveCount(0);
    await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByLabel('Amount of Sweet almond oil')).toHaveValue('60 g');
});

test('a cure shows the jar as it would be before it is done', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Cure oil\n90 g olive oil\n80 drops rosemary essential oil');
    const cure = page.getByRole('group', { name: 'Findings, worst first' }).getByRole('listitem').first().getByRole('button').first();
    await cure.focus();
    await expect(page.getByText(/^Then: /).first()).toBeVisible();
    await expect(page.locator('main svg').filter({ hasText: 'now' }).filter({ hasText: 'then' })).toBeVisible();
    await page.getByLabel('Notes').focus();
    await expect(page.locator('main svg').filter({ hasText: 'then' })).toHaveCount(0);
    await expect(page.getByLabel('Amount of Rosemary essential oil')).toHaveValue('80 drops');
});

test('count the cupboard: what is short, what runs out first, make as much as there is', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Cupboard balm\n70 g cupuacu butter\n30 g babassu oil');
    await page.getByRole('button', { name: 'From the cupboard' }).click();
    const panel = page.getByRole('region', { name: 'From the cupboard' });
    const count = async (name: string, grams: string): Promise<void> => {
        await panel.getByLabel(`Grams of ${name} there are`).fill(grams);
        await panel.getByLabel(`Grams of ${name} there are`).press('Tab');
    };
    await count('Cupuaçu butter', '350');
    await count('Babassu oil', '90');
    await expect(panel.getByText(/Babassu oil runs out first/)).toBeVisible();
    await expect(panel.getByText('300', { exact: true })).toBeVisible();
    await panel.getByRole('button', { name: 'Make that much' }).click();
    await expect(page.getByLabel('Batch mass in grams')).toHaveValue('300');
    await expect(panel.getByRole('row', { name: /Babassu oil/ })).toContainText('90.0');
    await page.getByLabel('Batch mass in grams').fill('400');
    await expect(panel.getByRole('row', { name: /Babassu oil/ })).toContainText('30.0 g short');
});

test('one base, a variant of its own scent: a change is passed on, and taken back', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Family oil\n60 g olive oil\n40 g castor oil');
    await saved(page);
    const base = page.url();
    await page.getByLabel('Name of the new variant').fill('Family oil, lavender');
    await page.getByRole('button', { name: 'Make a variant' }).click();
    await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue('Family oil, lavender');
    const variant = page.url();
    await page.getByRole('button', { name: 'Add a line' }).click();
    const added = page.getByRole('table', { name: 'Lines of this formula' }).locator('tbody tr').last();
    await added.getByLabel(/^Ingredient of/).fill('lavender essential');
    await expect(added.getByRole('option', { name: /^Lavender essential/ }).first()).toBeVisible();
    await added.getByLabel(/^Ingredient of/).press('Enter');
    await added.getByLabel(/^Amount of/).fill('10 drops');
    await saved(page);
    await page.goto(base);
    await page.getByLabel('Amount of Castor oil').fill('30 g');
    await saved(page);
    const family = page.getByRole('region', { name: 'Variants' });
    await expect(family.getByText(/Waiting: .*30 g/)).toBeVisible();
    await family.getByRole('button', { name: 'Pass it on to the variant' }).click();
    await expect(family.getByRole('list', { name: 'What it did' })).toContainText('30 g');
    await page.goto(variant);
    await expect(page.getByLabel('Amount of Castor oil')).toHaveValue('30 g');
    await expect(page.getByLabel(/^Amount of Lavender/)).toHaveValue('10 drops');
    await page.goto(base);
    await page.getByLabel('Amount of Olive oil').fill('70 g');
    await saved(page);
    await family.getByRole('button', { name: 'Pass it on to the variant' }).click();
    await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
    await expect(family.getByText(/Waiting/)).toHaveCount(0);
    await page.goto(variant);
    await expect(page.getByLabel('Amount of Olive oil')).toHaveValue('60 g');
});

test('versions stand as jars; one is brought back, and what is missing beside it is said', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Version oil\n60 g olive oil\n40 g castor oil\n1 g vitamin e');
    await page.getByLabel('What changed').fill('As it was');
    await page.getByRole('button', { name: 'Keep this' }).click();
    const versions = page.getByRole('list', { name: 'Versions, the oldest first' });
    await expect(versions.getByText('As it was')).toBeVisible();
    await page.getByRole('button', { name: /^More for Vitamin E/ }).click();
    await page.getByRole('menuitem', { name: /^Take out/ }).click();
    await expect(page.getByText(/Vitamin E.* was in your last version and is not in this one/)).toBeVisible();
    await page.getByRole('button', { name: 'Put it back' }).click();
    await expect(page.getByLabel(/^Amount of Vitamin E/)).toHaveValue('1 g');
    await page.getByLabel('Amount of Castor oil').fill('3 g');
    await expect(page.getByText(/A slip of the pen\?/)).toBeVisible();
    await versions.getByRole('button', { name: 'Bring back version 1' }).click();
    await expect(page.getByLabel('Amount of Castor oil')).toHaveValue('40 g');
});

test('a bowl that is too small, clear glass, and the page on paper', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Whipped large butter\n1500 g shea butter\n500 g olive oil\nWhip for 10 minutes.');
    await page.getByLabel('Product').selectOption('whipped-butter');
    const small = page.getByRole('listitem').filter({ hasText: 'needs a bowl of' });
    await expect(small).toContainText('goes');
    await small.getByRole('button', { name: /which fits$/ }).click();
    await expect(small).toHaveCount(0);
    await expect(page.getByLabel('Batch mass in grams')).not.toHaveValue('2000');
    const reasons = page.getByRole('region', { name: 'How long it keeps' });
    await expect(reasons).toContainText('In clear glass in the light it would be half of that.');
    await page.getByLabel('In clear glass, in the light').check();
    await expect(reasons).toContainText('In clear glass in the light: half of that.');
    await expect(reasons).toContainText('In dark glass, or in a cupboard');
    await saved(page);
    const sheet = await page.request.get((await page.getByRole('link', { name: 'Print' }).getAttribute('href')) ?? '');
    expect(sheet.status()).toBe(200);
    expect((await sheet.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('from a number to how it was worked out, and back', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Working oil\n2 tbsp castor oil\n60 g olive oil');
    await saved(page);
    await page.getByRole('button', { name: /^Castor oil: 28.3 g, converted/ }).click();
    await page.getByRole('link', { name: 'How it is worked out: amounts' }).click();
    await expect(page.getByRole('heading', { name: 'Amounts', level: 1 })).toBeVisible();
    await expect(page.getByText(/2 tbsp castor oil: 2 × 14.7868/)).toBeVisible();
    await page.goBack();
    await page.getByRole('link', { name: 'How texture is worked out' }).click();
    await expect(page.getByRole('heading', { name: 'Texture', level: 1 })).toBeVisible();
    await page.locator('.method').getByRole('link', { name: 'have taught' }).click();
    await expect(page.getByRole('heading', { name: "What a studio's own batches teach" })).toBeVisible();
});

test('what was found on a batch moves what is said of the next, and can be taken back', async ({ page }) => {
    await enter(page);
    await page.goto('/make');
    await page
        .getByRole('link', { name: /conditioner|bar/i })
        .first()
        .click();
    const found = page.getByRole('region', { name: 'What you found' });
    await expect(found).toBeVisible();
    const before = await found.getByRole('listitem').count();
    await found.getByLabel('Its texture').selectOption('much-firmer');
    await found.getByRole('button', { name: 'Note it' }).click();
    await expect(found.getByRole('listitem')).toHaveCount(before + 1);
    await page.getByRole('link', { name: 'Its formula' }).click();
    await expect(page.getByText(/Learned from your own batches/)).toBeVisible();
    await page.goBack();
    await found
        .getByRole('button', { name: /^Take back: much firmer than said/ })
        .first()
        .click();
    await expect(found.getByRole('listitem')).toHaveCount(before);
});
