import { expect, expectAccessible, open, test, toSeason } from './workroom.js';

test('a cloth is laid with keys alone, its reasons read, and a project planned from it', async ({ demo: page }) => {
    await page.keyboard.press('g');
    await page.keyboard.press('m');
    await expect(page.getByRole('heading', { name: 'Match' })).toBeVisible();
    await expect(page.getByLabel(/Lay a cloth/)).toBeFocused();
    await page.keyboard.type('plum');
    await expect(page.getByRole('listbox')).toContainText('Plum ponte');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Plum ponte' })).toBeVisible();
    await expect(page.locator('.margin')).toContainText('Falls soft, as it should.');
    await page.locator('body').click({ position: { x: 5, y: 400 } });
    await page.keyboard.press('j');
    await expect(page.locator('.proposal').nth(1)).toBeFocused();
    await expect(page.locator('.proposal').nth(1)).toHaveClass(/is-selected/);
    await page.locator('.proposal').nth(1).getByRole('link', { name: 'Plan it' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Size', { exact: true })).toHaveValue('14');
    await page.getByRole('button', { name: 'Save the project' }).click();
    await expect(page.locator('.project.is-selected')).toContainText('Plum ponte');
});

test('on a phone a bolt says in two taps what it makes, what to ask for and what that costs', async ({ demo: page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/season');
    await page.getByText('More', { exact: true }).click();
    await page.getByRole('link', { name: 'Match' }).click();
    await page.getByLabel(/Lay a cloth/).fill('140 wide linen 18 eur per m');
    await page.getByRole('button', { name: 'Lay it' }).click();
    await expect(page.locator('.ask-for')).toContainText(/Ask for \d\.\d0 m.*makes \d+ versions and costs €/);
});

test('a dress is made enough: ticks fill the gap, the least that fits is found and kept, and taken back', async ({ demo: page }) => {
    test.setTimeout(240_000);
    await toSeason(page, 'Haar');
    await page.getByRole('link', { name: 'Regatta dress' }).click();
    const panel = page.locator('.enough-panel');
    await expect(panel.locator('.remedies input')).toHaveCount(9, { timeout: 90_000 });
    await expect(panel.locator('.remedies tr:visible input')).toHaveCount(3);
    await panel.getByText(/^6 more ways/).click();
    await expect(panel).toContainText('61 cm missing');
    await panel.getByRole('button', { name: '15 cm Working' }).first().press('Enter');
    await expect(panel.locator('.remedy-working:visible')).toContainText('Laid flat, in one layer');
    await panel.getByLabel('No sleeves').focus();
    await page.keyboard.press('Space');
    await expect(panel.locator('.is-ticked')).toHaveCount(1, { timeout: 40_000 });
    await expect(panel.getByLabel('No sleeves')).toBeFocused();
    await expect(panel.locator('.gap-part')).toHaveCount(1);
    await page.evaluate(() => window.scrollTo(0, 0));
    await expectAccessible(page);
    await panel.getByRole('button', { name: 'Least change that fits' }).click();
    await expect(panel.locator('.gap-over')).toBeVisible({ timeout: 40_000 });
    await panel.getByRole('button', { name: 'Make it that way' }).click();
    await expect(page.locator('.role-row .enough').first()).toContainText('fits', { timeout: 40_000 });
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(page.locator('.role-row .enough').first()).toContainText('short');
});

test('a cloth of the shop is laid beside one of the stash, and put away again; on a phone the lengths stand in a list', async ({
    demo: page,
}) => {
    await open(page, '/match?q=2.2+m+140+wide+linen');
    await page.getByLabel(/Lay a cloth/).fill('3 m 150 wide wool tweed');
    await page.getByRole('button', { name: 'Lay it beside' }).click();
    await expect(page.locator('.match-roll')).toHaveCount(2);
    await expect(page.locator('.proposal').first()).toContainText('from');
    await expectAccessible(page);
    await page.setViewportSize({ width: 390, height: 844 });
    await expect(page.locator('.roll-list').first()).toBeVisible();
    const sideways = () => document.documentElement.scrollWidth - document.documentElement.clientWidth;
    expect(await page.evaluate(sideways)).toBe(0);
    await page
        .getByRole('link', { name: /Put it away/ })
        .first()
        .click();
    await expect(page.locator('.match-roll')).toHaveCount(1);
    await expectAccessible(page);
});

test('the best use of the stash is taken in parts and taken back in one', async ({ demo: page }) => {
    await toSeason(page, 'Haar');
    await open(page, '/match/best');
    for (const box of await page.locator('.best-change input').all()) {
        await box.uncheck();
    }
    await page.getByRole('checkbox', { name: /Dinghy bag/ }).check();
    await page.getByRole('button', { name: 'Take what is ticked' }).click();
    await expect(page.locator('.toast')).toContainText('One change is taken.');
    await expect(page.locator('.best-change', { hasText: 'Dinghy bag' })).toHaveCount(0);
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(page.locator('.best-change', { hasText: 'Dinghy bag' })).toHaveCount(1);
});
