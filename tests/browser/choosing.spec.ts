import { enter, expect, test } from './studio';

/** A practitioner's questions are answered in at most three acts from Today. */
test('what seals and is light enough, what helps itch, what to avoid in pregnancy', async ({ page }) => {
    await enter(page);
    const pantry = page.getByRole('link', { name: 'Pantry' });
    const rows = page.getByRole('listitem').filter({ has: page.getByRole('checkbox', { name: /stands in my cupboard/ }) });

    await pantry.click();
    await page.getByRole('button', { name: /What seals, and is light enough/ }).click();
    await expect(page).toHaveURL(/strand=fine/);
    await expect(rows.filter({ hasText: 'Watermelon seed oil' })).toBeVisible();
    await expect(rows.filter({ hasText: 'Shea butter' })).toHaveCount(0);

    await pantry.click();
    await page.getByRole('button', { name: /What helps an itchy scalp/ }).click();
    await expect(rows.first()).toContainText('trials on people');
    await expect(rows.first()).toContainText('Tried on:');

    await pantry.click();
    await page.getByRole('button', { name: /What in my cupboard should someone pregnant avoid/ }).click();
    await expect(rows.filter({ hasText: 'Clove bud essential oil' })).toContainText('Avoid.');
    await expect(rows.filter({ hasText: 'Shea butter' })).toHaveCount(0);
});

test('what can be used instead of a nut oil', async ({ page }) => {
    await enter(page);
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox', { name: 'Find or do anything' }).fill('sweet almond');
    await page.getByRole('option', { name: /Sweet almond oil/ }).click();
    await page.getByLabel('A stand-in without').selectOption('tree nut');
    await expect(page.getByText('Free of tree nut.').first()).toBeVisible();
    await page.getByRole('link', { name: 'Lay it beside the nearest' }).click();
    await expect(page.getByRole('heading', { name: 'Side by side' })).toBeVisible();
    await expect(page.getByRole('columnheader')).toHaveCount(4);
});

test("a studio's own figure, ingredient and cupboard", async ({ page }) => {
    await enter(page);
    await page.goto('/pantry/olive-oil');
    await page.getByRole('button', { name: 'Put your own figure for density at 20 °C' }).click();
    await page.getByLabel('best').fill('0.92');
    await page.getByLabel('at most').fill('0.93');
    await page.getByRole('button', { name: "Put it over the catalogue's" }).click();
    await expect(page.getByText('Say where the figure comes from')).toBeVisible();
    await page.getByLabel('Where it comes from').fill('our scale');
    await page.getByRole('button', { name: "Put it over the catalogue's" }).click();
    const ours = page.getByRole('cell', { name: 'yours: our scale' });
    await expect(ours).toBeVisible();
    await page.getByRole('button', { name: "the catalogue's", exact: true }).click();
    await expect(ours).toHaveCount(0);

    await page.getByRole('link', { name: 'Copy this as my own' }).click();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('An ingredient needs a name.')).toBeVisible();
    await page.getByLabel('Name', { exact: true }).fill('Island olive oil');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('heading', { name: 'Island olive oil' })).toBeVisible();
    await page.getByLabel('In my cupboard').check();
    await page.goto('/pantry?at_hand=1&q=island');
    await expect(page.getByRole('link', { name: 'Island olive oil' })).toBeVisible();
    await page.goto(await page.getByRole('link', { name: 'Island olive oil' }).getAttribute('href').then(String));
    await page.getByRole('button', { name: 'Take it out' }).click();
    await expect(page).toHaveURL(/\/pantry$/);
});

test('from a head to a formula: guide, crown map, red flags, shortlist, reasons', async ({ page }) => {
    await enter(page);
    await page.goto('/heads/new');
    await page.getByLabel('Name, or what you call this head').fill('Ngozi');
    await page.getByRole('button', { name: 'Find strand, porosity and scalp by looking' }).click();
    const guide = page.getByRole('dialog');
    await guide.getByText('hardly anything', { exact: true }).click();
    await guide.getByText('stand as beads for minutes').click();
    await expect(guide.getByText('strand: fine.')).toBeVisible();
    await guide.getByRole('button', { name: 'Take these over' }).click();
    await page.getByText('a spreading rash', { exact: true }).click();
    await page.getByRole('button', { name: 'Keep this head' }).click();

    await expect(page.getByText('A clinician first: a spreading rash.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Start a formula' })).toBeDisabled();
    await page.getByText('a spreading rash', { exact: true }).click();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText('A clinician first')).toHaveCount(0);

    await page.getByRole('button', { name: 'nape: not known' }).press('Enter');
    await page.getByRole('group', { name: 'State of the nape' }).getByRole('button', { name: 'flaking' }).click();
    await expect(page.getByRole('tab', { name: 'flaking' })).toBeVisible();
    await page.getByLabel('Choose Tea tree essential oil').check();
    await page.getByRole('button', { name: 'Start a formula' }).click();

    await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue('Scalp oil for Ngozi');
    await expect(page.getByLabel('On the head of')).toHaveValue(/\d+/);
    await expect(page.getByRole('heading', { name: 'How it serves Ngozi' })).toBeVisible();
    await expect(page.getByLabel('Notes')).toHaveValue(/Tea tree essential oil: For flaking/);
    await page.getByLabel('On the head of').selectOption('coarse high');
    await expect(page.getByText(/weight index is .* for this hair/)).toBeVisible();
});
