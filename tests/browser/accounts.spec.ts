import type { Browser, Page } from '@playwright/test';
import { enter, expect, login, openStudio, PASSWORD, skip, test } from './studio';

/** Studios of one's own: opened, set up, shared, recovered, left. */

async function door(browser: Browser, locale: string, timezoneId: string): Promise<Page> {
    const page = await (await browser.newContext({ locale, timezoneId })).newPage();
    await page.goto('/');
    return page;
}

test('from the first visit to a true percentage of her own in nine acts, with decimals as she writes them', async ({ browser }) => {
    const page = await door(browser, 'de-DE', 'Europe/Berlin');
    await openStudio(page, 'Ife');
    await expect(page.getByText('Metric cups, 250 ml, 1,5 g, EUR')).toBeVisible();
    await skip(page);
    await page.getByRole('link', { name: 'Paste a recipe' }).click();
    await page.getByLabel("The recipe's text").fill('Haaröl\n60,5 g Jojobaöl\n39,5 g Olivenöl');
    await expect(page.getByText('60,5', { exact: false }).first()).toBeVisible();
    await expect(page.getByRole('listitem').filter({ hasText: 'Jojoba oil' })).toContainText('60,5');
});

test('a kitchen with US cups and a fine scale is set up in three short screens', async ({ browser }) => {
    const page = await door(browser, 'en-US', 'America/Chicago');
    await openStudio(page, 'Zora');
    await expect(page.getByLabel('Country')).toHaveValue('US');
    await page.getByRole('button', { name: 'Next' }).click();
    await expect(page.getByLabel('Time zone')).toHaveValue('America/Chicago');
    await page.getByRole('button', { name: 'Next' }).click();
    await page.getByLabel(/scale shows steps/).fill('-1');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText('A scale shows steps of 0.001 to 100 g.')).toBeVisible();
    await page.getByLabel(/scale shows steps/).fill('0.1');
    await page.getByLabel(/level tablespoon of water/).fill('13.2');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { name: 'Needs hands now' })).toBeVisible();
    await page.goto('/formulas/paste');
    // 236.6 ml of olive oil weigh 216 g.
    await page.getByLabel("The recipe's text").fill('Oil\n1 cup olive oil');
    await expect(page.getByText(/, 216 g\./)).toBeVisible();
    await page.goto('/studio?part=kit');
    await expect(page.getByText('tbsp, Water, one filling weighs 13.2 g')).toBeVisible();
    await page.goto('/studio?part=kitchen');
    await expect(page.getByLabel('Dates are written')).toHaveValue('month-first');
    await expect(page.getByLabel('The scale shows steps of, grams')).toHaveValue('0.1');
});

test('a spoon of her own, weighed once, changes what her recipes come to and says so', async ({ browser }) => {
    const page = await door(browser, 'de-DE', 'Europe/Berlin');
    await openStudio(page, 'Hawa');
    await skip(page);
    await page.goto('/studio?part=kit');
    await page.getByRole('button', { name: 'Scale', exact: true }).click();
    await page.getByLabel('What I call it').fill('Feinwaage');
    await page.getByLabel('Shows steps of, g').fill('nichts');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('alert').first()).toBeVisible();
    await page.getByLabel('Shows steps of, g').fill('0,01');
    await page.getByLabel('Carries at most, g').fill('200');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('shows steps of 0,01 g')).toBeVisible();
    await page.getByRole('button', { name: 'Spoon or cup of my own' }).click();
    await page.getByLabel('What I call it').fill('Der alte Löffel');
    await page.getByLabel('Which').selectOption('tbsp');
    await page.getByRole('combobox', { name: 'Weighed with' }).fill('shea');
    await page
        .getByRole('option', { name: /^Shea butter/ })
        .first()
        .click();
    await page.getByLabel('One filling weighs, g').fill('12,1');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('Der alte Löffel')).toBeVisible();
    await page.goto('/formulas/paste');
    await page.getByLabel("The recipe's text").fill('Butter\n10 EL Sheabutter und nichts weiter');
    await expect(page.getByText(/, 121 g\./)).toBeVisible();
    await page.goto('/studio?part=kit');
    await page.getByRole('listitem').filter({ hasText: 'Der alte Löffel' }).getByRole('button', { name: 'Take out' }).click();
    await expect(page.getByRole('strong').filter({ hasText: 'Der alte Löffel' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('strong').filter({ hasText: 'Der alte Löffel' })).toBeVisible();
});

