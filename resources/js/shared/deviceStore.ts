/** A full or forbidden store costs only the safety net, never the page. */
const storeIn = (where: () => Storage) => ({
    read(key: string): string | null {
        try {
            return where().getItem(key);
        } catch {
            return null;
        }
    },
    write(key: string, text: string | null): void {
        try {
            if (text === null) where().removeItem(key);
            else where().setItem(key, text);
        } catch {
            // Nothing to be done; what is typed stays on the page.
        }
    },
});

/** Text that stays on this device. */
export const deviceStore = storeIn(() => localStorage);

/** Text that stays as long as this tab. */
export const sessionStore = storeIn(() => sessionStorage);

/** What was written as JSON; null when there is none or it cannot be read. */
export function parsed<T>(text: string | null): T | null {
    try {
        return text === null ? null : (JSON.parse(text) as T);
    } catch {
        return null;
    }
}
