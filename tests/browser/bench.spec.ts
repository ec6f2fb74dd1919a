import { enter, expect, onBench, pick, test } from './studio';

const BUTTER = 'Trial butter\n60 g shea butter\n20 g cocoa butter\n20 g sweet almond oil\n1 g vitamin e';

test('ask for softer, see both jars, take it, take it back', async ({ page }) => {
    await enter(page);
    await onBench(page, BUTTER);
    await page.getByRole('button', { name: 'Softer', exact: true }).click();
    const panel = page.getByRole('region', { name: 'Design' });
    await expect(panel.getByText(/effective solids/).first()).toBeVisible();
    await panel.getByRole('button', { name: /Open it as a new version/ }).click();
    // What moves is written in grams as it stood, what does not is left as it was written.
    await expect(page.getByLabel('Amount of Cocoa butter')).not.toHaveValue('20 g');
    await expect(page.getByLabel('Amount of Cocoa butter')).toHaveValue(/ g$/);
    await expect(page.getByLabel('Amount of Shea butter')).toHaveValue('60 g');
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(page.getByLabel('Amount of Cocoa butter')).toHaveValue('20 g');
});

test('ask for a figure of your own, say what is best, take it in simple parts', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Trial oil\n51 g olive oil\n33 g castor oil\n16 g jojoba oil');
    const panel = page.getByRole('region', { name: 'Design' });
    await panel.getByLabel('Also ask for').selectOption({ label: 'weight on the hair, 1 to 5' });
    await panel.getByLabel(/weight on the hair.*: at most/).fill('5');
    await panel.getByRole('button', { name: 'Work it out with these' }).click();
    await expect(panel.getByText('3 olive oil, 2 castor oil, 1 jojoba oil')).toBeVisible();
    await panel.getByRole('button', { name: 'In parts instead' }).click();
    await panel.getByRole('button', { name: /Open it as a new version/ }).click();
    await expect(page.getByLabel('Amount of Castor oil')).toHaveValue('33.3 g');
    await expect(page.getByText('On the bench as a new version: new demands.')).toBeVisible();

    await panel.getByLabel('Also ask for').selectOption({ label: 'weight on the hair, 1 to 5' });
    await panel.getByLabel(/weight on the hair.*: at least/).fill('3.5');
    await panel.getByLabel('Best is').selectOption({ label: 'lightest on the hair' });
    await expect(panel.getByText('Nothing lighter meets them.')).toBeVisible();
});

test('accept a caution with a reason; it opens again when it says something else', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Trial oil\n100 g olive oil\n0.4 g vitamin e');
    const finding = page.getByRole('listitem').filter({ hasText: 'on a 1 g scale' });
    await finding.getByRole('button', { name: 'Keep it anyway, and say why' }).click();
    await finding.getByRole('textbox').fill('I count drops.');
    await finding.getByRole('button', { name: 'Accept', exact: true }).click();
    await expect(finding.getByText('Because: I count drops.')).toBeVisible();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await page.reload();
    await expect(finding.getByText('Because: I count drops.')).toBeVisible();
    await page.getByLabel(/Amount of Vitamin E/).fill('0.3 g');
    await expect(finding.getByRole('button', { name: 'Keep it anyway, and say why' })).toBeVisible();
});

test('measure without a scale, keep versions and put them side by side', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Trial bottle\n43 g olive oil\n20 g castor oil');
    await page.getByRole('button', { name: 'Without a scale' }).click();
    await expect(page.getByRole('cell', { name: '3 tbsp' })).toBeVisible();
    await page.getByLabel('Inner width of a straight bottle, mm').fill('38');
    await page.getByLabel('Inner width of a straight bottle, mm').press('Tab');
    await expect(page.getByRole('img', { name: /Fill strip. Olive oil to \d/ })).toBeVisible();
    await page.getByRole('button', { name: 'Keep this' }).click();
    await page.getByRole('button', { name: 'Write the formula in these measures' }).click();
    await expect(page.getByLabel('Amount of Olive oil')).toHaveValue('3 tbsp');
    await page.getByRole('button', { name: 'Keep this' }).click();
    await expect(page.getByText(/3 tbsp instead of 43 g/)).toBeVisible();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await page.getByRole('listitem').filter({ hasText: /^1/ }).getByRole('link', { name: 'Compare' }).click();
    await expect(page.getByRole('heading', { name: 'Formulas side by side' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Trial bottle, version 1' })).toBeVisible();
    await pick(page, 'Put beside them', 'Cloud butter');
    await expect(page.getByRole('img', { name: /Effective solids. .*Cloud butter/ })).toBeVisible();
    await page.getByRole('button', { name: 'Take Cloud butter away' }).click();
    await expect(page.getByRole('link', { name: 'Cloud butter' })).toHaveCount(0);
});

test('see where the water comes from and add a preservative that fits', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Trial milk\n20 g olive oil\n6 g emulsifying wax\n74 g water');
    await page.getByRole('button', { name: 'Water and preservation' }).click();
    const panel = page.getByRole('region', { name: 'Water and preservation' });
    await expect(panel.getByText('Emulsion (E).')).toBeVisible();
    await panel.getByRole('button', { name: /^Add Phenoxyethanol and/ }).click();
    await expect(page.getByLabel(/Amount of Phenoxyethanol and/)).toHaveValue('0.9 %');
    await expect(page.getByText(/grows microbes within days/)).toHaveCount(0);
});

test('give prices, see what it costs, ask for cheaper', async ({ page }) => {
    await enter(page);
    await onBench(page, 'Trial sealing oil\n50 g marula oil\n50 g moringa oil');
    await page.getByRole('button', { name: 'Cost', exact: true }).click();
    const panel = page.getByRole('region', { name: 'Cost' });
    await panel.getByLabel('Price of a kilogram of Marula oil').fill('60');
    await panel.getByLabel('Price of a kilogram of Marula oil').press('Tab');
    await expect(panel.getByText('3.00', { exact: true }).first()).toBeVisible();
    await panel.getByLabel('Price of a kilogram of Moringa oil').fill('9');
    await panel.getByLabel('Price of a kilogram of Moringa oil').press('Tab');
    await expect(panel.getByText('3.45', { exact: true }).first()).toBeVisible();
    await page.getByRole('button', { name: 'Cheaper', exact: true }).click();
    await expect(
        page
            .getByRole('region', { name: 'Design' })
            .getByText(/costs at most 2.97 for 100 g/)
            .first(),
    ).toBeVisible();
});
