import AxeBuilder from '@axe-core/playwright';
import { expect, test as base } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { baseURL, data } from '../playwright.config.js';

const password = 'four quiet lockers';

function hold(account, ...options) {
    const flags = ['-d', 'opcache.enable_cli=1', '-d', `opcache.file_cache=${data}/compiled`];
    execFileSync('php', [...flags, 'bin/console', 'octavum:demo', `--account=${account}`, `--password=${password}`, ...options], {
        env: { ...process.env, APP_ENV: 'prod', APP_DEBUG: '0', APP_SECRET: 'not for sessions', OCTAVUM_DATA: data },
        stdio: 'pipe',
    });
}

async function signIn(page, account) {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail address').fill(account);
    await page.getByLabel('Password').fill(password);
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Thaw' })).toBeVisible();
}

/** A page whose console must stay free of errors, in an account of its own. */
export const test = base.extend({
    page: async ({ page, viewport }, use) => {
        await page.setViewportSize(viewport);
        const errors = [];
        page.on('pageerror', (error) => errors.push(error.message));
        page.on('console', (message) => {
            // a form that is sent back with its faults answers 422, or 409 when it was changed elsewhere, and the browser logs that
            if (message.type() === 'error' && !/422|403|409/.test(message.text())) {
                errors.push(message.text());
            }
        });
        await use(page);
        expect(errors).toEqual([]);
    },

    /** One account a worker, signed in once; what it holds is put there by the command before each test. */
    account: [
        async ({ shared }, use, { workerIndex }) => {
            const account = `maud-${workerIndex}@example.org`;
            hold(account);
            const page = await shared.newPage();
            await signIn(page, account);
            await page.close();
            await use({ account, cookies: await shared.cookies() });
        },
        { scope: 'worker' },
    ],

    /** What a browser has fetched once it need not fetch for every test. */
    shared: [
        async ({ browser }, use) => {
            const context = await browser.newContext({ baseURL, locale: 'en-GB' });
            await use(context);
            await context.close();
        },
        { scope: 'worker' },
    ],

    context: async ({ shared }, use) => {
        await shared.clearCookies();
        await use(shared);
        await Promise.all(shared.pages().map((page) => page.close()));
    },

    /** Signed in to an empty workroom. */
    empty: async ({ page, account: { account, cookies } }, use) => {
        hold(account, '--empty');
        await page.context().addCookies(cookies);
        await open(page, '/season');
        await page.evaluate(() => localStorage.clear());
        await use(page);
    },

    /** Signed in to a workroom of one's own that holds what the demo holds. */
    demo: async ({ page, account: { account, cookies } }, use) => {
        hold(account);
        await page.context().addCookies(cookies);
        await open(page, '/season');
        await page.evaluate(() => localStorage.clear());
        await use(page);
    },

    /** Signed in to an account that no other test uses, for those that end its sessions. */
    newcomer: async ({ page }, use) => {
        await page.goto('/register');
        await page.getByLabel('Your name').fill('Maud');
        await page.getByLabel('E-mail address').fill(`newcomer-${process.pid}-${Date.now()}@example.org`);
        await page.getByLabel('Password').fill(password);
        await page.getByRole('button', { name: 'Register' }).click();
        await expect(page.getByRole('heading', { name: 'Your first season' })).toBeVisible();
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

/** A phone shows the same colours, so their contrast is measured at the desk alone. */
export async function expectAccessible(page) {
    // there are no frames to gather from, and only what is violated is of interest: a third of the time
    const { violations } = await new AxeBuilder({ page })
        .options({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'], resultTypes: ['violations'], preload: false })
        .disableRules(page.viewportSize().width < 800 ? ['color-contrast'] : [])
        .setLegacyMode()
        .analyze();
    expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join(', ')}`)).toEqual([]);
}

/** The plan of another season of the demo. */
export async function toSeason(page, name) {
    await open(page, '/season');
    await page.locator('#season-switch').selectOption({ label: name });
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
}

/** Nothing but strips and tables in their own boxes may scroll sideways. */
export async function expectNoSidewaysScroll(page) {
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
}

export const project = (page, name) => page.locator(`.project[data-name="${name}"]`);

/** What hands take: a quarter of a second a key, 1.3 seconds a press; a form is to be filled in well before one loses heart. */
export function hands(page) {
    let seconds = 0;
    let presses = 0;
    return {
        async type(text) {
            seconds += 0.25 * text.length;
            await page.keyboard.type(text);
        },
        /** Fields beside one another. */
        async typeEach(texts) {
            for (const [i, text] of texts.entries()) {
                await this.type(text);
                await this.key('Tab', i < texts.length - 1 ? 1 : 0);
            }
        },
        async key(name, times = 1) {
            for (let i = 0; i < times; i += 1) {
                seconds += 0.25;
                await page.keyboard.press(name);
            }
        },
        async press(locator) {
            seconds += 1.3;
            presses += 1;
            await locator.click();
        },
        /** Tabs until a field has the focus. */
        async tabTo(locator) {
            for (let i = 0; i < 40 && !(await locator.evaluate((field) => field === document.activeElement)); i += 1) {
                await this.key('Tab');
            }
            await expect(locator).toBeFocused();
        },
        /** Two presses: the list, and what stands in it. */
        async pick(locator, value) {
            seconds += 2.6;
            await locator.selectOption(value);
        },
        async choose(locator, letter) {
            seconds += 0.25;
            await locator.press(letter);
        },
        get presses() {
            return presses;
        },
        get seconds() {
            return seconds;
        },
    };
}
