import { execFileSync } from 'node:child_process';
import { enter, expect, goTo, test } from './studio';

/** The maker's way, from the door to a ticked application. */
test('from sign-in to label and rhythm', async ({ page }) => {
    await page.goto('/formulas');
    await expect(page, 'a place asks for a sign-in first').toHaveURL(/sign-in/);
    await enter(page);

    // A head.
    await page.goto('/heads/new');
    await page.getByRole('button', { name: 'Keep this head' }).click();
    await expect(page.getByText('A head needs a name')).toBeVisible();
    await page.getByLabel('Name, or what you call this head').fill('Wanjiru');
    await page.getByText('fine: hardly felt').click();
    await page.getByText('low: water beads').click();
    await page.getByLabel(/Allergies/).fill('sesame');
    await page.getByRole('button', { name: 'Keep this head' }).click();
    await expect(page.getByRole('heading', { name: 'What suits Wanjiru' })).toBeVisible();

    // A steep, started and strained: its oil is an ingredient.
    await page.goto('/steeps/start');
    await page.getByLabel('Its name (optional)').fill('Wanjiru nettle oil');
    await page.getByRole('combobox', { name: 'Plant' }).fill('nettle');
    await page.getByRole('option', { name: /Nettle leaf/ }).click();
    await expect(page.getByText(/1 to [\d.]+, usual 5 to 10/)).toBeVisible();
    await page.getByRole('button', { name: 'Start it' }).click();
    await expect(page.getByRole('heading', { name: 'Wanjiru nettle oil' })).toBeVisible();
    await page.getByRole('button', { name: /Shaken today/ }).click();
    await expect(page.getByRole('button', { name: /Shaken today/ })).toHaveAttribute('aria-pressed', 'true');
    await page.getByRole('link', { name: 'Strain day' }).click();
    await expect(page.getByText(/Earlier gives less/)).toBeVisible();
    const onward = page.getByRole('button', { name: 'Done, next' });
    while ((await page.getByLabel('Oil that came out, grams').count()) === 0) await onward.click();
    await onward.click();
    await expect(page.getByText('Weigh what came out: more than 0 g.')).toBeVisible();
    await page.getByLabel('Oil that came out, grams').fill('260');
    await onward.click();
    await page.reload();
    await onward.click();
    await page.getByText('Kept for another draw').click();
    await page.getByRole('button', { name: 'Done: put it in the pantry' }).click();
    await expect(page.getByText('Counts as dry.')).toBeVisible();

    // A scribbled recipe: what is doubtful is settled in place.
    await page.goto('/formulas/paste');
    await page
        .getByLabel("The recipe's text")
        .fill(
            'Wanjiru scalp oil\n100 g Wanjiru nettle oil\n40 g jojobba oil\n110 drops rosemary essential oil\n5 g zorblax butter\nHeat everything for 10 minutes.',
        );
    await expect(page.getByText('"zorblax butter" is not in the catalogue.').first()).toBeVisible();
    await page.getByRole('combobox', { name: 'Ingredient for 5 g zorblax butter' }).fill('mango');
    await page.getByRole('option', { name: /Mango butter/ }).click();
    await expect(page.getByText('Every line was understood.')).toBeVisible();
    await page.getByRole('button', { name: 'Open it' }).click();

    // On the bench: what is wrong, its cure, undo and redo.
    await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue('Wanjiru scalp oil');
    const drops = page.getByLabel('Amount of Rosemary essential oil');
    await expect(drops).toHaveValue('110 drops');
    await page.getByRole('button', { name: 'Cut the essential oils to the largest safe amount' }).click();
    await expect(drops).not.toHaveValue('110 drops');
    const safe = await drops.inputValue();
    await expect(page.getByText(/may be .* at worst; the ceiling/)).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(drops).toHaveValue('110 drops');
    await page.getByRole('button', { name: 'Redo' }).click();
    await expect(drops).toHaveValue(safe);
    await page.getByRole('button', { name: 'Move it to the cool-down' }).click();
    await expect(page.getByText(/goes in with "melt"/)).toHaveCount(0);
    await page.getByLabel('On the head of').selectOption({ label: 'Wanjiru' });
    await expect(page.getByText(/weight index is/)).toBeVisible();
    await page.getByLabel('What changed').fill('Safe now');
    await page.getByRole('button', { name: 'Keep this' }).click();
    await expect(page.getByText('Kept as version 1.')).toBeVisible();

    // The figures say how they are known.
    await page.getByRole('button', { name: /Jojoba oil: .* measured\. Show the working/ }).click();
    await expect(page.getByText('Weighed: uncertain by half the resolution of the scale.')).toBeVisible();
    await page.keyboard.press('Escape');

    // Made at the counter.
    await page.getByRole('button', { name: 'Make it' }).click();
    await expect(page.getByText('0 of 4.')).toBeVisible();
    const step = page.getByRole('region', { name: 'This step' });
    for (const name of ['Wanjiru nettle oil', 'Jojoba oil', 'Mango butter', 'Rosemary essential oil']) {
        await step.getByRole('button', { name: new RegExp(name) }).click();
        await expect(step.getByRole('button', { name: new RegExp(name) })).toHaveAttribute('aria-pressed', 'true');
    }
    const went = { 'Mango butter': '5', 'Wanjiru nettle oil': '100,5', 'Jojoba oil': '41' };
    await goTo(page, /Weigh: Mango butter/);
    await step.getByRole('button', { name: 'Weighed' }).click();
    await expect(step.getByText('Enter what the scale shows')).toBeVisible();
    for (const [name, grams] of Object.entries(went)) {
        await goTo(page, new RegExp(`Weigh: ${name}`));
        await expect(step.getByRole('heading', { name })).toBeVisible();
        await step.getByLabel('The scale shows, grams').fill(grams);
        await step.getByRole('button', { name: 'Weighed' }).click();
        // What is not what was asked for is talked over first.
        const keep = step.getByRole('button', { name: 'Keep it as it is' });
        await expect(keep.or(page.getByRole('heading', { name: new RegExp(`^(?!${name})`), level: 2 })).first()).toBeVisible();
        if (await keep.isVisible()) await keep.click();
        await expect(step.getByRole('heading', { name })).toHaveCount(0);
    }
    // What is written in drops is counted.
    await goTo(page, /Weigh: Rosemary essential oil/);
    await step.getByLabel('Drops that fell').fill(safe.replace(/\D/g, ''));
    await step.getByRole('button', { name: 'Counted' }).click();
    await goTo(page, /Wash hands/);
    await step.getByRole('button', { name: 'Done' }).click();
    await expect(step.getByText('Wash hands')).toHaveCount(0);
    await page.reload();
    await goTo(page, /Wash hands/);
    await expect(step.getByText(/^Done, /), 'nothing is lost when the screen sleeps').toBeVisible();
    await goTo(page, /Count the jars/);
    await page.getByLabel('Jars filled').fill('3');
    await page.getByLabel('Jar, ml').fill('50');
    await page.getByLabel('Net in one, grams').fill('900');
    await page.getByRole('button', { name: 'Done: keep the record' }).click();
    await expect(page.getByText(/come to more than/)).toBeVisible();
    await page.getByLabel('Net in one, grams').fill('46');
    await page.getByRole('button', { name: 'Done: keep the record' }).click();
    await expect(page.getByText('What was truly weighed')).toBeVisible();
    const weighed = page.getByRole('table', { name: 'What was truly weighed' });
    await expect(weighed.getByRole('row', { name: /Wanjiru nettle oil/ })).toContainText('100.50');

    // The label as PDF.
    const href = await page.getByRole('link', { name: 'Label as PDF' }).getAttribute('href');
    const pdf = await page.request.get(href ?? '');
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    const text = execFileSync('pdftotext', ['-layout', '-', '-'], { input: await pdf.body() })
        .toString()
        .replace(/\s+/g, ' ');
    expect(text).toContain('Wanjiru scalp oil');
    expect(text).toContain('46 g net');
    expect(text).toContain('Helianthus Annuus Seed Oil, Simmondsia Chinensis Seed Oil, Mangifera Indica Seed Butter');
    expect(text).toContain('Made in small batches at the Linden Loft');
    expect(text).toMatch(/Best before 20\d\d-\d\d-\d\d/);

    // Its use: the patch test first, and no use of a jar before it was made.
    await page.goto('/rhythm');
    await page.getByLabel('Whose head').selectOption({ label: 'Wanjiru' });
    const used = page.getByRole('combobox', { name: 'What is used' });
    await used.click();
    await page.getByRole('listbox').getByRole('option').first().click();
    const back = new Date(Date.now() - 3 * 86_400_000).toISOString().slice(0, 10);
    await page.getByLabel('Patch test on').fill(back);
    await page.getByRole('button', { name: 'Plan it, patch test first' }).click();
    await expect(page.getByText(/was made on/)).toBeVisible();
    await used.click();
    await page
        .getByRole('listbox')
        .getByRole('option', { name: /gentle oil/ })
        .first()
        .click();
    await page.getByRole('button', { name: 'Plan it, patch test first' }).click();
    await expect(page.getByRole('heading', { name: /Wanjiru: / })).toBeVisible();
    await page.getByRole('listitem').filter({ hasText: 'Apply' }).first().getByRole('button', { name: 'Done' }).click();
    await expect(page.getByText('Wait for the patch test')).toBeVisible();
    await page.getByRole('listitem').filter({ hasText: 'Patch test' }).first().getByRole('button', { name: 'Done' }).click();
    await page.getByRole('button', { name: 'Skin is calm' }).click();
    await expect(page.getByRole('button', { name: /Take back done/ })).toHaveCount(2);

    // Ticked off on Today.
    await page.goto('/');
    const tick = page.getByRole('button', { name: /Tick: Wanjiru: apply Tuma's gentle oil/ });
    await tick.click();
    await expect(page.getByText('Ticked.')).toBeVisible();
    await expect(tick).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(tick).toBeVisible();
});
