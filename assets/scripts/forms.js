import { keepDraft } from './draft.js';
import { ask, asking } from './server.js';

/** Shows back what a length was understood as, while it is typed. */
export const lengthField = () => ({
    text: '',
    mood: '',

    async read() {
        const field = this.$root.querySelector('input');
        const typed = field.value.trim();
        if (typed === '') {
            this.text = '';
            return;
        }
        const answer = await ask(
            '/read/length?' + new URLSearchParams({ text: typed, unit: this.$root.dataset.unit, as: this.$root.dataset.as }),
        );
        if (answer !== null && typed === field.value.trim()) {
            const read = JSON.parse(answer);
            this.text = (read.understood ? '= ' : '') + read.text;
            this.mood = read.understood ? '' : 'is-wrong';
        }
    },
});

/** Shows back which day is meant, while it is typed; the calendar beside it fills it in. */
export const dayField = () => ({
    text: '',
    mood: '',

    async read() {
        const field = this.$root.querySelector('input');
        const typed = field.value.trim();
        const past = 'past' in this.$root.dataset ? { past: 1 } : {};
        const answer = typed && (await ask('/read/day?' + new URLSearchParams({ text: typed, ...past })));
        if (typed !== field.value.trim() || answer === null) {
            return null;
        }
        const day = answer ? JSON.parse(answer) : { understood: true, text: '' };
        this.text = (day.understood && day.text ? '= ' : '') + day.text;
        this.mood = day.understood ? '' : 'is-wrong';
        return day;
    },

    async open() {
        this.$refs.native.value = (await this.read())?.day ?? '';
        this.$refs.native.showPicker();
    },

    async pick() {
        const field = this.$root.querySelector('input');
        field.value = this.$refs.native.value;
        field.value = (await this.read())?.written ?? field.value;
        field.dispatchEvent(new Event('input', { bubbles: true }));
        field.dispatchEvent(new Event('change', { bubbles: true }));
        field.focus();
    },
});

/** A colour's code and the picker beside it follow each other. */
export const colourField = () => ({
    init() {
        this.show();
    },

    show() {
        if (/^#[0-9a-f]{6}$/i.test(this.$refs.code.value)) {
            this.$refs.picker.value = this.$refs.code.value;
        }
    },

    pick() {
        this.$refs.code.value = this.$refs.picker.value;
        this.$refs.code.dispatchEvent(new Event('input', { bubbles: true }));
    },
});

/** Copies a form's blank row, numbered on. */
function addRow(rows, template, numbered) {
    rows.insertAdjacentHTML('beforeend', template.innerHTML.replaceAll('0000', String(numbered)));
    return rows.lastElementChild;
}

function focusRow(row) {
    row.querySelector('input, select')?.focus();
}

/**
 * Nothing that is typed is lost. Enter in the first field, and where a name is chosen, goes on to the next field and saves no half of a
 * thing; ctrl and Enter saves from everywhere.
 */
function guard(form) {
    keepDraft(form);
    form.addEventListener('keydown', (event) => {
        if (event.key !== 'Enter' || event.defaultPrevented) {
            return;
        }
        const fields = [...form.querySelectorAll('input:not([type=hidden], [type=date]), select, textarea')].filter(
            (one) => one.offsetParent,
        );
        const at = fields.indexOf(event.target);
        if (event.ctrlKey || event.metaKey) {
            event.preventDefault();
            form.requestSubmit();
        } else if (at + 1 < fields.length && event.target.matches('[type=text]') && (at === 0 || 'choose' in event.target.dataset)) {
            event.preventDefault();
            fields[at + 1].focus();
        }
    });
}

function focusFault() {
    document.querySelector('[role=alert]')?.focus();
}

export const entry = () => ({
    init() {
        guard(this.$root);
        focusFault();
    },

    addRow() {
        focusRow(addRow(this.$refs.rows, this.$refs.row, this.$refs.rows.childElementCount + 100));
    },
});

/** Each line of a haul is shown as it is understood, while it is typed. */
export const haul = () => ({
    ask: asking(),

    init() {
        guard(this.$refs.form);
        focusFault();
    },

    async read() {
        const answer = await this.ask(this.$root.dataset.read, { method: 'POST', body: new FormData(this.$refs.form) });
        if (answer !== null) {
            this.$refs.lines.innerHTML = answer;
        }
    },

    save() {
        this.$refs.form.requestSubmit(this.$refs.save);
    },
});

