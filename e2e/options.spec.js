import { expect, expectNoSidewaysScroll, hands, open, project, ready, test } from './workroom.js';

async function twoOptionsStand(page) {
    await expect(page.locator('.project-page .head')).toContainText('B, belted, size 14');
    await expect(page.locator('#role-1')).toContainText('Tar coating');
    const other = page.locator('#options article');
    await expect(other).toContainText('A, short, size 14, from Tar coating');
    await expect(other).toContainText('fits');
}

test('a project with two options is planned by keyboard in less than 40 seconds of hands', async ({ demo: page }) => {
    const hand = hands(page);
    await hand.key('n');
    await page.waitForURL(/project\/new/);
    await ready(page);
    await hand.type('towpath belted');
    await hand.tabTo(page.getByLabel('Size', { exact: true }));
    await hand.type('14');
    const from = page.getByLabel('From', { exact: true }).first();
    await hand.tabTo(from);
    await hand.choose(from, 'a');
    await hand.tabTo(page.getByLabel('Cut', { exact: true }).first());
    await hand.type('tar coat');
    await hand.tabTo(page.getByRole('button', { name: 'Save, and add an option' }));
    await hand.key('Enter');
    await expect(page.getByRole('heading', { name: 'Towpath coat: another option' })).toBeVisible();
    await ready(page);
    const version = page.getByLabel('Pattern and version');
    await hand.tabTo(version);
    await hand.type('towpath short');
    await hand.key('Control+Enter');
    await twoOptionsStand(page);
    expect(hand.seconds).toBeLessThan(40);
});

test('… and by mouse', async ({ demo: page }) => {
    const hand = hands(page);
    await hand.press(page.getByRole('link', { name: 'Plan a project' }));
    await ready(page);
    await hand.type('towpath belted');
    await hand.press(page.getByLabel('Size', { exact: true }));
    await hand.type('14');
    await hand.pick(page.getByLabel('From', { exact: true }).first(), 'own');
    await hand.press(page.getByLabel('Cut', { exact: true }).first());
    await hand.type('tar coat');
    await hand.press(page.getByRole('button', { name: 'Save, and add an option' }));
    await expect(page.getByRole('heading', { name: 'Towpath coat: another option' })).toBeVisible();
    await ready(page);
    await page.getByLabel('Pattern and version').selectText();
    await hand.press(page.getByLabel('Pattern and version'));
    await page.keyboard.press('ControlOrMeta+a');
    await hand.type('towpath short');
    await hand.press(page.getByRole('button', { name: 'Save the option' }));
    await twoOptionsStand(page);
    expect(hand.seconds).toBeLessThan(40);
});

test('an option is taken with a reason, and what led before is brought back', async ({ demo: page }) => {
    await project(page, 'Towpath coat').getByRole('link', { name: 'Towpath coat' }).click();
    const belted = page.getByRole('article', { name: 'B, belted, size 14, from Tar coating' });
    await expect(belted).toContainText('Tweed waistcoat would be 26 cm short of Slate lining because of it.');
    const shorter = page.getByRole('article', { name: 'A, short, size 14, from Reed canvas' });
    await shorter.getByText('Take this option').click();
    await shorter.getByLabel('Why, for the history').fill('The canvas is short.');
    await shorter.getByRole('button', { name: 'Take it' }).click();
    await expect(page.locator('#role-1')).toContainText('13 cm to spare');
    await page.getByRole('link', { name: /^Notes/ }).click();
    await expect(page.locator('#history')).toContainText('The canvas is short.');
    await page.locator('#history form', { hasText: 'C, size 14, from Reed canvas' }).getByRole('button', { name: 'Bring it back' }).click();
    await expect(page.getByRole('article', { name: 'C, size 14, from Reed canvas' })).toContainText('26 cm missing');
    await page.goBack();
    await page.getByRole('link', { name: /^Cloth \d/ }).click();
    await expect(page.locator('#options article')).toHaveCount(1);
});

test('on a phone a project begins with its strip and its verdict', async ({ demo: page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/season');
    await project(page, 'Towpath coat').getByRole('link', { name: 'Towpath coat' }).click();
    await expect(page.locator('.project-verdict .big')).toHaveText('26 cm short');
    const strip = await page.locator('.project-verdict .strip').boundingBox();
    expect(strip.y + strip.height).toBeLessThan(300);
    await expectNoSidewaysScroll(page);
});