test('what makers disagree about is her own choice, and what the next steep begins with', async ({ browser }) => {
    const page = await door(browser, 'en-GB', 'Europe/London');
    await openStudio(page, 'Yewande');
    await skip(page);
    await page.goto('/steeps/start');
    await expect(page.getByRole('button', { name: 'Cold and dark', pressed: true })).toBeVisible();
    await page.goto('/studio?part=ways');
    await expect(page.getByRole('radio', { name: /^In the dark/ })).toBeChecked();
    let kept = 0;
    page.on('response', (r) => (kept += r.request().method() === 'PUT' && r.url().endsWith('/api/schools') && r.ok() ? 1 : 0));
    // Both in one breath; both are kept.
    await page.getByRole('radio', { name: /^On a sunny sill/ }).check();
    await page.getByRole('radio', { name: /^Fresh plants/ }).check();
    await expect.poll(() => kept).toBe(2);
    await page.goto('/steeps/start');
    await expect(page.getByRole('button', { name: 'Sunny sill', pressed: true })).toBeVisible();
    await expect(page.getByLabel('Form of Calendula flower')).toHaveValue('fresh');
});

test('somebody is asked in as a helper, does her part, and is taken out', async ({ browser }) => {
    const owner = await door(browser, 'en-GB', 'Europe/London');
    await openStudio(owner, 'Amina');
    await skip(owner);
    await owner.goto('/studio?part=people');
    await owner.getByLabel('Ask somebody in, as').selectOption('helper');
    await owner.getByRole('button', { name: 'Make a link' }).click();
    await expect(owner.getByRole('img', { name: 'The link as a code for a camera' })).toBeVisible();
    const link = (await owner.locator('code').first().textContent()) ?? '';

    const helper = await (await browser.newContext()).newPage();
    await helper.goto(new URL(link).pathname);
    await expect(helper.getByRole('heading', { name: "Amina asks you into Amina's kitchen" })).toBeVisible();
    await helper.getByLabel(/^Your name/).fill('Noor');
    await helper.getByLabel('Address or name to sign in with').fill(login('noor'));
    await helper.getByLabel(/^Password/).fill(PASSWORD);
    await helper.getByRole('button', { name: 'Join' }).click();
    await expect(helper.getByRole('heading', { name: 'Needs hands now' })).toBeVisible();
    await expect(helper.getByRole('navigation', { name: 'Places' }).getByRole('listitem')).toHaveText([
        'Today',
        'Steeps',
        'Make',
        'Rhythm',
    ]);
    await helper.goto('/formulas');
    await expect(helper).toHaveURL(/\/$/);

    await owner.reload();
    await expect(owner.getByLabel('Part of Noor')).toHaveValue('helper');
    await owner.getByRole('button', { name: 'Take out' }).click();
    await owner.getByRole('button', { name: 'Take her out' }).click();
    await expect(owner.getByLabel('Part of Noor')).toHaveCount(0);
    await helper.goto('/steeps');
    await expect(helper.getByRole('heading', { name: 'Sign in to your studio' })).toBeVisible();
});

