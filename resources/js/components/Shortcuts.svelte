<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import { deviceStore } from '../shared/deviceStore';
    import { isTyping, placeOf, SHORTCUTS } from '../lib/shortcuts';

    const OFF = 'ivory-pace:no-shortcuts';
    /** The second key comes within this time. */
    const WITHIN_MS = 1500;

    let dialog: HTMLDialogElement | undefined = $state();
    let isOff = $state(deviceStore.read(OFF) === '1');
    let first = 0;

    function key(event: KeyboardEvent): void {
        if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || event.defaultPrevented) return;
        if (event.key === '?') {
            event.preventDefault();
            open();
            return;
        }
        if (isOff || dialog?.open) return;
        if (event.key === 'g') {
            first = performance.now();
            return;
        }
        const shortcut =
            performance.now() - first < WITHIN_MS
                ? SHORTCUTS.find((each) => each.keys === `g ${event.key}`)
                : undefined;
        first = 0;
        const { patient, session } = placeOf(location.pathname);
        const url = shortcut?.go(patient, session);
        if (url) {
            event.preventDefault();
            router.visit(url);
        }
    }

    function open(): void {
        if (!dialog?.open) dialog?.showModal();
    }

    function turn(): void {
        isOff = !isOff;
        deviceStore.write(OFF, isOff ? '1' : null);
    }
</script>

<svelte:window onkeydown={key} />

<dialog
    bind:this={dialog}
    aria-labelledby="shortcuts"
    class="m-auto max-h-[85vh] w-[34rem] border border-ink bg-paper p-6"
>
    <h2 id="shortcuts" class="text-[1.2rem]">Keys</h2>
    <p class="text-muted">One after the other, anywhere but in a field.</p>
    <dl class="mt-3 grid grid-cols-[4.5rem_1fr] gap-y-0.5">
        <dt><kbd>?</kbd></dt>
        <dd>this list</dd>
        {#each SHORTCUTS as shortcut (shortcut.keys)}<dt><kbd>{shortcut.keys}</kbd></dt>
            <dd>{shortcut.text}</dd>{/each}
        <dt><kbd>space</kbd></dt>
        <dd>a tap, on the pads of Measure and of the counts; ends an open phase in the player</dd>
        <dt><kbd>Esc</kbd></dt>
        <dd>stops the player; closes this list</dd>
    </dl>
    <p class="mt-4 flex gap-5">
        <button type="button" class="linklike" onclick={turn}>{isOff ? 'Turn the keys on' : 'Turn the keys off'}</button
        ><button type="button" class="linklike" onclick={() => dialog?.close()}>Close</button>
    </p>
</dialog>

<style>
    kbd {
        font-family: var(--sans);
        font-weight: 650;
    }
    dialog::backdrop {
        background: rgb(36 48 47 / 0.35);
    }
</style>
