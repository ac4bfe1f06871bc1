<script lang="ts">
    /** Something that is wished for, or not: its words and a box. */
    interface Props {
        label: string;
        checked: boolean;
        onchange: (box: HTMLInputElement) => void;
    }

    let { label, checked, onchange }: Props = $props();
</script>

<label class="row"
    ><span>{label}</span><input type="checkbox" {checked} onchange={(event) => onchange(event.currentTarget)} /></label
>

<style>
    label {
        font-weight: 400;
    }
    input {
        width: 1.6rem;
        height: 1.6rem;
        accent-color: var(--reed);
        flex: none;
    }
</style>
