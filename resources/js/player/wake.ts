/** Keeps the screen on while a practice plays, where the browser can; takes the lock again once the page was hidden. */
export function keepAwake(): () => void {
    let lock: WakeLockSentinel | null = null;
    let over = false;

    async function take(): Promise<void> {
        if (over || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
        try {
            lock = await navigator.wakeLock.request('screen');
            if (over) await lock.release();
        } catch {
            lock = null; // a low battery or a policy may refuse: the practice goes on all the same
        }
    }

    const again = (): void => void take();
    document.addEventListener('visibilitychange', again);
    void take();
    return () => {
        over = true;
        document.removeEventListener('visibilitychange', again);
        void lock?.release();
    };
}
