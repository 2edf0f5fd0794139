import { spawnSync } from 'node:child_process';
import { expect, open, ready, test, toSeason } from './workroom.js';

/** Opens the table with a project of the demo workroom. */
async function lay(page, project) {
    await open(page, '/table');
    await page.locator('section', { hasText: 'Lay a project' }).getByRole('link', { name: project, exact: true }).click();
    await ready(page);
}

/** One is chosen by a part of its name. */
async function addCut(page, name) {
    await page.getByLabel('Add a cut').fill(name);
    await page.getByRole('listbox').getByText(name).first().click();
}

/** A new lay of a dress on a cloth with a large print. */
async function layOnPeonies(page) {
    await open(page, '/table/new');
    await ready(page);
    // both before the first is answered: neither is lost
    await addCut(page, 'Big peony viscose');
    await page.getByLabel('Add a project or pattern').selectOption({ label: 'Regatta dress' });
}

const answer = (page) => page.locator('[x-ref=answer]');
const piece = (page, name) =>
    page.locator('.mat-piece').filter({ has: page.locator(`xpath=self::*[starts-with(@aria-label, "${name}")]`) });

/** How far from the left a piece lies; a mat that is drawn anew at that moment has none for an instant. */
async function left(piece) {
    let box = null;
    await expect
        .poll(async () => {
            box = await piece.boundingBox();
            return box;
        })
        .not.toBeNull();
    return box.x;
}

async function drag(page, from, x, y) {
    const box = await from.boundingBox();
    const mat = await page.locator('.mat').boundingBox();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 20, box.y + box.height / 2 - 20, { steps: 2 });
    await page.mouse.move(mat.x + x, mat.y + y, { steps: 6 });
    await page.mouse.up();
}

test('a tee is laid by machine in every way, and the best one is named', async ({ demo: page }) => {
    await lay(page, 'Fern tee');
    await page.getByLabel('Seconds to search').selectOption('2');
    await page.getByRole('button', { name: 'Lay it by machine' }).click();
    await expect(answer(page)).toContainText('Every piece is laid, none over another', { timeout: 15000 });
    await expect(answer(page)).toContainText('both selvages to the middle');
    await expect(page.locator('.mat-piece')).toHaveCount(4);
    await page.getByLabel('How the cloth is laid').selectOption('gate');
    await page.getByRole('button', { name: 'Lay it by machine' }).click();
    await expect(page.locator('.mat-piece')).toHaveCount(3, { timeout: 15000 });
    await expect(page.locator('.mat text', { hasText: 'the selvages meet here' })).toBeVisible();
});

test('a lay made with the mouse is judged, mended, saved, reopened and printed, and the season counts it', async ({ demo: page }) => {
    await lay(page, 'Fern tee');
    await drag(page, page.getByRole('button', { name: /^Back 1/ }), 180, 110);
    await drag(page, page.getByRole('button', { name: /^Front 1/ }), 190, 330);
    await drag(page, page.getByRole('button', { name: /^Sleeve 1/ }), 480, 120);
    await expect(answer(page)).toContainText('Not laid: Sleeve 2');
    await drag(page, page.getByRole('button', { name: /^Sleeve 2/ }), 470, 140);
    await expect(answer(page)).toContainText('Sleeve 1 and Sleeve 2 overlap');
    await expect(page.locator('.mat-piece.is-bad')).toHaveCount(2);
    await drag(page, piece(page, 'Sleeve 2'), 470, 330);
    await expect(answer(page)).toContainText('Every piece is laid, none over another');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(answer(page)).toContainText('overlap');
    await page.getByRole('button', { name: 'Redo' }).click();
    await expect(answer(page)).toContainText('Every piece is laid, none over another');
    await page.getByLabel('Name of the lay').fill('Tee by hand');
    await page.getByRole('button', { name: 'Save the lay' }).click();
    await expect(page.getByText('Tee by hand is saved: its projects count this length now.')).toBeVisible();
    await ready(page);
    await expect(page.locator('.mat-piece')).toHaveCount(4);
    await expect(answer(page)).toContainText('Every piece is laid, none over another');
    await page.getByRole('link', { name: 'Print' }).click();
    await expect(page.getByRole('row')).toHaveCount(5);
    await expect(page.getByRole('columnheader', { name: 'From the cut end' })).toBeVisible();
    await toSeason(page, 'Haar');
    const row = page.locator('.project', { hasText: 'Fern tee' });
    await row.click();
    await expect(page.getByRole('complementary')).toContainText('Laid out, flat, one layer');
    await expect(row.locator('.is-laid')).toHaveCount(1);
});

