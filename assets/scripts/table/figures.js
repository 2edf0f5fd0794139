import { html } from './dom.js';

const FIELDS = ['x', 'y', 'along', 'across', 'size'];

/** Pieces laid to the figures of a large print, or with their hems at an edge. What stands in the fields is what is sent. */
export const figures = {
    seat() {
        this.setting = this.seated();
    },

    async seated() {
        const turn = (this.seating = (this.seating ?? 0) + 1);
        const asked = {};
        for (const name of FIELDS) {
            asked[name] = await this.measured(this.$refs['figure' + name]);
            if (asked[name] === null) {
                this.unsettled = this.fault;
                return;
            }
        }
        const pieces = [];
        for (const row of this.$refs.seats.querySelectorAll('select')) {
            const { piece, fields } = row.seat;
            fields.hidden = !['middle', 'clear'].includes(row.value);
            fields.lastChild.hidden = row.value !== 'clear';
            const [down, apart] = [...fields.querySelectorAll('input')];
            const one = { piece, seat: row.value, down: await this.measured(down), apart: await this.measured(apart) };
            if (one.down === null || one.apart === null) {
                this.unsettled = this.fault;
                return;
            }
            if (row.value) {
                pieces.push(one);
            }
        }
        if (turn !== this.seating) {
            // something was changed while this was read, and is read with the rest
            return;
        }
        const missing = FIELDS.filter((name) => asked[name] === undefined);
        if (missing.length === 0) {
            await this.setUp({ figures: { ...asked, pieces } });
        } else if (pieces.length) {
            const labels = missing.map((name) => this.$refs['figure' + name].closest('label').firstChild.textContent.trim());
            this.unsettled = this.fault = this.words.wanting + ' ' + labels.join('; ');
        } else if (this.mat.setup.figures || this.unsettled) {
            await this.setUp({ figures: undefined });
        }
    },

    edge() {
        this.setting = this.measured(this.$refs.edge).then((edge) => (edge === null ? null : this.setUp({ edge })));
    },

    /** What a field says in millimetres, as it came where it is unchanged; undefined for nothing, null where it cannot be read. */
    async measured(field) {
        const text = field.value.trim();
        if (text === '' || field.closest('[hidden]')) {
            return undefined;
        }
        if (text !== field.dataset.text) {
            const read = text === '0' ? 0 : await this.read(field);
            if (read === null) {
                return null;
            }
            Object.assign(field.dataset, { text, millimetres: read });
        }
        return Number(field.dataset.millimetres);
    },

    /** A length as it would be typed. */
    typed(field, millimetres) {
        const inch = this.words.small === 'in';
        field.value = (Math.round((millimetres / (inch ? 25.4 : 10)) * 100) / 100).toString() + (inch ? ' in' : ' cm');
        Object.assign(field.dataset, { text: field.value, millimetres });
        return field;
    },

    /** The fields and lists as the setup has them; what is typed meanwhile stays. */
    seats() {
        const { figures } = this.mat.setup;
        const sheet = this.mat.sheets[0];
        const { earlier } = this.mat;
        const known = figures ?? earlier ?? { along: sheet?.repeat, size: sheet?.motif };
        for (const name of FIELDS) {
            const field = this.$refs['figure' + name];
            if (field.dataset.offered === field.value && !figures) {
                // it was offered for another cut
                field.value = '';
            }
            if (known[name] !== undefined && known[name] !== null && field.value === '') {
                this.typed(field, known[name]);
                field.dataset.offered = figures ? '' : field.value;
            }
        }
        this.$refs.earlier.textContent = !figures && earlier ? this.words.earlier.replace('{lay}', earlier.lay) : '';
        const pieces = Object.values(this.mat.pieces);
        const all = JSON.stringify(pieces.map((piece) => piece.id));
        if (this.$refs.seats.dataset.pieces === all) {
            return;
        }
        this.$refs.seats.dataset.pieces = all;
        this.$refs.seats.replaceChildren(
            ...pieces.map((piece) => {
                const seated = figures?.pieces?.find((one) => one.piece === piece.id);
                const select = html(
                    'select',
                    {},
                    ...Object.entries(this.words.seats).map(([value, words]) =>
                        html('option', { value, selected: value === (seated?.seat ?? '') }, words),
                    ),
                );
                const field = (label, placeholder, millimetres) => {
                    const input = html('input', { className: 'w-short', placeholder });
                    input.addEventListener('change', () => this.seat());
                    return html('label', {}, label + ' ', millimetres === undefined ? input : this.typed(input, millimetres));
                };
                const fields = html(
                    'div',
                    {},
                    field(this.words.down, this.words.half, seated?.down),
                    field(this.words.apart, '0', seated?.apart),
                );
                fields.hidden = !['middle', 'clear'].includes(seated?.seat);
                fields.lastChild.hidden = seated?.seat !== 'clear';
                select.seat = { piece: piece.id, fields };
                select.addEventListener('change', () => this.seat());
                return html('div', {}, html('label', {}, piece.label + ' ', select), fields);
            }),
        );
        this.$refs.figuring.open = this.$refs.figuring.open || Boolean(figures);
    },
};
