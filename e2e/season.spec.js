import { expect, open, project, ready, test } from './workroom.js';

const names = (page) => page.locator('.project').evaluateAll((rows) => rows.map((row) => row.dataset.name));

test('a figure unfolds its working in the margin, and beneath itself with w', async ({ demo: page }) => {
    const margin = page.getByRole('complementary');
    await project(page, 'Choir dress').locator('.enough').click();
    await expect(margin).toContainText('To spare, rounded down');
    await expect(margin).toContainText('24 cm');
    await page.keyboard.press('w');
    await expect(project(page, 'Choir dress').locator('.unfold')).toContainText('Shrinks 4 % in the wash');
    await page.keyboard.press('w');
    await expect(project(page, 'Choir dress').locator('.unfold')).toBeEmpty();
    await page.keyboard.press('j');
    await expect(project(page, 'Bow-locker shirt')).toBeFocused();
    await expect(margin).toContainText('Bow-locker shirt');
});

test('alt and the arrows change the rank, everything recomputes, and it is undone', async ({ demo: page }) => {
    const before = await names(page);
    await project(page, 'Allotment shorts').focus();
    await page.keyboard.press('Alt+ArrowUp');
    await expect.poll(() => names(page)).toEqual(before.with(6, 'Allotment shorts').with(7, 'Heron skirt'));
    await expect(project(page, 'Allotment shorts')).toContainText('fits');
    await expect(project(page, 'Heron skirt')).toContainText('26 cm missing');
    await expect(project(page, 'Allotment shorts')).toBeFocused();
    await page.getByRole('button', { name: 'undo' }).click();
    await expect.poll(() => names(page)).toEqual(before);
});

test('a rank that was changed in another tab stays, and the page says so', async ({ demo: page }) => {
    const other = await page.context().newPage();
    await open(other, '/season');
    const before = await names(page);
    await project(other, 'Heron skirt').focus();
    await other.keyboard.press('Alt+ArrowUp');
    await expect.poll(() => names(other)).not.toEqual(before);
    await project(page, 'Towpath coat').focus();
    await page.keyboard.press('Alt+ArrowDown');
    await expect(page.getByText('The list was changed somewhere else since you opened it')).toBeVisible();
    await expect.poll(() => names(page)).toEqual(await names(other));
});

test('a project is dragged to another rank', async ({ demo: page }) => {
    const before = await names(page);
    const grip = await project(page, 'Towpath coat').locator('.grip').boundingBox();
    const target = await project(page, 'Smokehouse overshirt').boundingBox();
    await page.mouse.move(grip.x + 5, grip.y + 8);
    await page.mouse.down();
    await page.mouse.move(grip.x + 8, grip.y - 20, { steps: 4 });
    // as a hand does it: on until the row lies where it should, then let go
    let at = 0;
    await expect(async () => {
        await page.mouse.move(target.x + 30, target.y + 6 + (at = 4 - at), { steps: 6 });
        expect((await names(page))[0]).toBe('Towpath coat');
    }).toPass();
    await page.mouse.up();
    await expect.poll(() => names(page)).toEqual(['Towpath coat', ...before.filter((name) => name !== 'Towpath coat')]);
    await expect(page.getByText('The rank is changed.')).toBeVisible();
    await open(page, '/season');
    expect((await names(page))[0]).toBe('Towpath coat');
});

