/** So long whoever took something away has time to say where the focus goes. */
const PATIENCE_MS = 150;
/** What is switched off while it is sent is waited for so many times. */
const PATIENCE_LOOKS = 4;

const PRESSED = 'a[href], button, input, select, textarea, summary, label, [tabindex]';

const isThere = (element: Element): boolean =>
    element.isConnected && element.checkVisibility({ visibilityProperty: true });

/**
 * Whoever goes by keys or by ear is not thrown back to the top of the page when what they pressed goes away: the
 * focus goes to what stands around it, and comes back to what was only switched off meanwhile.
 */
export function focusStays(): void {
    let last: HTMLElement | null = null;
    let around: HTMLElement[] = [];
    let waiting = 0;
    let looks = 0;

    const look = (): void => {
        waiting = 0;
        if (!last || (document.activeElement !== null && document.activeElement !== document.body)) return;
        const isOff = last.matches(':disabled');
        if (isThere(last) && !isOff) {
            last.focus({ preventScroll: true });
            return;
        }
        if (isThere(last) && isOff && looks++ < PATIENCE_LOOKS) {
            soon();
            return;
        }
        const near = around.find((element) => element !== document.body && isThere(element));
        if (!near) return;
        if (!near.hasAttribute('tabindex')) near.tabIndex = -1;
        near.focus({ preventScroll: true });
    };
    function soon(): void {
        if (last && waiting === 0) waiting = window.setTimeout(look, PATIENCE_MS);
    }

    document.addEventListener('focusin', ({ target }) => {
        if (!(target instanceof HTMLElement) || target === document.body) return;
        last = target;
        looks = 0;
        around = [];
        for (let each = target.parentElement; each; each = each.parentElement) around.push(each);
    });
    // Pressing beside everything lets go on purpose.
    document.addEventListener('pointerdown', ({ target }) => {
        if (target instanceof Element && !target.closest(PRESSED)) last = null;
    });
    new MutationObserver(soon).observe(document.body, {
        childList: true,
        subtree: true,
        attributes: true,
        attributeFilter: ['disabled', 'hidden', 'open'],
    });
}
