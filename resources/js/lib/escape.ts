/** What Escape closes, the one that was opened last at the end. */
const layers: (() => void)[] = [];

/** A window of the browser's own closes itself, and nothing under it. */
const isCovered = (): boolean => document.querySelector('dialog[open], [popover]:popover-open') !== null;

function key(event: KeyboardEvent): void {
    const topmost = layers.at(-1);
    if (event.key !== 'Escape' || event.defaultPrevented || !topmost || isCovered()) return;
    event.preventDefault();
    topmost();
}

/** Until what comes back is called, Escape closes this before anything that was opened earlier. */
export function closesOnEscape(close: () => void): () => void {
    if (layers.length === 0) window.addEventListener('keydown', key);
    layers.push(close);
    return () => {
        layers.splice(layers.indexOf(close), 1);
        if (layers.length === 0) window.removeEventListener('keydown', key);
    };
}
