import assert from 'node:assert/strict';
import { test } from 'node:test';
import { keyOf } from '../../assets/scripts/table/dom.js';
import { places } from '../../assets/scripts/table/places.js';
import { snap } from '../../assets/scripts/table/snap.js';

const rectangle = (length, width) => {
    const points = [
        [0, 0],
        [length, 0],
        [length, width],
        [0, width],
    ];
    return { points, parts: [points] };
};
const piece = (length, width, match = null) => ({ flat: rectangle(length, width), half: rectangle(length, width / 2), match });
const lane = (rest) => ({ sheet: 's0', width: 1400, length: 2000, layers: 1, fold: false, offset: 0, down: false, ...rest });

/** A table of 2 m × 1.4 m with some pieces, one copy each, of which those in `lying` are laid. */
function table(pieces, lying, lanes = [lane({})], onFold = []) {
    const layers = lanes[0].layers;
    const items = Object.keys(pieces).map((id) => ({ piece: id, copy: 1, layers, onFold: onFold.includes(id), held: null }));
    const made = Object.defineProperties(
        {
            fold: 'flat',
            scale: 1,
            mat: { pieces, sheets: [{ id: 's0', missing: [] }], setup: { gap: 0 }, ways: { flat: { lanes, items } } },
        },
        { ...Object.getOwnPropertyDescriptors(places), ...Object.getOwnPropertyDescriptors(snap) },
    );
    made.take(Object.entries(lying).map(([id, [x, y]]) => ({ piece: id, copy: 1, sheet: 's0', turn: 0, flipped: false, x, y })));
    made.bodies = new Map([...made.places].map(([key, place]) => [key, made.body(place)]));
    return made;
}
const at = (made, id) => made.places.get(keyOf({ piece: id, copy: 1 }));
const where = (made, id) => [at(made, id).x, at(made, id).y];

test('a place off the cloth, on what is missing or on another piece is wrong', () => {
    const made = table({ a: piece(400, 300), b: piece(200, 200) }, { a: [0, 0], b: [400, 0] });
    assert.equal(made.wrong(at(made, 'a')), false);
    assert.equal(made.wrong({ ...at(made, 'a'), y: 1101 }), true);
    assert.equal(made.wrong({ ...at(made, 'a'), x: 1601 }), true);
    assert.equal(made.wrong({ ...at(made, 'b'), x: 390 }), true);
    made.mat.sheets[0].missing = [rectangle(100, 100).points];
    assert.equal(made.wrong(at(made, 'a')), true);
    assert.equal(made.wrong(at(made, 'b')), false);
});

test('near an edge or a neighbour a piece snaps to it, farther off it stays', () => {
    const made = table({ a: piece(400, 300), b: piece(200, 200) }, { a: [0, 0], b: [406, 7] });
    made.snap(at(made, 'b'), false);
    assert.deepEqual(where(made, 'b'), [400, 0]);
    Object.assign(at(made, 'b'), { x: 430, y: 40 });
    made.bodies.set('b#1', made.body(at(made, 'b')));
    made.snap(at(made, 'b'), false);
    assert.deepEqual(where(made, 'b'), [430, 40]);
});

test('a piece on the fold lies at the fold, whichever side it is dropped on', () => {
    const gate = [lane({ layers: 2, fold: true, width: 350 }), lane({ layers: 2, fold: true, width: 350, offset: 700, down: true })];
    const made = table({ a: piece(400, 300) }, { a: [100, 90] }, gate, ['a']);
    made.snap(at(made, 'a'), false);
    assert.deepEqual([...where(made, 'a'), at(made, 'a').flipped], [100, 0, false]);
    Object.assign(at(made, 'a'), { y: 500 });
    made.snap(at(made, 'a'), false);
    assert.deepEqual([...where(made, 'a'), at(made, 'a').flipped], [100, 700, true]);
});

test('what is matched comes to the nearest repeat of the one that lies', () => {
    const match = { x: 10, y: 5, length: 64, width: 0 };
    const made = table({ a: piece(400, 300, match), b: piece(200, 200, match) }, { a: [0, 0], b: [500, 700] });
    made.snap(at(made, 'b'), false);
    assert.deepEqual(where(made, 'b'), [512, 700]);
});

test('pushed to the cut end it stops at its neighbour, a matched one a whole repeat before it', () => {
    const made = table({ a: piece(400, 300), b: piece(200, 200) }, { a: [0, 0], b: [900, 50] });
    made.push(at(made, 'b'), 'x');
    assert.ok(Math.abs(at(made, 'b').x - 400) <= 0.6, String(at(made, 'b').x));
    const match = { x: 0, y: 0, length: 64, width: 0 };
    const matched = table({ a: piece(400, 300, match), b: piece(200, 200, match) }, { a: [0, 0], b: [896, 50] });
    matched.push(at(matched, 'b'), 'x');
    assert.deepEqual(where(matched, 'b'), [448, 50]);
});

test('dropped a little over its neighbour it gives way, dropped far over it does not', () => {
    const made = table({ a: piece(400, 300), b: piece(200, 200) }, { a: [0, 0], b: [380, 50] });
    made.ease(at(made, 'b'));
    assert.equal(made.wrong(at(made, 'b')), false);
    assert.ok(at(made, 'b').x >= 399 && at(made, 'b').x <= 401, String(at(made, 'b').x));
    const far = table({ a: piece(400, 300), b: piece(200, 200) }, { a: [0, 0], b: [100, 50] });
    far.ease(at(far, 'b'));
    assert.deepEqual(where(far, 'b'), [100, 50]);
});
