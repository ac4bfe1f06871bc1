interface Hearing {
    onback: () => void;
    /** The page is looked at again, or the network came back. */
    onawake: () => void;
    /** A day may begin or a window close while the page is open. */
    ontick: () => void;
}

const TICK_MS = 30_000;

export function whileOpen({ onback, onawake, ontick }: Hearing): () => void {
    window.addEventListener('popstate', onback);
    window.addEventListener('online', onawake);
    document.addEventListener('visibilitychange', onawake);
    const clock = setInterval(ontick, TICK_MS);
    return () => {
        window.removeEventListener('popstate', onback);
        window.removeEventListener('online', onawake);
        document.removeEventListener('visibilitychange', onawake);
        clearInterval(clock);
    };
}
