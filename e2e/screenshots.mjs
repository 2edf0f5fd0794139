// Takes the pictures of docs/screenshots from the demo workroom:
//   bin/octavum start --port 8399 --fresh & node e2e/screenshots.mjs http://127.0.0.1:8399
import { chromium } from '@playwright/test';

const base = process.argv[2] ?? 'http://127.0.0.1:8399';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] });

async function take(viewport, pages) {
    const page = await browser.newPage({ viewport, locale: 'en-GB' });
    await page.goto(base + '/sign-in');
    if (pages['sign-in']) {
        await page.screenshot({ path: 'docs/screenshots/sign-in.png' });
    }
    await page.getByRole('button', { name: 'Open the demo workroom' }).click();
    for (const [name, go] of Object.entries(pages)) {
        if (name === 'sign-in') {
            continue;
        }
        if (typeof go === 'string') {
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
    'sign-in': true,
    season: '/season',
    project: ['/season', 'Towpath coat'],
    cloth: '/cloth',
    'cloth-page': ['/cloth?words=heron', 'Heron lawn'],
    'cloth-form': '/cloth/new',
    patterns: '/patterns',
    'pattern-page': ['/patterns?words=towpath', 'Towpath coat'],
    'pattern-form': '/patterns/new',
    shopping: '/shopping',
    settings: '/settings',
});
await take({ width: 390, height: 844 }, {
    'phone-season': '/season',
    'phone-cloth': '/cloth',
    'phone-shopping': '/shopping',
});
await browser.close();
