import { enter, expect, openStudio, skip, test } from './studio';

/** The shelf: from a slip of paper to every gram accounted for. */

const BILL = `2 x 100 ml jojoba oil 13.80
1 kg shea butter 14.50, bb 6/2027
castor oil 250 ml 6.90
argan oil 50 ml 9.95
coconut oil 500 g 5.90
olive oil 1 l 9.80, best before 11/2027
sweet almond oil 500 ml 8.40
avocado oil 250 ml 6.70
grapeseed oil 500 ml 6.20
cocoa butter 500 g 9.90
mango butter 250 g 7.10
beeswax 100 g 3.80
candelilla wax 100 g 4.20
vitamin e 50 ml 8.80
rosemary essential oil 10 ml 5.90
lavender essential oil 10 ml 6.40
peppermint essential oil 10 ml 4.90
dried calendula 100 g 5.80
dried rosemary 100 g 3.20
dried nettle 100 g 3.60
hibiscus powder 100 g 4.10
fenugreek seeds 200 g 2.40
arrowroot 250 g 3.10
aloe vera gel 200 ml 4.50
glycerine 250 ml 3.90
squalane 100 ml 9.00
baobab oil 50 ml 8.20
neem oil 100 ml 6.10
flaxseed oil 250 ml 4.60
the blue bottle 3.00
Shipping 4.90
Total 212.40`;

test('a bill of thirty lines is settled by keyboard, and stands where it is to be used first', async ({ browser }) => {
    const page = await (await browser.newContext({ locale: 'en-GB' })).newPage();
    await page.goto('/');
    await openStudio(page, 'Adaeze');
    await skip(page);
    await page.goto('/pantry/shelf');
    await expect(page.getByText('Nothing stands here yet.')).toBeVisible();
    await page.getByLabel(/What you bought/).fill(BILL);
    const read = page.getByRole('list', { name: 'As it was read' });
    await expect(read.getByRole('listitem')).toHaveCount(30);
    // One line is no ingredient: it is settled by its first letters and Enter.
    const open = read.getByRole('combobox');
    await expect(open).toHaveCount(1);
    await open.fill('kokum');
    await expect(page.getByRole('option', { name: /Kokum butter/ })).toBeVisible();
    await open.press('Enter');
    await expect(read.getByRole('combobox')).toHaveCount(0);
    await page.getByLabel('Grams of Kokum butter in one').fill('100');
    await page.getByLabel('Grams of Kokum butter in one').press('Tab');
    await page.getByLabel(/What you bought/).press('Control+Enter');
    await expect(page.getByText('31 bottles stand on the shelf.')).toBeVisible();
    await expect(page.getByRole('link', { name: /Shea butter/ }).first()).toContainText('by 30 Jun 2027');
});

test('a ready blend is one bottle on the shelf, and all that is in it on the bench', async ({ page }) => {
    await enter(page);
    await page.goto('/pantry/own/new');
    await page.getByLabel('Name', { exact: true }).fill('Moonflower scent');
    await page.getByLabel('A ready blend of several things').check();
    for (const [n, name, percent] of [
        [1, 'lavender essential', '70'],
        [2, 'tea tree', '20'],
    ] as const) {
        const part = page.getByRole('combobox', { name: `Part ${n}` });
        await part.fill(name);
        await expect(page.getByRole('option').first()).toBeVisible();
        await part.press('Enter');
        await page.getByLabel(`Per cent of part ${n}`).fill(percent);
    }
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('These come to 90 %, and have to come to 100 %.')).toBeVisible();
    // The supplier says no more than that there is a little of it.
    await page.getByLabel('Per cent of part 2').fill('');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('Tea tree essential oil (share not said, at most 30 %)')).toBeVisible();
    await page.goto('/pantry/shelf');
    await page.getByLabel(/What you bought/).fill('20 g moonflower scent, 9.00 USD');
    await expect(page.getByRole('list', { name: 'As it was read' })).toContainText('Moonflower scent');
    await page.getByLabel(/What you bought/).press('Control+Enter');
    await page
        .getByRole('link', { name: /Moonflower scent/ })
        .first()
        .click();
    // Nobody has said what a dollar is: no price per gram until then.
    await expect(page.getByText('for 100 g as it came')).toHaveCount(0);
    await page.getByLabel('1 USD was worth, GBP').fill('0.8');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('36.00 GBP for 100 g as it came.')).toBeVisible();
    await page.locator('input[type=file]').setInputFiles('docs/screenshots/counter-phone.png');
    await expect(page.getByRole('img', { name: /Moonflower scent on/ })).toBeVisible();
    await page.getByRole('button', { name: 'take out' }).click();
    await expect(page.getByRole('img', { name: /Moonflower scent on/ })).toHaveCount(0);
    // On the bench its scents are over what a scalp bears.
    await page.goto('/formulas/paste');
    await page.getByLabel("The recipe's text").fill('Night oil\n96 g jojoba oil\n4 g moonflower scent');
    await expect(page.getByText(/Essential oils come to 4.00 %/)).toBeVisible();
});

