/** Asks the server; answers with the response's text, or null when it is not to be had. */
export async function ask(url, options = {}) {
    try {
        const response = await fetch(url, {
            ...options,
            headers: {
                'X-Requested-With': 'XMLHttpRequest',
                'X-Token': document.querySelector('meta[name=csrf]').content,
                ...options.headers,
            },
        });
        return response.ok ? await response.text() : null;
    } catch {
        return null;
    }
}

/** For what is asked anew while one types: a question that another follows is broken off, so that no late answer takes its place. */
export function asking() {
    let last;
    return (url, options = {}) => {
        last?.abort();
        last = new AbortController();
        return ask(url, { ...options, signal: last.signal });
    };
}
