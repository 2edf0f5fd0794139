import { expect, expectAccessible, expectNoSidewaysScroll, open, project, ready, test } from './workroom.js';

const press = (page, piece) => page.locator('.piece-press', { hasText: new RegExp(`^\\s*${piece}`) }).first();
const to = (page, cloth) => page.getByRole('button', { name: new RegExp(cloth) }).first();

async function pieces(page, name) {
    await project(page, name).locator('.who a').click();
    await page.getByRole('link', { name: 'Each piece its cloth' }).click();
    await ready(page);
}

test('pieces are pressed, then a cloth that would do: three presses, and one takes it back', async ({ demo: page }) => {
    await pieces(page, 'Bow-locker shirt');
    await press(page, 'Collar').click();
    await press(page, 'Stand').click();
    await expect(page.getByRole('heading', { name: 'Possible, the smallest first' })).toBeVisible();
    await expectAccessible(page);
    await to(page, 'Midnight sateen').click();
    await ready(page);
    await expect(page.locator('.cloths-to')).toContainText('Collar, Stand');
    await expect(press(page, 'Stand')).toContainText('Midnight sateen');
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(press(page, 'Stand')).not.toContainText('Midnight sateen');
    await expect(page.locator('h1')).toHaveText('Each piece its cloth');
});

test('by keyboard: space on the pieces, enter on the cloth; enter in the field takes what is typed', async ({ demo: page }) => {
    await pieces(page, 'Bow-locker shirt');
    await expect(page.getByRole('checkbox', { name: /^Front/ })).toBeFocused();
    await page.keyboard.press('Tab');
    await page.keyboard.press('Tab');
    await expect(page.getByRole('checkbox', { name: /^Yoke/ })).toBeFocused();
    await page.keyboard.press('Space');
    await expect(page.locator('#offers')).toContainText('Possible');
    await page.getByLabel('Another cut').focus();
    await page.keyboard.type('midnight');
    await expect(page.getByRole('listbox')).toContainText('Midnight sateen');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Enter');
    await ready(page);
    await expect(press(page, 'Yoke')).toContainText('Midnight sateen');
});

test('on a phone the cloths stand under the thumb once a piece is pressed', async ({ demo: page }) => {
    await page.setViewportSize({ width: 390, height: 800 });
    await pieces(page, 'Bow-locker shirt');
    await expectNoSidewaysScroll(page);
    await press(page, 'Pocket').click();
    await expect(to(page, 'Petal poplin')).toBeInViewport();
    await expectNoSidewaysScroll(page);
    await to(page, 'Petal poplin').click();
    await ready(page);
    await expect(press(page, 'Pocket')).toContainText('Petal poplin');
});

test('sleeves of another pattern are counted by area, and their seam is named', async ({ demo: page }) => {
    await project(page, 'Bow-locker shirt').locator('.who a').click();
    await page.getByRole('link', { name: 'Change', exact: true }).first().click();
    await ready(page);
    await page.getByText('Parts from other patterns').click();
    const parts = page.locator('#parts');
    await parts.getByLabel('What', { exact: true }).selectOption('sleeves');
    await parts.getByLabel('from', { exact: true }).fill('evensong dress a');
    await parts.getByLabel('in size', { exact: true }).fill('14');
    await parts.getByLabel('in size', { exact: true }).press('Tab');
    await expect(page.locator('#answer')).toContainText('The sleeves of A');
    await page.getByRole('button', { name: 'Save the project' }).click();
    await expect(page.locator('.margin')).toContainText('by area, give or take 15 %');
    await expect(page.locator('.snags')).toContainText('compare the armhole with the sleeve cap');
    await page.getByRole('link', { name: /^Pattern and size/ }).click();
    await expect(page.locator('#main')).toContainText('Sleeve (Evensong dress)');
});

test('a newcomer finds the way from nothing to two cloths in one cushion', async ({ empty: page }) => {
    await open(page, '/season/new');
    await page.getByLabel('Name', { exact: true }).fill('Thaw');
    await page.getByRole('button', { name: 'Save the season' }).click();
    for (const [name, width, length] of [
        ['Red poplin', '112', '0.6'],
        ['Blue poplin', '140', '0.5'],
    ]) {
        await open(page, '/cloth/new');
        await page.getByLabel('Name', { exact: true }).fill(name);
        await page.getByLabel('Width, selvage to selvage').fill(width);
        await page.getByLabel('Length', { exact: false }).first().fill(length);
        await page.getByRole('button', { name: /^Save/ }).first().click();
        await expect(page.getByRole('heading', { name })).toBeVisible();
    }
    await open(page, '/patterns/new');
    await page.getByLabel('Title').fill('Plain cushion');
    await page.getByLabel('Size in column 1').fill('one');
    await page.getByRole('button', { name: /^Save/ }).first().click();
    await expect(page.getByRole('heading', { name: 'Plain cushion' })).toBeVisible();

    await open(page, '/season');
    await page.getByRole('link', { name: 'Plan the first project' }).click();
    await ready(page);
    await page.getByLabel('Pattern and version').fill('plain cushion');
    await page.getByLabel('Size', { exact: true }).fill('one');
    await page.getByLabel('From', { exact: true }).selectOption('own');
    await page.getByLabel('Cut', { exact: true }).fill('red');
    await page.getByRole('button', { name: 'Save the project' }).click();
    await project(page, 'Plain cushion').locator('.who a').click();
    // no pieces yet: the page of the project says where they are entered
    await page.getByRole('link', { name: 'Each piece its cloth' }).click();
    await page.getByRole('link', { name: 'Enter the pieces' }).click();
    await page.getByRole('link', { name: 'Measure the first piece' }).click();
    for (const name of ['Front', 'Back']) {
        await ready(page);
        await page.getByLabel('Name').fill(name);
        await page.getByLabel('length, column 1').fill('25');
        await page.getByLabel('width, column 1').fill('50');
        await page.getByRole('button', { name: 'Save the piece' }).click();
        await expect(page.locator('.piece-sheet')).toContainText(name);
        if (name === 'Front') {
            await page.getByRole('link', { name: 'Measure or draw a piece' }).click();
        }
    }
    await open(page, '/season');
    await pieces(page, 'Plain cushion');
    await press(page, 'Back').click();
    await to(page, 'Blue poplin').click();
    await ready(page);
    await expect(page.locator('.cloths-to')).toContainText('Blue poplin');
    await expect(press(page, 'Back')).toContainText('Blue poplin');
});
