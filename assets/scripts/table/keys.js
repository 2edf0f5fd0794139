import { turned } from '../geometry.js';
import { NUDGES, raw, keyOf } from './dom.js';

/** What keys and buttons do to a piece, and to the view. */
export const keys = {
    key(event) {
        if ((event.ctrlKey || event.metaKey) && ['z', 'y'].includes(event.key.toLowerCase()) && !event.target.closest('input, textarea')) {
            event.preventDefault();
            if (event.key.toLowerCase() === 'y' || event.shiftKey) {
                this.redo();
            } else {
                this.undo();
            }
            return;
        }
        const key = event.target.closest('.mat-piece')?.dataset.key;
        const place = key && this.places.get(key);
        if (!place || this.running || event.ctrlKey || event.metaKey) {
            return;
        }
        const does = this.act(event.key, place, event);
        if (does) {
            event.preventDefault();
        }
    },

    /** What a key does to a piece. */
    act(name, place, event = {}) {
        const key = keyOf(place);
        const item = this.item(place);
        if (name === 'l') {
            this.keep();
            place.locked = !place.locked;
            this.after(key);
            return true;
        }
        if (place.locked || !(name in NUDGES || ['r', 'f', 'p', 'u', 'Delete', 'Backspace'].includes(name))) {
            return false;
        }
        this.keep();
        if (name in NUDGES) {
            const by = event.altKey ? 1 : event.shiftKey ? 100 : 10;
            const [dx, dy] = NUDGES[name];
            place.x += dx * (this.step(place, 'x') || by);
            if (item.onFold && dy !== 0) {
                const strips = this.strips(place.sheet, place.layers);
                this.toFold(place, strips[dy < 0 ? 0 : strips.length - 1]);
            } else if (item.held === null || dy === 0) {
                place.y += dy * (this.step(place, 'y') || by);
                this.otherSheet(place, dy);
            }
            this.round(place);
        } else if (name === 'p' || name === 'u') {
            this.push(place, name === 'p' ? 'x' : 'y');
        } else if (name === 'r' || name === 'f') {
            this.another(place, item, name === 'f');
        } else {
            this.places.delete(key);
            this.settled();
            this.$refs.tray.querySelector(`[data-key="${CSS.escape(key)}"]`)?.focus();
            return true;
        }
        this.after(key);
        return true;
    },

    /** Nudged wholly beyond a sheet, it goes to the next one. */
    otherSheet(place, dy) {
        const at = this.mat.sheets.findIndex((sheet) => sheet.id === place.sheet);
        const next = this.mat.sheets[at + Math.sign(dy)];
        const { box } = this.body(place);
        const size = this.size(this.mat.sheets[at]);
        if (next && dy !== 0 && (box.top > size.height || box.bottom < 0)) {
            place.sheet = next.id;
            place.y += dy > 0 ? -size.height - (box.top - size.height) : this.size(next).height - box.bottom;
        }
    },

    /** The next way the piece may lie: another turn, or turned over. */
    another(place, item, over) {
        const before = this.body(place).box;
        const ways = item.ways;
        const turns = [...new Set(ways.map(([turn]) => turn))];
        const choose = over ? ways.filter(([turn, flipped]) => turn === place.turn && flipped !== place.flipped) : [];
        if (item.onFold || !over) {
            const turn = turns[(turns.indexOf(place.turn) + 1) % turns.length];
            const same = ways.find(([t, flipped]) => t === turn && flipped === place.flipped) ?? ways.find(([t]) => t === turn);
            [place.turn, place.flipped] = [turn, item.onFold ? place.flipped : same[1]];
            if (item.onFold) {
                const strips = this.strips(place.sheet, place.layers);
                this.toFold(place, strips.find((strip) => strip.fold === place.y) ?? strips[0]);
            }
        } else if (choose.length) {
            [place.flipped] = [choose[0][1]];
        } else {
            this.status = this.words.noFlip;
        }
        const after = this.body(place).box;
        place.x += before.left - after.left;
        if (!item.onFold) {
            place.y += before.top - after.top;
        }
        this.toPrint(place);
        this.round(place);
    },

    button(event) {
        const place = this.places.get(this.selected);
        if (place) {
            this.act(event.currentTarget.dataset.key, place);
        }
    },

    clear() {
        this.keep();
        this.places = raw(new Map([...this.places].filter(([, place]) => place.locked)));
        this.settled();
    },

    zoomIn() {
        this.zoom(1.25);
    },

    zoomOut() {
        this.zoom(0.8);
    },

    zoomFit() {
        this.fit();
        this.draw();
    },

    zoom(by) {
        this.scale = Math.max(0.05, Math.min(3, this.scale * by));
        this.zoomed = true;
        this.draw();
    },

    wheel(event) {
        if (event.ctrlKey) {
            event.preventDefault();
            this.zoom(event.deltaY < 0 ? 1.1 : 0.9);
        }
    },
};
