<script lang="ts">
    import { Button, Input } from 'flowbite-svelte';
    import { fetchSignedIn } from '../../lib/send';
    import { formToken, noConnection } from '../../shared/http';
    import Field from '../Field.svelte';

    /** The whole record as a file. */
    let { patientId }: { patientId: string } = $props();

    let password = $state('');
    let trouble = $state('');
    let isBusy = $state(false);

    async function save(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        trouble = '';
        isBusy = true;
        try {
            const answer = await fetchSignedIn(`/patients/${patientId}/record.zip`, () => ({
                method: 'POST',
                headers: { 'Content-Type': 'application/json', Accept: 'application/json', ...formToken() },
                body: JSON.stringify({ your_password: password }),
            }));
            if (answer.ok) keep(await answer.blob());
            else trouble = ((await answer.json()) as { message?: string }).message ?? 'The file could not be made.';
        } catch {
            trouble = noConnection('Nothing was taken out.');
        } finally {
            isBusy = false;
        }
    }

    function keep(file: Blob): void {
        password = '';
        const link = document.createElement('a');
        link.href = URL.createObjectURL(file);
        link.download = 'record.zip';
        link.click();
        setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
    }
</script>

<section aria-labelledby="take-out" class="print:hidden">
    <h2 id="take-out" class="mb-1 text-[1.15rem]">Take the record out</h2>
    <p class="text-muted">
        Everything that stands here, as one file: another clinic with this program reads it in, a spreadsheet opens its
        tables. It carries health details and is not encrypted.
    </p>
    <form onsubmit={save} novalidate class="mt-2 grid gap-3">
        <Field id="take-out-password" label="Your password" error={trouble || undefined}
            >{#snippet children(attributes)}<Input
                    type="password"
                    autocomplete="current-password"
                    class="w-full max-w-[18rem]"
                    bind:value={password}
                    {...attributes}
                />{/snippet}</Field
        >
        <div><Button type="submit" size="sm" outline disabled={isBusy}>Save the file</Button></div>
    </form>
</section>
