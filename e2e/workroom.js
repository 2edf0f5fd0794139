import AxeBuilder from '@axe-core/playwright';
import { expect, test as base } from '@playwright/test';

let made = 0;

/** A page whose console must stay free of errors, in an account of its own. */
export const test = base.extend({
    page: async ({ page }, use) => {
        const errors = [];
        page.on('pageerror', (error) => errors.push(error.message));
        page.on('console', (message) => {
            // a form that is sent back with its faults answers 422, and the browser logs that
            if (message.type() === 'error' && !/422|403/.test(message.text())) {
                errors.push(message.text());
            }
        });
        await use(page);
        expect(errors).toEqual([]);
    },

    /** Signed in to an empty workroom. */
    empty: async ({ page }, use) => {
        await page.goto('/register');
        await page.getByLabel('Your name').fill('Maud');
        await page.getByLabel('E-mail address').fill(`maud-${process.pid}-${Date.now()}-${++made}@example.org`);
        await page.getByLabel('Password').fill('four quiet lockers');
        await page.getByRole('button', { name: 'Register' }).click();
        await expect(page.getByRole('heading', { name: 'Your first season' })).toBeVisible();
        await use(page);
    },

    /** Signed in to a workroom of one's own that holds what the demo holds. */
    demo: async ({ empty: page }, use) => {
        await page.goto('/settings');
        await page.getByLabel('File to import').setInputFiles('fixtures/demo-workroom.json');
        await page.getByRole('button', { name: 'Import', exact: true }).click();
        await expect(page.getByRole('heading', { name: 'Thaw' })).toBeVisible();
        await ready(page);
        await use(page);
    },
});

export { expect };

export async function open(page, path) {
    await page.goto(path);
    await ready(page);
}

/** Once the scripts of the page have taken hold. */
export async function ready(page) {
    await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
}

export async function expectAccessible(page) {
    const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
    expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join(', ')}`)).toEqual([]);
}

/** Nothing but strips and tables in their own boxes may scroll sideways. */
export async function expectNoSidewaysScroll(page) {
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
}

export const project = (page, name) => page.locator(`.project[data-name="${name}"]`);
