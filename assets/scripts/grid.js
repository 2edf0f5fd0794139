import { ask, asking } from './server.js';

/** The requirement grid: rows and columns are added, and a table copied from a spreadsheet is spread over the cells. */
export default () => ({
    ask: asking(),

    init() {
        this.read();
    },

    /** Below each cell stands what it was understood as, so that a figure in the wrong unit is seen at once. */
    async read() {
        const answer = await this.ask(this.$root.dataset.read, { method: 'POST', body: this.typed('') });
        if (answer !== null) {
            this.say(JSON.parse(answer).understood);
        }
    },

    typed(pasted) {
        const data = new FormData(this.$root.closest('form'));
        data.set('pasted', pasted);
        return data;
    },

    say(understood) {
        [...this.$refs.table.tBodies[0].rows].forEach((row, i) =>
            row.querySelectorAll('.understood').forEach((said, j) => {
                said.textContent = understood[i]?.[j] ?? '';
                said.classList.toggle('is-wrong', said.textContent === '?');
            }),
        );
    },

    addColumn() {
        const head = this.$refs.table.tHead.rows[0];
        const column = head.querySelectorAll('input').length;
        head.insertBefore(cellOf('th', head.querySelector('input'), `sizes[${column}]`), head.lastElementChild);
        [...this.$refs.table.tBodies[0].rows].forEach((row, i) =>
            row.append(cellOf('td', row.querySelector('input'), `rows[${i}][cells][${column}]`)),
        );
        head.querySelectorAll('input')[column].focus();
    },

    addRow() {
        const body = this.$refs.table.tBodies[0];
        const row = body.rows[body.rows.length - 1].cloneNode(true);
        row.querySelectorAll('[name]').forEach((field) => {
            field.name = field.name.replace(/^rows\[\d+\]/, `rows[${body.rows.length}]`);
            field.ariaLabel = field.ariaLabel.replace(/\d+/, body.rows.length + 1);
            if (field.tagName === 'INPUT') {
                field.value = '';
            }
        });
        row.querySelectorAll('.understood').forEach((said) => {
            said.textContent = '';
        });
        body.append(row);
        row.querySelector('select').focus();
    },

    paste(event) {
        const text = event.clipboardData.getData('text');
        if (/[\t\n]/.test(text.trim())) {
            event.preventDefault();
            this.fill(text);
        }
    },

    spread() {
        this.fill(this.$refs.pasted.value);
    },

    async fill(text) {
        const answer = await ask(this.$root.dataset.read, { method: 'POST', body: this.typed(text) });
        if (answer === null) {
            return;
        }
        const { sizes, rows } = JSON.parse(answer);
        const head = this.$refs.table.tHead.rows[0];
        const body = this.$refs.table.tBodies[0];
        while (head.querySelectorAll('input').length < sizes.length) {
            this.addColumn();
        }
        while (body.rows.length < rows.length) {
            this.addRow();
        }
        head.querySelectorAll('input').forEach((field, i) => {
            field.value = sizes[i] ?? '';
        });
        [...body.rows].forEach((tr, i) => {
            const row = rows[i] ?? { role: 'main', width: '', nap: 'without', cells: [] };
            tr.querySelector('[name$="[role]"]').value = row.role;
            tr.querySelector('[name$="[width]"]').value = row.width;
            tr.querySelector('[name$="[nap]"]').value = row.nap;
            tr.querySelectorAll('[name*="[cells]"]').forEach((field, j) => {
                field.value = row.cells[j] ?? '';
            });
        });
        this.$refs.pasted.value = '';
        this.$root.dispatchEvent(new Event('input', { bubbles: true }));
        head.querySelector('input').focus();
    },
});

function cellOf(tag, like, name) {
    const cell = document.createElement(tag);
    const field = like.cloneNode();
    Object.assign(field, { name, value: '', placeholder: '' });
    field.ariaLabel = name.startsWith('sizes')
        ? 'Size in column ' + (parseInt(name.match(/\d+/)[0], 10) + 1)
        : 'Row ' + (parseInt(name.match(/\d+/)[0], 10) + 1) + ', column ' + (parseInt(name.match(/\d+(?=\]$)/)[0], 10) + 1);
    cell.append(field);
    if (tag === 'td') {
        cell.append(Object.assign(document.createElement('small'), { className: 'understood' }));
    }
    return cell;
}
