import { answer } from './table/answer.js';
import { cloths } from './table/cloths.js';
import { raw } from './table/dom.js';
import { figures } from './table/figures.js';
import { history } from './table/history.js';
import { keys } from './table/keys.js';
import { machine } from './table/machine.js';
import { mat } from './table/mat.js';
import { places } from './table/places.js';
import { pointer } from './table/pointer.js';
import { setup } from './table/setup.js';
import { snap } from './table/snap.js';

const PARTS = [places, cloths, mat, history, pointer, snap, keys, setup, figures, machine, answer];

/** The cutting table: the mat is drawn here, pieces are moved here, and the core is asked what it makes of it. */
export const table = () => {
    const component = {
        running: false,
        waits: '',
        changed: false,
        status: '',
        fault: '',
        unsettled: '',
        share: 0,
        shown: '',
        locked: 0,
        laid: 0,
        wanted: 0,
        sound: false,

        init() {
            this.mat = raw(JSON.parse(document.getElementById('mat').textContent));
            this.words = JSON.parse(document.getElementById('mat-words').textContent);
            const saved = JSON.parse(document.getElementById('mat-saved').textContent);
            this.history = [];
            this.future = [];
            this.places = raw(new Map());
            this.fold = saved?.fold ?? 'flat';
            this.selected = null;
            this.take(saved?.places ?? []);
            this.lists();
            this.fit();
            this.draw();
            if (saved) {
                this.judge();
            }
            this.sizes = new ResizeObserver(() => {
                if (!this.zoomed) {
                    this.fit();
                    this.draw();
                }
            });
            this.sizes.observe(this.$refs.box);
            this.warn = (event) => {
                if (this.changed) {
                    event.preventDefault();
                }
            };
            window.addEventListener('beforeunload', this.warn);
        },

        destroy() {
            this.sizes.disconnect();
            window.removeEventListener('beforeunload', this.warn);
            this.abort?.abort();
        },
    };
    // with what is worked out when it is asked for
    PARTS.forEach((part) => Object.defineProperties(component, Object.getOwnPropertyDescriptors(part)));
    return component;
};
