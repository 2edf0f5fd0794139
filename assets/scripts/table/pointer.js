import { boxOf, moved, turned } from '../geometry.js';
import { path, keyOf } from './dom.js';

/** Pieces taken up and moved with a pointer. */
export const pointer = {
    press(event) {
        const piece = event.target.closest('.mat-piece');
        if (event.button !== 0 || this.running) {
            return;
        }
        if (!piece) {
            this.pan(event);
            return;
        }
        const place = this.places.get(piece.dataset.key);
        this.select(piece.dataset.key);
        piece.focus({ preventScroll: true });
        if (!place.locked) {
            this.drag(event, place);
        }
        event.preventDefault();
    },

    pan(event) {
        const box = this.$refs.box;
        const move = (next) => {
            box.scrollLeft -= next.movementX;
            box.scrollTop -= next.movementY;
        };
        const end = () => {
            window.removeEventListener('pointermove', move);
            window.removeEventListener('pointerup', end);
        };
        window.addEventListener('pointermove', move);
        window.addEventListener('pointerup', end);
    },

    /** A piece taken from the tray follows the pointer; a press without moving lays it in the first free place. */
    pickUp(event) {
        const button = event.target.closest('.tray-piece');
        if (!button || event.button !== 0 || this.running) {
            return;
        }
        const from = [event.clientX, event.clientY];
        const begin = (next) => {
            if (Math.hypot(next.clientX - from[0], next.clientY - from[1]) < 6) {
                return;
            }
            stop();
            const place = this.fresh(button.dataset.key);
            const point = this.point(next);
            const box = this.body(place).box;
            this.keep();
            Object.assign(
                place,
                this.onSheet(place, point.x - (box.right + box.left) / 2 + place.x, point.y - (box.bottom + box.top) / 2 + place.y),
            );
            this.places.set(keyOf(place), place);
            this.draw();
            this.drag(next, place, false);
        };
        const stop = () => {
            window.removeEventListener('pointermove', begin);
            window.removeEventListener('pointerup', stop);
        };
        window.addEventListener('pointermove', begin);
        window.addEventListener('pointerup', stop);
    },

    fresh(key) {
        const item = this.items.find((one) => keyOf(one) === key);
        const [turn, flipped] = item.ways[0];
        return {
            piece: item.piece,
            copy: item.copy,
            sheet: this.mat.sheets[0].id,
            turn,
            flipped,
            layers: item.layers,
            x: 0,
            y: 0,
            locked: false,
        };
    },

    trayClick(event) {
        const button = event.target.closest('.tray-piece');
        if (button) {
            this.lay(button.dataset.key);
        }
    },

    /** Lays a piece from the tray in the first place where it is free. */
    lay(key) {
        const place = this.fresh(key);
        const item = this.item(place);
        this.keep();
        for (const sheet of this.mat.sheets) {
            place.sheet = sheet.id;
            const size = this.size(sheet);
            for (let x = 0; x < (sheet.length === null ? 20000 : size.length); x += 20) {
                for (const strip of this.strips(sheet.id, place.layers)) {
                    const box = boxOf(turned(this.shape(place).points, place.flipped, place.turn));
                    for (let y = strip.top; y <= strip.bottom - (box.bottom - box.top) + 0.5; y += 20) {
                        place.x = x - box.left;
                        place.y = item.held === null ? y - box.top : item.held - (item.onFold ? 0 : box.top);
                        if (item.onFold) {
                            this.toFold(place, strip);
                        }
                        this.toPrint(place);
                        if (!this.wrong(place)) {
                            this.places.set(key, place);
                            this.push(place, 'x');
                            this.after(key);
                            return;
                        }
                        if (item.held !== null) {
                            break;
                        }
                    }
                }
            }
        }
        this.history.pop();
        this.status = this.words.noRoom;
    },

    after(key) {
        this.selected = key;
        this.settled();
        this.$refs.mat.querySelector(`[data-key="${CSS.escape(key)}"]`)?.focus({ preventScroll: true });
        const place = this.places.get(key);
        if (place) {
            this.status = this.$refs.mat.querySelector(`[data-key="${CSS.escape(key)}"]`).getAttribute('aria-label');
        }
    },

    /** The pointer in millimetres along and across the whole mat. */
    point(event) {
        const rect = this.$refs.mat.getBoundingClientRect();
        return { x: (event.clientX - rect.left) / this.scale, y: (event.clientY - rect.top) / this.scale };
    },

    /** A place given in millimetres of the whole mat, on the sheet it lies over. */
    onSheet(place, x, y) {
        const box = boxOf(turned(this.shape(place).points, place.flipped, place.turn));
        const [mx, my] = [x + (box.left + box.right) / 2, y + (box.top + box.bottom) / 2];
        let best = this.mat.sheets[0];
        let least = Infinity;
        this.mat.sheets.forEach((sheet) => {
            const [left, top] = this.origins[sheet.id].map((one) => one / this.scale);
            const size = this.size(sheet);
            const far = Math.max(top - my, my - top - size.height, 0) + Math.max(left - mx, mx - left - size.length, 0);
            if (far < least) {
                [best, least] = [sheet, far];
            }
        });
        const [left, top] = this.origins[best.id];
        return { sheet: best.id, x: x - left / this.scale, y: y - top / this.scale };
    },

    drag(event, place, keep = true) {
        const key = keyOf(place);
        const start = this.point(event);
        const [left, top] = this.origins[place.sheet];
        const from = { x: place.x + left / this.scale, y: place.y + top / this.scale };
        let kept = !keep;
        const move = (next) => {
            const now = this.point(next);
            if (!kept && Math.hypot(now.x - start.x, now.y - start.y) * this.scale < 3) {
                return;
            }
            if (!kept) {
                this.keep();
                kept = true;
            }
            Object.assign(place, this.onSheet(place, from.x + now.x - start.x, from.y + now.y - start.y));
            this.snap(place, next.altKey);
            this.bodies.set(key, this.body(place));
            const element = this.$refs.mat.querySelector(`[data-key="${CSS.escape(key)}"]`);
            const turnedTo = element.getAttribute('data-turn');
            if (turnedTo !== String(place.flipped)) {
                element.setAttribute('data-turn', String(place.flipped));
                element
                    .querySelector('.mat-outline')
                    .setAttribute('d', path(turned(this.shape(place).points, place.flipped, place.turn), this.scale));
            }
            element.setAttribute('transform', this.at(place));
            this.showEnd(place.sheet);
            element.classList.toggle('is-bad', this.wrong(place, this.bodies.get(key)));
            element.classList.add('is-moving');
        };
        const end = () => {
            window.removeEventListener('pointermove', move);
            window.removeEventListener('pointerup', end);
            window.removeEventListener('pointercancel', end);
            if (kept) {
                this.ease(place);
                this.after(key);
            }
        };
        window.addEventListener('pointermove', move);
        window.addEventListener('pointerup', end);
        window.addEventListener('pointercancel', end);
    },

    /** What a cut would use, as it is while a piece is dragged. */
    showEnd(sheet) {
        const group = this.$refs.mat.querySelector(`.mat-sheet[data-sheet="${CSS.escape(sheet)}"]`);
        const end = Math.max(
            0,
            ...[...this.places.values()].filter((one) => one.sheet === sheet).map((one) => this.bodies.get(keyOf(one)).box.right),
        );
        const text = group?.querySelector('.mat-end-text');
        if (text) {
            group.querySelector('.mat-end').setAttribute('d', `M${end * this.scale} -4V${Number(group.dataset.height) + 20}`);
            text.setAttribute('x', end * this.scale + 5);
            text.textContent = this.length(end * (this.way?.doubled ?? 1), true);
        }
    },
};
