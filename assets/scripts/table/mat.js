import { boxOf, moved, turned } from '../geometry.js';
import { MARGIN, svg, html, path, raw, keyOf } from './dom.js';

/** The mat as it is drawn: sheets, tapes, pieces, and the tray of those not laid. */
export const mat = {
    /** How high and long a sheet is as it lies, folded or not. */
    size(sheet) {
        const lanes = this.way?.lanes.filter((lane) => lane.sheet === sheet.id) ?? [];
        const height = lanes.length ? Math.max(...lanes.map((lane) => (lane.down ? lane.offset : lane.offset + lane.width))) : sheet.width;
        const end = Math.max(
            0,
            ...[...this.places.values()].filter((place) => place.sheet === sheet.id).map((place) => this.body(place).box.right),
        );
        const doubled = this.way?.doubled ?? 1;
        return { height, length: sheet.length === null ? Math.max(1500, end + 250) : sheet.length / doubled, end };
    },

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
        root.replaceChildren(
            this.$refs.swatches.content.cloneNode(true),
            this.grid(width, height),
            ...drawn,
            svg('g', { class: 'mat-pieces' }, ...pieces),
        );
        this.tray();
        this.laid = this.places.size;
        this.wanted = this.items.length;
        this.locked = [...this.places.values()].filter((place) => place.locked).length;
        if (focused) {
            root.querySelector(`[data-key="${CSS.escape(focused)}"]`)?.focus({ preventScroll: true });
        }
    },

    grid(wide, high) {
        const step = 100 * this.scale;
        const lines = [];
        for (let x = MARGIN.left; x < wide; x += step) {
            lines.push(`M${x.toFixed(1)} 0V${high}`);
        }
        for (let y = MARGIN.top; y < high; y += step) {
            lines.push(`M0 ${y.toFixed(1)}H${wide}`);
        }
        return svg('path', { class: 'mat-grid', d: lines.join('') });
    },

    sheet(sheet, size, left, top) {
        const s = this.scale;
        const [w, h] = [size.length * s, size.height * s];
        const group = svg('g', { transform: `translate(${left} ${top})`, class: 'mat-sheet', 'data-sheet': sheet.id, 'data-height': h });
        group.append(svg('text', { class: 'mat-name', x: 0, y: -20 }, sheet.name + (sheet.says ? ', ' + sheet.says : '')));
        const part =
            this.fold === 'part'
                ? Math.max(
                      0,
                      ...[...this.places.values()]
                          .filter((p) => p.layers === 2 && p.sheet === sheet.id)
                          .map((p) => this.bodies.get(keyOf(p)).box.right),
                  )
                : 0;
        const swatch = sheet.cloth && this.$refs.swatches.content.getElementById('swatch-' + sheet.cloth);
        const fill = swatch ? `url(#swatch-${sheet.cloth})` : '#C9D3CE';
        const outline = part > 0 ? `M0 0H${w}V${h}H${part * s}V${h / 2}H0Z` : `M0 0H${w}V${h}H0Z`;
        group.append(svg('path', { d: outline, fill, class: 'mat-cloth' }), svg('path', { d: outline, class: 'mat-wash' }));
        sheet.missing.forEach((gone) => group.append(svg('path', { d: path(gone, s), class: 'mat-missing' })));
        const edge = (y, x1, x2, kind) => group.append(svg('path', { d: `M${x1} ${y}H${x2}`, class: 'mat-' + kind }));
        const word = (x, y, text, more = {}) => group.append(svg('text', { class: 'mat-edge', x, y, ...more }, text));
        if (this.fold === 'flat') {
            edge(0, 0, w, 'selvage');
            edge(h, 0, w, 'selvage');
        } else if (this.fold === 'lengthwise' || this.fold === 'gate') {
            edge(0, 0, w, 'fold');
            edge(h, 0, w, this.fold === 'gate' ? 'fold' : 'selvage');
            word(w - 6, 15, this.words.fold, { 'text-anchor': 'end' });
            word(w - 6, h - 8, this.fold === 'gate' ? this.words.fold : this.words.selvages, { 'text-anchor': 'end' });
            if (this.fold === 'gate') {
                edge(h / 2, 0, w, 'selvage');
                word(w - 6, h / 2 - 5, this.words.middle, { 'text-anchor': 'end' });
            }
        } else if (this.fold === 'crosswise') {
            edge(0, 0, w, 'selvage');
            edge(h, 0, w, 'selvage');
            group.append(svg('path', { d: `M${w} 0V${h}`, class: 'mat-fold' }));
            word(w - 6, 13, this.words.fold, { 'text-anchor': 'end' });
        } else if (part > 0) {
            edge(0, 0, part * s, 'fold');
            edge(h / 2, 0, part * s, 'selvage');
            word(part * s - 6, 15, this.words.fold, { 'text-anchor': 'end' });
            word(w - 6, h - 8, this.words.flat, { 'text-anchor': 'end' });
        }
        if (size.end > 0) {
            group.append(
                svg('path', { d: `M${size.end * s} -4V${h + 20}`, class: 'mat-end' }),
                svg(
                    'text',
                    { class: 'mat-end-text', x: size.end * s + 5, y: h + 30 },
                    this.length(size.end * (this.way?.doubled ?? 1), true),
                ),
            );
        }
        group.append(this.tapes(w, h, sheet.length === null));
        return group;
    },

    /** Metric above, eighths of a yard below, centimetres across. */
    tapes(w, h, roll) {
        const s = this.scale;
        const group = svg('g', { class: 'mat-tape' });
        let ticks = '';
        const every = 100 * s < 9 ? 200 : 100;
        for (let x = 0, i = 0; x * s <= w + 0.5; x += every, i += 1) {
            ticks += `M${(x * s).toFixed(1)} -2v-${x % 1000 === 0 ? 12 : x % 500 === 0 ? 8 : 5}`;
            if (x > 0 && (x % 1000 === 0 || (x % 500 === 0 && 500 * s > 46))) {
                group.append(svg('text', { x: x * s + 3, y: -5 }, x / 1000 + ' m'));
            }
        }
        for (let i = 0; i * 114.3 * s <= w + 0.5; i += 1) {
            ticks += `M${(i * 114.3 * s).toFixed(1)} ${h + 2}v${i % 8 === 0 ? 12 : i % 4 === 0 ? 8 : 4}`;
            if (i > 0 && i % 8 === 0) {
                group.append(svg('text', { x: i * 114.3 * s + 3, y: h + 14 }, i / 8 + ' yd'));
            }
        }
        const across = 100 * s < 13 ? 500 : 100;
        for (let y = 0; y * s <= h + 0.5; y += 100) {
            ticks += `M-2 ${(y * s).toFixed(1)}h-${y % 500 === 0 ? 10 : 5}`;
            if (y > 0 && y % across === 0) {
                group.append(svg('text', { x: -13, y: y * s + 4, 'text-anchor': 'end' }, String(y / 10)));
            }
        }
        group.append(svg('path', { d: ticks }));
        if (roll) {
            group.append(svg('text', { x: w + 4, y: h / 2 }, '…'));
        }
        return group;
    },

    /** Metres or yards as the reader writes them; a length that is needed rounds up. */
    length(mm, needed = false) {
        if (this.words.imperial) {
            const eighths = (needed ? Math.ceil : Math.round)(mm / 3.175 - 1e-6);
            const parts = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];
            return eighths < 18 * 8
                ? Math.floor(eighths / 8) + parts[eighths % 8] + ' in'
                : (() => {
                      const e = Math.ceil(mm / 114.3 - 1e-6);
                      return Math.floor(e / 8) + parts[e % 8] + ' yd';
                  })();
        }
        const cm = (needed ? Math.ceil : Math.round)(mm / 10 - 1e-6);
        return cm < 100 ? cm + ' cm' : (cm / 100).toFixed(2) + ' m';
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
