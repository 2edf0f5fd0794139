import { ask } from './server.js';

/** The rows of a match: whatever is selected says in the margin what counts for it and against it. */
export const match = () => ({
    init() {
        const first = this.$root.querySelector('.proposal');
        if (first) {
            this.$nextTick(() => this.mark(first));
        }
        this.onKey = (event) => {
            const rows = [...this.$root.querySelectorAll('.proposal')];
            if (event.detail === 'w' || rows.length === 0) {
                return;
            }
            const at = rows.findIndex((row) => row.classList.contains('is-selected'));
            rows[Math.max(0, Math.min(rows.length - 1, at + (event.detail === 'j' ? 1 : -1)))]?.focus();
        };
        window.addEventListener('season-key', this.onKey);
        this.least();
    },

    destroy() {
        window.removeEventListener('season-key', this.onKey);
    },

    /** One after the other, since each is laid. */
    async least() {
        for (const place of this.$root.querySelectorAll('[data-least]')) {
            place.innerHTML = (await ask(place.dataset.least)) ?? '';
        }
    },

    select(event) {
        this.mark(event.currentTarget);
    },

    mark(row) {
        this.$root.querySelectorAll('.proposal').forEach((other) => other.classList.toggle('is-selected', other === row));
        const reasons = row.querySelector('template').content.cloneNode(true);
        window.dispatchEvent(new CustomEvent('proposal-selected', { detail: { name: row.dataset.name, reasons } }));
    },
});

/** The margin's list of reasons of whatever is selected. */
export const why = () => ({
    name: '',

    init() {
        this.onSelect = (event) => {
            this.name = event.detail.name;
            this.$refs.place.replaceChildren(event.detail.reasons);
        };
        window.addEventListener('proposal-selected', this.onSelect);
    },

    destroy() {
        window.removeEventListener('proposal-selected', this.onSelect);
    },
});

/** What is ticked is laid together, and the bar filled anew; figures that are not laid yet are asked for until all are there. */
export const enough = () => ({
    init() {
        const closed = this.$root.closest('details:not([open])');
        if (closed) {
            closed.addEventListener('toggle', () => this.fetch([]), { once: true });
        } else {
            this.fetch([]);
        }
    },

    async fetch(keys, least = false) {
        const query = new URLSearchParams(least ? { least: 1 } : keys.map((key) => ['with[]', key]));
        const asked = (this.asked = String(query));
        this.$root.setAttribute('aria-busy', 'true');
        const html = await ask(this.$root.dataset.url + '?' + query);
        if (this.asked !== asked) {
            return;
        }
        this.$root.removeAttribute('aria-busy');
        const at = document.activeElement?.value;
        const unfolded = this.$refs.place.querySelector('.more-ways')?.open;
        this.$refs.place.innerHTML = html ?? 'It could not be laid just now: open the page again.';
        const more = this.$refs.place.querySelector('.more-ways');
        if (more && unfolded) {
            more.open = true;
        }
        [...this.$refs.place.querySelectorAll('input[type=checkbox]')].find((box) => box.value === at)?.focus();
        if (this.$refs.place.querySelector('[data-waiting]')) {
            this.fetch(keys, least);
        }
    },

    unfold(event) {
        this.show(event.currentTarget, event.currentTarget.closest('tr').nextElementSibling);
    },

    unfoldSum(event) {
        this.show(event.currentTarget, this.$refs.place.querySelector('.enough-working'));
    },

    show(button, working) {
        working.hidden = !working.hidden;
        button.setAttribute('aria-expanded', String(!working.hidden));
    },

    ticked() {
        this.fetch([...this.$refs.place.querySelectorAll('input[type=checkbox]:checked')].map((box) => box.value));
    },

    least() {
        this.fetch([], true);
    },
});
