<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import Ask from './asking/Ask.svelte';
    import { GLOSSARY } from '../lib/glossary';
    import { deviceStore } from '../shared/deviceStore';
    import { isTyping, placeOf, SHORTCUTS } from '../lib/shortcuts';

    const OFF = 'ivory-pace:no-shortcuts';
    /** The second key comes within this time. */
    const WITHIN_MS = 1500;

    let isOpen = $state(false);
    let isOff = $state(deviceStore.read(OFF) === '1');
    let first = 0;

    function key(event: KeyboardEvent): void {
        if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || event.defaultPrevented) return;
        if (event.key === '?') {
            event.preventDefault();
            open();
            return;
        }
        if (isOff || isOpen) return;
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
        isOpen = true;
    }

    function turn(): void {
        isOff = !isOff;
        deviceStore.write(OFF, isOff ? '1' : null);
    }
</script>

<svelte:window onkeydown={key} />

<button type="button" class="plain help" aria-haspopup="dialog" aria-label="Words and keys" onclick={open}>?</button>
<Ask bind:open={isOpen} title="Words and keys">
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="max-h-[60vh] overflow-y-auto pr-2" role="region" aria-label="Words and keys, in full" tabindex="0">
        <h3 class="mt-2 text-[1.05rem]">Words</h3>
        <dl class="text-[0.95rem]">
            {#each GLOSSARY as [word, meaning] (word)}<div class="border-t border-rule py-1">
                    <dt class="font-semibold">{word}</dt>
                    <dd class="text-muted">{meaning}</dd>
                </div>{/each}
        </dl>
        <h3 class="mt-4 text-[1.05rem]">Keys</h3>
        <p class="text-muted">One after the other, anywhere but in a field.</p>
        <dl class="mt-2 grid grid-cols-[4.5rem_1fr] gap-y-0.5">
            <dt><kbd>?</kbd></dt>
            <dd>this window</dd>
            {#each SHORTCUTS as shortcut (shortcut.keys)}<dt><kbd>{shortcut.keys}</kbd></dt>
                <dd>{shortcut.text}</dd>{/each}
            <dt><kbd>space</kbd></dt>
            <dd>a tap, on the pads of Measure and of the counts; ends an open phase in the player</dd>
            <dt><kbd>Esc</kbd></dt>
            <dd>stops the player; closes this window</dd>
        </dl>
    </div>
    <p class="mt-4 flex gap-5">
        <button type="button" class="linklike" onclick={turn}>{isOff ? 'Turn the keys on' : 'Turn the keys off'}</button
        ><button
            type="button"
            class="linklike"
            data-autofocus
            onclick={() => {
                isOpen = false;
            }}>Close</button
        >
    </p>
</Ask>

<style>
    kbd {
        font-family: var(--sans);
        font-weight: 650;
    }
    .help {
        font-weight: 700;
    }
</style>
