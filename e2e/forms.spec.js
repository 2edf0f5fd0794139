import { expect, expectAccessible, hands, open, ready, test } from './workroom.js';

/** What every form does: names are found, days are read, nothing typed is lost, and Enter saves no half of it. */

test('a pattern and a cut are chosen by a part of their names, slips forgiven, with the keys alone', async ({ demo: page }) => {
    await open(page, '/project/new');
    await page.getByLabel('Pattern and version').pressSequentially('trosers wid');
    const list = page.getByRole('listbox');
    await expect(list.getByRole('option').first()).toContainText('Lock-keeper trousers, wide');
    await expect(page.getByLabel('Pattern and version')).toHaveAttribute('aria-activedescendant', 'choice-0');
    await expectAccessible(page);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Pattern and version')).toHaveValue('K310 Lock-keeper trousers, wide');
    await expect(list).toBeHidden();
    await expect(page.getByRole('heading', { name: 'Plan a project' })).toBeVisible();

    await page.getByLabel('From').first().selectOption('a cut I have');
    await page.getByLabel('Cut', { exact: true }).first().pressSequentially('hreon');
    await expect(list.getByRole('option')).toHaveCount(1);
    await expect(list).toContainText('all reserved');
    await page.keyboard.press('Escape');
    await expect(list).toBeHidden();
    await page.keyboard.press('ArrowDown');
    await list.getByRole('option').first().click();
    await expect(page.getByLabel('Cut', { exact: true }).first()).toHaveValue('Heron lawn, 2.44 m, 137 cm');
});

test('a cloth is laid by its name, with one choice', async ({ demo: page }) => {
    await open(page, '/match');
    const hand = hands(page);
    await hand.type('mos lin');
    await page.getByRole('listbox').getByRole('option').first().click();
    await expect(page.getByRole('heading', { name: 'Moss linen' }).first()).toBeVisible();
    await page.goBack();
    await ready(page);
    await page.getByLabel(/^Lay a cloth/).fill('1.3 m linen 138 wide');
    await page.keyboard.press('Enter');
    await expect(page.locator('.match-roll')).toContainText('138 cm wide');
});

test('what was typed survives a closed tab, until it is saved or let go', async ({ demo: page }) => {
    await open(page, '/cloth/new');
    await page.getByLabel('Name', { exact: true }).fill('Sloe velvet');
    await page.getByRole('button', { name: 'Another cut of it' }).click();
    await page.getByLabel('Length').nth(1).fill('1.2 m');
    await page.waitForTimeout(500);
    await open(page, '/season');
    await open(page, '/cloth/new');
    await expect(page.getByText('What you typed here is back. It is not saved yet.')).toBeVisible();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Sloe velvet');
    await expect(page.getByLabel('Length').nth(1)).toHaveValue('1.2 m');
    await page.getByLabel('Width, selvage to selvage').fill('nonsense');
    await page.getByRole('button', { name: 'Save the cloth' }).click();
    await expect(page.getByRole('alert')).toContainText('Nothing is saved yet');
    await page.getByLabel('Width, selvage to selvage').fill('140');
    await page.getByRole('button', { name: 'Save the cloth' }).click();
    await expect(page.getByText('Sloe velvet is in the stash.')).toBeVisible();
    await open(page, '/cloth/new');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('');

    await page.getByLabel('Name', { exact: true }).fill('Never');
    await page.waitForTimeout(500);
    await page.reload();
    await page.getByRole('button', { name: 'Start afresh' }).click();
    await expect(page.getByText('What you typed here is back.')).toBeHidden();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('');
});

test('Enter in the first field goes on and saves nothing', async ({ demo: page }) => {
    await open(page, '/cloth/new');
    await page.getByLabel('Name', { exact: true }).fill('Half a cloth');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Width, selvage to selvage')).toBeFocused();
    await open(page, '/cloth?words=half');
    await expect(page.getByText('Half a cloth')).toBeHidden();
});

test('a day is typed as it is said, and is read back', async ({ demo: page }) => {
    await open(page, '/project/new');
    const deadline = page.getByLabel('Deadline', { exact: true });
    await deadline.fill('29 feb');
    await expect(deadline.locator('xpath=../..')).toContainText('= Tue 29 February 2028');
    await deadline.fill('soonish');
    await expect(deadline.locator('xpath=../..')).toContainText('“soonish” is not a day: type it as 1 Mar 2027 or 2027-03-01.');
    await page.locator('#f-deadline ~ .day-native').evaluate((calendar) => {
        calendar.value = '2027-05-03';
        calendar.dispatchEvent(new Event('change', { bubbles: true }));
    });
    await expect(deadline).toHaveValue('3 May 2027');
});

test('without scripts nothing waits for ever', async ({ demo: page, browser }) => {
    const plain = await browser.newContext({ javaScriptEnabled: false, storageState: await page.context().storageState() });
    const still = await plain.newPage();
    for (const path of ['/season', '/cloth', '/match', '/shopping', '/sewing', '/table/new']) {
        await still.goto(new URL(path, page.url()).href);
        await expect(still.locator('h1').first()).toBeVisible();
        await expect(still.getByText('being laid').filter({ visible: true }), path).toHaveCount(0);
    }
    await expect(still.locator('main noscript p')).toHaveText(/The cutting table needs scripts/);
    await still.goto(new URL('/project/new', page.url()).href);
    await still.getByLabel('Pattern and version').fill('trousers');
    await still.getByRole('button', { name: 'Save the project' }).click();
    await expect(still.locator('.fault').first()).toContainText('“trousers” may be K310 Lock-keeper trousers');
    await plain.close();
});

test('what is pressed on a phone is as high as a thumb', async ({ demo: page }) => {
    await page.setViewportSize({ width: 390, height: 800 });
    for (const path of [
        '/season',
        '/cloth',
        '/cloth/new',
        '/patterns',
        '/match',
        '/shopping',
        '/sewing',
        '/project/new',
        '/settings',
        '/people',
        '/lists',
    ]) {
        await open(page, path);
        const small = await page.evaluate(() =>
            [...document.querySelectorAll('main :is(button, a[href], input, select, summary), .foot-bar a, header a')]
                .filter((one) => one.offsetParent && getComputedStyle(one).display !== 'inline' && !one.matches('.day-native'))
                // the label around a box, and the cell, take the press too
                .map((one) => [
                    one,
                    (one.closest('label, td, li') && one.matches('[type=checkbox]') ? one.closest('label, td, li') : one).offsetHeight,
                ])
                .filter(([, height]) => height > 0 && height < 43)
                .map(([one, height]) => `${one.tagName} ${one.className} ${(one.textContent || one.name).trim().slice(0, 20)} ${height}`),
        );
        expect(small, path).toEqual([]);
    }
});
