import { ask } from './server.js';

const DAYS = 7;
const PREFIX = 'draft ';
const key = () => PREFIX + document.body.dataset.account + ' ' + location.pathname + location.search;
let isRestored = false;

const drafts = () => Object.keys(localStorage).filter((name) => name.startsWith(PREFIX));
/** How the page was come to: navigate, reload or back_forward. */
const arrival = () => performance.getEntriesByType('navigation')[0]?.type;

const read = (name) => JSON.parse(localStorage.getItem(name) ?? 'null');
const write = (name, draft) => localStorage.setItem(name, JSON.stringify(draft));

export function forgetDrafts() {
    drafts().forEach((name) => localStorage.removeItem(name));
}

/** What was sent and led on is saved: its draft goes. So does one that nobody came back to. */
function sweep() {
    drafts().forEach((name) => {
        const draft = read(name);
        const isRefused = name === key() && document.querySelector('[role=alert]');
        if (draft.at < Date.now() - DAYS * 86_400_000 || (draft.sent && !isRefused && arrival() === 'navigate')) {
            localStorage.removeItem(name);
        }
    });
}

/** The server lays the form out with what was typed, as it does after a fault, and saves nothing. */
async function restore(draft, hasBegun) {
    const body = new URLSearchParams(draft.fields);
    body.set('_draft', '1');
    const html = await ask(location.href, { method: 'POST', body });
    const main = html && new DOMParser().parseFromString(html, 'text/html').getElementById('main');
    // whoever types already goes on with that
    if (!main || hasBegun()) {
        return;
    }
    const note = document.getElementById('draft-note').content.cloneNode(true);
    note.querySelector('time').textContent = new Date(draft.at).toLocaleString(document.documentElement.lang, {
        weekday: 'short',
        hour: '2-digit',
        minute: '2-digit',
    });
    note.querySelector('button').addEventListener('click', () => {
        localStorage.removeItem(key());
        location.reload();
    });
    const here = document.getElementById('main');
    here.replaceChildren(...main.childNodes);
    (here.querySelector('.head') ?? here.firstElementChild).after(note);
}

/** Keeps on this device what is typed into a form, until it is saved. */
export function keepDraft(form) {
    const name = key();
    let timer;
    let begun = false;
    let isKept = true;
    const keep = (sent) => {
        clearTimeout(timer);
        isKept = true;
        const fields = [...new FormData(form)].filter(([field, value]) => typeof value === 'string' && !field.startsWith('_'));
        write(name, { at: Date.now(), fields, sent });
    };
    form.addEventListener('input', () => {
        begun = true;
        isKept = false;
        clearTimeout(timer);
        timer = setTimeout(() => keep(false), 300);
    });
    window.addEventListener('pagehide', () => isKept || keep(false));
    form.addEventListener('submit', () => keep(true));
    form.addEventListener('click', (event) => {
        if (event.target.closest('.save a')) {
            clearTimeout(timer);
            isKept = true;
            localStorage.removeItem(name);
        }
    });
    if (!isRestored) {
        isRestored = true;
        sweep();
        const draft = read(name);
        if (draft && !document.querySelector('[role=alert]') && !(draft.sent && arrival() === 'back_forward')) {
            restore(draft, () => begun);
        }
    }
}
