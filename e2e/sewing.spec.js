import { expect, expectAccessible, open, test } from './workroom.js';

async function apron(page) {
    return page.locator('.now', { hasText: 'Galley apron' }).first();
}

test('half an hour with the mouse: start, close the browser, come back, done, and undone', async ({ demo: page }) => {
    await open(page, '/sewing');
    await expect(page.getByRole('heading', { name: 'I have half an hour' })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('link', { name: '15', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'I have a quarter of an hour' })).toBeVisible();
    const step = await apron(page);
    await expect(step).toContainText('Patch pockets');
    await step.getByRole('button', { name: /Start/ }).click();
    await expect(page.locator('#running')).toContainText('Galley apron, Patch pockets');
    await expect(page.locator('.clock')).toHaveText(/^\d\d:\d\d$/);

    // the timer is the server's: another browser of the same sewist shows it
    const other = await page.context().newPage();
    await open(other, '/sewing');
    await expect(other.locator('#running')).toContainText('Patch pockets');
    await other.close();

    await page.locator('#running').getByRole('button', { name: /Done/ }).click();
    await expect(page.locator('.toast')).toContainText('that step is done');
    await expect(await apron(page)).toContainText('Straps');
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(await apron(page)).toContainText('Patch pockets');
    await page.locator('#running').getByRole('button', { name: /Pause/ }).click();
    await expect(page.locator('#running')).toHaveCount(0);
});

test('… with keys alone, on a phone’s width', async ({ demo: page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/season');
    await page.keyboard.press('g');
    await page.keyboard.press('e');
    await expect(page).toHaveURL(/\/sewing/);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    const start = (await apron(page)).getByRole('button', { name: /Start/ });
    expect((await start.boundingBox()).height).toBeGreaterThanOrEqual(40);
    await start.focus();
    await page.keyboard.press('Enter');
    const pause = (await apron(page)).getByRole('button', { name: /Pause/ });
    await expect(pause).toBeVisible();
    await pause.focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('.toast')).toContainText('Paused');
    await expectAccessible(page);
});

test('from the steps of a project to its verdict, its pattern and the year', async ({ demo: page }) => {
    await open(page, '/season');
    await page.getByRole('link', { name: 'Heron skirt', exact: true }).first().click();
    await page.getByRole('link', { name: /^Sewing \d+ steps/ }).click();
    const steps = page.locator('#steps');
    await steps.getByRole('link', { name: /Change/ }).click();
    await expectAccessible(page);
    const last = page.locator('.step-line').last();
    await last.getByLabel('Step').fill('Sew in a name tape');
    await last.getByLabel('Minutes').fill('10');
    await page.getByRole('button', { name: 'Save the steps' }).click();
    await expect(page.locator('.toast')).toContainText('the steps are kept');
    await page.locator('#steps summary', { hasText: 'Each step' }).click();
    await expect(page.locator('#steps')).toContainText('Sew in a name tape');
    await page.locator('#states').getByLabel('It is').selectOption('done');
    await page.locator('#states').getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('heading', { name: 'How it turned out' })).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('The fit').selectOption('nearly');
    await page.getByLabel('To change next time').fill('Waistband 2 cm wider');
    await page.getByRole('button', { name: 'It is done' }).click();
    await expect(page.locator('#finding')).toContainText('Next time: Waistband 2 cm wider');
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Backwater skirt' }).first().click();
    await expect(page.locator('#history')).toContainText('Waistband 2 cm wider');
    await open(page, '/sewing/year');
    await expect(page.locator('body')).toContainText('Heron skirt');
    await expectAccessible(page);
});

test('a move says what it costs, and snags are narrowed', async ({ demo: page }) => {
    await open(page, '/season');
    const skirt = page.locator('.project[data-name="Heron skirt"]');
    const place = async () => (await skirt.boundingBox()).y;
    const before = await place();
    await skirt.focus();
    await page.keyboard.press('Alt+ArrowUp');
    await expect(page.locator('.changed')).toContainText('Lock-keeper trousers falls below the chalk line.');
    expect(await place()).toBeLessThan(before);
    await expectAccessible(page);
    await page.getByRole('link', { name: 'All on one page' }).click();
    await page.getByLabel('About').selectOption('time');
    await page.getByRole('button', { name: 'Show' }).click();
    await expect(page.locator('.snags-page .snag').first()).toContainText('after its deadline');
    await expectAccessible(page);
    await open(page, '/season');
    await page.getByRole('link', { name: 'Print', exact: true }).click();
    await expect(page.locator('tbody tr')).toHaveCount(12);
    const paper = (await page.pdf({ format: 'A4' })).toString('latin1');
    expect(paper.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
});

test('two browsers on one workroom: of two cuts one wins and the other is told, of two claims too', async ({ demo: page, browser }) => {
    const other = await browser.newPage();
    await other.context().addCookies(await page.context().cookies());
    const gate = async (one) => {
        await open(one, '/season');
        await one.getByRole('link', { name: 'Heron skirt', exact: true }).first().click();
        await one
            .getByRole('link', { name: /Before cutting/ })
            .first()
            .click();
        await expect(one.getByRole('heading', { name: 'Before cutting' })).toBeVisible();
        for (const box of await one.locator('.check input[type=checkbox]').all()) {
            await box.check();
        }
        for (const check of await one.locator('.check.is-open').all()) {
            await check.locator('summary').click();
            await check.locator('[name^="word["]').fill('chalked by hand');
        }
        await one.locator('summary', { hasText: 'After the scissors' }).click();
        await one.getByLabel('Cut off, along the cloth').fill('1.4 m');
    };
    await gate(page);
    await gate(other);
    await page.getByRole('button', { name: 'It is cut' }).click();
    await expect(page.locator('.toast')).toContainText('Heron lawn is cut for Heron skirt.');
    await other.getByRole('button', { name: 'It is cut' }).click();
    await expect(other.locator('.toast')).toContainText('was cut for Heron skirt somewhere else meanwhile');
    await open(page, '/cloth?words=heron');
    await page.getByRole('link', { name: 'Heron lawn', exact: true }).first().click();
    // 2.50 m less one cut of 1.40 m, not two
    await expect(page.locator('main')).toContainText('1.10 m');

    const form = async (one) => {
        await open(one, '/season');
        await one.getByRole('link', { name: 'Moth slip', exact: true }).first().click();
        await one.getByRole('link', { name: 'Choose another main' }).click();
    };
    await form(page);
    await form(other);
    await page.locator('[name="claims[0][cut]"]').fill('Chalk voile');
    await page.getByRole('button', { name: 'Save the project' }).click();
    await expect(page.locator('.toast')).toContainText('Moth slip is saved.');
    await other.locator('[name="claims[0][cut]"]').fill('Market-stall crepe');
    await other.getByRole('button', { name: 'Save the project' }).click();
    await expect(other.locator('main')).toContainText('changed somewhere else');
    await expect(other.locator('[name="claims[0][cut]"]')).toHaveValue('Market-stall crepe');
    await other.close();
});
