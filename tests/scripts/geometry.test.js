import assert from 'node:assert/strict';
import { test } from 'node:test';
import { boxOf, moved, overlap, turned } from '../../assets/scripts/geometry.js';

const body = (points) => ({ box: boxOf(points), parts: [points] });
const box = (x, y, length, width) => [
    [x, y],
    [x + length, y],
    [x + length, y + width],
    [x, y + width],
];
const rounded = (points) => points.map(([x, y]) => [Math.round(x * 1000) / 1000 + 0, Math.round(y * 1000) / 1000 + 0]);

test('a quarter turn is exact, as in the core', () => {
    assert.deepEqual(turned([[300, 0]], false, 90), [[0, 300]]);
    assert.deepEqual(turned([[300, 100]], false, 180), [[-300, -100]]);
    assert.deepEqual(turned([[300, 100]], false, 270), [[100, -300]]);
});

test('a piece is turned over before it is turned', () => {
    assert.deepEqual(turned([[300, 100]], true, 0), [[300, -100]]);
    assert.deepEqual(turned([[300, 100]], true, 90), [[100, 300]]);
});

test('on the bias it is turned by the angle', () => {
    assert.deepEqual(rounded(turned([[100, 0]], false, 45)), [[70.711, 70.711]]);
    const there = turned(box(0, 0, 400, 150), true, 30);
    assert.deepEqual(rounded(turned(turned(there, false, -30), true, 0)), rounded(box(0, 0, 400, 150)));
});

test('moving keeps the shape, and the box goes with it', () => {
    assert.deepEqual(boxOf(moved(box(0, 0, 400, 150), 20, -5)), { left: 20, right: 420, top: -5, bottom: 145 });
});

test('pieces that touch, or overlap by half a millimetre, do not overlap', () => {
    const a = body(box(0, 0, 400, 150));
    assert.equal(overlap(a, body(box(400, 0, 100, 100))), false);
    assert.equal(overlap(a, body(box(399.5, 0, 100, 100))), false);
    assert.equal(overlap(a, body(box(399.4, 0, 100, 100))), true);
    assert.equal(overlap(a, body(box(100, 149, 100, 100))), true);
});

test('two triangles whose boxes overlap lie head to tail without overlapping', () => {
    const low = body([
        [0, 0],
        [400, 0],
        [0, 200],
    ]);
    const high = (gap) =>
        body([
            [400, gap],
            [400, 200 + gap],
            [0, 200 + gap],
        ]);
    assert.equal(overlap(low, high(0)), false);
    assert.equal(overlap(low, high(5)), false);
    assert.equal(overlap(low, high(-5)), true);
});

test('of a piece in parts one that overlaps is enough', () => {
    const corner = { box: boxOf([...box(0, 0, 400, 100), ...box(0, 0, 100, 400)]), parts: [box(0, 0, 400, 100), box(0, 0, 100, 400)] };
    assert.equal(overlap(corner, body(box(150, 150, 200, 200))), false);
    assert.equal(overlap(corner, body(box(50, 350, 200, 40))), true);
});
