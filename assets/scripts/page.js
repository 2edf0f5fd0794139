/** After “g”, in the order of the rooms in the bar. */
const ROOMS = 'scpmthe';

/** Keys that work on every page. */
export default () => ({
    going: false,

    init() {
        const { settledUrl } = this.$el.dataset;
        if (settledUrl) {
            this.waitForLays(settledUrl, 15);
        }
    },

    /** Pieces of short projects are laid in the background: once they are, the page offers to be read anew. */
    async waitForLays(url, tries) {
        await new Promise((resolve) => {
            setTimeout(resolve, 2000);
        });
        const answer = await fetch(url).catch(() => null);
        const settled = answer?.ok && (await answer.json()).settled;
        if (settled) {
            document.getElementById('laid-since')?.removeAttribute('hidden');
        } else if (tries > 1) {
            this.waitForLays(url, tries - 1);
        }
    },

    key(event) {
        if (
            event.defaultPrevented ||
            event.ctrlKey ||
            event.metaKey ||
            event.altKey ||
            event.target.closest('input, textarea, select, dialog')
        ) {
            return;
        }
        const going = this.going;
        this.going = false;
        if (going && ROOMS.includes(event.key)) {
            event.preventDefault();
            const rooms = [...document.querySelectorAll('.rooms a')];
            rooms[ROOMS.indexOf(event.key)]?.click();
        } else if (event.key === 'g') {
            this.going = true;
        } else if (event.key === '/') {
            event.preventDefault();
            document.getElementById('find')?.focus();
        } else if (event.key === 'n') {
            document.querySelector('[data-new]')?.click();
        } else if (event.key === 'e') {
            document.querySelector('[data-edit]')?.click();
        } else if (event.key === '?') {
            this.$refs.keys.showModal();
        } else if (['w', 'j', 'k'].includes(event.key)) {
            window.dispatchEvent(new CustomEvent('season-key', { detail: event.key }));
        }
    },
});