test('a lay made with the keyboard alone is saved and reopened', async ({ demo: page }) => {
    await lay(page, 'Fern tee');
    for (const name of ['Front 1', 'Back 1', 'Sleeve 1', 'Sleeve 2']) {
        await page
            .getByRole('button', { name: new RegExp('^' + name) })
            .first()
            .focus();
        await page.keyboard.press('Enter');
        await expect(piece(page, name)).toBeFocused();
    }
    await expect(answer(page)).toContainText('Every piece is laid, none over another');
    const before = await piece(page, 'Sleeve 2').getAttribute('aria-label');
    await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Alt+ArrowRight');
    await expect(piece(page, 'Sleeve 2')).not.toHaveAttribute('aria-label', before);
    await page.keyboard.press('p');
    await expect(piece(page, 'Sleeve 2')).toHaveAttribute('aria-label', before);
    await page.keyboard.press('r');
    await expect(piece(page, 'Sleeve 2')).toHaveAttribute('aria-label', /180°/);
    await page.keyboard.press('Control+z');
    await page.keyboard.press('l');
    await expect(piece(page, 'Sleeve 2')).toHaveAttribute('aria-label', /locked/);
    await page.keyboard.press('ArrowRight');
    await expect(piece(page, 'Sleeve 2')).toHaveAttribute('aria-label', new RegExp(before.split(':')[1].split(',')[0].trim()));
    await page.getByLabel('Name of the lay').focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('Fern tee is saved')).toBeVisible();
    await ready(page);
    await expect(piece(page, 'Sleeve 2')).toHaveAttribute('aria-label', /locked/);
});

test('locked pieces stay while the machine lays the rest; three garments share two cuts', async ({ demo: page }) => {
    await lay(page, 'Quarry pinafore');
    for (const name of ['Tweed waistcoat', 'Gathered tweed skirt']) {
        await page.getByLabel('Add a project or pattern').selectOption({ label: name });
        await expect(page.locator('.laid-list').first()).toContainText(name);
    }
    await addCut(page, 'tweed, the shorter');
    await expect(page.locator('.mat-name')).toHaveCount(2);
    await page.getByLabel('Seconds to search').selectOption('2');
    await page.getByLabel('How the cloth is laid').selectOption('flat');
    await page.getByRole('button', { name: 'Lay it by machine' }).click();
    await expect(answer(page)).toContainText('Which piece from which cut', { timeout: 20000 });
    await expect(answer(page)).toContainText('Every piece is laid, none over another');
    const first = page.locator('.mat-piece').first();
    await first.focus();
    await page.keyboard.press('l');
    const at = await first.getAttribute('transform');
    await page.getByRole('button', { name: 'Lay it by machine' }).click();
    await expect(page.getByRole('button', { name: 'Lay it by machine' })).toBeVisible({ timeout: 20000 });
    await expect(page.locator('.mat-piece.is-locked')).toHaveAttribute('transform', at);
    await expect(answer(page)).toContainText('Every piece is laid, none over another');
});

test('a way of laying that cannot be is refused with its reason', async ({ demo: page }) => {
    await lay(page, 'Heron skirt');
    await page.getByLabel('How the cloth is laid').selectOption('crosswise');
    await expect(page.getByText('Folded crosswise, one layer would point the other way, and the cloth is one-way.')).toBeVisible();
    await expect(page.getByLabel('How the cloth is laid')).toHaveValue('flat');
});

test('stopped, the machine keeps the best so far', async ({ demo: page }) => {
    await lay(page, 'Towpath coat');
    await page.getByLabel('Seconds to search').selectOption('60');
    await page.getByRole('button', { name: 'Lay it by machine' }).click();
    await expect(page.locator('.mat-piece').first()).toBeVisible({ timeout: 10000 });
    await page.getByRole('button', { name: 'Stop, keep the best' }).click();
    await expect(page.getByRole('button', { name: 'Lay it by machine' })).toBeVisible();
    await expect(answer(page)).toContainText('In pieces');
});

test('killed, the machine keeps the best so far, and left alone it ends by itself', async ({ demo: page, account: { account } }) => {
    test.slow();
    const machine = `octavum:lay-job --account=${account}`;
    const atWork = () => spawnSync('pgrep', ['-f', machine]).stdout.toString();
    const lays = async () => {
        await page.getByLabel('Seconds to search').selectOption('60');
        await page.getByRole('button', { name: 'Lay it by machine' }).click();
        await expect(page.locator('.mat-piece').first()).toBeVisible({ timeout: 30_000 });
    };
    await lay(page, 'Towpath coat');
    await lays();
    expect(atWork()).not.toBe('');
    spawnSync('pkill', ['-KILL', '-f', machine]);
    await expect.poll(atWork).toBe('');
    await expect(page.getByText('The machine has ended before its time.')).toBeVisible({ timeout: 30_000 });
    await expect(answer(page)).toContainText('Every piece is laid, none over another');
    await lays();
    await page.goto('/cloth');
    expect(atWork()).not.toBe('');
    await expect.poll(atWork, { timeout: 45_000 }).toBe('');
});

