import { expect, open, ready, test } from './workroom.js';

test('a cloth with two cuts is entered, measured, washed and the last entry undone', async ({ empty: page }) => {
    await open(page, '/cloth');
    await page.getByRole('link', { name: 'Enter the first cloth' }).click();
    await ready(page);
    await page.getByLabel('Name', { exact: true }).fill('Quarry tweed');
    await page.getByLabel('Width, selvage to selvage').fill('57 1/2"');
    await expect(page.getByText('= 146 cm (57½ in)')).toBeVisible();
    await page.getByLabel('Length', { exact: true }).fill('1,80 m');
    await page.getByRole('button', { name: 'Another cut of it' }).click();
    await page.getByLabel('Length', { exact: true }).nth(1).fill('1.65');
    await page.getByRole('button', { name: 'Save the cloth' }).click();
    await expect(page.getByRole('heading', { name: /^Cut \d/ })).toHaveCount(2);
    await expect(page.getByText('Each cut counts alone')).toBeVisible();

    const cut = page.locator('.cut-panel').first();
    await cut.getByText('More', { exact: true }).click();
    await cut.getByLabel('What happened').selectOption('washed');
    await cut.getByLabel('Length now').last().fill('1.74');
    await cut.getByRole('button', { name: 'Save this entry' }).click();
    await expect(page.locator('.cut-panel').first()).toContainText('washed and measured');
    await expect(page.locator('.cut-panel').first()).toContainText('1.68 m usable');
    await page.getByRole('button', { name: 'undo', exact: true }).click();
    await expect(page.locator('.cut-panel').first()).toContainText('not washed yet');
});

test('what cannot be read is said at its field, and nothing typed is lost', async ({ empty: page }) => {
    await open(page, '/cloth/new');
    await page.getByLabel('Name', { exact: true }).fill('Lawn <b>');
    await page.getByLabel('Width, selvage to selvage').fill('lots');
    await page.getByLabel('Fibres').fill('80 cotton 40 linen');
    await page.getByLabel('Where it is kept').fill('🧵 box');
    await page.getByRole('button', { name: 'Save the cloth' }).click();
    await expect(page.getByRole('alert')).toContainText('Nothing is saved yet: 2 entries need another look');
    await expect(page.getByRole('alert')).toBeFocused();
    await expect(page.getByText('The fibres add up to 120 %')).toBeVisible();
    await expect(page.getByLabel('Width, selvage to selvage')).toHaveValue('lots');
    await expect(page.getByLabel('Where it is kept')).toHaveValue('🧵 box');
    await page.getByLabel('Width, selvage to selvage').fill('140');
    await page.getByLabel('Fibres').fill('60 cotton 40 linen');
    await page.getByRole('button', { name: 'Save the cloth' }).click();
    await expect(page.getByRole('heading', { name: 'Lawn <b>' })).toBeVisible();
});

test('the back button after saving does not save again', async ({ empty: page }) => {
    await open(page, '/cloth/new');
    await page.getByLabel('Name', { exact: true }).fill('Lawn');
    await page.getByRole('button', { name: 'Save the cloth' }).click();
    await expect(page.getByRole('heading', { name: 'Lawn' })).toBeVisible();
    await page.goBack();
    await page.goForward();
    await open(page, '/cloth');
    await expect(page.locator('.sheet tbody tr')).toHaveCount(1);
});

test('the stash is filtered and sorted', async ({ demo: page }) => {
    await open(page, '/cloth');
    await page.getByLabel('Usable at least').fill('2 yd');
    await page.getByLabel('Kind').selectOption('knit');
    await page.getByRole('button', { name: 'Show' }).click();
    await expect(page.locator('.sheet tbody tr')).toHaveCount(2);
    await expect(page.locator('.sheet')).toContainText('Plum ponte');
});

test('a cloth taken out of the stash comes back', async ({ demo: page }) => {
    await open(page, '/cloth?words=heron');
    await page.getByRole('link', { name: 'Heron lawn' }).click();
    await page.getByRole('button', { name: 'Take it out of the stash' }).click();
    await expect(page.getByText('Heron lawn is taken out of the stash.')).toBeVisible();
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(page.getByRole('heading', { name: 'Heron lawn' })).toBeVisible();
    await expect(page.locator('.strip.is-large')).toHaveAccessibleName(/Heron skirt needs 1.50 m; Allotment shorts needs 1.20 m/);
});
