import Alpine from 'alpine';
import sort from 'alpine-sort';
import find from './find.js';
import grid from './grid.js';
import page from './page.js';
import { match, enough, why } from './match.js';
import { forgetDrafts } from './draft.js';
import { ask } from './server.js';
import { bulk, chartField, claim, colourField, dayField, entry, haul, lengthField, measuring, pieceForm, projectForm } from './forms.js';
import { ranked, working } from './season.js';
import './chooser.js';
import timer from './timer.js';
import { table } from './table.js';

Alpine.plugin(sort);
Alpine.data('page', page);
Alpine.data('find', find);
Alpine.data('table', table);
Alpine.data('match', match);
Alpine.data('enough', enough);
Alpine.data('why', why);
Alpine.data('ranked', ranked);
Alpine.data('working', working);
Alpine.data('timer', timer);
Alpine.data('lengthField', lengthField);
Alpine.data('colourField', colourField);
Alpine.data('dayField', dayField);
Alpine.data('entry', entry);
Alpine.data('projectForm', projectForm);
Alpine.data('claim', claim);
Alpine.data('pieceForm', pieceForm);
Alpine.data('haul', haul);
Alpine.data('measuring', measuring);
Alpine.data('bulk', bulk);
Alpine.data('chartField', chartField);
Alpine.data('grid', grid);
Alpine.data('later', () => ({
    async init() {
        this.$refs.place.innerHTML = (await ask(this.$root.dataset.url)) ?? '';
    },
}));
Alpine.data('pieceCloths', () => ({
    /** Which cuts would do for the pieces that are pressed. */
    async pressed(event) {
        if (event.target.name === 'pieces[]') {
            const pressed = (this.last = new FormData(this.$root));
            const offers = await ask(this.$root.dataset.offers, { method: 'POST', body: pressed });
            if (this.last === pressed) {
                this.$refs.offers.innerHTML = offers ?? '';
            }
        }
    },
}));
/** Ticks of a list that stay on this device, also without a signal. */
Alpine.data('ticks', () => ({
    init() {
        const kept = JSON.parse(localStorage.getItem('ticks') ?? '[]');
        this.boxes().forEach((box) => {
            box.checked = kept.includes(box.value);
        });
    },
    keep() {
        const here = this.boxes();
        const others = JSON.parse(localStorage.getItem('ticks') ?? '[]').filter((id) => !here.some((box) => box.value === id));
        const ticked = here.filter((box) => box.checked).map((box) => box.value);
        localStorage.setItem('ticks', JSON.stringify([...others, ...ticked]));
    },
    boxes() {
        return [...this.$root.querySelectorAll('input[type=checkbox]')];
    },
}));
Alpine.data('printer', () => ({
    print() {
        window.print();
    },
}));
Alpine.data('toast', () => ({
    shown: true,
    hide() {
        this.shown = false;
    },
}));
Alpine.data('switcher', () => ({
    go() {
        location.href = this.$el.value;
    },
}));
Alpine.data('autosubmit', () => ({
    send() {
        this.$el.form.requestSubmit();
    },
}));
/** What is too large for its box (a long strip, a full margin) scrolls there, by keyboard too. */
function letBoxesScroll() {
    document.querySelectorAll('.strip-box, .margin').forEach((box) => {
        const scrolls = box.scrollWidth > box.clientWidth || box.scrollHeight > box.clientHeight + 1;
        if (scrolls) {
            box.tabIndex = 0;
        } else {
            box.removeAttribute('tabindex');
        }
    });
}
/** On a phone a list comes before the fields that filter it. */
if (matchMedia('(max-width: 860px)').matches) {
    document.querySelectorAll('.filter-fold:not(:has(.fault))').forEach((fold) => {
        fold.open = false;
    });
}
if (matchMedia('(max-width: 1180px)').matches) {
    document.querySelectorAll('.small-fold').forEach((fold) => {
        fold.open = false;
    });
}
/** A page is asked for when its link is pressed, a moment before the press is over; the browser then has it, or nearly. */
document.addEventListener('pointerdown', (event) => {
    const link = event.target.closest('a[href]');
    const isPlain = event.button === 0 && event.pointerType === 'mouse' && !event.ctrlKey && !event.metaKey && !event.shiftKey;
    const isPage =
        link?.origin === location.origin && link.pathname !== location.pathname && !/export|file|\/out$|\.ics$/.test(link.pathname);
    if (isPlain && isPage) {
        fetch(link.href).catch(() => null);
    }
});
document.addEventListener('submit', (event) => {
    if (event.target.action.endsWith('/sign-out')) {
        forgetDrafts();
    }
});
letBoxesScroll();
addEventListener('resize', letBoxesScroll);
new MutationObserver(letBoxesScroll).observe(document.getElementById('main'), { childList: true, subtree: true });

Alpine.start();
// What is printed shows its working: it cannot be unfolded on paper.
addEventListener('beforeprint', () =>
    document.querySelectorAll('#answer details:not([open])').forEach((fold) => {
        fold.open = true;
        fold.dataset.printed = '';
    }),
);
addEventListener('afterprint', () =>
    document.querySelectorAll('details[data-printed]').forEach((fold) => {
        fold.open = false;
        delete fold.dataset.printed;
    }),
);

// What was unfolded is found unfolded when the page comes back, for as long as the tab is open.
document.querySelectorAll('details[data-stays]').forEach((fold) => {
    fold.open = sessionStorage.getItem(fold.dataset.stays) === 'open';
    fold.addEventListener('toggle', () => sessionStorage.setItem(fold.dataset.stays, fold.open ? 'open' : ''));
});

document.documentElement.dataset.ready = 'yes';
