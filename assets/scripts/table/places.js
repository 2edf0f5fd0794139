import { boxOf, moved, overlap, turned } from '../geometry.js';
import { raw, keyOf } from './dom.js';

/** What lies where, and whether it may. */
export const places = {
    get way() {
        return this.mat.ways[this.fold];
    },

    get items() {
        return this.way?.items ?? [];
    },

    item(place) {
        return this.items.find((item) => item.piece === place.piece && item.copy === place.copy);
    },

    /** Keeps of some places those that are items of this way of laying. */
    take(places) {
        this.places = raw(new Map());
        places.forEach((place) => {
            const item = this.item(place);
            const sheet = this.mat.sheets.some((one) => one.id === place.sheet);
            if (item && sheet) {
                this.places.set(keyOf(place), { ...place, layers: item.layers, locked: place.locked ?? false });
            }
        });
    },

    shape(place) {
        const piece = this.mat.pieces[place.piece];
        return this.item(place)?.onFold ? piece.half : piece.flat;
    },

    body(place) {
        const shape = this.shape(place);
        const put = (points) => moved(turned(points, place.flipped, place.turn), place.x, place.y);
        const points = put(shape.points);
        return { points, box: boxOf(points), parts: shape.parts.map(put) };
    },

    /** Where something of so many layers may lie on a sheet: strips across it, each with its fold edge. */
    strips(sheet, layers) {
        return this.way.lanes
            .filter((lane) => lane.sheet === sheet && lane.layers === layers)
            .map((lane) => ({
                top: lane.down ? lane.offset - lane.width : lane.offset,
                bottom: lane.down ? lane.offset : lane.offset + lane.width,
                length: lane.length,
                fold: lane.fold ? lane.offset : null,
                down: lane.down,
            }));
    },

    /** What is wrong with a place, as the page sees it. */
    wrong(place, body = this.body(place)) {
        const off = !this.strips(place.sheet, place.layers).some(
            (strip) =>
                body.box.left > -0.5 &&
                body.box.top > strip.top - 0.5 &&
                body.box.bottom < strip.bottom + 0.5 &&
                body.box.right < (strip.length ?? Infinity) + 0.5,
        );
        const sheet = this.mat.sheets.find((one) => one.id === place.sheet);
        const missing = sheet.missing.some((part) => overlap(body, { box: boxOf(part), parts: [part] }));
        const onto = [...this.places.values()].some(
            (other) =>
                keyOf(other) !== keyOf(place) &&
                other.sheet === place.sheet &&
                overlap(body, this.bodies?.get(keyOf(other)) ?? this.body(other)),
        );
        return off || missing || onto;
    },
};
