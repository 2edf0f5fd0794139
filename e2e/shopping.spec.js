import { expect, open, test } from './workroom.js';

test('the list says what to ask for at each width, with its working', async ({ demo: page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/shopping');
    const viscose = page.locator('.to-buy tbody', { hasText: 'Viscose lining' });
    await expect(viscose).toContainText('2.30 m');
    await viscose.getByText('working').click();
    await expect(viscose).toContainText('Will shrink 6 %: 2.10 m / (1 − 6 %)');
    await page.getByLabel('The counter sells by').selectOption('⅛ yd');
    await expect(page).toHaveURL(/counter=/);
    await expect(page.locator('.to-buy tbody', { hasText: 'Viscose lining' })).toContainText('2.41 m');
});
