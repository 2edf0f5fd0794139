import { readFileSync } from 'node:fs';
import { expect, open, ready, test } from './workroom.js';

test('a workroom is exported, and what an import replaces is put back', async ({ demo: page }) => {
    await open(page, '/settings');
    const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name: 'Export the document alone' }).click(),
    ]);
    const document = JSON.parse(readFileSync(await download.path(), 'utf8'));
    expect(document).toMatchObject({ format: 'octavum-workroom', version: 3 });
    expect(document.cloths).toHaveLength(42);

    const bare = {
        name: 'bare.json',
        mimeType: 'application/json',
        buffer: Buffer.from(JSON.stringify({ format: 'octavum-workroom', version: 1, name: 'Bare' })),
    };
    await page.getByLabel('File to import').setInputFiles(bare);
    await page.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(page.getByText('tick the box to say that the file takes its place')).toBeVisible();
    await page.getByLabel('File to import').setInputFiles(bare);
    await page.getByLabel('it takes the place of what is here').check();
    await page.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Your first season' })).toBeVisible();
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(page.getByRole('heading', { name: 'Thaw' })).toBeVisible();
});

test('a document with faults lists each with its place, and changes nothing', async ({ empty: page }) => {
    await open(page, '/settings');
    await page.getByLabel('File to import').setInputFiles({
        name: 'broken.json',
        mimeType: 'application/json',
        buffer: Buffer.from(
            '{"format": "octavum-workroom", "version": 1, "name": "X", "cloths": [{"id": "a", "name": "Lawn", "width": -3, "fibres": {"cotton": 120}}]}',
        ),
    });
    await page.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'refused' })).toContainText('/cloths/0/width');
    await open(page, '/cloth');
    await expect(page.getByText('The lockers are empty so far')).toBeVisible();
});

test('the password is changed, and signing in again takes the new one', async ({ newcomer: page }) => {
    await open(page, '/settings');
    const address = await page.locator('.head p').textContent();
    await page.getByLabel('Password now').first().fill('four quiet lockers');
    await page.getByLabel('New password').fill('seven loud lockers');
    await page.getByRole('button', { name: 'Change the password' }).click();
    await expect(page.getByText('The password is changed.')).toBeVisible();
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.getByLabel('E-mail address').fill(address.toUpperCase());
    await page.getByLabel('Password').fill('four quiet lockers');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('alert')).toContainText('do not belong together');
    await page.getByLabel('Password').fill('seven loud lockers');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Your first season' })).toBeVisible();
});

test('an account is deleted only by who says so twice', async ({ newcomer: page }) => {
    await open(page, '/settings');
    await page.getByLabel('Type the word delete').fill('delete');
    await page.getByRole('button', { name: 'Delete the account and all its data' }).click();
    await expect(page.getByText('This is not the password of this account').first()).toBeVisible();
    await page.getByLabel('Type the word delete').fill('delete');
    await page.locator('#delete-password').fill('four quiet lockers');
    await page.getByRole('button', { name: 'Delete the account and all its data' }).click();
    await expect(page.getByRole('heading', { name: 'Is there enough cloth?' })).toBeVisible();
});

test('two tabs on one cut: the later one is asked, and loses nothing', async ({ demo: page, context }) => {
    await open(page, '/cloth?words=heron');
    await page.getByRole('link', { name: 'Heron lawn' }).click();
    await ready(page);
    const other = await context.newPage();
    await other.goto(page.url());
    await other.locator('summary', { hasText: 'Measured again' }).click();
    await other.locator('details[open]').getByLabel('Length now').fill('2.3');
    await other.locator('details[open]').getByRole('button', { name: 'Save' }).click();
    await expect(other.getByText('2.24 m usable')).toBeVisible();
    await page.locator('summary', { hasText: 'Measured again' }).click();
    const measured = page.locator('details[open]');
    await measured.getByLabel('Length now').fill('2.1 m');
    await measured.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('alert')).toContainText('changed somewhere else since you opened it');
    await expect(measured.getByLabel('Length now')).toHaveValue('2.1 m');
    await measured.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('2.04 m usable')).toBeVisible();
});

test('someone who thinks in yards plans from an empty workroom on a phone', async ({ empty: page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/settings');
    await page.getByLabel('Units', { exact: true }).selectOption('imperial');
    await page.getByRole('button', { name: 'Save the settings' }).click();
    await open(page, '/season/new');
    await page.getByLabel('Name', { exact: true }).fill('Thaw');
    await page.getByRole('button', { name: 'Save the season' }).click();
    await open(page, '/cloth/new');
    await page.getByLabel('Name', { exact: true }).fill('Boathook stripe');
    await page.getByLabel('Width, selvage to selvage').fill('45');
    await page.getByLabel('Length', { exact: true }).fill('3 1/2');
    await page.getByLabel('washed, then measured').check();
    await page.getByRole('button', { name: 'Save the cloth' }).click();
    await expect(page.getByText('3⅜ yd usable')).toBeVisible();
    await open(page, '/patterns/new');
    await page.getByLabel('Title').fill('Bow-locker shirt');
    await page.getByLabel('Size in column 1').fill('16');
    await page.getByLabel('Row 1, column 1').fill('2¾');
    await page.getByRole('button', { name: 'Save the pattern' }).click();
    await page.getByRole('link', { name: 'Plan it' }).click();
    await ready(page);
    await page.getByLabel('Size', { exact: true }).fill('16');
    await page.getByLabel('From', { exact: true }).selectOption('own');
    await page.getByLabel('Cut', { exact: true }).fill('Boathook stripe, 3⅜ yd, 45 in');
    await page.getByRole('button', { name: 'Save the project' }).click();
    await expect(page.locator('.project')).toContainText('fits');
    await expect(page.locator('.project')).toContainText('⅝ yd to spare');
});
