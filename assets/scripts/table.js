import { boxOf, moved, overlap, turned } from './geometry.js';
import { ask } from './server.js';

const NS = 'http://www.w3.org/2000/svg';
const MARGIN = { left: 58, top: 34, gap: 62, beside: 24, right: 30 };
const SNAP = 10;
const NUDGES = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

const post = (url, body, signal) => fetch(url, { method: 'POST', signal, headers: { 'Content-Type': 'application/json', 'X-Token': document.querySelector('meta[name=csrf]').content }, body: JSON.stringify(body) });

function svg(tag, attributes = {}, ...children) {
    const element = document.createElementNS(NS, tag);
    Object.entries(attributes).forEach(([name, value]) => element.setAttribute(name, value));
    element.append(...children);
    return element;
}

function html(tag, attributes = {}, ...children) {
    const element = Object.assign(document.createElement(tag), attributes);
    element.append(...children);
    return element;
}

const path = (points, s) => 'M' + points.map(([x, y]) => (x * s).toFixed(1) + ' ' + (y * s).toFixed(1)).join('L') + 'Z';
/** Kept out of the page's reactivity: large, and drawn by hand. */
const raw = (value) => Object.defineProperty(value, '__v_skip', { value: true });

const keyOf = (place) => place.piece + '#' + place.copy;

