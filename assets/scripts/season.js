import { ask } from './server.js';

const wide = matchMedia('(min-width: 1181px)');

/** The ranked list: selecting a project, unfolding its working, and moving it by drag or by keys. */
export const ranked = () => ({
    sortConfig: {
        handle: '.grip',
        ghostClass: 'sort-ghost',
        filter: '.chalk-line',
        preventOnFilter: false,
        animation: matchMedia('(prefers-reduced-motion: reduce)').matches ? 0 : 150,
    },

    init() {
        this.workings = ask(this.$root.dataset.workingsUrl).then((html) => new DOMParser().parseFromString(html ?? '', 'text/html'));
        this.workings.then((fetched) => {
            const more = fetched.getElementById('all-snags')?.childNodes ?? ['They did not come: open the page again.'];
            document.getElementById('more-snags')?.replaceChildren(...more);
        });
        this.onKey = (event) => this.key(event.detail);
        window.addEventListener('season-key', this.onKey);
        const selected =
            this.$root.querySelector('.project.is-selected') ??
            this.$root.querySelector('.project:has(.v-short, .v-not-known-yet)') ??
            this.$root.querySelector('.project');
        if (selected) {
            this.$nextTick(() => this.mark(selected));
        }
    },

    destroy() {
        window.removeEventListener('season-key', this.onKey);
    },

    rows() {
        return [...this.$root.querySelectorAll('.project')];
    },

    select(event) {
        this.mark(event.currentTarget);
    },

    async mark(row) {
        this.rows().forEach((other) => other.classList.toggle('is-selected', other === row));
        const working = await this.working(row);
        if (row.classList.contains('is-selected')) {
            window.dispatchEvent(new CustomEvent('project-selected', { detail: { name: row.dataset.name, working } }));
        }
    },

    /** A copy of a project's working, to be put where it is wanted. */
    async working(row) {
        return (await this.workings).getElementById('working-' + row.dataset.id)?.cloneNode(true) ?? '';
    },

    /** On a phone, and with the key w, the working unfolds beneath the figure; on a desk it stands in the margin. */
    unfold(event) {
        this.toggle(event.currentTarget.closest('.project'), !wide.matches);
    },

    async toggle(row, beneath) {
        this.mark(row);
        const place = row.querySelector('.unfold');
        const shut = place.childElementCount === 0;
        place.replaceChildren(...(beneath && shut ? [await this.working(row)] : []));
        row.querySelectorAll('.enough').forEach((button) => button.setAttribute('aria-expanded', String(beneath && shut)));
    },

    key(key) {
        const rows = this.rows();
        const at = rows.findIndex((row) => row.classList.contains('is-selected'));
        if (key === 'w') {
            if (rows[at]) {
                this.toggle(rows[at], true);
            }
            return;
        }
        rows[Math.max(0, Math.min(rows.length - 1, at + (key === 'j' ? 1 : -1)))]?.focus();
    },

    move(event) {
        if (event.key === 'Enter' && event.target === event.currentTarget) {
            event.currentTarget.querySelector('.who a').click();
        }
        if (!event.altKey || !['ArrowUp', 'ArrowDown'].includes(event.key)) {
            return;
        }
        event.preventDefault();
        const order = this.rows().map((row) => row.dataset.id);
        const from = order.indexOf(event.currentTarget.dataset.id);
        const to = from + (event.key === 'ArrowUp' ? -1 : 1);
        if (to >= 0 && to < order.length) {
            order.splice(to, 0, ...order.splice(from, 1));
            this.rank(order, event.currentTarget.dataset.id);
        }
    },

    sorted(id) {
        this.rank(
            this.rows().map((row) => row.dataset.id),
            id,
        );
    },

    /** Saves the order and takes the page as the server has worked it out anew. */
    async rank(order, moved) {
        const was = [...this.$root.querySelectorAll('.project')]
            .sort((a, b) => a.querySelector('.rank').textContent - b.querySelector('.rank').textContent)
            .map((row) => row.dataset.id);
        const main = document.getElementById('main');
        const answer = await ask(this.$root.dataset.rankUrl, {
            // what was moved is kept, also when the next page is opened at once
            method: 'POST',
            keepalive: true,
            body: new URLSearchParams({ order: order.join(','), was: was.join(',') }),
        });
        const fetched = answer && new DOMParser().parseFromString(answer, 'text/html');
        const fresh = fetched && fetched.getElementById('main');
        if (!fresh) {
            location.reload();
            return;
        }
        const url = this.$root.dataset.rankUrl;
        const now = [...fresh.querySelectorAll('.project')].map((row) => row.dataset.id);
        fresh.querySelectorAll('.project').forEach((row) => row.classList.toggle('is-selected', row.dataset.id === moved));
        const put = () => {
            main.replaceChildren(...fresh.childNodes);
            document.getElementById('p' + moved)?.focus();
        };
        if (document.startViewTransition && !matchMedia('(prefers-reduced-motion: reduce)').matches) {
            // each row glides from where it was to where it is
            const name = (rows, named) =>
                rows.forEach((row) => {
                    row.style.viewTransitionName = named ? 'row-' + row.dataset.id : '';
                });
            name(main.querySelectorAll('.project'), true);
            name(fresh.querySelectorAll('.project'), true);
            document.startViewTransition(put).finished.finally(() => name(main.querySelectorAll('.project'), false));
        } else {
            put();
        }
        if (now.join(',') === order.join(',')) {
            offerUndo(url, was, order);
        } else {
            // moved on another device meanwhile: the answer says so, and there is nothing to undo
            document.querySelector('.toasts').replaceChildren(...fetched.querySelector('.toasts').childNodes);
        }
    },
});

function offerUndo(url, order, was) {
    const toasts = document.querySelector('.toasts');
    const form = document.createElement('form');
    form.method = 'post';
    form.action = url;
    form.className = 'toast';
    const fields = { _token: document.querySelector('meta[name=csrf]').content, order: order.join(','), was: was.join(','), undone: '1' };
    for (const [name, value] of Object.entries(fields)) {
        const field = document.createElement('input');
        Object.assign(field, { type: 'hidden', name, value });
        form.append(field);
    }
    const text = document.createElement('span');
    text.textContent = 'The rank is changed.';
    const button = document.createElement('button');
    button.className = 'link';
    button.textContent = 'undo';
    form.append(text, button);
    toasts.replaceChildren(form);
    setTimeout(() => form.remove(), 12000);
}

/** The margin's working of whatever is selected. */
export const working = () => ({
    name: '',
    chosen: false,

    init() {
        this.onSelect = (event) => {
            this.name = event.detail.name;
            this.$refs.place.replaceChildren(event.detail.working);
            this.$refs.fold.open = this.$refs.fold.open || this.chosen;
            this.chosen = true;
        };
        window.addEventListener('project-selected', this.onSelect);
    },

    destroy() {
        window.removeEventListener('project-selected', this.onSelect);
    },
});
