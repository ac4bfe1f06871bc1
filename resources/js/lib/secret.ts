/**
 * What stands behind the # of an address, and never reaches a server's log. It is taken out of the address bar before
 * the page is drawn and kept in this tab, so that a reload does not lose it.
 */
const PAGES = ['/join', '/found', '/new-password'];

const keyOf = (path: string): string => `ivory-pace:secret:${path.slice(1)}`;

export function takeSecretOutOfTheAddress(): void {
    const secret = location.hash.slice(1);
    if (secret === '' || !PAGES.includes(location.pathname)) return;
    sessionStorage.setItem(keyOf(location.pathname), secret);
    history.replaceState(null, '', location.pathname);
}

export function secretOf(path: string): string {
    return sessionStorage.getItem(keyOf(path)) ?? '';
}