/** The cutting table: the mat is drawn here, pieces are moved here, and the core is asked what it makes of it. */
export const table = () => ({
    running: false,
    waits: '',
    changed: false,
    status: '',
    fault: '',
    share: 0,
    shown: '',
    locked: 0,
    laid: 0,
    wanted: 0,
    sound: false,

    init() {
        this.mat = raw(JSON.parse(document.getElementById('mat').textContent));
        this.words = JSON.parse(document.getElementById('mat-words').textContent);
        const saved = JSON.parse(document.getElementById('mat-saved').textContent);
        this.history = [];
        this.future = [];
        this.places = raw(new Map());
        this.fold = saved?.fold ?? 'flat';
        this.selected = null;
        this.take(saved?.places ?? []);
        this.lists();
        this.fit();
        this.draw();
        if (saved) {
            this.judge();
        }
        this.sizes = new ResizeObserver(() => { if (!this.zoomed) { this.fit(); this.draw(); } });
        this.sizes.observe(this.$refs.box);
        this.warn = (event) => { if (this.changed) { event.preventDefault(); } };
        window.addEventListener('beforeunload', this.warn);
    },

    destroy() {
        this.sizes.disconnect();
        window.removeEventListener('beforeunload', this.warn);
        this.abort?.abort();
    },

    // What lies where -------------------------------------------------------------------------------------------------

    get way() { return this.mat.ways[this.fold]; },

    get items() { return this.way?.items ?? []; },

    item(place) { return this.items.find((item) => item.piece === place.piece && item.copy === place.copy); },

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
        return this.way.lanes.filter((lane) => lane.sheet === sheet && lane.layers === layers)
            .map((lane) => ({ top: lane.down ? lane.offset - lane.width : lane.offset, bottom: lane.down ? lane.offset : lane.offset + lane.width, length: lane.length, fold: lane.fold ? lane.offset : null, down: lane.down }));
    },

    /** What is wrong with a place, as the page sees it. */
    wrong(place, body = this.body(place)) {
        const off = !this.strips(place.sheet, place.layers).some((strip) => body.box.left > -0.5 && body.box.top > strip.top - 0.5 && body.box.bottom < strip.bottom + 0.5 && body.box.right < (strip.length ?? Infinity) + 0.5);
        const sheet = this.mat.sheets.find((one) => one.id === place.sheet);
        const missing = sheet.missing.some((part) => overlap(body, { box: boxOf(part), parts: [part] }));
        const onto = [...this.places.values()].some((other) => keyOf(other) !== keyOf(place) && other.sheet === place.sheet && overlap(body, this.bodies?.get(keyOf(other)) ?? this.body(other)));
        return off || missing || onto;
    },

    // The mat ---------------------------------------------------------------------------------------------------------

    /** How high and long a sheet is as it lies, folded or not. */
    size(sheet) {
        const lanes = this.way?.lanes.filter((lane) => lane.sheet === sheet.id) ?? [];
        const height = lanes.length ? Math.max(...lanes.map((lane) => (lane.down ? lane.offset : lane.offset + lane.width))) : sheet.width;
        const end = Math.max(0, ...[...this.places.values()].filter((place) => place.sheet === sheet.id).map((place) => this.body(place).box.right));
        const doubled = this.way?.doubled ?? 1;
        return { height, length: sheet.length === null ? Math.max(1500, end + 250) : sheet.length / doubled, end };
    },

    fit() {
        const sizes = this.mat.sheets.map((sheet) => this.size(sheet));
        const sum = (numbers) => numbers.reduce((all, one) => all + one, 0);
        const [lengths, heights] = [sizes.map((size) => size.length), sizes.map((size) => size.height)];
        const width = this.$refs.box.clientWidth - MARGIN.right - 4;
        const height = Math.max(330, window.innerHeight - this.$refs.box.getBoundingClientRect().top - window.scrollY - 110) - MARGIN.top;
        const below = Math.min((width - MARGIN.left) / Math.max(...lengths, 500), (height - sizes.length * MARGIN.gap) / Math.max(sum(heights), 300));
        const beside = Math.min((width - sizes.length * (MARGIN.left + MARGIN.beside)) / Math.max(sum(lengths), 500), (height - MARGIN.gap) / Math.max(...heights, 300));
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
        const pieces = [...this.places.values()].sort((a, b) => this.bodies.get(keyOf(a)).box.left - this.bodies.get(keyOf(b)).box.left).map((place) => this.piece(place));
        const [width, height] = [Math.max(this.$refs.box.clientWidth, Math.ceil(right + MARGIN.right)), Math.ceil(bottom + 40)];
        root.setAttribute('width', width);
        root.setAttribute('height', height);
        root.replaceChildren(this.$refs.swatches.content.cloneNode(true), this.grid(width, height), ...drawn, svg('g', { class: 'mat-pieces' }, ...pieces));
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
        const part = this.fold === 'part' ? Math.max(0, ...[...this.places.values()].filter((p) => p.layers === 2 && p.sheet === sheet.id).map((p) => this.bodies.get(keyOf(p)).box.right)) : 0;
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
            group.append(svg('path', { d: `M${size.end * s} -4V${h + 20}`, class: 'mat-end' }), svg('text', { class: 'mat-end-text', x: size.end * s + 5, y: h + 30 }, this.length(size.end * (this.way?.doubled ?? 1), true)));
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
                group.append(svg('text', { x: x * s + 3, y: -5 }, (x / 1000) + ' m'));
            }
        }
        for (let i = 0; i * 114.3 * s <= w + 0.5; i += 1) {
            ticks += `M${(i * 114.3 * s).toFixed(1)} ${h + 2}v${i % 8 === 0 ? 12 : i % 4 === 0 ? 8 : 4}`;
            if (i > 0 && i % 8 === 0) {
                group.append(svg('text', { x: i * 114.3 * s + 3, y: h + 14 }, (i / 8) + ' yd'));
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
            return eighths < 18 * 8 ? Math.floor(eighths / 8) + parts[eighths % 8] + ' in' : (() => { const e = Math.ceil(mm / 114.3 - 1e-6); return Math.floor(e / 8) + parts[e % 8] + ' yd'; })();
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
        const notes = [this.length(body.box.left) + ' ' + this.words.fromEnd, this.length(Math.max(0, body.box.top)) + ' ' + this.words.fromEdge, place.turn ? place.turn + '°' : '', place.flipped && !item.onFold ? this.words.mirrored : '', place.locked ? this.words.locked : '', bad ? this.words.bad : ''].filter(Boolean).join(', ');
        const group = svg('g', {
            class: 'mat-piece g' + (piece.garment % 6) + (bad ? ' is-bad' : '') + (place.locked ? ' is-locked' : '') + (key === this.selected ? ' is-selected' : ''),
            'data-key': key, tabindex: 0, role: 'button', 'aria-label': `${title}: ${notes}`, 'aria-pressed': String(key === this.selected),
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
        const letters = Math.floor((upright ? tall : roomy) * s / 7.2);
        const name = text.length <= letters ? text : letters > 4 ? text.slice(0, letters - 1) + '…' : '';
        const named = name !== '' && (upright || tall * s > 13);
        if (named) {
            group.append(svg('text', upright ? { class: 'mat-label', transform: `translate(${cx * s + 4} ${(box.top + box.bottom) / 2 * s}) rotate(-90)` } : { x: cx * s, y: cy * s + (tall * s > 40 ? 0 : 4), class: 'mat-label' }, name));
        }
        if (!named || (tall * s > 40 && !upright)) {
            group.append(svg('path', { class: 'mat-grain', d: `M${reach} 0H${-reach}m6 -4l-6 4l6 4`, transform: `translate(${cx * s} ${cy * s + (named ? 12 : 0)}) rotate(${place.turn})` }));
        }
        return group;
    },

    /** A place within the outline for its name: the middle of the longest stretch along the cloth near the middle across. */
    middle(points, box) {
        let best = [(box.left + box.right) / 2, (box.top + box.bottom) / 2, 0];
        for (let i = 2; i <= 8; i += 1) {
            const y = box.top + (box.bottom - box.top) * i / 10;
            const cuts = [];
            points.forEach(([ax, ay], j) => {
                const [bx, by] = points[(j + 1) % points.length];
                if ((ay <= y) !== (by <= y)) {
                    cuts.push(ax + (bx - ax) * (y - ay) / (by - ay));
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

    at(place) { const [left, top] = this.origins[place.sheet]; return `translate(${(left + place.x * this.scale).toFixed(1)} ${(top + place.y * this.scale).toFixed(1)})`; },

    tray() {
        const left = this.items.filter((item) => !this.places.has(keyOf(item)));
        this.$refs.tray.replaceChildren(...left.map((item) => {
            const piece = this.mat.pieces[item.piece];
            const shape = item.onFold ? piece.half : piece.flat;
            const box = boxOf(shape.points);
            const s = Math.min(64 / (box.right - box.left), 34 / (box.bottom - box.top), 0.14);
            const drawing = svg('svg', { width: Math.ceil((box.right - box.left) * s) + 4, height: Math.ceil((box.bottom - box.top) * s) + 4, 'aria-hidden': 'true' }, svg('path', { d: path(moved(shape.points, -box.left + 2 / s, -box.top + 2 / s), s), class: 'mat-outline g' + (piece.garment % 6) }));
            const button = html('button', { type: 'button', className: 'tray-piece' }, drawing, html('span', {}, piece.label + ' ' + item.copy + (item.layers === 2 && !item.onFold ? ' + ' + (item.copy + 1) : '') + (item.onFold ? ', ' + this.words.onFold : '')));
            button.dataset.key = keyOf(item);
            return button;
        }));
        this.$refs.trayNote.hidden = left.length > 0;
    },

    // Moving by hand --------------------------------------------------------------------------------------------------

    keep() {
        this.history.push(JSON.stringify({ fold: this.fold, places: [...this.places.values()] }));
        this.future = [];
        if (this.history.length > 200) {
            this.history.shift();
        }
    },

    undo() { this.back(this.history, this.future); },

    redo() { this.back(this.future, this.history); },

    back(from, to) {
        if (from.length === 0) {
            return;
        }
        to.push(JSON.stringify({ fold: this.fold, places: [...this.places.values()] }));
        const { fold, places } = JSON.parse(from.pop());
        this.fold = fold;
        this.$refs.fold.value = fold;
        this.take(places);
        this.settled();
    },

    /** After a change: draw, and ask the core. */
    settled() {
        this.changed = true;
        this.draw();
        clearTimeout(this.later);
        this.later = setTimeout(() => this.judge(), 200);
    },

    select(key) {
        this.selected = key;
        this.$refs.mat.querySelectorAll('.mat-piece').forEach((piece) => {
            piece.classList.toggle('is-selected', piece.dataset.key === key);
            piece.setAttribute('aria-pressed', String(piece.dataset.key === key));
        });
    },

    focusin(event) {
        const key = event.target.closest('.mat-piece')?.dataset.key;
        if (key) {
            this.select(key);
        }
    },

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
        const move = (next) => { box.scrollLeft -= next.movementX; box.scrollTop -= next.movementY; };
        const end = () => { window.removeEventListener('pointermove', move); window.removeEventListener('pointerup', end); };
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
            Object.assign(place, this.onSheet(place, point.x - (box.right + box.left) / 2 + place.x, point.y - (box.bottom + box.top) / 2 + place.y));
            this.places.set(keyOf(place), place);
            this.draw();
            this.drag(next, place, false);
        };
        const stop = () => { window.removeEventListener('pointermove', begin); window.removeEventListener('pointerup', stop); };
        window.addEventListener('pointermove', begin);
        window.addEventListener('pointerup', stop);
    },

    fresh(key) {
        const item = this.items.find((one) => keyOf(one) === key);
        const [turn, flipped] = item.ways[0];
        return { piece: item.piece, copy: item.copy, sheet: this.mat.sheets[0].id, turn, flipped, layers: item.layers, x: 0, y: 0, locked: false };
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
                        place.y = item.onFold ? 0 : y - box.top;
                        if (item.onFold) {
                            this.toFold(place, strip);
                        }
                        if (!this.wrong(place)) {
                            this.places.set(key, place);
                            this.push(place, 'x');
                            this.after(key);
                            return;
                        }
                        if (item.onFold) {
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
                element.querySelector('.mat-outline').setAttribute('d', path(turned(this.shape(place).points, place.flipped, place.turn), this.scale));
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
        const end = Math.max(0, ...[...this.places.values()].filter((one) => one.sheet === sheet).map((one) => this.bodies.get(keyOf(one)).box.right));
        const text = group?.querySelector('.mat-end-text');
        if (text) {
            group.querySelector('.mat-end').setAttribute('d', `M${end * this.scale} -4V${Number(group.dataset.height) + 20}`);
            text.setAttribute('x', end * this.scale + 5);
            text.textContent = this.length(end * (this.way?.doubled ?? 1), true);
        }
    },

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
        const closest = (candidates, at) => candidates.reduce((best, one) => (Math.abs(one - at) < Math.abs(best - at) ? one : best), Infinity);
        const x = closest(xs, box.left);
        const y = closest(ys, box.top);
        if (!free && Math.abs(x - box.left) < near) {
            place.x += x - box.left;
        }
        if (this.item(place).onFold) {
            const strips = this.strips(place.sheet, place.layers);
            this.toFold(place, strips.reduce((best, strip) => (Math.abs(strip.fold - (box.top + box.bottom) / 2) < Math.abs(best.fold - (box.top + box.bottom) / 2) ? strip : best), strips[0]));
        } else if (!free && Math.abs(y - box.top) < near) {
            place.y += y - box.top;
        }
        this.round(place);
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
        if (!this.wrong(place)) {
            return;
        }
        const onFold = this.item(place).onFold;
        for (let step = 1; step <= 30; step += 1) {
            for (const [dx, dy] of onFold ? [[1, 0], [-1, 0]] : [[1, 0], [-1, 0], [0, 1], [0, -1]]) {
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

    key(event) {
        if ((event.ctrlKey || event.metaKey) && ['z', 'y'].includes(event.key.toLowerCase()) && !event.target.closest('input, textarea')) {
            event.preventDefault();
            if (event.key.toLowerCase() === 'y' || event.shiftKey) { this.redo(); } else { this.undo(); }
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
            place.x += dx * by;
            if (item.onFold && dy !== 0) {
                const strips = this.strips(place.sheet, place.layers);
                this.toFold(place, strips[dy < 0 ? 0 : strips.length - 1]);
            } else {
                place.y += dy * by;
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

    zoomIn() { this.zoom(1.25); },

    zoomOut() { this.zoom(0.8); },

    zoomFit() { this.fit(); this.draw(); },

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

    // The setup -------------------------------------------------------------------------------------------------------

    chooseFold() {
        const fold = this.$refs.fold.value;
        if (!this.mat.ways[fold]) {
            return;
        }
        this.fault = this.mat.ways[fold].refused ?? '';
        if (this.fault) {
            this.$refs.fold.value = this.fold;
            return;
        }
        this.keep();
        const before = [...this.places.values()];
        this.fold = fold;
        this.take(before.filter((place) => place.layers === 1 && this.item(place)?.layers === 1));
        this.settled();
    },

    addGarment() {
        const [kind, id, role] = this.$refs.garment.value.split(' ');
        if (id) {
            this.setUp({ garments: [...this.mat.setup.garments, kind === 'version' ? { version: id, role: 'main', size: this.$refs.garment.selectedOptions[0].dataset.size } : { project: id, role: role.replaceAll('_', ' ') }] });
        }
        this.$refs.garment.value = '';
    },

    removeGarment(event) { this.setUp({ garments: this.mat.setup.garments.filter((_, i) => i !== Number(event.currentTarget.dataset.at)), off: [] }, true); },

    resize(event) {
        this.setUp({ garments: this.mat.setup.garments.map((garment, i) => (i === Number(event.currentTarget.dataset.at) ? { ...garment, size: event.currentTarget.value } : garment)) });
    },

    addSheet() {
        const cut = this.$refs.cut.value;
        if (cut) {
            const real = this.mat.setup.sheets.filter((sheet) => sheet.cut);
            this.setUp({ sheets: [...real.filter((sheet) => sheet.cut !== cut), { cut }] });
        }
        this.$refs.cut.value = '';
    },

    removeSheet(event) {
        const sheets = this.mat.setup.sheets.filter((_, i) => i !== Number(event.currentTarget.dataset.at));
        this.setUp({ sheets: sheets.length ? sheets : [{ width: 1380 }] }, true);
    },

    async roll() {
        const width = await this.read(this.$refs.width);
        if (width !== null) {
            this.setUp({ sheets: [{ width: Math.max(100, width - 20) }] }, true);
        }
    },

    async options() {
        const gap = this.$refs.gap.value.trim() === '' ? 0 : await this.read(this.$refs.gap);
        const allowance = this.$refs.allowance.value.trim() === '' ? undefined : await this.read(this.$refs.allowance);
        if (gap !== null && allowance !== null) {
            this.setUp({ oneWay: this.$refs.oneWay.checked, match: this.$refs.match.checked, gap, allowance });
        }
    },

    toggleOff(event) {
        const { id } = event.target.dataset;
        const off = new Set(this.mat.setup.off ?? []);
        if (event.target.checked) { off.delete(id); } else { off.add(id); }
        this.setUp({ off: [...off] });
    },

    /** A typed length in millimetres; null, and a sentence, when it cannot be read. */
    async read(field) {
        const answer = await ask('/read/length?' + new URLSearchParams({ text: field.value, unit: this.words.small, as: 'width' }));
        const read = answer === null ? null : JSON.parse(answer);
        this.fault = read?.understood ? '' : read?.text ?? this.words.lost;
        return read?.understood ? read.millimetres : null;
    },

    async setUp(change, fresh = false) {
        const setup = { ...this.mat.setup, ...change };
        const answer = await this.send(this.$root.dataset.mat, { setup });
        if (!answer) {
            return;
        }
        this.keep();
        this.mat = raw(answer);
        if (!this.mat.ways[this.fold]) {
            this.fold = 'flat';
        }
        const kept = fresh ? [] : [...this.places.values()];
        this.take(kept);
        await this.swatches();
        if (!this.zoomed) {
            this.fit();
        }
        this.lists();
        this.settled();
    },

    /** Lists what is laid and on what, as the setup now is; the swatches of its cloths come from the server. */
    lists() {
        const remove = (what, at, name) => html('button', { type: 'button', className: 'link', ariaLabel: this.words.remove + ' ' + name }, '×');
        this.$refs.garments.replaceChildren(...this.mat.garments.map((garment, i) => {
            const button = remove('garment', i, garment.name);
            button.dataset.at = i;
            button.addEventListener('click', (event) => this.removeGarment(event));
            const sizes = html('select', { ariaLabel: this.words.sizeOf + ' ' + garment.name }, ...garment.sizes.map((size) => html('option', { value: size, selected: size === garment.size }, size)));
            sizes.dataset.at = i;
            sizes.addEventListener('change', (event) => this.resize(event));
            return html('li', { className: 'g' + (i % 6) }, html('i', {}), html('span', {}, garment.name + (garment.size && !garment.sizes.length ? ', ' + garment.size : ''), ...(garment.sizes.length ? [' ', sizes] : [])), button, ...(garment.known === 'pieces' ? [] : [html('small', {}, this.words[garment.known])]));
        }));
        this.$refs.sheets.replaceChildren(...this.mat.sheets.map((sheet, i) => {
            const button = remove('sheet', i, sheet.name);
            button.dataset.at = i;
            button.addEventListener('click', (event) => this.removeSheet(event));
            return html('li', {}, html('span', {}, sheet.name + (sheet.says ? ', ' + sheet.says : '')), ...(sheet.cloth ? [button] : []));
        }));
        this.$refs.off.replaceChildren(...Object.values(this.mat.pieces).map((piece) => {
            const box = html('input', { type: 'checkbox', checked: !piece.off });
            box.dataset.id = piece.id;
            box.addEventListener('change', (event) => this.toggleOff(event));
            return html('label', { className: 'tick' }, box, piece.label + (piece.instead.length ? ' (' + piece.instead.join(', ') + ')' : ''));
        }));
        this.$refs.oneWay.checked = Boolean(this.mat.setup.oneWay);
        this.$refs.match.checked = Boolean(this.mat.setup.match);
        [...this.$refs.fold.options].forEach((option) => {
            const way = this.mat.ways[option.value];
            option.textContent = option.textContent.replace(/ ✕$/, '') + (way && way.refused !== null ? ' ✕' : '');
        });
    },

    async swatches() {
        const wanted = [...new Set(this.mat.sheets.map((sheet) => sheet.cloth).filter(Boolean))];
        const missing = wanted.filter((cloth) => !this.$refs.swatches.content.getElementById('swatch-' + cloth));
        if (missing.length) {
            const answer = await ask(this.$root.dataset.swatches + '?' + new URLSearchParams({ cloths: missing.join(',') }));
            if (answer !== null) {
                const parsed = new DOMParser().parseFromString(answer, 'text/html').querySelector('svg');
                this.$refs.swatches.content.append(document.importNode(parsed, true));
            }
        }
    },

    // The core --------------------------------------------------------------------------------------------------------

    async send(url, body) {
        try {
            const answer = await post(url, body);
            const read = await answer.json().catch(() => null);
            if (!answer.ok || read === null) {
                this.fault = read?.fault ?? this.words.lost;
                if (answer.status === 409) {
                    // told once that another tab has saved, saving again puts this one in its place
                    this.$root.dataset.revision = '';
                }
                return null;
            }
            this.fault = '';
            return read;
        } catch {
            this.fault = this.words.lost;
            return null;
        }
    },

    sent() { return { setup: this.mat.setup, fold: this.fold, places: [...this.places.values()].map(({ locked, layers, ...place }) => place) }; },

    async judge() {
        if (this.items.length === 0 || this.places.size === 0 || this.way.refused) {
            this.$refs.answer.replaceChildren();
            return;
        }
        this.judged = (this.judged ?? 0) + 1;
        const asked = this.judged;
        const answer = await this.send(this.$root.dataset.judge, this.sent());
        if (answer && asked === this.judged) {
            this.tell(answer);
        }
    },

    async make() {
        const choice = this.$refs.fold.value;
        const locked = [...this.places.values()].filter((place) => place.locked);
        const folds = locked.length ? [this.fold] : choice === 'best' ? Object.keys(this.mat.ways) : [choice];
        if (Object.keys(this.mat.ways).length === 0) {
            this.fault = this.words.nothing;
            return;
        }
        this.keep();
        clearTimeout(this.later);
        this.running = true;
        this.share = 0;
        this.shown = '';
        this.fault = '';
        this.stopped = false;
        try {
            const asked = { setup: this.mat.setup, folds, seconds: Number(this.$refs.seconds.value), locked: locked.map(({ layers, ...place }) => place) };
            const answer = await post(this.$root.dataset.make, asked);
            const begun = await answer.json().catch(() => ({}));
            if (begun.job === undefined) {
                this.fault = begun.fault ?? this.words.lost;
            } else {
                await this.follow(begun.job, locked);
            }
        } catch {
            this.fault = this.words.lost;
        }
        this.running = false;
        this.waits = '';
        this.draw();
    },

    /** Asks after the machine's work until it has ended: it goes on in a process of its own. */
    async follow(job, locked) {
        const url = this.$root.dataset.make + '/' + job;
        for (let after = 0, ended = false; !ended;) {
            if (this.stopped) {
                await post(url + '/stop', {});
            }
            const answer = await fetch(url + '?after=' + after);
            if (!answer.ok) {
                throw new Error(answer.status);
            }
            const said = await answer.json();
            said.lines.forEach((line) => this.heard(JSON.parse(line), locked));
            after += said.lines.length;
            ended = said.ended;
            if (!ended) {
                await new Promise((done) => { setTimeout(done, this.waits === '' ? 200 : 1000); });
            }
        }
    },

    heard(line, locked) {
        if (line.waits !== undefined) {
            this.waits = this.words.waits.replace('{count}', line.waits);
            return;
        }
        this.waits = '';
        if (line.share !== undefined) {
            this.share = line.share;
            return;
        }
        this.fold = line.fold;
        const keys = new Set(locked.map(keyOf));
        this.take(line.places.map((place) => ({ ...place, locked: keys.has(keyOf(place)) })));
        this.changed = true;
        if (line.better !== undefined) {
            this.shown = line.missing ? '' : this.shown === '' ? line.better : this.shown.split(' … ')[0] + ' … ' + line.better;
        } else {
            this.share = 1;
            this.tell(line.done);
        }
        if (!this.zoomed) {
            this.fit();
        }
        this.draw();
    },

    stop() { this.stopped = true; },

    /** What the core makes of the lay, in the margin. */
    tell(answer) {
        this.sound = answer.faults.length === 0 && answer.missing.length === 0;
        const out = [];
        const row = (term, text) => [html('dt', {}, term), html('dd', {}, text)];
        if (answer.faults.length || answer.missing.length) {
            const list = html('ul', { className: 'mat-faults' }, ...answer.faults.filter((fault) => !fault.includes('accounted for')).map((fault) => html('li', {}, fault)));
            if (answer.missing.length) {
                list.append(html('li', {}, this.words.missing + ' ' + answer.missing.join(', ') + '. ' + (answer.status === 'placed' || answer.why === null || answer.why.startsWith('Not laid') ? '' : answer.why)));
            }
            if (answer.more) {
                list.append(html('li', {}, html('b', {}, answer.more)));
            }
            out.push(list);
        } else {
            out.push(html('p', { className: 'verdict v-fits' }, this.words.soundly));
        }
        const facts = html('dl', { className: 'facts' });
        answer.used.forEach((sheet) => facts.append(...row(sheet.name, sheet.used + (sheet.spare === null ? '' : ', ' + sheet.spare + ' ' + this.words.spare))));
        facts.append(...row(this.words.laidAs, answer.foldName), ...row(this.words.inPieces, answer.utilisation + ' %'));
        if (answer.bound) {
            facts.append(...row(this.words.bound, answer.bound));
        }
        out.push(facts);
        if (answer.used.length > 1) {
            out.push(html('h3', {}, this.words.which));
            answer.used.forEach((sheet, i) => {
                const on = [...this.places.values()].filter((place) => place.sheet === 's' + i).map((place) => this.mat.pieces[place.piece]);
                const list = html('ul', { className: 'which' });
                this.mat.garments.forEach((garment, g) => {
                    const names = on.filter((piece) => piece.garment === g).map((piece) => piece.name);
                    if (names.length) {
                        list.append(html('li', {}, garment.name + ': ' + [...new Set(names)].map((name) => name + (names.filter((one) => one === name).length > 1 ? ' × ' + names.filter((one) => one === name).length : '')).join(', ')));
                    }
                });
                out.push(html('p', { className: 'which' }, html('b', {}, sheet.name), list.childElementCount ? '' : ': ' + this.words.nothingOn), list);
            });
        }
        if (answer.folds.length > 1) {
            out.push(html('h3', {}, this.words.otherWays), html('ul', { className: 'mat-ways' }, ...answer.folds.map((fold) => html('li', {}, fold.name + ': ', fold.length === null ? html('small', {}, fold.why) : html('b', {}, fold.length)))));
        }
        if (answer.leftovers.length) {
            out.push(html('h3', {}, this.words.leftovers), html('p', { className: 'soft' }, answer.leftovers.map((free) => free.says).join('; ')));
        }
        this.$refs.answer.replaceChildren(...out);
        this.status = answer.total + ', ' + answer.utilisation + ' %';
    },

    async save(event) {
        event.preventDefault();
        const answer = await this.send(this.$root.dataset.save, { ...this.sent(), id: this.$root.dataset.id, revision: this.$root.dataset.revision, name: this.$refs.name.value, locked: [...this.places.values()].filter((place) => place.locked).map((place) => place.piece + ' ' + place.copy) });
        if (answer) {
            this.changed = false;
            location.href = answer.url;
        }
    },

    get isIdle() { return !this.running; },

    get progress() { return String(Math.round(100 * this.share)); },

    get count() { return String(this.wanted - this.laid); },
});
