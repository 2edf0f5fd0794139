import { expect, expectAccessible, open, test } from './workroom.js';

const WORDS = { laid: 'chalked by hand', pattern: 'fitted last year', notions: 'in the tin' };

async function throughTheGate(page, tick, waive) {
    await open(page, '/season');
    await page.getByRole('link', { name: 'Heron skirt', exact: true }).first().click();
    await page
        .getByRole('link', { name: /Before cutting/ })
        .first()
        .click();
    await expect(page.getByRole('heading', { name: 'Before cutting' })).toBeVisible();
    for (const box of await page.locator('.check input[type=checkbox]').all()) {
        await tick(box);
    }
    for (const [check, word] of Object.entries(WORDS)) {
        const field = page.locator(`[name="word[${check}]"]`);
        await waive(page.locator('.check', { has: field }).locator('summary'));
        await field.fill(word);
    }
}

test('the scissors with the mouse: an open check holds them, what is cut stands everywhere, and one press takes it back', async ({
    demo: page,
}) => {
    await throughTheGate(
        page,
        (box) => box.check(),
        (summary) => summary.click(),
    );
    await expectAccessible(page);
    await page.locator('[name="word[laid]"]').fill('');
    await page.locator('summary', { hasText: 'After the scissors' }).click();
    await page.getByLabel('Cut off, along the cloth').fill('1.5 m');
    await page.getByRole('button', { name: 'It is cut' }).click();
    await expect(page.getByRole('alert')).toContainText('One check is open');
    await expect(page.getByLabel('Cut off, along the cloth')).toHaveValue('1.5 m');
    await page.locator('.check', { hasText: 'Laid out' }).locator('summary').click();
    await page.locator('[name="word[laid]"]').fill('chalked by hand');
    await page.getByText('Remnants, or something spoilt').click();
    await page.getByLabel('Length', { exact: true }).first().fill('30 cm');
    await page.getByLabel('Width', { exact: true }).first().fill('25 cm');
    await page.getByRole('button', { name: 'It is cut' }).click();
    await expect(page.locator('.toast')).toContainText('Heron lawn is cut for Heron skirt.');
    await expect(page.getByRole('link', { name: /Before cutting/ })).toHaveCount(0);
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(page.getByRole('link', { name: /Before cutting/ }).first()).toBeVisible();
});

test('… and with keys alone, on a phone’s width too', async ({ demo: page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await throughTheGate(
        page,
        async (box) => {
            await box.focus();
            await page.keyboard.press('Space');
        },
        async (summary) => {
            await summary.focus();
            await page.keyboard.press('Enter');
        },
    );
    await expectAccessible(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(0);
    await page.getByRole('button', { name: 'Save the answers' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('all are clear')).toBeVisible();
    await page.getByRole('button', { name: 'It is cut' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('.toast')).toContainText('is cut for Heron skirt.');
});
