import { html } from './dom.js';

/** The core judges, and keeps what lies there. */
export const answer = {
    async judge() {
        if (this.items.length === 0 || this.places.size === 0 || this.way.refused) {
            this.$refs.answer.replaceChildren();
            return;
        }
        this.judged = (this.judged ?? 0) + 1;
        const asked = this.judged;
        const overtaken = () => asked !== this.judged;
        const answer = await this.send(this.$root.dataset.judge, this.sent(), overtaken);
        if (answer && !overtaken()) {
            this.fault = this.unsettled;
            this.tell(answer);
        }
    },

    /** What the core makes of the lay, in the margin. */
    tell(answer) {
        this.sound = answer.faults.length === 0 && answer.missing.length === 0;
        const out = [];
        const row = (term, text) => [html('dt', {}, term), html('dd', {}, text)];
        if (answer.faults.length || answer.missing.length) {
            const list = html('ul', { className: 'mat-faults' }, ...answer.faults.map((fault) => html('li', {}, fault)));
            if (answer.missing.length) {
                list.append(
                    html(
                        'li',
                        {},
                        this.words.missing +
                            ' ' +
                            answer.missing.join(', ') +
                            '. ' +
                            (answer.status === 'placed' || answer.why === null || answer.why.startsWith('Not laid') ? '' : answer.why),
                    ),
                );
            }
            if (answer.more) {
                list.append(html('li', {}, html('b', {}, answer.more)));
            }
            out.push(list);
        } else {
            out.push(html('p', { className: 'verdict v-fits' }, this.words.soundly));
        }
        const facts = html('dl', { className: 'facts' });
        answer.used.forEach((sheet) => facts.append(...row(sheet.name, sheet.used + (sheet.rest ? ', ' + sheet.rest : ''))));
        facts.append(...row(this.words.laidAs, answer.foldName), ...row(this.words.inPieces, answer.utilisation + ' %'));
        this.total = answer.used.reduce((sum, sheet) => sum + sheet.millimetres, 0);
        const more = this.total - (this.before ?? this.total);
        if (this.sound && Math.abs(more) >= 1) {
            facts.append(
                ...row(this.words.against, this.length(Math.abs(more), true) + ' ' + (more > 0 ? this.words.more : this.words.less)),
            );
        }
        if (answer.bound) {
            facts.append(...row(this.words.bound, answer.bound));
        }
        out.push(facts);
        if (answer.used.length > 1) {
            out.push(html('h3', {}, this.words.which));
            answer.used.forEach((sheet, i) => {
                const on = [...this.places.values()]
                    .filter((place) => place.sheet === 's' + i)
                    .map((place) => this.mat.pieces[place.piece]);
                const list = html('ul', { className: 'which' });
                this.mat.garments.forEach((garment, g) => {
                    const names = on.filter((piece) => piece.garment === g).map((piece) => piece.name);
                    if (names.length) {
                        list.append(
                            html(
                                'li',
                                {},
                                garment.name +
                                    ': ' +
                                    [...new Set(names)]
                                        .map(
                                            (name) =>
                                                name +
                                                (names.filter((one) => one === name).length > 1
                                                    ? ' × ' + names.filter((one) => one === name).length
                                                    : ''),
                                        )
                                        .join(', '),
                            ),
                        );
                    }
                });
                out.push(
                    html('p', { className: 'which' }, html('b', {}, sheet.name), list.childElementCount ? '' : ': ' + this.words.nothingOn),
                    list,
                );
            });
        }
        if (answer.folds.length > 1) {
            const refused = answer.folds.filter((fold) => fold.length === null);
            const named = (why) => refused.filter((fold) => fold.why === why).map((fold) => fold.name);
            out.push(
                html('h3', {}, this.words.otherWays),
                html(
                    'ul',
                    { className: 'mat-ways' },
                    ...answer.folds
                        .filter((fold) => fold.length !== null)
                        .map((fold) => html('li', {}, fold.name + ': ', html('b', {}, fold.length))),
                    ...[...new Set(refused.map((fold) => fold.why))].map((why) =>
                        html('li', {}, named(why).join('; ') + ': ', html('small', {}, why)),
                    ),
                ),
            );
        }
        if (answer.leftovers.length) {
            out.push(
                html('h3', {}, this.words.leftovers),
                html('p', { className: 'soft' }, answer.leftovers.map((free) => free.says).join('; ')),
            );
        }
        this.$refs.answer.replaceChildren(...out);
        this.status = answer.total + ', ' + answer.utilisation + ' %';
    },

    async save(event) {
        event.preventDefault();
        if (!(await this.isSettled())) {
            return;
        }
        const answer = await this.send(this.$root.dataset.save, {
            ...this.sent(),
            id: this.$root.dataset.id,
            revision: this.$root.dataset.revision,
            name: this.$refs.name.value,
            locked: [...this.places.values()].filter((place) => place.locked).map((place) => place.piece + ' ' + place.copy),
        });
        if (answer) {
            this.changed = false;
            location.href = answer.url;
        }
    },
};
