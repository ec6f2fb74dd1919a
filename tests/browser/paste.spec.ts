import { expect, test, type Page } from '@playwright/test';
import { enter } from './studio';

/** A scribbled recipe, read where it stands. */

async function paste(page: Page, text: string): Promise<void> {
    await page.goto('/formulas/paste');
    await page.getByLabel("The recipe's text").fill(text);
}
/** Presses a word where it stands in the text. */
async function pressWord(page: Page, word: string): Promise<void> {
    await page.getByLabel("The recipe's text").evaluate((e: HTMLTextAreaElement, of) => {
        const at = e.value.indexOf(of) + 1;
        e.focus();
        e.setSelectionRange(at, at);
        e.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    }, word);
}

test('a figure that became nothing cannot be overlooked, and is settled where it stands', async ({ page }) => {
    await enter(page);
    await paste(page, '🌿 In row 12 it was 30 g castor oil, 20 g olive oil and 10 g dragon oil, all of it for a 3c head of hair.');
    const box = page.getByLabel("The recipe's text");
    await expect(page.getByRole('heading', { name: '2 figures stand in no line and no step' })).toBeVisible();
    await page.getByRole('button', { name: 'Show 12 in the text' }).click();
    const selected = await box.evaluate((e: HTMLTextAreaElement) => e.value.slice(e.selectionStart, e.selectionEnd));
    expect(selected).toBe('12');
    await page.getByRole('button', { name: 'It is no amount' }).click();
    await expect(page.getByRole('heading', { name: 'One figure stands in no line and no step' })).toBeVisible();
    await expect(page.getByText('"dragon oil" is not in the catalogue.').first()).toBeVisible();
    await expect(page.getByLabel('Amount of dragon oil')).toHaveValue('10 g');
    await box.fill('Oil\n30 g castor oil\nMakes 300 g');
    await expect(page.getByText('It says "Makes 300 g". Its amounts come to 30 g.')).toBeVisible();
    await expect(page.getByRole('heading', { name: /in no line and no step/ })).toHaveCount(0);
});

test('doubtful words are settled by one key each, kept when the text changes elsewhere, and known in the next recipe', async ({ page }) => {
    await enter(page);
    await paste(page, 'Edge oil\n2 tbsp kastr oyl\n30 g olive oil or sunflower oil\n5 g unicorn dust');
    const card = page.getByRole('region', { name: 'What these words are' });
    await expect(card.getByText('1 of 2 to settle')).toBeVisible();
    await card.getByRole('combobox', { name: /^Ingredient for/ }).fill('castor oil');
    await page
        .getByRole('option', { name: /^Castor oil/ })
        .first()
        .click();
    await expect(card.getByText('“5 g unicorn dust”')).toBeVisible();
    await page.locator('main').focus();
    await page.keyboard.press('0');
    await expect(page.getByText('Every line was understood.')).toBeVisible();
    await expect(page.getByLabel('Amount of Castor oil', { exact: true })).toHaveValue('2 tbsp');

    await pressWord(page, 'sunflower');
    await page.locator('main').focus();
    await page.keyboard.press('1');
    await expect(page.getByLabel('Amount of Sunflower oil')).toHaveValue('30 g');
    await page
        .getByLabel("The recipe's text")
        .fill('Edge oil\n9 g argan oil\n2 tbsp kastr oyl\n30 g olive oil or sunflower oil\n5 g unicorn dust');
    await expect(page.getByLabel('Amount of Argan oil')).toBeVisible();
    await expect(page.getByLabel('Amount of Sunflower oil')).toBeVisible();
    await expect(page.getByText('Every line was understood.')).toBeVisible();
    await page.reload();
    await expect(page.getByText('Every line was understood.')).toBeVisible();
    await page.getByRole('button', { name: 'Clear' }).click();

    await paste(page, 'Another\n1 tbsp kastr oyl\n9 g olive oil');
    await expect(page.getByLabel('Amount of Castor oil', { exact: true })).toHaveValue('1 tbsp');
    await pressWord(page, 'kastr');
    await expect(card.getByText('You settled this name before.')).toBeVisible();
    await card.getByRole('button', { name: 'Forget it' }).click();
    await expect(page.getByText('Is "kastr oyl" castor oil?').first()).toBeVisible();
});

test('of two recipes in one text one is read, and the page asks which until she says so', async ({ page }) => {
    await enter(page);
    await paste(page, 'Version A\n30 g shea butter\n20 g castor oil\n\nVersion B\n40 g shea butter\n10 g jojoba oil');
    const card = page.getByRole('region', { name: 'What these words are' });
    await expect(card.getByText('The text holds 2 recipes. This is "Version A"; "Version B" is not read.')).toBeVisible();
    await expect(page.getByText('1 of 2 lines to settle.')).toBeVisible();
    await expect(page.getByLabel('Amount of Jojoba oil')).toHaveCount(0);
    await card.getByRole('button', { name: '30 g is right' }).click();
    await expect(page.getByText('Every line was understood.')).toBeVisible();
    await expect(page.getByLabel('Amount of Shea butter')).toHaveValue('30 g');
});

test('a steep in a recipe is begun in one act, and what it will give stands on the bench', async ({ page }) => {
    await enter(page);
    await paste(
        page,
        'Nettle oil of the yard\n30 g dried nettle\n250 g sunflower oil\n1 % rosemary essential oil\n' +
            'Cover the herb with the oil. Leave to steep for 5 weeks in the dark, then strain. Stir in the rest.',
    );
    await expect(page.getByText('Nettle leaf in Sunflower oil is a steep of its own: 35 days.')).toBeVisible();
    await page.getByRole('button', { name: 'Begin its steep' }).click();
    await expect(page).toHaveURL(/\/formulas\/\d+$/);
    await expect(page.getByText(/still stands on its plants\. It can be strained on/).first()).toBeVisible();
    await page.goto('/steeps');
    await expect(page.getByRole('link', { name: /Nettle/ }).first()).toBeVisible();
});

test('one fresh dose goes straight to the counter, on a phone too', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await enter(page);
    await paste(page, 'Aloe mask\n40 g fresh aloe vera gel\n30 g olive oil');
    await expect(page.getByLabel('Amount of Olive oil')).toHaveValue('30 g');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(wide).toBeLessThanOrEqual(0);
    await page.getByRole('button', { name: /Make just one use/ }).click();
    await expect(page).toHaveURL(/\/make\/\d+$/);
    await expect(page.getByText(/used at once/).first()).toBeVisible();
});