test('a lost password is replaced by a code, and a studio that is left can be kept after all', async ({ browser }) => {
    const as = login('sade');
    const page = await door(browser, 'en-GB', 'Europe/London');
    await openStudio(page, 'Sade', as);
    await skip(page);
    await page.goto('/studio?part=safety');
    const form = page.locator('form').filter({ hasText: 'Make ten new codes' });
    await form.getByLabel('Current password').fill(PASSWORD);
    await form.getByRole('button', { name: 'Make ten new codes' }).click();
    const codes = page.getByRole('list', { name: 'Codes' }).getByRole('listitem');
    await expect(codes).toHaveCount(10);
    const code = ((await codes.nth(2).textContent()) ?? '').trim();
    await page.getByRole('button', { name: 'Sign out', exact: true }).click();
    await page.getByRole('link', { name: 'Forgot your password?' }).click();
    await expect(page.getByRole('heading', { name: 'Forgot your password?' })).toBeVisible();
    await page.getByLabel('Address or name').fill(as);
    await page.getByLabel('Code').fill(code);
    await page.getByLabel(/^New password/).fill('Password1234');
    await page.getByRole('button', { name: 'Show it' }).click();
    await expect(page.getByLabel(/^New password/)).toHaveAttribute('type', 'text');
    await page.getByRole('button', { name: 'Set it and enter' }).click();
    await expect(page.getByText(/everybody tries first/)).toBeVisible();
    await page.getByLabel(/^New password/).fill('four quiet herons on ice');
    await page.getByRole('button', { name: 'Set it and enter' }).click();
    await expect(page.getByRole('heading', { name: 'Needs hands now' })).toBeVisible();

    await page.goto('/studio?part=data');
    await page.getByLabel(/^Type its name/).fill("Sade's kitchen");
    await expect(page.getByRole('button', { name: 'Leave in thirty days' })).toBeDisabled();
    await page.getByLabel('Your password', { exact: true }).fill('four quiet herons on ice');
    await page.getByRole('button', { name: 'Leave in thirty days' }).click();
    await expect(page.getByText(/is taken away on/)).toBeVisible();
    await page.getByRole('button', { name: 'Stay after all' }).click();
    await expect(page.getByText(/is taken away on/)).toHaveCount(0);
});

test('what was found in the demo studio is taken along into her own', async ({ browser }) => {
    const page = await door(browser, 'en-GB', 'Europe/London');
    await page.getByRole('button', { name: 'Enter the demo studio' }).click();
    await expect(page.getByRole('heading', { name: 'Needs hands now' })).toBeVisible();
    await page.goto('/formulas');
    await page.getByRole('main').getByRole('link').filter({ hasText: 'Cloud butter' }).first().click();
    await page.getByRole('button', { name: 'Take it into my own studio' }).click();
    await expect(page.getByText(/What you took with you from the demo studio/)).toBeVisible();
    await openStudio(page, 'Kemi');
    await skip(page);
    await expect(page).toHaveURL(/\/formulas\/\d+$/);
    await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue(/Cloud butter/);
});

test('a jar has a passport by its link, and says nothing that its label would deny', async ({ page, browser }) => {
    await enter(page);
    await page.goto('/papers');
    await page.getByRole('link', { name: 'Batch record' }).first().click();
    await page.getByRole('button', { name: 'A link for its jars' }).click();
    await expect(page.getByRole('img', { name: 'The link as a code for a camera' })).toBeVisible();
    const link = new URL((await page.locator('code').first().textContent()) ?? '').pathname;
    const label = page.getByRole('article', { name: 'Label preview' });
    const lot = (await label.locator('b').nth(1).textContent()) ?? '';
    const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await other.goto(link);
    await expect(other.getByText('May I mix it with something else?')).toBeVisible();
    await expect(other.getByText(lot).first()).toBeVisible();
    const wide = await other.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(wide).toBeLessThanOrEqual(0);
    await page.goto('/studio?part=links');
    await page.getByRole('button', { name: 'End it' }).first().click();
    await other.reload();
    await expect(other.getByText('This link was ended. Ask whoever gave it to you.')).toBeVisible();
});

test('a routine is seen by a private link, until it is ended', async ({ page, browser }) => {
    await enter(page);
    await page.goto('/rhythm');
    await page.locator('main a[href^="/rhythm/"]').first().click();
    const give = page.getByRole('button', { name: /^Give .* a link$/ });
    await expect(give).toBeVisible();
    const title = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
    await give.click();
    await expect(page.getByRole('img', { name: 'The link as a code for a camera' })).toBeVisible();
    const link = new URL((await page.locator('code').first().textContent()) ?? '').pathname;
    const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await other.goto(link);
    await expect(other.getByText(/see a clinician first/)).toBeVisible();
    const product = (await other.getByRole('heading', { level: 1 }).textContent()) ?? '';
    expect(title).toContain(product.trim());
    const wide = await other.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(wide).toBeLessThanOrEqual(0);
    await page.goto('/studio?part=links');
    await expect(page.getByText(/last seen today/).first()).toBeVisible();
    await page.getByRole('button', { name: 'End it' }).first().click();
    await expect(page.getByRole('button', { name: 'End it' })).toHaveCount(0);
    await other.reload();
    await expect(other.getByText('This link was ended. Ask whoever gave it to you.')).toBeVisible();
});
