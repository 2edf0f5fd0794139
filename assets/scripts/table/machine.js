import { post, keyOf } from './dom.js';

/** The core lays, in a process of its own; the page hears of every better lay. */
export const machine = {
    /** The answer, or null and the reason as the fault; nothing is said of an answer that another question has overtaken. */
    async send(url, body, overtaken = () => false) {
        let read = null;
        let fault = this.words.lost;
        try {
            const answer = await post(url, body);
            read = await answer.json().catch(() => null);
            fault = answer.ok && read !== null ? '' : (read?.fault ?? this.words.lost);
            if (answer.status === 409) {
                // told once that another tab has saved, saving again puts this one in its place
                this.$root.dataset.revision = '';
            }
        } catch {
            // nothing came back: the answer is lost
        }
        if (!overtaken()) {
            this.fault = fault;
        }
        return fault === '' ? read : null;
    },

    sent() {
        return { setup: this.mat.setup, fold: this.fold, places: [...this.places.values()].map(({ locked, layers, ...place }) => place) };
    },

    async make() {
        if (!(await this.isSettled())) {
            return;
        }
        const choice = this.$refs.fold.value;
        const locked = [...this.places.values()].filter((place) => place.locked);
        const folds = locked.length ? [this.fold] : choice === 'best' ? Object.keys(this.mat.ways) : [choice];
        if (Object.keys(this.mat.ways).length === 0) {
            this.fault = this.words.nothing;
            return;
        }
        this.keep();
        clearTimeout(this.later);
        this.running = true;
        this.share = 0;
        this.shown = '';
        this.fault = '';
        this.stopped = this.done = false;
        try {
            const asked = {
                setup: this.mat.setup,
                folds,
                seconds: Number(this.$refs.seconds.value),
                locked: locked.map(({ layers, ...place }) => place),
            };
            const answer = await post(this.$root.dataset.make, asked);
            const begun = await answer.json().catch(() => ({}));
            if (begun.job === undefined) {
                this.fault = begun.fault ?? this.words.lost;
            } else {
                await this.follow(begun.job, locked);
                if (!this.done && !this.stopped) {
                    await this.judge();
                    this.fault = this.words.cutShort;
                }
            }
        } catch {
            this.fault = this.words.lost;
        }
        this.running = false;
        this.waits = '';
        this.draw();
    },

    /** Asks after the machine's work until it has ended: it goes on in a process of its own. */
    async follow(job, locked) {
        const url = this.$root.dataset.make + '/' + job;
        for (let after = 0, ended = false; !ended;) {
            if (this.stopped) {
                await post(url + '/stop', {});
            }
            const answer = await fetch(url + '?after=' + after);
            if (!answer.ok) {
                throw new Error(answer.status);
            }
            const said = await answer.json();
            said.lines.forEach((line) => this.heard(JSON.parse(line), locked));
            after += said.lines.length;
            ended = said.ended;
            if (!ended) {
                await new Promise((done) => {
                    setTimeout(done, this.waits === '' ? 200 : 1000);
                });
            }
        }
    },

    heard(line, locked) {
        if (line.waits !== undefined) {
            this.waits = this.words.waits.replace('{count}', line.waits);
            return;
        }
        this.waits = '';
        if (line.share !== undefined) {
            this.share = line.share;
            return;
        }
        this.fold = line.fold;
        const keys = new Set(locked.map(keyOf));
        this.take(line.places.map((place) => ({ ...place, locked: keys.has(keyOf(place)) })));
        this.changed = true;
        if (line.better !== undefined) {
            this.shown = line.missing ? '' : this.shown === '' ? line.better : this.shown.split(' … ')[0] + ' … ' + line.better;
        } else {
            this.share = 1;
            this.done = true;
            this.tell(line.done);
        }
        if (!this.zoomed) {
            this.fit();
        }
        this.draw();
    },

    stop() {
        this.stopped = true;
    },

    get isIdle() {
        return !this.running;
    },

    get progress() {
        return String(Math.round(100 * this.share));
    },

    get count() {
        return String(this.wanted - this.laid);
    },
};
