import { ask } from '../server.js';
import { svg, html, raw } from './dom.js';

/** What is laid on what. */
export const setup = {
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
            this.setUp({
                garments: [
                    ...this.wish.garments,
                    kind === 'version'
                        ? { version: id, role: 'main', size: this.$refs.garment.selectedOptions[0].dataset.size }
                        : {
                              project: id,
                              role: role.replaceAll('_', ' '),
                              pieces: JSON.parse(this.$refs.garment.selectedOptions[0].dataset.pieces),
                          },
                ],
            });
        }
        this.$refs.garment.value = '';
    },

    removeGarment(event) {
        const garments = this.wish.garments.filter((_, i) => i !== Number(event.currentTarget.dataset.at));
        // pieces are named by the place of their garment, which is another one now
        const figures = this.wish.figures && { ...this.wish.figures, pieces: [] };
        this.$refs.seats.dataset.pieces = '';
        this.setUp({ garments, off: [], eased: [], edged: [], figures }, true);
    },

    resize(event) {
        this.setUp({
            garments: this.wish.garments.map((garment, i) =>
                i === Number(event.currentTarget.dataset.at) ? { ...garment, size: event.currentTarget.value } : garment,
            ),
        });
    },

    addSheet(event) {
        const cut = event.detail;
        const real = this.wish.sheets.filter((sheet) => sheet.cut);
        this.setUp({ sheets: [...real.filter((sheet) => sheet.cut !== cut), { cut }] });
        event.target.value = '';
    },

    removeSheet(event) {
        const sheets = this.wish.sheets.filter((_, i) => i !== Number(event.currentTarget.dataset.at));
        this.setUp({ sheets: sheets.length ? sheets : [{ width: 1380 }] }, true);
    },

    async roll() {
        const width = await this.read(this.$refs.width);
        if (width !== null) {
            this.setUp({ sheets: [{ width: Math.max(100, width - 20) }] }, true);
        }
    },

    options() {
        this.setting = this.chosen();
    },

    /** Read and answered before the machine begins, also where it is pressed at once. */
    async chosen() {
        const gap = this.$refs.gap.value.trim() === '' ? 0 : await this.read(this.$refs.gap);
        const allowance = this.$refs.allowance.value.trim() === '' ? undefined : await this.read(this.$refs.allowance);
        if (gap !== null && allowance !== null) {
            const ticks = Object.fromEntries(['oneWay', 'across', 'match'].map((name) => [name, this.$refs[name].checked]));
            await this.setUp({ ...ticks, gap, allowance });
        }
    },

    /** Why pieces may lie upside down: something is said as soon as one may. */
    sayWhy() {
        this.setUp({ word: this.$refs.word.value });
    },

    layUpsideDown(id, on) {
        this.$refs.word.value = this.$refs.word.value || this.words.unseen;
        this.toggle('eased', id, on, { word: this.$refs.word.value });
    },

    /** A piece is put on one of the setup's lists, or taken off it. */
    toggle(list, id, on, more = {}) {
        const listed = new Set(this.wish[list] ?? []);
        listed[on ? 'add' : 'delete'](id);
        this.setUp({ [list]: [...listed], ...more });
    },

    /** A typed length in millimetres; null, and a sentence, when it cannot be read. */
    async read(field) {
        const answer = await ask('/read/length?' + new URLSearchParams({ text: field.value, unit: this.words.small, as: 'width' }));
        const read = answer === null ? null : JSON.parse(answer);
        this.fault = read?.understood ? '' : (read?.text ?? this.words.lost);
        return read?.understood ? read.millimetres : null;
    },

    /** What is to be laid on what, with changes that are not answered yet. */
    get wish() {
        return this.asked ?? this.mat.setup;
    },

    /** What was changed a moment ago counts; what could not be taken is said again. */
    async isSettled() {
        await this.setting;
        this.fault = this.unsettled || this.fault;
        return this.unsettled === '';
    },

    setUp(change, fresh = false) {
        this.setting = this.answered(change, fresh);
        return this.setting;
    },

    async answered(change, fresh) {
        const setup = raw({ ...this.wish, ...change });
        this.asked = setup;
        const overtaken = () => this.asked !== setup;
        const answer = await this.send(this.$root.dataset.mat, { setup }, overtaken);
        if (overtaken()) {
            // another change followed, which holds this one
            return;
        }
        this.asked = null;
        if ('figures' in change) {
            this.unsettled = answer ? '' : this.fault;
        }
        if (!answer) {
            this.ticks();
            return;
        }
        this.keep();
        // how much longer or shorter it is another way can be said as long as the same is laid
        this.before = ['garments', 'sheets', 'off'].some((part) => part in change) ? null : this.sound ? this.total : this.before;
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
        // named after what is laid until somebody names it
        const name = this.mat.garments.map((garment) => garment.name).join(' + ');
        if (this.$refs.name.value === '' || this.$refs.name.value === this.called) {
            this.$refs.name.value = name.slice(0, 120);
        }
        this.called = name.slice(0, 120);
        const remove = (what, at, name) =>
            html('button', { type: 'button', className: 'link', ariaLabel: this.words.remove + ' ' + name }, '×');
        this.$refs.garments.replaceChildren(
            ...this.mat.garments.map((garment, i) => {
                const button = remove('garment', i, garment.name);
                button.dataset.at = i;
                button.addEventListener('click', (event) => this.removeGarment(event));
                const named = garment.sizes.filter((size) => size);
                const sizes = html(
                    'select',
                    { ariaLabel: this.words.sizeOf + ' ' + garment.name },
                    ...named.map((size) => html('option', { value: size, selected: size === garment.size }, size)),
                );
                sizes.dataset.at = i;
                sizes.addEventListener('change', (event) => this.resize(event));
                return html(
                    'li',
                    { className: 'g' + (i % 6) },
                    html('i', {}),
                    html(
                        'span',
                        {},
                        garment.name + (garment.size && !named.length ? ', ' + garment.size : ''),
                        ...(named.length ? [' ', sizes] : []),
                    ),
                    button,
                    ...(garment.known === 'pieces' ? [] : [html('small', {}, this.words[garment.known])]),
                );
            }),
        );
        this.$refs.sheets.replaceChildren(
            ...this.mat.sheets.map((sheet, i) => {
                const button = remove('sheet', i, sheet.name);
                button.dataset.at = i;
                button.addEventListener('click', (event) => this.removeSheet(event));
                return html(
                    'li',
                    {},
                    html('span', {}, sheet.name + (sheet.says ? ', ' + sheet.says : '')),
                    ...(sheet.cloth ? [button] : []),
                );
            }),
        );
        const pieces = Object.values(this.mat.pieces);
        const focused = document.activeElement?.dataset?.stays;
        const listed = (list, piece, checked, change, more = '') => {
            const box = html('input', { type: 'checkbox', checked });
            box.dataset.stays = list + ' ' + piece.id;
            box.addEventListener('change', () => change(box.checked));
            return html('label', { className: 'tick' }, box, piece.label + more);
        };
        this.$refs.off.replaceChildren(
            ...pieces.map((piece) =>
                listed(
                    'off',
                    piece,
                    !piece.off,
                    (on) => this.toggle('off', piece.id, !on),
                    piece.instead.length ? ' (' + piece.instead.join(', ') + ')' : '',
                ),
            ),
        );
        this.$refs.eased.replaceChildren(
            ...pieces.map((piece) => listed('eased', piece, piece.eased, (on) => this.layUpsideDown(piece.id, on))),
        );
        this.$refs.edged.replaceChildren(
            ...pieces.map((piece) =>
                listed(
                    'edged',
                    piece,
                    piece.edged,
                    (on) => this.toggle('edged', piece.id, on),
                    piece.curve ? ' (' + piece.curve + ')' : '',
                ),
            ),
        );
        if (focused) {
            this.$root.querySelector(`[data-stays="${CSS.escape(focused)}"]`)?.focus();
        }
        this.seats();
        this.ticks();
        [...this.$refs.fold.options].forEach((option) => {
            const way = this.mat.ways[option.value];
            option.textContent = option.textContent.replace(/ ✕$/, '') + (way && way.refused !== null ? ' ✕' : '');
        });
    },

    /** As the setup now is, also where a change was refused. */
    ticks() {
        ['oneWay', 'across', 'match'].forEach((name) => {
            this.$refs[name].checked = Boolean(this.mat.setup[name]);
        });
        this.$refs.easing.hidden = !this.mat.setup.oneWay;
        this.$refs.edging.hidden = this.mat.setup.oneWay;
        [...this.$refs.edged.querySelectorAll('input')].forEach((box) => {
            box.checked = (this.mat.setup.edged ?? []).includes(box.dataset.stays.slice('edged '.length));
        });
        this.$refs.matching.hidden = !this.mat.repeat;
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
};
