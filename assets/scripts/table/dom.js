export const NS = 'http://www.w3.org/2000/svg';
export const MARGIN = { left: 58, top: 34, gap: 62, beside: 24, right: 30 };
export const SNAP = 10;
export const NUDGES = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

export const post = (url, body, signal) =>
    fetch(url, {
        method: 'POST',
        signal,
        headers: { 'Content-Type': 'application/json', 'X-Token': document.querySelector('meta[name=csrf]').content },
        body: JSON.stringify(body),
    });

export function svg(tag, attributes = {}, ...children) {
    const element = document.createElementNS(NS, tag);
    Object.entries(attributes).forEach(([name, value]) => element.setAttribute(name, value));
    element.append(...children);
    return element;
}

export function html(tag, attributes = {}, ...children) {
    const element = Object.assign(document.createElement(tag), attributes);
    element.append(...children);
    return element;
}

export const path = (points, s) => 'M' + points.map(([x, y]) => (x * s).toFixed(1) + ' ' + (y * s).toFixed(1)).join('L') + 'Z';
/** Kept out of the page's reactivity: large, and drawn by hand. */
export const raw = (value) => Object.defineProperty(value, '__v_skip', { value: true });

export const keyOf = (place) => place.piece + '#' + place.copy;
