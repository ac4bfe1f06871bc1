/**
 * Keeps what is being typed in this browser tab, so that a reload loses nothing. It goes when the tab is closed and
 * never leaves the device.
 */
export function keeping(key: string) {
    const name = `ivory-pace:${key}`;
    return {
        read<T>(): T | null {
            try {
                const text = sessionStorage.getItem(name);
                return text === null ? null : (JSON.parse(text) as T);
            } catch {
                return null;
            }
        },
        write(value: unknown): void {
            try {
                sessionStorage.setItem(name, JSON.stringify(value));
            } catch {
                // A full or forbidden store costs only the safety net.
            }
        },
        forget(): void {
            sessionStorage.removeItem(name);
        },
    };
}
