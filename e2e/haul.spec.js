import { readFileSync } from 'node:fs';
import { expect, expectAccessible, expectNoSidewaysScroll, open, test } from './workroom.js';

const lines = readFileSync('core/tests/Haul/held-out.tsv', 'utf8')
    .split('\n')
    .filter((line) => line && !line.startsWith('#'))
    .map((line) => line.split('\t')[0])
    .slice(0, 30);

test('thirty cloths are typed by keyboard in one go, shown as they are understood, saved and taken out again', async ({ empty: page }) => {
    await open(page, '/cloth');
    await page.getByRole('link', { name: 'line by line' }).click();
    await page.getByLabel('What came home').focus();
    for (const line of lines) {
        await page.keyboard.insertText(line);
        await page.keyboard.press('Enter');
    }
    await expect(page.locator('.haul-lines li')).toHaveCount(30);
    await expect(page.locator('.haul-lines')).toContainText('97 cotton, 3 elastane');
    await expectAccessible(page);
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('30 cloths are in the stash.')).toBeVisible();
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(page.getByText('That is undone.')).toBeVisible();
});

test('on a phone a haul fits the screen', async ({ empty: page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/cloth/haul');
    await page.getByLabel('What came home').fill('2 x 1.6m lawn one-way herons 136 wide, a rather long line that goes on and on');
    await expect(page.locator('.haul-lines')).toContainText('2 cuts of 1.60 m');
    await expectNoSidewaysScroll(page);
});
