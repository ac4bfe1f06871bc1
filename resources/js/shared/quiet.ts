/** Ends a sound context; one that has ended already, as after a double click, stays ended. */
export function endSound(context: AudioContext | null | undefined): void {
    if (context && context.state !== 'closed') void context.close().catch(() => undefined);
}
