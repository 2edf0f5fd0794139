import { boxOf, moved, turned } from '../geometry.js';
import { MARGIN, svg, html, path, raw, keyOf } from './dom.js';

/** The mat as it is drawn: pieces on their cloths, and the tray of those not laid. */
export const mat = {
    fit() {
        const sizes = this.mat.sheets.map((sheet) => this.size(sheet));
        const sum = (numbers) => numbers.reduce((all, one) => all + one, 0);
        const [lengths, heights] = [sizes.map((size) => size.length), sizes.map((size) => size.height)];
        const width = this.$refs.box.clientWidth - MARGIN.right - 4;
        const height = Math.max(330, window.innerHeight - this.$refs.box.getBoundingClientRect().top - window.scrollY - 110) - MARGIN.top;
        const below = Math.min(
            (width - MARGIN.left) / Math.max(...lengths, 500),
            (height - sizes.length * MARGIN.gap) / Math.max(sum(heights), 300),
        );
        const beside = Math.min(
            (width - sizes.length * (MARGIN.left + MARGIN.beside)) / Math.max(sum(lengths), 500),
            (height - MARGIN.gap) / Math.max(...heights, 300),
        );
        this.beside = beside > below;
        this.scale = Math.max(0.1, Math.min(Math.max(below, beside), 0.9));
        this.zoomed = false;
    },

    draw() {
        const s = this.scale;
        const root = this.$refs.mat;
        const focused = document.activeElement?.closest?.('[data-key]')?.dataset.key;
        this.bodies = raw(new Map([...this.places].map(([key, place]) => [key, this.body(place)])));
        this.origins = {};
        let [left, top, right, bottom] = [MARGIN.left, MARGIN.top, 0, 0];
        const drawn = [];
        this.mat.sheets.forEach((sheet) => {
            const size = this.size(sheet);
            this.origins[sheet.id] = [left, top];
            drawn.push(this.sheet(sheet, size, left, top));
            [right, bottom] = [Math.max(right, left + size.length * s), Math.max(bottom, top + size.height * s)];
            if (this.beside) {
                left += size.length * s + MARGIN.left + MARGIN.beside;
            } else {
                top += size.height * s + MARGIN.gap;
            }
        });
        const pieces = [...this.places.values()]
            .sort((a, b) => this.bodies.get(keyOf(a)).box.left - this.bodies.get(keyOf(b)).box.left)
            .map((place) => this.piece(place));
        const [width, height] = [Math.max(this.$refs.box.clientWidth, Math.ceil(right + MARGIN.right)), Math.ceil(bottom + 40)];
        root.setAttribute('width', width);
        root.setAttribute('height', height);
        root.replaceChildren(this.printed(), this.grid(width, height), ...drawn, svg('g', { class: 'mat-pieces' }, ...pieces));
        this.tray();
        this.laid = this.places.size;
        this.wanted = this.items.length;
        this.locked = [...this.places.values()].filter((place) => place.locked).length;
        if (focused) {
            root.querySelector(`[data-key="${CSS.escape(focused)}"]`)?.focus({ preventScroll: true });
        }
    },

    piece(place) {
        const s = this.scale;
        const key = keyOf(place);
        const piece = this.mat.pieces[place.piece];
        const item = this.item(place);
        const shape = turned(this.shape(place).points, place.flipped, place.turn);
        const body = this.bodies.get(key);
        const bad = this.wrong(place, body);
        const title = `${piece.label} ${place.copy}` + (place.layers === 2 && !item.onFold ? ` + ${place.copy + 1}` : '');
        const notes = [
            this.length(body.box.left) + ' ' + this.words.fromEnd,
            this.length(Math.max(0, body.box.top)) + ' ' + this.words.fromEdge,
            place.turn ? place.turn + '°' : '',
            place.flipped && !item.onFold ? this.words.mirrored : '',
            place.locked ? this.words.locked : '',
            bad ? this.words.bad : '',
        ]
            .filter(Boolean)
            .join(', ');
        const group = svg('g', {
            class:
                'mat-piece g' +
                (piece.garment % 6) +
                (bad ? ' is-bad' : '') +
                (place.locked ? ' is-locked' : '') +
                (key === this.selected ? ' is-selected' : ''),
            'data-key': key,
            tabindex: 0,
            role: 'button',
            'aria-label': `${title}: ${notes}`,
            'aria-pressed': String(key === this.selected),
            transform: this.at(place),
        });
        group.append(svg('path', { d: path(shape, s), class: 'mat-outline' }));
        if (item.onFold) {
            const [a, b] = this.foldEdge(place);
            group.append(svg('path', { d: `M${a * s} 0H${b * s}`, class: 'mat-onfold' }));
        }
        const box = boxOf(shape);
        const [cx, cy, roomy, tall] = this.middle(shape, box);
        const reach = Math.min(box.right - box.left, box.bottom - box.top) * 0.3 * s;
        const marks = (place.flipped && !item.onFold ? ' ⇅' : '') + (place.locked ? ' ●' : '');
        const plain = piece.name + (place.layers === 2 && !item.onFold ? ' ×2' : '');
        const text = plain + marks;
        const upright = text.length * 7.2 > roomy * s && text.length * 7.2 <= tall * s && roomy * s > 14;
        const letters = Math.floor(((upright ? tall : roomy) * s) / 7.2);
        const name = text.length <= letters ? text : letters > 4 ? text.slice(0, letters - 1) + '…' : '';
        const named = name !== '' && (upright || tall * s > 13);
        if (named) {
            group.append(
                svg(
                    'text',
                    upright
                        ? { class: 'mat-label', transform: `translate(${cx * s + 4} ${((box.top + box.bottom) / 2) * s}) rotate(-90)` }
                        : { x: cx * s, y: cy * s + (tall * s > 40 ? 0 : 4), class: 'mat-label' },
                    name,
                ),
            );
        }
        if (!named || (tall * s > 40 && !upright)) {
            group.append(
                svg('path', {
                    class: 'mat-grain',
                    d: `M${reach} 0H${-reach}m6 -4l-6 4l6 4`,
                    transform: `translate(${cx * s} ${cy * s + (named ? 12 : 0)}) rotate(${place.turn})`,
                }),
            );
        }
        return group;
    },

    /** A place within the outline for its name: the middle of the longest stretch along the cloth near the middle across. */
    middle(points, box) {
        let best = [(box.left + box.right) / 2, (box.top + box.bottom) / 2, 0];
        for (let i = 2; i <= 8; i += 1) {
            const y = box.top + ((box.bottom - box.top) * i) / 10;
            const cuts = [];
            points.forEach(([ax, ay], j) => {
                const [bx, by] = points[(j + 1) % points.length];
                if (ay <= y !== by <= y) {
                    cuts.push(ax + ((bx - ax) * (y - ay)) / (by - ay));
                }
            });
            cuts.sort((a, b) => a - b);
            for (let k = 0; k + 1 < cuts.length; k += 2) {
                const long = (cuts[k + 1] - cuts[k]) * (1 - Math.abs(i - 5) * 0.06);
                if (long > best[2]) {
                    best = [(cuts[k] + cuts[k + 1]) / 2, y, long];
                }
            }
        }
        return [best[0], best[1], best[2], box.bottom - box.top];
    },

    foldEdge(place) {
        const half = this.mat.pieces[place.piece].half.points;
        const at = half.filter(([, y]) => Math.abs(y) < 0.01).map(([x]) => (place.turn === 180 ? -x : x));
        return [Math.min(...at), Math.max(...at)];
    },

    at(place) {
        const [left, top] = this.origins[place.sheet];
        return `translate(${(left + place.x * this.scale).toFixed(1)} ${(top + place.y * this.scale).toFixed(1)})`;
    },

    tray() {
        const left = this.items.filter((item) => !this.places.has(keyOf(item)));
        this.$refs.tray.replaceChildren(
            ...left.map((item) => {
                const piece = this.mat.pieces[item.piece];
                const shape = item.onFold ? piece.half : piece.flat;
                const box = boxOf(shape.points);
                const s = Math.min(64 / (box.right - box.left), 34 / (box.bottom - box.top), 0.14);
                const drawing = svg(
                    'svg',
                    {
                        width: Math.ceil((box.right - box.left) * s) + 4,
                        height: Math.ceil((box.bottom - box.top) * s) + 4,
                        'aria-hidden': 'true',
                    },
                    svg('path', {
                        d: path(moved(shape.points, -box.left + 2 / s, -box.top + 2 / s), s),
                        class: 'mat-outline g' + (piece.garment % 6),
                    }),
                );
                const button = html(
                    'button',
                    { type: 'button', className: 'tray-piece' },
                    drawing,
                    html(
                        'span',
                        {},
                        piece.label +
                            ' ' +
                            item.copy +
                            (item.layers === 2 && !item.onFold ? ' + ' + (item.copy + 1) : '') +
                            (item.onFold ? ', ' + this.words.onFold : ''),
                    ),
                );
                button.dataset.key = keyOf(item);
                return button;
            }),
        );
        this.$refs.trayNote.hidden = left.length > 0;
    },
};
