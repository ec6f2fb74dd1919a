import { enter, expect, onBench, test } from './studio';

const RECIPE = 'Typing test oil\n60 g olive oil\n40 g jojoba oil';

test('a late answer never overtakes a newer one, and no keystroke is lost', async ({ page }) => {
    await enter(page);
    await onBench(page, RECIPE);
    let calls = 0;
    await page.route('**/api/evaluate', async (route) => {
        // The first answers come long after the later ones.
        if (++calls <= 2) await new Promise((done) => setTimeout(done, 1500));
        await route.continue().catch(() => {});
    });
    const amount = page.getByLabel('Amount of Olive oil');
    await amount.fill('');
    await amount.pressSequentially('160 g', { delay: 70 });
    await expect(page.locator('tfoot')).toContainText('200.0');
    await page.waitForTimeout(1800);
    await expect(page.locator('tfoot')).toContainText('200.0');
    await expect(amount).toHaveValue('160 g');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Amount of Olive oil')).toHaveValue('160 g');
});

test('half-written amounts are kept and said, and nothing jumps', async ({ page }) => {
    await enter(page);
    await onBench(page, RECIPE);
    const amount = page.getByLabel('Amount of Jojoba oil');
    const before = await page.getByLabel('Amount of Olive oil').boundingBox();
    await amount.fill('2 tb sp');
    await expect(page.getByText('"2 tb sp" could not be read').first()).toBeVisible();
    await expect(amount).toBeFocused();
    expect((await page.getByLabel('Amount of Olive oil').boundingBox())?.y).toBe(before?.y);
    await amount.fill('½ cup');
    await expect(page.getByText('could not be read')).toHaveCount(0);
});

test('when the application is away what was typed is kept and sent again', async ({ page }) => {
    await enter(page);
    await onBench(page, RECIPE);
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await page.route('**/api/formulas/*', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()));
    await page.getByLabel('Amount of Olive oil').fill('77 g');
    await expect(page.getByText('the application does not answer')).toBeVisible();
    await page.unroute('**/api/formulas/*');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Amount of Olive oil')).toHaveValue('77 g');
});

test('two people on one formula are both heard', async ({ page, context }) => {
    await enter(page);
    await onBench(page, RECIPE);
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    const other = await context.newPage();
    await other.goto(page.url());
    await other.getByLabel('Amount of Olive oil').fill('11 g');
    await expect(other.getByText('Saved', { exact: true })).toBeVisible();
    await page.getByLabel('Amount of Olive oil').fill('22 g');
    await expect(page.getByText('Someone changed this formula since you opened it')).toBeVisible();
    await expect(page.getByLabel('Amount of Olive oil')).toHaveValue('22 g');
    await page.getByRole('button', { name: /Take theirs/ }).click();
    await expect(page.getByLabel('Amount of Olive oil')).toHaveValue('11 g');
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(page.getByLabel('Amount of Olive oil')).toHaveValue('22 g');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
});

test('a hostile paste is answered and lost nothing', async ({ page }) => {
    await enter(page);
    await page.goto('/formulas/paste');
    const box = page.getByLabel("The recipe's text");
    const huge = 'shea butter 20 g\n'.repeat(12_000);
    // Set as a paste does, in one go.
    await box.evaluate((e: HTMLTextAreaElement, text) => {
        e.value = text;
        e.dispatchEvent(new Event('input', { bubbles: true }));
    }, huge);
    await expect(page.getByText(/at most 60,000 can be read/)).toBeVisible();
    expect((await box.inputValue()).length).toBe(huge.length);
    await box.fill('<img src=x onerror="window.hacked=1">\n🧴 2 tbsp castor oil\nزيت 3 g');
    await expect(page.getByText('Castor oil', { exact: true })).toBeVisible();
    expect(await page.evaluate(() => (window as unknown as { hacked?: number }).hacked)).toBeUndefined();
    await page.getByRole('button', { name: 'Clear' }).click();
    await expect(page.getByRole('heading', { name: 'What was understood' })).toBeVisible();
});

test('the bench is worked by keyboard', async ({ page }) => {
    await enter(page);
    await onBench(page, RECIPE);
    await page.getByLabel('Amount of Jojoba oil').press('Enter');
    await expect(page.getByRole('combobox', { name: 'Ingredient of line without a name' })).toBeFocused();
    await page.keyboard.type('mangp buter');
    await expect(page.getByRole('option', { name: /Mango butter/ })).toBeVisible();
    await page.keyboard.press('Enter');
    const added = page.getByLabel('Amount of Mango butter');
    await added.fill('10 g');
    await added.press('Alt+ArrowUp');
    await expect(page.locator('tbody tr').nth(1).getByLabel('Amount of Mango butter')).toBeFocused();
    await page.keyboard.press('Control+k');
    await page.keyboard.type('cloud');
    await expect(page.getByRole('option', { name: /^Cloud butter Whipped/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue('Cloud butter');
    await page.locator('main').focus();
    await page.keyboard.press('?');
    await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible();
    await page.keyboard.press('Escape');
    await page.keyboard.press('p');
    await expect(page).toHaveURL(/paste/);
});

test('a formula put away can be brought back', async ({ page }) => {
    await enter(page);
    await onBench(page, RECIPE.replace('Typing', 'Shelved'));
    await page.getByRole('button', { name: 'Put away' }).click();
    await expect(page.getByText('was put away')).toBeVisible();
    await expect(page.getByRole('link', { name: /Shelved test oil/ })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('link', { name: /Shelved test oil/ })).toBeVisible();
});
