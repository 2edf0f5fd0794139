import { expect, hands, open, project, ready, test, toSeason } from './workroom.js';

/** The usual tasks, counted in seconds of hands: a quarter of a second a key, 1.3 seconds a press. */

const TWELVE = [
    '2.5m navy linen 140 wide 18/m',
    '1.8 m cotton lawn herons 136 wide',
    '3m viscose twill rust 145cm 12/m',
    '1.20 m wool flannel grey 150 wide',
    '2 yd cotton drill bottle green 56"',
    '1.5m jersey stripe 170cm 9.50/m',
    '90cm silk habotai ivory 114 wide',
    '2.2m denim indigo 148 wide 15/m',
    '4m cotton voile white 140 6/m',
    '1.6 m corduroy moss 145 remnant',
    '2m ponte plum 150 wide 14/m',
    '3.5m calico 160 wide 4/m',
];

test('twelve cloths line by line take less than 110 seconds', async ({ empty: page }) => {
    await open(page, '/cloth/haul');
    const hand = hands(page);
    await hand.press(page.getByLabel('What came home'));
    for (const line of TWELVE) {
        await hand.type(line);
        await hand.key('Enter');
    }
    await expect(page.locator('.haul-lines > li')).toHaveCount(12);
    await hand.key('Control+Enter');
    await expect(page.getByText('12 cloths are in the stash.')).toBeVisible();
    expect(hand.seconds).toBeLessThan(110);
});

test('a pattern of two widths and four sizes takes less than 20 seconds', async ({ empty: page }) => {
    await open(page, '/patterns');
    const hand = hands(page);
    await hand.key('n');
    await page.waitForURL(/patterns\/new/);
    await ready(page);
    await hand.press(page.getByLabel('Title'));
    await hand.type('Kestrel shirt');
    await hand.press(page.getByLabel('Size in column 1'));
    await hand.typeEach(['10', '12', '14', '16']);
    await hand.press(page.getByLabel('Row 1, column 1'));
    await hand.typeEach(['2.3', '2.4', '2.5', '2.6']);
    await hand.press(page.getByLabel('Row 2, column 1'));
    await hand.typeEach(['1.9', '2', '2', '2.1']);
    await hand.key('Enter');
    await expect(page.getByRole('heading', { name: 'Kestrel shirt' })).toBeVisible();
    await expect(page.getByRole('cell', { name: '2.60 m' })).toBeVisible();
    expect(hand.seconds).toBeLessThan(20);
});

test('what a cloth can become stands on its page, and what one has got for a pattern is one press away', async ({ demo: page }) => {
    await open(page, '/cloth?words=moss+linen');
    await page.getByRole('link', { name: 'Moss linen' }).click();
    await expect(page.locator('.becomes-row')).toHaveCount(3);
    const hand = hands(page);
    await hand.press(page.getByRole('link', { name: /^See all/ }));
    await expect(page.getByRole('heading', { name: 'Moss linen' })).toBeVisible();
    await expect(page.locator('.proposal').first()).toBeVisible();
    expect(hand.presses).toBe(1);
    await open(page, '/patterns?words=evensong');
    await page.getByRole('link', { name: 'Evensong dress' }).click();
    await hand.press(page.getByRole('link', { name: 'What have I got for it?' }).first());
    await expect(page.locator('.proposal').first()).toBeVisible();
    expect(hand.presses).toBe(2);
});

test('a short dress is made enough in three presses', async ({ demo: page }) => {
    test.setTimeout(120_000);
    await toSeason(page, 'Haar');
    await page.getByRole('link', { name: 'Regatta dress' }).click();
    const hand = hands(page);
    await hand.press(page.getByRole('link', { name: 'Make it enough' }).first());
    await expect(page.locator('[data-waiting]')).toHaveCount(0, { timeout: 90_000 });
    await hand.press(page.getByRole('button', { name: 'Least change that fits' }));
    await expect(page.locator('.gap-over')).toBeVisible({ timeout: 40_000 });
    await hand.press(page.getByRole('button', { name: 'Make it that way' }));
    await expect(page.locator('.toast')).toContainText('Regatta dress is made that way now.');
    expect(hand.presses).toBe(3);
});

test('from a project to its cut cloth takes less than 10 seconds', async ({ demo: page }) => {
    await project(page, 'Heron skirt').getByRole('link', { name: 'Heron skirt' }).click();
    expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThan(1400);
    const hand = hands(page);
    await hand.press(page.locator('.project-verdict').getByRole('link', { name: 'Before cutting' }));
    await expect(page.getByRole('heading', { name: 'Before cutting' })).toBeVisible();
    await hand.press(page.getByLabel('Skip all that are left, because'));
    await hand.type('as last time');
    await hand.press(page.getByRole('button', { name: 'Save the answers' }));
    await expect(page.getByText('all are clear')).toBeVisible();
    await hand.press(page.getByRole('button', { name: 'It is cut' }));
    await expect(page.locator('.toast')).toContainText('Heron lawn is cut for Heron skirt.');
    expect(hand.seconds).toBeLessThan(10);
});

test('in a shop a width is one tap, and a tick stays', async ({ demo: page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/shopping');
    const hand = hands(page);
    await hand.press(page.getByRole('link', { name: '112 cm' }));
    await expect(page.locator('.is-at-width tbody', { hasText: 'Viscose lining' })).toContainText('2.30 m');
    expect(hand.presses).toBe(1);
    await page.locator('.is-at-width tbody', { hasText: 'Viscose lining' }).getByRole('checkbox').check();
    await page.getByRole('link', { name: '140 cm' }).click();
    await page.reload();
    await ready(page);
    await expect(page.locator('.is-at-width tbody', { hasText: 'Viscose lining' }).getByRole('checkbox')).toBeChecked();
    await expect(page.locator('.is-at-width tbody', { hasText: 'Moth-wing silk' }).getByRole('checkbox')).not.toBeChecked();
});

test('a snag is cleared with one press, and the page is the same', async ({ demo: page }) => {
    await project(page, 'Choir dress').getByRole('link', { name: 'Choir dress' }).click();
    const at = page.url();
    const hand = hands(page);
    await hand.press(page.locator('.snags').getByRole('button', { name: 'Mark as washed' }));
    await expect(page.locator('.snags')).toContainText('washed but not measured again');
    expect(page.url()).toContain(at);
    expect(hand.presses).toBe(1);
});

test('six projects take less than 45 seconds', async ({ demo: page }) => {
    const hand = hands(page);
    // a hand takes longer for a key than the list does to come
    const listed = () => expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
    const before = await page.locator('.project').count();
    for (const [version, size, cloth] of [
        ['tiller a', '14', 'fern'],
        ['backwater', '14', 'moss'],
        ['evensong', '14', 'midn'],
        ['windmill', '6', 'rowan'],
        ['quarry b', '14', 'quarry'],
        ['bow-lock', '16', 'booth'],
    ]) {
        await hand.key('n');
        await page.waitForURL(/project\/new/);
        await ready(page);
        await hand.type(version);
        await listed();
        await hand.tabTo(page.getByLabel('Size', { exact: true }));
        await hand.type(size);
        const from = page.getByLabel('From', { exact: true }).first();
        await hand.tabTo(from);
        await hand.choose(from, 'a');
        await hand.tabTo(page.getByLabel('Cut', { exact: true }).first());
        await hand.type(cloth);
        await listed();
        await hand.key('Control+Enter');
        await page.waitForURL(/season\/\w+\?project/);
        await ready(page);
    }
    await expect(page.locator('.project')).toHaveCount(before + 6);
    expect(hand.seconds).toBeLessThan(45);
});
