import { expect, open, ready, test } from './workroom.js';

const TABLE =
    '\t\t8\t10\t12\t14\t16\nmain\t45 in\t2 1/2\t2 5/8\t2 5/8\t2 3/4\t2 7/8\n\t60 in\t2\t2 1/8\t2 1/8\t2 1/4\t2 3/8\nlining\t45 in\t1 3/8\t1 3/8\t1 1/2\t1 1/2\t1 1/2';

test('a table copied from a spreadsheet is pasted into the grid in one go', async ({ empty: page }) => {
    await open(page, '/patterns');
    await page.getByRole('link', { name: 'Enter the first pattern' }).click();
    await ready(page);
    await page.getByLabel('Title').fill('Evensong dress');
    await page.getByLabel('Bare numbers are').selectOption('imperial');
    await page.getByLabel('Row 1, column 1').evaluate((cell, text) => {
        const data = new DataTransfer();
        data.setData('text', text);
        cell.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    }, TABLE);
    await expect(page.getByLabel('Size in column 5')).toHaveValue('16');
    await expect(page.getByLabel('Row 3, column 5')).toHaveValue('1 1/2');
    await expect(page.getByLabel('Role of row 3')).toHaveValue('lining');
    await page.getByRole('button', { name: 'Save the pattern' }).click();
    await expect(page.getByRole('region', { name: 'Table of version A' })).toContainText('2.63 m');
});

test('rows and sizes are added, and a bad cell is named with all else kept', async ({ empty: page }) => {
    await open(page, '/patterns/new');
    await page.getByLabel('Title').fill('Skirt');
    await page.getByLabel('Size in column 1').fill('S');
    await page.getByRole('button', { name: 'One more size' }).click();
    await page.getByLabel('Size in column 5').fill('XL');
    await page.getByRole('button', { name: 'One more row' }).click();
    await page.getByLabel('Role of row 3').selectOption('lining');
    await page.getByLabel('Width of row 3').fill('140');
    await page.getByLabel('Row 3, column 5').fill('1.2');
    await page.getByLabel('Row 1, column 1').fill('lots');
    await page.getByRole('button', { name: 'Save the pattern' }).click();
    await expect(page.getByText('Row 1: “lots” cannot be read as a length')).toBeVisible();
    await expect(page.getByLabel('Row 3, column 5')).toHaveValue('1.2');
    await page.getByLabel('Row 1, column 1').fill('1.4');
    await page.getByRole('button', { name: 'Save the pattern' }).click();
    await expect(page.getByRole('region', { name: 'Table of version A' })).toContainText('1.20 m');
});

test('a version is planned from its pattern', async ({ demo: page }) => {
    await open(page, '/patterns?words=ferry');
    await page.getByRole('link', { name: 'Ferry wrap skirt' }).click();
    await page.getByRole('link', { name: 'Plan it' }).first().click();
    await ready(page);
    await expect(page.getByLabel('Pattern and version')).toHaveValue('T131 Ferry wrap skirt, A');
});

test('a box of patterns is typed by keyboard, and one that is owned already is said before it is saved', async ({ demo: page }) => {
    await open(page, '/patterns/haul');
    await page.getByLabel('What lies in the box').focus();
    for (const line of [
        'Q112 wrap dress, PDF, 8-20, not printed, needs 3 buttons 18mm',
        'K871 evensong, tissue',
        'moonwear, glows in the dark',
    ]) {
        await page.keyboard.type(line);
        await page.keyboard.press('Enter');
    }
    await expect(page.locator('.haul-lines li')).toHaveCount(3);
    await expect(page.locator('.haul-lines')).toContainText('“8-20” is read as 8, 10, 12, 14, 16, 18, 20');
    await expect(page.locator('.haul-lines')).toContainText('Number K871 is another number of Evensong dress');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('One of these may be in the library already')).toBeVisible();
    await expect(page.getByLabel('What lies in the box')).toHaveValue(/moonwear/);
    await page.getByLabel('They are others: keep all of them').check();
    await page.getByRole('button', { name: 'Put them into the library' }).click();
    await expect(page.getByText('3 patterns are in the library.')).toBeVisible();
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(page.getByText('27 of 27 patterns')).toBeVisible();
});

test('alterations kept for someone are counted into a project', async ({ demo: page }) => {
    await open(page, '/season');
    await page.getByRole('link', { name: 'Towpath coat', exact: true }).first().click();
    await page.getByRole('link', { name: 'Change', exact: true }).click();
    const kept = page.getByRole('listitem').filter({ hasText: 'Lengthen the body by 3 cm, the lay 6 cm longer' });
    await expect(page.getByText('26 cm missing')).toBeVisible();
    await kept.getByRole('button', { name: 'Count it in' }).click();
    await expect(page.getByText('32 cm missing')).toBeVisible();
    await kept.getByRole('button', { name: 'Leave it out' }).click();
    await expect(page.getByText('26 cm missing')).toBeVisible();
});

test('patterns are left out by what they ask for, and one is printed as a card', async ({ demo: page }) => {
    await open(page, '/patterns?garment=shirt');
    await page.getByText('Without …').click();
    await page.getByLabel('buttonholes').check();
    await page.getByRole('button', { name: 'Show' }).click();
    await expect(page.locator('.sheet tbody tr')).toHaveCount(1);
    await page.getByRole('link', { name: 'Smokehouse overshirt' }).click();
    await page.getByRole('link', { name: 'Card to print' }).click();
    await page.emulateMedia({ media: 'print' });
    await expect(page.locator('.pattern-card')).toContainText('8 buttons 15 mm');
    await expect(page.getByRole('button', { name: 'Print the card' })).toBeHidden();
});
