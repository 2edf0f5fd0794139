/** What was done by hand, back and forth, and what is selected. */
export const history = {
    keep() {
        this.history.push(JSON.stringify({ fold: this.fold, places: [...this.places.values()] }));
        this.future = [];
        if (this.history.length > 200) {
            this.history.shift();
        }
    },

    undo() {
        this.back(this.history, this.future);
    },

    redo() {
        this.back(this.future, this.history);
    },

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
};
