// Takes the pictures of docs/screenshots from the demo workroom:
//   bin/octavum start --port 8399 --fresh & node e2e/screenshots.mjs http://127.0.0.1:8399
import { chromium } from '@playwright/test';
import { executablePath } from '../playwright.config.js';

const base = process.argv[2] ?? 'http://127.0.0.1:8399';
const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] });

async function take(viewport, pages) {
    const page = await browser.newPage({ viewport, locale: 'en-GB' });
    await page.goto(base + '/sign-in');
    await page.getByRole('button', { name: 'Open the demo workroom' }).click();
    for (const [name, go] of Object.entries(pages)) {
        if (typeof go === 'function') {
            await go(page);
        } else if (typeof go === 'string') {
            await page.goto(base + go);
        } else {
            await page.goto(base + go[0]);
            await page.getByRole('link', { name: go[1], exact: true }).first().click();
            await page.waitForLoadState();
        }
        await page.waitForTimeout(500);
        await page.screenshot({ path: `docs/screenshots/${name}.png` });
    }
    await page.close();
}

await take({ width: 1280, height: 800 }, {
    season: '/season',
    project: async (page) => {
        await page.goto(base + '/season');
        await page.getByRole('link', { name: 'Towpath coat', exact: true }).first().click();
        await page.locator('.remedies').first().waitFor({ timeout: 30000 });
    },
    cloth: '/cloth',
    'cloth-page': ['/cloth?words=heron', 'Heron lawn'],
    haul: async (page) => {
        await page.goto(base + '/cloth/haul');
        await page.getByLabel('What came home').fill('1.8m 142cm cotton drill 240gsm bottle green, 6.40/half m\n1 1/4 yd 56" rib knit 62 modal 33 cotton 5 elastane plum remnant 3.90/piece\n2.7m linen? chalk sheer, locker 2\n2 x 1.6m lawn one-way herons 136 wide\n140cm cotton drill\n1m60 of striped shirting, 145 wide');
        await page.waitForTimeout(600);
        page.once('dialog', (dialog) => dialog.accept());
    },
    patterns: '/patterns',
    'pattern-page': ['/patterns?words=towpath', 'Towpath coat'],
    pieces: async (page) => {
        await page.goto(base + '/patterns?words=bow-locker');
        await page.getByRole('link', { name: 'Bow-locker shirt' }).click();
        await page.getByRole('link', { name: 'Its pieces' }).first().click();
    },
    table: async (page) => {
        await page.goto(base + '/table');
        await page.getByRole('link', { name: 'Fern tee with' }).click();
    },
    match: async (page) => {
        await page.goto(base + '/match');
        await page.getByRole('link', { name: 'Plum ponte' }).click();
    },
    enough: async (page) => {
        await page.goto(base + '/find?q=Regatta');
        await page.getByRole('link', { name: 'Regatta dress' }).first().click();
        await page.getByRole('button', { name: 'Least change that fits' }).click({ timeout: 30000 });
        await page.locator('.gap-over').waitFor({ timeout: 30000 });
        await page.locator('.enough-panel').scrollIntoViewIfNeeded();
    },
    gate: async (page) => {
        await page.goto(base + '/season');
        await page.getByRole('link', { name: 'Heron skirt', exact: true }).first().click();
        await page.getByRole('link', { name: /Before cutting/ }).first().click();
    },
    shopping: '/shopping',
    sewing: '/sewing',
    year: '/sewing/year',
    person: ['/people', 'Odalys'],
});
await take({ width: 390, height: 844 }, {
    'phone-project': ['/season', 'Towpath coat'],
    'phone-shopping': '/shopping?width=112+cm',
    'phone-sewing': '/sewing',
});
await browser.close();
