/** Text that stays on this device. A full or forbidden store costs only the safety net, never the page. */
export const deviceStore = {
    read(key: string): string | null {
        try {
            return localStorage.getItem(key);
        } catch {
            return null;
        }
    },
    write(key: string, text: string | null): void {
        try {
            if (text === null) localStorage.removeItem(key);
            else localStorage.setItem(key, text);
        } catch {
            // Nothing to be done; what is typed stays on the page.
        }
    },
};

/** What was written as JSON; null when there is none or it cannot be read. */
export function parsed<T>(text: string | null): T | null {
    try {
        return text === null ? null : (JSON.parse(text) as T);
    } catch {
        return null;
    }
}
