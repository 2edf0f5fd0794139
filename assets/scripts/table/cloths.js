import { MARGIN, svg, path, keyOf } from './dom.js';

/** The cloths on the mat: sheets to scale with their tapes. */
export const cloths = {
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

    /** The swatches of the cloths, their prints to the scale of the mat where the repeat is known. */
    printed() {
        const swatches = this.$refs.swatches.content.cloneNode(true);
        this.mat.sheets.forEach((sheet) => {
            const swatch = sheet.repeat && swatches.getElementById('swatch-' + sheet.cloth);
            const { figures } = this.mat.setup;
            if (figures && swatch?.dataset.middle) {
                const [wide, high] = [
                    (figures.along * this.scale) / swatch.dataset.along,
                    (figures.across * this.scale) / swatch.dataset.tall,
                ];
                const [x, y] = swatch.dataset.middle.split(' ');
                const [left, top] = [figures.x * this.scale - x * wide, figures.y * this.scale - y * high];
                swatch.setAttribute('patternTransform', `translate(${left} ${top}) scale(${wide} ${high})`);
            } else if (swatch?.dataset.along) {
                const turned = swatch.getAttribute('patternTransform').match(/rotate\([^)]*\) /)?.[0] ?? '';
                swatch.setAttribute('patternTransform', `${turned}scale(${(sheet.repeat * this.scale) / swatch.dataset.along})`);
            }
        });
        return swatches;
    },

    sheet(sheet, size, left, top) {
        const s = this.scale;
        const [w, h] = [size.length * s, size.height * s];
        const group = svg('g', { transform: `translate(${left} ${top})`, class: 'mat-sheet', 'data-sheet': sheet.id, 'data-height': h });
        const swatch = sheet.cloth && this.$refs.swatches.content.getElementById('swatch-' + sheet.cloth);
        const scaled = sheet.repeat && swatch?.dataset.along;
        group.append(
            svg(
                'text',
                { class: 'mat-name', x: 0, y: -20 },
                sheet.name + (sheet.says ? ', ' + sheet.says : '') + (scaled ? `, ${this.words.repeat} ${this.length(sheet.repeat)}` : ''),
            ),
        );
        const part =
            this.fold === 'part'
                ? Math.max(
                      0,
                      ...[...this.places.values()]
                          .filter((p) => p.layers === 2 && p.sheet === sheet.id)
                          .map((p) => this.bodies.get(keyOf(p)).box.right),
                  )
                : 0;
        const fill = swatch ? `url(#swatch-${sheet.cloth})` : '#C9D3CE';
        const outline = part > 0 ? `M0 0H${w}V${h}H${part * s}V${h / 2}H0Z` : `M0 0H${w}V${h}H0Z`;
        group.append(svg('path', { d: outline, fill, class: 'mat-cloth' }), svg('path', { d: outline, class: 'mat-wash' }));
        if (scaled) {
            const first = [...this.places.values()].find((place) => this.mat.pieces[place.piece].match);
            this.repeats(group, sheet.repeat * s, (first ? this.matched(first)[0] : 0) * s, w, h);
        }
        const { figures } = this.mat.setup;
        if (figures && this.fold === 'flat') {
            this.rings(group, figures, w, h);
        }
        if (sheet.oneWay) {
            group.append(
                svg('path', { class: 'mat-top', d: `M14 ${h - 9}h34M14 ${h - 9}l7 -5M14 ${h - 9}l7 5` }),
                svg('text', { class: 'mat-edge', x: 54, y: h - 5 }, this.words.top),
            );
        }
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

    /** Where the print begins anew: what is matched has its lower end on one of these. */
    repeats(group, step, from, w, h) {
        let lines = '';
        for (let x = from % step || step; x < w; x += step) {
            lines += `M${x.toFixed(1)} 0V${h}`;
        }
        group.append(svg('path', { d: lines, class: 'mat-repeat' }));
    },

    /** Where the figures of a large print lie, as large as they are. */
    rings(group, figures, w, h) {
        const s = this.scale;
        const r = (figures.size / 2) * s;
        let d = '';
        for (let x = (figures.x % figures.along) - figures.along; x * s < w; x += figures.along) {
            for (let y = (figures.y % figures.across) - figures.across; y * s < h; y += figures.across) {
                if (x >= 0 && y >= 0) {
                    const half = (wide) => `a${r} ${r} 0 1 0 ${wide} 0`;
                    d += `M${x * s - r} ${y * s}${half(2 * r)}${half(-2 * r)}m${r - 4} 0h8m-4 -4v8`;
                }
            }
        }
        group.append(svg('path', { d, class: 'mat-figure' }));
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

    /** What the tape says there, as the server wrote it; a length that is needed reads the mark after it. */
    length(mm, needed = false) {
        const marks = this.mat.marks;
        const after = marks.findIndex(([at]) => at >= mm - 0.001);
        if (after < 1) {
            return marks.at(after)[1];
        }
        return marks[needed || marks[after][0] - mm <= mm - marks[after - 1][0] ? after : after - 1][1];
    },
};
