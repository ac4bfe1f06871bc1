<script lang="ts">
    import { onMount } from 'svelte';
    import { t } from '../words';

    interface Props {
        name: string;
        done: number;
        of: number;
        onstop: () => void;
    }

    let { name, done, of, onstop }: Props = $props();

    /** So long a press means it: a phone that is laid down or a sleeve is none. */
    const HOLD_MS = 800;

    let button: HTMLButtonElement | undefined = $state();
    let isPressed = $state(false);
    let timer: ReturnType<typeof setTimeout> | undefined;
    onMount(() => {
        button?.focus();
        return () => clearTimeout(timer);
    });

    function press(): void {
        clearTimeout(timer);
        isPressed = true;
        timer = setTimeout(onstop, HOLD_MS);
    }

    function leave(): void {
        clearTimeout(timer);
        isPressed = false;
    }

    /** Keys and screen readers need no long press: nothing lies on them. */
    function key(event: KeyboardEvent): void {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        event.stopPropagation();
        onstop();
    }

    /** A screen reader presses without a finger. */
    function click(event: MouseEvent): void {
        if (event.detail === 0) onstop();
    }
</script>

<main>
    <h1 class="visually-hidden">{name}</h1>
    <button
        type="button"
        class="dark"
        bind:this={button}
        onpointerdown={press}
        onpointerup={leave}
        onpointercancel={leave}
        onpointerleave={leave}
        onkeydown={key}
        onclick={click}
        oncontextmenu={(event) => event.preventDefault()}
    >
        <span>{t('felt.phone.lying')}</span>
        {#if of > 0}<span class="count">{done} / {of}</span>{/if}
        <span class="hold" class:pressed={isPressed}
            >{t(isPressed ? 'felt.phone.stopping' : 'felt.phone.stop-hold')}</span
        >
    </button>
</main>

<style>
    .dark {
        position: fixed;
        inset: 0;
        z-index: 10;
        display: flex;
        flex-direction: column;
        align-items: center;
        justify-content: space-between;
        padding: 3rem 2rem;
        border: 0;
        background: #000;
        color: #8a8a8a;
        font: inherit;
        touch-action: none;
        user-select: none;
        -webkit-user-select: none;
    }
    .count {
        font-size: 1.5rem;
        font-variant-numeric: tabular-nums;
    }
    .hold {
        padding: 0.75rem 1.25rem;
        border: 1px solid #8a8a8a;
    }
    .pressed {
        color: #fff;
        border-color: #fff;
    }
    .dark:focus-visible .hold {
        outline: 3px solid #fff;
        outline-offset: 3px;
    }
</style>