test('the print lies to scale beneath the pieces, and what a rule means for the length is said', async ({ demo: page }) => {
    await layOnPeonies(page);
    await expect(page.locator('.mat-name')).toHaveText('Big peony viscose, 2.10 m × 133 cm, print to scale, repeat 32 cm');
    await expect(page.locator('.laid-list').first()).toContainText('Regatta dress');
    await page.getByLabel('Seconds to search').selectOption('2');
    await page.getByRole('button', { name: 'Lay it by machine' }).click();
    await expect(answer(page)).toContainText('Every piece is laid, none over another', { timeout: 15_000 });
    await page.getByLabel('match the repeat').check();
    await page.getByRole('button', { name: 'Lay it by machine' }).click();
    await expect(answer(page)).toContainText(/Against before.*more/s, { timeout: 15_000 });
    await page.getByLabel('the whole garment across the cloth').click();
    await expect(page.getByText('What lies across the cloth cannot be matched to its repeat')).toBeVisible();
    await expect(page.getByLabel('the whole garment across the cloth')).not.toBeChecked();
    await page.getByLabel('every piece the same way up').check();
    await page.getByText('Pieces that may lie upside down').click();
    await page.locator('[x-ref=eased]').getByLabel('Front facing').check();
    await expect(page.getByLabel('Why')).toHaveValue('nobody sees it');
});

