import { expect, open, ready, test } from './workroom.js';

const TABLE = '\t\t8\t10\t12\t14\t16\nmain\t45 in\t2 1/2\t2 5/8\t2 5/8\t2 3/4\t2 7/8\n\t60 in\t2\t2 1/8\t2 1/8\t2 1/4\t2 3/8\nlining\t45 in\t1 3/8\t1 3/8\t1 1/2\t1 1/2\t1 1/2';

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
