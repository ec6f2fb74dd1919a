import { test as base, expect, type Page } from '@playwright/test';

/** A page that fails its test when a script on it fails. */
export const test = base.extend<{ page: Page }>({
    page: async ({ page }, use) => {
        const failures: string[] = [];
        page.on('pageerror', (e) => failures.push(e.message));
        await use(page);
        expect(failures, 'errors of scripts on the page').toEqual([]);
    },
});

export { expect };

export async function enter(page: Page): Promise<void> {
    await page.goto('/sign-in');
    await page.getByRole('button', { name: 'Enter the demo studio' }).click();
    await expect(page.getByRole('heading', { name: 'Needs hands now' })).toBeVisible();
}

/** Pastes a recipe and puts it on the bench. */
export async function onBench(page: Page, text: string): Promise<void> {
    await page.goto('/formulas/paste');
    await page.getByLabel("The recipe's text").fill(text);
    await page.getByRole('button', { name: 'Open it' }).click();
    await expect(page).toHaveURL(/\/formulas\/\d+$/);
}

/** Takes one of many: a few letters are typed, and what was found by that name is taken. */
export async function pick(page: Page, label: string, option: string): Promise<void> {
    const field = page.getByRole('combobox', { name: label, exact: true });
    await field.fill(option);
    await page.getByRole('option', { name: option, exact: true }).click();
}

export const PASSWORD = 'three grey geese by the mill';
let last = 0;
/** A name to sign in with that nobody has yet. */
export const login = (name: string): string => `${name}.${process.pid}.${Date.now()}.${last++}`;

/** From the door to the first question of a studio of one's own; six acts. */
export async function openStudio(page: Page, name: string, as = login(name.toLowerCase())): Promise<void> {
    await page.getByRole('link', { name: 'Open a studio' }).click();
    await page.getByLabel(/^Your name/).fill(name);
    await page.getByLabel('What the studio is called').fill(`${name}'s kitchen`);
    await page.getByLabel('Address or name to sign in with').fill(as);
    await page.getByLabel(/^Password/).fill(PASSWORD);
    await page.getByRole('button', { name: 'Open it' }).click();
    await expect(page.getByRole('heading', { name: 'Where is your kitchen?' })).toBeVisible();
}
/** The questions of a new studio, answered by what stands there. */
export const skip = (page: Page): Promise<void> => page.getByRole('button', { name: /^Skip/ }).click();

/** At the counter: to a step, by the list of all of them. */
export async function goTo(page: Page, step: RegExp): Promise<void> {
    await page.getByRole('button', { name: /^Step \d+ of/ }).click();
    const list = page.getByRole('dialog', { name: 'All steps' });
    await list.getByRole('button', { name: step }).first().click();
    await expect(list).toHaveCount(0);
}