test('the plan of a whole season, from an empty workroom, with the keyboard alone', async ({ empty: page }) => {
    test.setTimeout(60_000);
    const type = async (...parts) => {
        for (const part of parts) {
            await (part.startsWith('<') ? page.keyboard.press(part.slice(1)) : page.keyboard.type(part));
        }
    };
    await open(page, '/season/new');
    await page.getByLabel('Name', { exact: true }).focus();
    await type('Thaw', '<Control+Enter');
    await expect(page.getByRole('heading', { name: 'Nothing is planned for Thaw yet' })).toBeVisible();

    await open(page, '/cloth');
    await page.keyboard.press('n');
    await ready(page);
    await page.getByLabel('Name', { exact: true }).focus();
    await type('Reed canvas', '<Tab', '137', '<Tab', '2.5');
    await expect(page.getByText('= 2.50 m (2⅝ yd)')).toBeVisible();
    await page.getByLabel('Fibres').focus();
    await type('cotton', '<Enter');
    await expect(page.getByText('2.34 m usable')).toBeVisible();

    await open(page, '/patterns');
    await page.keyboard.press('n');
    await ready(page);
    await page.getByLabel('Title').focus();
    await type('Towpath coat');
    await page.getByLabel('Hours to sew').focus();
    await type('16');
    await page.getByLabel('Size in column 1').focus();
    await type('14');
    await page.getByLabel('Row 1, column 1').focus();
    await type('2 3/5');
    await page.getByLabel('Row 2, column 1').focus();
    await type('2.10', '<Enter');
    await expect(page.getByRole('heading', { name: 'Towpath coat' })).toBeVisible();

    await open(page, '/season');
    await page.keyboard.press('n');
    await ready(page);
    await page.getByLabel('Pattern and version').focus();
    await type('Towpath coat, A', '<Tab', '14');
    await page.getByLabel('From', { exact: true }).selectOption('own');
    await page.getByLabel('Cut', { exact: true }).fill('Reed canvas, 2.34 m, 137 cm');
    await page.keyboard.press('Tab');
    await expect(page.getByRole('complementary')).toContainText('26 cm missing');
    await page.getByLabel('Size', { exact: true }).press('Enter');
    await expect(project(page, 'Towpath coat')).toContainText('26 cm missing');
});

test('a project is planned with the mouse, and the answer stands beside it before it is saved', async ({ demo: page }) => {
    await page.getByRole('link', { name: 'Plan a project' }).click();
    await ready(page);
    await page.getByLabel('Pattern and version').fill('NW 31 Lantern dress, A');
    await page.getByLabel('Size', { exact: true }).fill('14');
    await expect(page.getByLabel('Role').nth(1)).toHaveValue('lining');
    await page.getByLabel('From', { exact: true }).first().selectOption('own');
    await page.getByLabel('Cut', { exact: true }).first().fill('Moss linen, 2.98 m, 140 cm');
    await page.getByLabel('From', { exact: true }).nth(1).selectOption('buy');
    await page.getByLabel('What to buy').nth(1).fill('Viscose lining');
    const margin = page.getByRole('complementary');
    await expect(margin).toContainText('23 cm to spare');
    await expect(margin).toContainText('2.10 m at 140 cm');
    await page.getByRole('button', { name: 'Save the project' }).click();
    await expect(page.locator('.project').last()).toContainText('Lantern dress');
    await expect(page.locator('.project').last()).toContainText('23 cm to spare');
});

test('an answer that comes late never takes the place of a newer one', async ({ demo: page }) => {
    await page.getByRole('link', { name: 'Plan a project' }).click();
    await ready(page);
    const held = [];
    await page.route('**/project/preview', (route) => (held.length === 0 ? held.push(route) : route.continue()));
    await page.getByLabel('Pattern and version').fill('NW 31 Lantern dress, A');
    await expect.poll(() => held.length).toBe(1);
    await page.getByLabel('Size', { exact: true }).fill('14');
    await page.getByLabel('From', { exact: true }).first().selectOption('own');
    await page.getByLabel('Cut', { exact: true }).first().fill('Moss linen, 2.98 m, 140 cm');
    await page.getByLabel('Cut', { exact: true }).first().press('Tab');
    const margin = page.getByRole('complementary');
    await expect(margin).toContainText('23 cm to spare');
    await held[0].fulfill({ body: 'an old answer' });
    await expect(page.getByLabel('Role').nth(1)).toHaveValue('lining');
    await expect(margin).toContainText('23 cm to spare');
});

test('a snag is cleared where it stands', async ({ demo: page }) => {
    const snag = page.locator('.snag', { hasText: 'cloths are not washed yet' });
    await page.locator('.margin summary', { hasText: 'more' }).click();
    await snag.getByRole('button', { name: 'Mark all as washed' }).click();
    await expect(page.getByText('Midnight sateen is washed but not measured again')).toBeVisible();
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(page.getByText('That is undone.')).toBeVisible();
});

test('on a phone the working unfolds beneath its figure', async ({ demo: page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/season');
    await project(page, 'Towpath coat').locator('.enough').first().click();
    await expect(project(page, 'Towpath coat').locator('.unfold')).toContainText('Missing, rounded up');
});