/** A piece is drawn while its measurements are typed; another shape brings its own measurements. */
export const pieceForm = () => ({
    ask: asking(),

    init() {
        guard(this.$refs.form);
        focusFault();
        this.$refs.redraw?.setAttribute('hidden', '');
    },

    async draw() {
        const answer = await this.ask(this.$root.dataset.draw, { method: 'POST', body: new FormData(this.$refs.form) });
        if (answer !== null) {
            document.getElementById('drawing').innerHTML = answer;
        }
    },

    redraw() {
        this.$refs.form.requestSubmit(this.$refs.redraw);
    },
});

export const claim = () => ({
    from: '',

    init() {
        this.from = this.$root.dataset.from;
    },

    get isOwn() {
        return this.from === 'own';
    },

    get isToBuy() {
        return this.from === 'buy';
    },

    /** The role is taken out of the form; saved, it is out of the plan. */
    remove() {
        const form = this.$root.closest('form');
        this.$root.remove();
        form.dispatchEvent(new Event('input', { bubbles: true }));
    },
});

/** A project's form: sizes and roles follow the version, and the answer stands in the margin while one plans. */
export const projectForm = () => ({
    added: 100,
    askVersion: asking(),
    askPreview: asking(),

    init() {
        guard(this.$refs.form);
        focusFault();
        this.offerSizes(false);
        document.getElementById('answer').addEventListener('click', (event) => this.take(event));
    },

    chooseVersion() {
        this.offerSizes(true);
    },

    /** What the answer in the margin offers: a size, or to leave out an alteration that is kept for this person. */
    take(event) {
        const button = event.target.closest('[data-take]');
        const form = this.$refs.form;
        if (button?.dataset.take === 'size') {
            form.elements.size.value = button.dataset.size;
            form.elements.gradedTo.value = button.dataset.graded;
            form.elements.size.focus();
            this.preview();
        } else if (button) {
            const place = this.$refs.leftOut;
            if (button.dataset.take === 'leave') {
                place.append(
                    Object.assign(document.createElement('input'), { type: 'hidden', name: 'leftOut[]', value: button.dataset.name }),
                );
            } else {
                [...place.children].filter((field) => field.value === button.dataset.name).forEach((field) => field.remove());
            }
            form.dispatchEvent(new Event('input', { bubbles: true }));
        }
    },

    async offerSizes(addRoles) {
        const name = this.$refs.form.elements.version.value;
        const answer = name && (await this.askVersion(this.$root.dataset.version + '?' + new URLSearchParams({ name })));
        if (!answer) {
            return;
        }
        const { sizes, roles } = JSON.parse(answer);
        this.$refs.sizes.replaceChildren(...sizes.map((size) => Object.assign(document.createElement('option'), { value: size })));
        const there = [...this.$refs.claims.querySelectorAll('[name$="[role]"]')].map((select) => select.value);
        if (addRoles) {
            roles
                .filter((role) => !there.includes(role))
                .forEach((role) => {
                    this.addNamed(role);
                });
            this.preview();
        }
    },

    addRole() {
        focusRow(addRow(this.$refs.claims, this.$refs.claim, this.added++));
    },

    addNamed(role) {
        addRow(this.$refs.claims, this.$refs.claim, this.added++).querySelector('[name$="[role]"]').value = role;
    },

    async preview() {
        const answer = await this.askPreview(this.$root.dataset.preview, { method: 'POST', body: new FormData(this.$refs.form) });
        if (answer !== null) {
            document.getElementById('answer').innerHTML = answer;
        }
    },
});

/** The figure beside the form shows where the tape is held for the field in hand. */
export const measuring = () => ({
    show(event) {
        const point = event.target.name?.match(/^points\[(.+)\]$/)?.[1];
        this.$refs.figure.querySelectorAll('[data-point]').forEach((line) => line.classList.toggle('is-on', line.dataset.point === point));
    },
});

/** Ticks all rows of a list, or none. */
export const bulk = () => ({
    all(event) {
        this.$root.querySelectorAll('[name="cloths[]"]').forEach((box) => {
            box.checked = event.target.checked;
        });
    },
});

/** A size chart is shown as it is understood, while it is typed or pasted. */
export const chartField = () => ({
    init() {
        this.read();
    },

    async read() {
        const form = this.$root.closest('form');
        const typed = form.elements.chart.value;
        const answer = typed.trim() === '' ? '' : await ask(this.$root.dataset.read, { method: 'POST', body: new FormData(form) });
        if (answer !== null && typed === form.elements.chart.value) {
            this.$refs.read.innerHTML = answer;
        }
    },
});
