import { router } from '@inertiajs/svelte';

const soon = (then: () => void): void => {
    requestAnimationFrame(() => setTimeout(then));
};

function take(element: HTMLElement | null): void {
    if (!element) return;
    if (!element.matches('a[href], button, input, select, textarea')) element.tabIndex = -1;
    element.focus();
}

/** Where something is amiss: the first field, or what says so. */
function firstProblem(): HTMLElement | null {
    const within = document.querySelector('dialog[open]') ?? document;
    return (
        within.querySelector('[aria-invalid="true"]') ??
        within.querySelector('main [role="alert"], dialog [role="alert"]')
    );
}

/** A new page is read from its heading on, and a refusal from what it is about. */
export function followTheFocus(): void {
    let at = location.pathname;
    router.on('navigate', () => {
        const before = at;
        at = location.pathname;
        if (before === at) return;
        soon(() => {
            // What the new page itself has put the focus on stays.
            const active = document.activeElement;
            if (active === null || active === document.body || !active.closest('main, dialog'))
                take(document.querySelector('main h1') ?? document.querySelector('h1'));
        });
    });
    router.on('error', () => soon(() => take(firstProblem())));
}

/** After something closes: back to what opened it, or to what stands there instead. */
export function backTo(element: Element | null, otherwise = 'main h1, h1'): void {
    soon(() => {
        const active = document.activeElement;
        if (active !== null && active !== document.body && !active.closest('dialog')) return;
        const back = element instanceof HTMLElement && element.isConnected ? element : null;
        take(back ?? document.querySelector<HTMLElement>(otherwise));
    });
}