test('pieces are laid to the figures of a large print, with hems at an edge, saved, reopened and printed', async ({ demo: page }) => {
    await layOnPeonies(page);
    await expect(page.getByLabel('Name of the lay')).toHaveValue('Regatta dress');
    await page.getByText('Pieces laid to large figures').click();
    await expect(page.getByLabel('Size of a figure')).toHaveValue('18 cm');
    await page.getByRole('combobox', { name: 'Front bodice' }).selectOption('a figure in the middle');
    await expect(page.getByRole('alert')).toHaveText(
        'The places of the figures are not all set yet: From the straightened end; From the upper edge; From one to the next, across',
    );
    await page.getByRole('button', { name: 'Lay it by machine' }).click();
    await expect(page.getByRole('alert')).toContainText('are not all set yet');
    await page.getByLabel('From the straightened end').fill('10 cm');
    await page.getByLabel('From the upper edge').fill('8');
    await page.getByLabel('From one to the next, across').fill('28 cm');
    await page.getByLabel('From one to the next, across').press('Tab');
    await expect(page.locator('.mat-figure')).toBeAttached();
    await page.getByRole('combobox', { name: 'Front facing' }).selectOption('a figure whole on it');
    await expect(page.getByRole('alert')).toContainText('Front facing holds no whole figure of 18 cm');
    await page.getByRole('combobox', { name: 'Front facing' }).selectOption('as it falls');
    await page.getByRole('combobox', { name: 'Back bodice' }).selectOption('no figure on its two points');
    await page.getByLabel('below its top').nth(1).fill('9 m');
    await page.getByLabel('below its top').nth(1).press('Tab');
    await expect(page.getByRole('alert')).toHaveText('A distance of 9000 mm cannot be: it is at most 5 m.');
    await page.getByLabel('below its top').nth(1).fill('90 cm');
    await page.getByLabel('below its top').nth(1).press('Tab');
    await expect(page.getByRole('alert')).toContainText('90 cm below its top is off the piece');
    const answered = page.waitForResponse('**/table/mat');
    await page.getByLabel('below its top').nth(1).fill('12 cm');
    await page.getByLabel('below its top').nth(1).press('Tab');
    await (await answered).finished();
    await expect(page.getByRole('alert')).toBeHidden();
    // by hand a piece goes from one place of the print to the next, with the keys as with the mouse
    await page.getByRole('button', { name: 'Front bodice 1' }).click();
    const bodice = piece(page, 'Front bodice 1');
    await expect(bodice).toBeFocused();
    const from = await left(bodice);
    await bodice.press('ArrowRight');
    expect((await left(bodice)) - from, 'a repeat of 32 cm, not the usual centimetre').toBeGreaterThan(60);
    await bodice.press('p');
    expect(Math.abs((await left(bodice)) - from)).toBeLessThan(1);
    await expect(answer(page)).not.toContainText('Front bodice 1 does not lie to the figures');
    await page.getByText('Hems at a border or a finished edge').click();
    await page
        .getByRole('group')
        .getByLabel(/^Skirt front \(its hem curves by/)
        .check();
    await expect(page.locator('[x-ref=edged] input').nth(2)).toBeFocused();
    await page.getByLabel('Seconds to search').selectOption('5');
    await page.getByRole('button', { name: 'Lay it by machine' }).click();
    await expect(answer(page)).toContainText(/folded lengthwise.*which are seen only where the cloth lies flat/s, { timeout: 15_000 });
    await page.getByRole('button', { name: 'Save the lay' }).click();
    await expect(page.getByRole('heading', { name: 'Regatta dress' })).toBeVisible();
    await ready(page);
    await expect(page.getByLabel('From one to the next, across')).toHaveValue('28 cm');
    await expect(page.getByRole('combobox', { name: 'Back bodice' })).toHaveValue('clear');
    await expect(page.getByLabel('below its top').nth(1)).toHaveValue('12 cm');
    const saved = page.url();
    await layOnPeonies(page);
    await page.getByText('Pieces laid to large figures').click();
    await expect(page.getByText('As measured for Regatta dress')).toBeVisible();
    await expect(page.getByLabel('From one to the next, across')).toHaveValue('28 cm');
    await addCut(page, 'Moss linen');
    await expect(page.getByText('As measured for Regatta dress')).toBeHidden();
    await expect(page.getByLabel('From one to the next, across'), 'what was offered is of the one cut alone').toHaveValue('');
    await open(page, saved);
    await page.getByRole('link', { name: 'Print' }).click();
    await expect(page.getByText('The middle of a figure is 10 cm from the straightened end and 8 cm from the upper edge')).toBeVisible();
    await expect(page.getByRole('row', { name: /Front bodice.*a figure in the middle/ })).toBeVisible();
});

test('an answer that comes late takes no refusal away', async ({ demo: page }) => {
    await layOnPeonies(page);
    await expect(page.locator('.laid-list').first()).toContainText('Regatta dress');
    await page.getByText('Pieces laid to large figures').click();
    await page.getByLabel('From the straightened end').fill('10 cm');
    await page.getByLabel('From the upper edge').fill('8');
    await page.getByLabel('From one to the next, across').fill('28 cm');
    await page.getByLabel('From one to the next, across').press('Tab');
    await expect(page.locator('.mat-figure')).toBeAttached();
    const held = [];
    await page.route('**/table/mat', (route) => (held.length === 0 ? held.push(route) : route.continue()));
    await page.getByRole('combobox', { name: 'Back bodice' }).selectOption('no figure on its two points');
    await expect.poll(() => held.length).toBe(1);
    await page.getByLabel('below its top').nth(1).fill('9 m');
    await page.getByLabel('below its top').nth(1).press('Tab');
    await expect(page.getByRole('alert')).toHaveText('A distance of 9000 mm cannot be: it is at most 5 m.');
    const late = page.waitForResponse('**/table/mat');
    await held[0].continue();
    await (await late).finished();
    await page.getByLabel('From the upper edge').press('Tab');
    await expect(page.getByRole('alert')).toHaveText('A distance of 9000 mm cannot be: it is at most 5 m.');
});

test('a piece is drawn while it is measured, and outlines come from an SVG file', async ({ demo: page }) => {
    await open(page, '/patterns?words=moth');
    await page.getByRole('link', { name: 'Moth slip' }).click();
    await page.getByRole('link', { name: 'Enter its pieces' }).click();
    await page.getByRole('link', { name: 'Measure the first piece' }).click();
    await ready(page);
    await page.getByLabel('Name').fill('Facing');
    await page.getByLabel('length, column 1').fill('45');
    await expect(page.getByText('It is drawn here once the measurements make a piece.')).toBeVisible();
    await page.getByLabel('width, column 1').fill('20');
    await expect(page.getByRole('img', { name: /Facing: 48 cm long/ })).toBeVisible();
    await page.getByLabel('Shape').selectOption('bodice front');
    await expect(page.getByLabel('armhole depth, column 1')).toBeVisible();
    await ready(page);
    await page.getByLabel('Name').fill('Front');
    await page.getByRole('button', { name: 'Save the piece' }).click();
    await expect(page.getByText('Front is saved.')).toBeVisible();
    await page.getByRole('link', { name: 'From an SVG file' }).click();
    await page.getByLabel('SVG file').setInputFiles({
        name: 'slip.svg',
        mimeType: 'image/svg+xml',
        buffer: Buffer.from(
            '<svg xmlns="http://www.w3.org/2000/svg" width="400mm" height="800mm" viewBox="0 0 400 800"><g id="Back"><path d="M0 0H300V700H0Z"/></g></svg>',
        ),
    });
    await page.getByRole('button', { name: 'Read the file' }).click();
    await expect(page.getByText('the longer side of “Back” is 70.0 cm')).toBeVisible();
    await ready(page);
    await page.getByLabel('on the fold').check();
    await page.getByRole('button', { name: 'Take these pieces' }).click();
    await expect(page.getByText('One piece is taken from the file.')).toBeVisible();
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(page.getByText('That is undone.')).toBeVisible();
});
