import { expect, expectAccessible, expectNoSidewaysScroll, open, test } from './workroom.js';

const first = async (page, list, selector) => {
    await page.goto(list);
    return page.locator(selector).first().getAttribute('href');
};

const desk = { width: 1280, height: 800 };
const tablet = { width: 1024, height: 768 };
const phone = { width: 390, height: 844 };

/** What a desk shows when it is zoomed to 200 %. */
const zoomed = { width: 640, height: 400 };

/** Each page once; axe looks at the phone again only where one works with it. */
async function look(page, paths, onPhone = []) {
    for (const path of paths) {
        await test.step(path, async () => {
            await page.setViewportSize(desk);
            await open(page, path);
            await expectAccessible(page);
            for (const size of [desk, tablet, zoomed, phone]) {
                await page.setViewportSize(size);
                await expectNoSidewaysScroll(page);
            }
            if (onPhone.includes(path)) {
                await open(page, path);
                await expectAccessible(page);
                await expectNoSidewaysScroll(page);
            }
        });
    }
}

test('season, table and shopping are accessible and nothing scrolls sideways', async ({ demo: page }) => {
    test.setTimeout(180_000);
    const laid = await first(page, '/table', '.lay-line a');
    const project = await first(page, '/season', '.project:nth-of-type(4) .who a');
    await look(
        page,
        [
            '/season',
            '/season/new',
            '/project/new',
            project + '/cloth',
            project + '/sewing',
            project + '/pattern',
            project + '/notes',
            project + '/change?part=cloth',
            project + '/option/new',
            project + '/pieces',
            '/lists',
            '/lists/new',
            '/table',
            '/table/new',
            laid,
            '/shopping',
            '/match',
            '/match?q=140+wide+linen+18+eur+per+m',
            '/match?q=2.3+m+145+wide+ponte',
            '/match?with[]=2.3+m+145+wide+ponte&with[]=3+m+150+wide+wool',
            '/match/pattern',
            '/match/best',
            '/settings',
            '/find?q=heron',
            '/find',
        ],
        ['/season', project + '/cloth', project + '/sewing', laid, '/shopping', '/match', '/match/pattern'],
    );
});

test('cloth, notions and people are accessible and nothing scrolls sideways', async ({ demo: page }) => {
    test.setTimeout(180_000);
    const cloth = await first(page, '/cloth?words=heron', '.sheet td a');
    const person = await first(page, '/people', '.sheet td a');
    const notion = await first(page, '/notions', '.sheet td a');
    await look(
        page,
        [
            '/cloth',
            '/cloth?colour=moss&weight=medium&words=linnen',
            '/cloth/new',
            '/cloth/haul',
            '/cloth/csv',
            cloth,
            cloth + '/edit',
            cloth + '/test/burn',
            cloth + '/test/width',
            '/people',
            person,
            '/notions',
            '/notions/csv',
            notion,
        ],
        ['/cloth', '/cloth/haul', cloth, cloth + '/test/width'],
    );
});

test('patterns are accessible and nothing scrolls sideways', async ({ demo: page }) => {
    test.setTimeout(180_000);
    const pattern = await first(page, '/patterns?words=towpath', '.sheet td a');
    const pieces = await first(page, pattern, '.pieces-line a');
    await look(
        page,
        [
            '/patterns',
            '/patterns?without[lining]=1',
            '/patterns/haul',
            '/patterns/csv',
            '/patterns/new',
            pattern,
            pattern + '/edit',
            pattern + '/card',
            pattern + '/alterations',
            pattern + '/versions/new',
            pieces,
            pieces + '/new?draft=sleeve',
            pieces + '/import',
            pieces + '/copy',
        ],
        ['/patterns', pattern, pieces],
    );
});

test('signing in and registering are accessible', async ({ page }) => {
    await look(page, ['/sign-in', '/register']);
});

test('no room scrolls sideways at any width between a phone and a desk', async ({ demo: page }) => {
    for (const room of ['/season', '/cloth', '/patterns', '/match', '/table', '/shopping', '/sewing', '/people']) {
        await open(page, room);
        for (const width of [340, 700, 861, 900, 1024, 1180, 1181]) {
            await page.setViewportSize({ width, height: 800 });
            await test.step(`${room} at ${width}`, () => expectNoSidewaysScroll(page));
        }
    }
});

test('the demo workroom opens with one button', async ({ page }) => {
    await open(page, '/sign-in');
    await page.getByRole('button', { name: 'Open the demo workroom' }).click();
    await expect(page.getByRole('heading', { name: 'Thaw' })).toBeVisible();
});

test('keys go to every room, find, list themselves and begin something new', async ({ demo: page }) => {
    await page.locator('body').press('?');
    await expect(page.getByRole('dialog')).toContainText('move the selected project');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
    for (const [keys, heading] of [
        ['gc', 'Cloth'],
        ['gp', 'Patterns'],
        ['gt', 'Cutting table'],
        ['ge', 'I have half an hour'],
        ['gh', 'Shopping for Thaw'],
        ['gs', 'Thaw'],
    ]) {
        await page.keyboard.press(keys[0]);
        await page.keyboard.press(keys[1]);
        await expect(page.getByRole('heading', { name: heading, exact: true })).toBeVisible();
        await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
    }
    await page.keyboard.press('/');
    await expect(page.getByRole('searchbox')).toBeFocused();
    await page.keyboard.type('heron');
    await expect(page.locator('.found a').first()).toBeVisible();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Heron lawn' })).toBeVisible();
    await open(page, '/cloth');
    await page.keyboard.press('n');
    await expect(page.getByRole('heading', { name: 'Enter a cloth' })).toBeVisible();
});

test('settings switch the units of the whole plan', async ({ demo: page }) => {
    await open(page, '/settings');
    await page.getByLabel('Units', { exact: true }).selectOption('imperial');
    await page.getByRole('button', { name: 'Save the settings' }).click();
    await expect(page.getByText('The settings are saved.')).toBeVisible();
    await open(page, '/season');
    await expect(page.locator('.project[data-name="Towpath coat"]')).toContainText('10¼ in missing');
    await expect(page.locator('.strip .tape').first()).toContainText('1 yd');
});

test('an address that leads nowhere is answered in the application’s own words', async ({ empty: page }) => {
    page.removeAllListeners('console');
    const response = await page.goto('/cloth/00000000000000000000000000');
    expect(response.status()).toBe(404);
    await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
    await expect(page.locator('body')).not.toContainText('Exception');
});
