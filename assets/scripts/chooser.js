import { asking } from './server.js';

const asks = asking();
const WAIT = 120;
let box = null;
let list = null;
let active = -1;
let timer;

/** The fields with data-choose: what is typed is looked up there, and what fits best is listed under the field. */
const field = (event) => event.target.closest?.('input[data-choose]');
const ROLE = { role: 'combobox', 'aria-autocomplete': 'list', 'aria-controls': 'choices', 'aria-expanded': 'false' };
const options = () => [...(list?.querySelectorAll('[role=option]') ?? [])];

/** That it is a field with a list, for those who hear the page. */
function tell(input) {
    Object.entries(ROLE).forEach(([name, value]) => input.setAttribute(name, value));
}

function close() {
    clearTimeout(timer);
    list?.remove();
    box?.setAttribute('aria-expanded', 'false');
    box?.removeAttribute('aria-activedescendant');
    box = list = null;
    active = -1;
}

function mark(at) {
    options().forEach((option, i) => option.setAttribute('aria-selected', String(i === at)));
    const option = options()[at];
    active = option ? at : -1;
    if (option) {
        box.setAttribute('aria-activedescendant', option.id);
        option.scrollIntoView({ block: 'nearest' });
    } else {
        box.removeAttribute('aria-activedescendant');
    }
}

function choose(option) {
    const input = box;
    close();
    input.value = option.dataset.name;
    input.dispatchEvent(new CustomEvent('input', { bubbles: true, detail: 'chosen' }));
    input.dispatchEvent(new Event('change', { bubbles: true }));
    input.dispatchEvent(new CustomEvent('chosen', { detail: option.dataset.id }));
    input.focus();
    if ('chooseGo' in input.dataset) {
        input.form.requestSubmit();
    }
}

async function open(input) {
    const typed = input.value;
    const address = new URL(input.dataset.choose, location.origin);
    address.searchParams.set('q', typed);
    const found = await asks(address);
    if (found === null || document.activeElement !== input || input.value !== typed) {
        return;
    }
    close();
    box = input;
    list = Object.assign(document.createElement('ul'), { className: 'choices', id: 'choices', role: 'listbox', innerHTML: found });
    list.setAttribute('aria-label', 'Choices');
    tell(input);
    const isChosen = options().some((option) => option.dataset.name === typed);
    // a shop's line may be typed where a name may be: nothing that is not there is said of it
    if (isChosen || ('chooseFree' in input.dataset && options().length === 0)) {
        close();
        return;
    }
    input.parentElement.classList.add('has-choices');
    input.after(list);
    list.style.left = input.offsetLeft + 'px';
    list.style.top = input.offsetTop + input.offsetHeight + 'px';
    list.style.minWidth = input.offsetWidth + 'px';
    input.setAttribute('aria-expanded', 'true');
    mark(typed.trim() !== '' && !('chooseFree' in input.dataset) ? 0 : -1);
}

function later(input) {
    clearTimeout(timer);
    timer = setTimeout(() => open(input), WAIT);
}

document.addEventListener('focusin', (event) => {
    if (field(event)) {
        tell(field(event));
    }
    if (box && event.target !== box) {
        close();
    }
});
document.addEventListener('focusout', (event) => {
    if (event.target === box && !list?.contains(event.relatedTarget)) {
        close();
    }
});
document.addEventListener('input', (event) => {
    if (field(event) && event.detail !== 'chosen') {
        later(field(event));
    }
});
document.addEventListener('mousedown', (event) => {
    if (event.target.closest('#choices')) {
        // the field keeps the cursor
        event.preventDefault();
    } else if (box && event.target !== box) {
        close();
    } else if (field(event)?.value === '') {
        later(field(event));
    }
});
document.addEventListener('click', (event) => {
    const option = event.target.closest('#choices [role=option]');
    if (option && box) {
        choose(option);
    }
});
document.addEventListener(
    'keydown',
    (event) => {
        const input = field(event);
        if (!input || event.altKey) {
            return;
        }
        if (event.ctrlKey || event.metaKey) {
            // the marked one is taken, and the form saved with it
            if (event.key === 'Enter' && active >= 0) {
                choose(options()[active]);
            }
            return;
        }
        if (event.key === 'ArrowDown' && !box) {
            event.preventDefault();
            open(input);
        } else if (box && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
            event.preventDefault();
            const end = options().length - 1;
            mark(event.key === 'ArrowDown' ? (active < end ? active + 1 : 0) : active > 0 ? active - 1 : end);
        } else if (box && event.key === 'Escape') {
            event.preventDefault();
            event.stopPropagation();
            close();
        } else if (box && active >= 0 && (event.key === 'Enter' || event.key === 'Tab')) {
            if (event.key === 'Enter') {
                event.preventDefault();
            }
            choose(options()[active]);
        }
    },
    true,
);
