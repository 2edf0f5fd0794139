import { ask } from './server.js';

/** Search as you type; arrows walk through what is found. */
export default () => ({
    open: false,

    async look() {
        const text = this.$refs.field.value.trim();
        if (text === '') {
            this.open = false;
            return;
        }
        const found = await ask('/find?q=' + encodeURIComponent(text));
        if (found !== null && text === this.$refs.field.value.trim()) {
            this.$refs.found.innerHTML = found;
            this.open = true;
        }
    },

    next() {
        this.walk(1);
    },

    previous() {
        this.walk(-1);
    },

    walk(step) {
        const places = [this.$refs.field, ...this.$refs.found.querySelectorAll('a')];
        const at = places.indexOf(document.activeElement);
        places[Math.max(0, Math.min(places.length - 1, at + step))].focus();
    },

    close() {
        this.open = false;
        this.$refs.field.focus();
    },

    leave(event) {
        if (!this.$root.contains(event.relatedTarget)) {
            this.open = false;
        }
    },
});
