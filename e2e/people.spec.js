import { expect, open, test } from './workroom.js';

test('someone is measured with the keyboard, and a project takes the size that is offered', async ({ demo: page }) => {
    await open(page, '/people');
    await page.getByLabel('One more person').focus();
    await page.keyboard.type('Maud');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Maud' })).toBeVisible();
    await page.getByLabel('Bust', { exact: true }).focus();
    await expect(page.locator('.figure [data-point=bust]')).toHaveClass(/is-on/);
    for (const figure of ['92', '30 in', '106']) {
        await page.keyboard.type(figure);
        await page.keyboard.press('Tab');
    }
    await expect(page.locator('.understood').filter({ hasText: '= 76 cm' })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.locator('#sizes')).toContainText('Evensong dress');
    await expect(page.locator('#sizes')).toContainText(
        '14 bust, 16 waist, 18 hip: grade between. Chosen by bust; cloth is worked out for 18, the largest used.',
    );

    await open(page, '/project/new');
    await page.getByLabel('Pattern and version').fill('K204 Evensong dress, A');
    await page.getByLabel('Pattern and version').press('Tab');
    await page.getByLabel('For', { exact: true }).selectOption('Maud');
    await page.getByRole('button', { name: 'Take 14, graded to 18' }).click();
    await expect(page.getByLabel('Size', { exact: true })).toHaveValue('14');
    await expect(page.getByLabel('Up to size')).toHaveValue('18');
});

test('a size chart is shown as it is understood while it is pasted', async ({ demo: page }) => {
    await open(page, '/patterns/new');
    await page.getByText('Size chart').click();
    await page.getByLabel('The chart as it is printed').fill('size\tS\tM\nbust\t83\t88\nwaist\t66');
    await expect(page.locator('[x-ref=read] td').filter({ hasText: '88 cm' })).toBeVisible();
    await page.getByLabel('The chart as it is printed').fill('size\tS\tM\nbust\t88\t83');
    await expect(page.locator('[x-ref=read]')).toContainText('becomes smaller');
});

test('a photo is kept and its colours are taken, on a phone', async ({ demo: page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await open(page, '/cloth?words=moss');
    await page.getByRole('link', { name: 'Moss linen' }).click();
    const canvas = await page.evaluate(() => {
        const picture = Object.assign(document.createElement('canvas'), { width: 60, height: 60 });
        const pen = picture.getContext('2d');
        pen.fillStyle = '#27405e';
        pen.fillRect(0, 0, 60, 60);
        return picture.toDataURL('image/png').split(',')[1];
    });
    await page
        .getByLabel(/A photo by daylight/)
        .setInputFiles({ name: 'moss.png', mimeType: 'image/png', buffer: Buffer.from(canvas, 'base64') });
    await page.getByRole('button', { name: 'Add photo' }).click();
    await expect(page.getByAltText('Photo of Moss linen')).toBeVisible();
    expect(await page.getByAltText('Photo of Moss linen').evaluate((image) => image.naturalWidth)).toBe(60);
    await page.getByRole('button', { name: 'Take these colours' }).click();
    await expect(page.getByText('The colours of Moss linen are changed.')).toBeVisible();
    await page
        .getByLabel(/Another photo/)
        .setInputFiles({ name: 'program.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('<?php echo 1;') });
    await page.getByRole('button', { name: 'Add photo' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'is not a photo that can be read here' })).toBeVisible();
});

test('ticked cloths are moved at once, and the filter is kept', async ({ demo: page }) => {
    await open(page, '/cloth?kind=knit&sort=name');
    await page.getByLabel('Tick all on this page').check();
    await page.getByLabel('Place, or name of the set').fill('Loft / box 9');
    await page.getByLabel('Place, or name of the set').press('Enter');
    await expect(page.getByText(/cloths are changed/)).toBeVisible();
    await expect(page.locator('.sheet tbody tr').first()).toContainText('Loft / box 9');
    await page.getByLabel('Place', { exact: true }).selectOption('Loft');
    await page.getByRole('button', { name: 'Show' }).click();
    await page.getByLabel('Keep this filter as').fill('knits in the loft');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByRole('link', { name: 'Show all' }).click();
    await page.getByRole('link', { name: 'knits in the loft' }).click();
    await expect(page.locator('.sheet tbody tr').first()).toContainText('Loft / box 9');
});

test('notions are added and taken for a project', async ({ demo: page }) => {
    await open(page, '/shopping');
    await expect(page.locator('#notions')).toContainText('10 buttons 11 mm: 7 of one look here, 3 to buy that match, or a set.');
    await page.getByRole('link', { name: 'Your notions' }).click();
    await page.getByLabel(/Put in, a line each/).fill('4 shell buttons 11 mm, tin 2');
    await page.getByRole('button', { name: 'Add them to your notions' }).click();
    await expect(page.getByText('One notion is among your notions.')).toBeVisible();
    await open(page, '/shopping');
    await expect(page.locator('#notions')).toContainText('10 buttons 11 mm: here.');
});