test('a bottle is weighed with its glass, opened, moved, and called back everywhere', async ({ page }) => {
    await enter(page);
    await page.goto('/pantry/shelf');
    await page.getByLabel(/What you bought/).fill('200 g argan oil, 12.00, tare 90 g, best before 12/2028, from a fair');
    await expect(page.getByRole('list', { name: 'As it was read' }).getByText('Argan oil')).toBeVisible();
    await page.getByRole('button', { name: 'Put it on the shelf' }).click();
    await expect(page.getByText('1 bottle stands on the shelf.')).toBeVisible();
    await page
        .getByRole('region', { name: 'No place given' })
        .getByRole('link', { name: /Argan oil/ })
        .last()
        .click();
    await expect(page.getByText('6.00 GBP for 100 g as it came.')).toBeVisible();
    const before = (await page.getByText(/^Use it by/).textContent()) ?? '';
    await page.getByLabel('Stands in').selectOption('Fridge');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('Kept.')).toBeVisible();
    await page.getByRole('button', { name: 'Opened today' }).click();
    await expect(page.getByText(/^Use it by/)).not.toHaveText(before);
    await page.getByLabel(/the whole on the scale/).fill('80');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByText('It weighs 90 g empty: with something in it it weighs more.')).toBeVisible();
    await page.getByLabel(/the whole on the scale/).fill('250');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByText('g left of 200.')).toBeVisible();
    await expect(page.getByText('-40 g')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('taken back')).toBeVisible();
    await page.getByRole('button', { name: 'It must not be used any more' }).click();
    await page.getByLabel(/Why: it went rancid/).fill('It smells of putty');
    await page.getByRole('button', { name: 'Say so everywhere' }).click();
    await expect(page.getByText(/Must not be used: It smells of putty/)).toBeVisible();
    await page.getByRole('button', { name: 'It may be used after all' }).click();
    await expect(page.getByText(/^Use it by/)).toBeVisible();
});

test('a finished batch says what a jar of it cost and what to ask for it', async ({ page }) => {
    await enter(page);
    await page.goto('/papers');
    await page.getByRole('link', { name: 'Batch record' }).first().click();
    const cost = page.getByRole('region', { name: 'What it cost' });
    await expect(cost.getByText(/ a jar\./)).toBeVisible();
    await cost.getByLabel('A jar, lid and label').fill('1,50');
    await cost.getByLabel('Margin, % of the price').fill('50');
    await expect(cost.getByText('With the margin, ask')).toBeVisible();
});

test('what is short for two batches is one list in packs, to be copied and printed', async ({ page }) => {
    await enter(page);
    await page.goto('/pantry/shopping');
    const field = page.getByRole('combobox', { name: 'What is to be made' });
    for (const words of ['Cloud butter', 'Vegan edge balm']) {
        await field.fill(words);
        await page.getByRole('option', { name: words }).first().click();
    }
    await page.getByLabel('Grams of Cloud butter').fill('6000');
    const list = page.getByRole('region', { name: 'What is short' });
    const shea = list.getByRole('row').filter({ hasText: 'Shea butter' });
    await expect(shea).toContainText('× 3,000 g');
    await page.getByRole('button', { name: 'Leave Cloud butter out' }).click();
    // One that is on the counter is still reckoned with.
    await expect(list.getByText('× 3,000 g')).toHaveCount(0);
});

test('an order is planned back from its day and handed over from the shelf', async ({ page }) => {
    await enter(page);
    await page.goto('/pantry/orders');
    const jars = page.getByRole('row').filter({ hasText: 'Cloud butter' });
    await expect(jars).toBeVisible();
    const there = Number(await jars.getByRole('cell').first().textContent());
    const what = page.getByRole('combobox', { name: 'What is wanted' });
    await what.fill('Cloud butter');
    await page.getByRole('option', { name: 'Cloud butter' }).first().click();
    await page.getByRole('button', { name: 'Take the order' }).click();
    await expect(page.getByText('Who wants it.')).toBeVisible();
    await page.getByLabel('Who wants it').fill('The market');
    await page.getByLabel('Jars', { exact: true }).fill('1');
    const due = new Date(Date.now() + 10 * 86_400_000).toISOString().slice(0, 10);
    await page.getByLabel('By', { exact: true }).fill(due);
    await page.getByRole('button', { name: 'Take the order' }).click();
    const order = page.getByRole('list', { name: 'Open orders' }).getByRole('listitem').filter({ hasText: 'The market' });
    await expect(order).toContainText('Enough jars stand there.');
    await order.getByRole('button', { name: 'Handed over' }).click();
    await expect(order).toHaveCount(0);
    await expect(jars.getByRole('cell').first()).toHaveText(String(there - 1));
});

test('the whole shelf is weighed bottle by bottle, with Enter', async ({ page }) => {
    await enter(page);
    await page.goto('/pantry/shelf');
    await page.getByRole('button', { name: 'Weigh the whole shelf' }).click();
    const list = page.getByRole('list', { name: 'Weigh the shelf' });
    const row = list.getByRole('listitem').filter({ hasText: 'Neem oil' });
    const field = row.getByRole('textbox');
    await field.fill('71,5');
    await field.press('Enter');
    await expect(row.getByRole('status')).toHaveText('71.5 g');
    await expect(list.getByRole('textbox').nth(0)).not.toBeFocused();
    await page.getByRole('button', { name: 'Done weighing' }).click();
    await expect(page.getByRole('region', { name: 'Fridge' }).getByRole('link', { name: /Neem oil/ })).toContainText('71.5 g');
});
