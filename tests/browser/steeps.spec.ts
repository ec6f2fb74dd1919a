import { enter, expect, test } from './studio';

test('a steep is planned by what is written, and its days are drawn from either end', async ({ page }) => {
    await enter(page);
    await page.goto('/steeps/start');
    await expect(page.getByRole('heading', { name: 'Ways of drawing it, side by side' })).toBeVisible();
    await expect(page.getByText('recommended', { exact: true })).toBeVisible();

    // Amounts as they are written; what cannot be is said by its field.
    const amount = page.getByLabel('How much of Calendula flower');
    await amount.fill('1 cup');
    await expect(page.getByText(/is 2\d(\.\d)? g/).first()).toBeVisible();
    await amount.fill('some');
    await expect(page.getByRole('alert').first()).toBeVisible();
    await expect(amount).toHaveValue('some');
    await amount.fill('40 g');
    await expect(page.getByRole('alert')).toHaveCount(0);
    await page.getByRole('button', { name: 'Another plant in the jar' }).click();
    await page.getByRole('button', { name: 'Another oil' }).click();
    await expect(page.getByRole('img', { name: /Calendula flower and Rosemary leaf: plant to/ })).toBeVisible();

    // The right end of the strip: two days longer by the arrow keys.
    const end = page.getByRole('slider', { name: 'Day it is strained' });
    const before = Number(await end.getAttribute('aria-valuenow'));
    await end.focus();
    await page.keyboard.press('ArrowRight');
    await expect(end).toHaveAttribute('aria-valuenow', String(before + 1));
    await page.keyboard.press('ArrowRight');
    await expect(end).toHaveAttribute('aria-valuenow', String(before + 2));
    const start = page.getByRole('slider', { name: 'Day it begins' });
    const box = await start.boundingBox();
    if (!box) throw new Error('the strip has no start');
    const began = Number(await start.getAttribute('aria-valuenow'));
    await page.mouse.move(box.x + box.width / 2, box.y + 20);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 120, box.y + 20, { steps: 6 });
    await page.mouse.up();
    await expect.poll(async () => Number(await start.getAttribute('aria-valuenow'))).toBeGreaterThan(began);

    // Wanted too soon: it says what still can.
    const soon = new Date(Date.now() + 6 * 86_400_000).toISOString().slice(0, 10);
    await page.getByLabel('Wanted by (optional)').fill(soon);
    await expect(page.getByText(/It should have begun on .* To be in time, use the way "water bath"/)).toBeVisible();
    await page.getByRole('button', { name: 'Water bath' }).click();
    await expect(page.getByText(/^Begin by/)).toBeVisible();
});

test('a running jar: noted, topped up, drawn from, taken back, given up', async ({ page }) => {
    await enter(page);
    await page.goto('/steeps/start');
    await page.getByLabel('Its name (optional)').fill('Test jar');
    await page.getByRole('button', { name: 'Start it' }).click();
    await expect(page.getByRole('heading', { name: 'Test jar' })).toBeVisible();

    await page.getByRole('button', { name: 'Colour and smell' }).click();
    await page.getByRole('textbox', { name: 'Colour' }).fill('pale gold');
    await page.getByRole('button', { name: 'Record it' }).click();
    await expect(page.getByText('Colour pale gold')).toBeVisible();

    await page.getByRole('button', { name: 'Take some out' }).click();
    await page.getByRole('button', { name: 'Record it' }).click();
    await expect(page.getByRole('dialog').getByRole('alert').first()).toBeVisible();
    await page.getByLabel('Oil taken out, grams').fill('25');
    await page.getByRole('button', { name: 'Record it' }).click();
    await expect(page.getByText('Took 25 g out; the rest goes on.')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Its oil in the pantry' })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('Took 25 g out; the rest goes on.')).toHaveCount(0);

    await page.getByRole('button', { name: 'Add a herb' }).click();
    await page.getByRole('dialog').getByRole('combobox', { name: 'Plant' }).fill('nettle');
    await page.getByRole('option', { name: /Nettle leaf/ }).click();
    await page.getByLabel('How much').fill('10 g');
    await page.getByRole('button', { name: 'Record it' }).click();
    await expect(page.getByText('Added 10 g of nettle leaf.')).toBeVisible();

    await page.getByRole('button', { name: 'Move it' }).click();
    await page.getByRole('button', { name: 'Record it' }).click();
    await expect(page.getByText('Light oxidises oil')).toBeVisible();

    const picture = Buffer.from(
        'iVBORw0KGgoAAAANSUhEUgAAAAoAAAAKCAIAAAACUFjqAAAAEklEQVR4nGP4z8CAB+GTG8HSALfKY52fTcuYAAAAAElFTkSuQmCC',
        'base64',
    );
    await page.getByLabel('Photograph it').setInputFiles({ name: 'jar.png', mimeType: 'image/png', buffer: picture });
    await expect(page.getByRole('img', { name: /Test jar on/ })).toBeVisible();
    await page.getByLabel('Photograph it').setInputFiles({ name: 'jar.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
    await expect(page.getByText(/A picture is needed/)).toBeVisible();

    await page.getByRole('button', { name: 'It has spoiled' }).click();
    await page.getByLabel(/What was found/).fill('Mould at the rim');
    await page.getByRole('button', { name: 'Give the jar up' }).click();
    await expect(page.getByText(/Given up: Mould at the rim/)).toBeVisible();
});

test('an oil that went bad warns what was made from it', async ({ page }) => {
    await enter(page);
    await page.goto('/steeps');
    await page.getByRole('link', { name: /^Rosemary in olive oil/ }).click();
    await page.getByRole('button', { name: 'It went bad, or was thrown away' }).click();
    await page.getByLabel(/What was found/).fill('Smells rancid');
    await page.getByRole('button', { name: 'Withdraw it' }).click();
    await expect(page.getByText(/must not be used: Smells rancid/)).toBeVisible();
    await page.getByRole('link', { name: 'Braid sealing oil' }).first().click();
    await expect(page, 'the same words stand on the page that is left').not.toHaveURL(/steeps/);
    await expect(page.getByText(/Rosemary in olive oil must not be used/).first()).toBeVisible();
    await page.goBack();
    await page.getByRole('button', { name: 'That was a mistake' }).click();
    await expect(page.getByText(/must not be used: Smells rancid/)).toHaveCount(0);
});
