import { moved, turned } from '../geometry.js';
import { SNAP, keyOf } from './dom.js';

/** Where a piece comes to lie: at an edge, at a fold, against its neighbours. */
export const snap = {
    /** To the cut end, the edges and the sides of neighbours; a piece on the fold always to a fold edge. */
    snap(place, free) {
        const body = this.body(place);
        const { box } = body;
        const near = SNAP / this.scale;
        const gap = this.mat.setup.gap ?? 0;
        const xs = [0];
        const ys = [];
        this.strips(place.sheet, place.layers).forEach((strip) => ys.push(strip.top, strip.bottom - (box.bottom - box.top)));
        this.places.forEach((other) => {
            if (other.sheet === place.sheet && keyOf(other) !== keyOf(place)) {
                const o = this.bodies.get(keyOf(other)).box;
                if (o.bottom + near > box.top && o.top - near < box.bottom) {
                    xs.push(o.right + gap, o.left - gap - (box.right - box.left));
                }
                if (o.right + near > box.left && o.left - near < box.right) {
                    ys.push(o.bottom + gap, o.top - gap - (box.bottom - box.top), o.top);
                }
            }
        });
        const closest = (candidates, at) =>
            candidates.reduce((best, one) => (Math.abs(one - at) < Math.abs(best - at) ? one : best), Infinity);
        const x = closest(xs, box.left);
        const y = closest(ys, box.top);
        if (!free && Math.abs(x - box.left) < near) {
            place.x += x - box.left;
        }
        if (this.item(place).onFold) {
            const strips = this.strips(place.sheet, place.layers);
            this.toFold(
                place,
                strips.reduce(
                    (best, strip) =>
                        Math.abs(strip.fold - (box.top + box.bottom) / 2) < Math.abs(best.fold - (box.top + box.bottom) / 2) ? strip : best,
                    strips[0],
                ),
            );
        } else if (this.item(place).held !== null) {
            place.y += this.item(place).held - box.top;
        } else if (!free && Math.abs(y - box.top) < near) {
            place.y += y - box.top;
        }
        if (!free) {
            this.toPrint(place);
        }
        this.round(place);
    },

    /** What is matched, or laid to a figure, comes to the nearest place of the print where it may lie. */
    toPrint(place) {
        const { match } = this.mat.pieces[place.piece];
        const at = match && this.phase(place);
        if (!at) {
            return;
        }
        const [x, y] = this.matched(place);
        const nearest = (at, from, step) => (step > 0 ? from + step * Math.round((at - from) / step) - at : 0);
        place.x += nearest(x, at[0], match.length);
        place.y += nearest(y, at[1], match.width);
    },

    /** Where its point lies that is matched to the print. */
    matched(place) {
        const { match } = this.mat.pieces[place.piece];
        return moved(turned([[match.x, match.y]], place.flipped, place.turn), place.x, place.y)[0];
    },

    /** A place of the print where a matched piece must lie: as chosen, else as another lies; null where it is the first. */
    phase(place) {
        const { match } = this.mat.pieces[place.piece];
        const others = match.at ? [] : [...this.places.values()];
        const first = others.find((other) => {
            const its = this.mat.pieces[other.piece].match;
            return keyOf(other) !== keyOf(place) && its && !its.at && its.length === match.length;
        });
        return match.at ?? (first ? this.matched(first) : null);
    },

    /** From one place of the print to the next, along an axis; nought where it may lie anywhere on it. */
    step(place, axis) {
        const { match } = this.mat.pieces[place.piece];
        return match && this.phase(place) ? match[axis === 'x' ? 'length' : 'width'] : 0;
    },

    toFold(place, strip) {
        place.y = strip.fold;
        place.flipped = strip.down ? place.turn === 0 : place.turn === 180;
    },

    round(place) {
        place.x = Math.round(place.x * 10) / 10;
        place.y = Math.round(place.y * 10) / 10;
    },

    /** Dropped a little over a neighbour, it gives way: by the shortest step of up to 3 cm that frees it. */
    ease(place) {
        if (!this.wrong(place) || this.mat.pieces[place.piece].match) {
            return;
        }
        const held = this.item(place).held !== null;
        for (let step = 1; step <= 30; step += 1) {
            for (const [dx, dy] of held
                ? [
                      [1, 0],
                      [-1, 0],
                  ]
                : [
                      [1, 0],
                      [-1, 0],
                      [0, 1],
                      [0, -1],
                  ]) {
                const tried = { ...place, x: place.x + dx * step, y: place.y + dy * step };
                if (!this.wrong(tried)) {
                    Object.assign(place, { x: tried.x, y: tried.y });
                    this.push(place, dx > 0 ? 'x' : null, step);
                    return;
                }
            }
        }
    },

    /** As far towards the cut end, or the upper edge, as it goes without touching anything. */
    push(place, axis, most = Infinity) {
        if (axis === null || this.wrong(place)) {
            return;
        }
        const repeat = this.step(place, axis);
        while (repeat > 0 && !this.wrong(place)) {
            place[axis] -= repeat;
        }
        if (repeat > 0) {
            place[axis] += repeat;
            return;
        }
        let step = Math.min(20, most);
        let gone = 0;
        while (step >= 0.1 && gone < most) {
            place[axis] -= step;
            if (this.wrong(place)) {
                place[axis] += step;
                step /= 2;
            } else {
                gone += step;
            }
        }
        this.round(place);
        if (this.wrong(place)) {
            place[axis] += 0.1;
        }
    },
};
