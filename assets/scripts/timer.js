/** How long a step has been running, by the clock of the server that began it; it stands still nowhere but on this page. */
export default () => ({
    clock: '',

    init() {
        const tick = () => {
            const seconds = Math.max(0, Math.floor(Date.now() / 1000 - this.$root.dataset.since));
            const pad = (number) => String(number).padStart(2, '0');
            const hours = Math.floor(seconds / 3600);
            this.clock = (hours ? hours + ':' : '') + pad(Math.floor(seconds / 60) % 60) + ':' + pad(seconds % 60);
        };
        tick();
        this.ticking = setInterval(tick, 1000);
    },

    destroy() {
        clearInterval(this.ticking);
    },
});
