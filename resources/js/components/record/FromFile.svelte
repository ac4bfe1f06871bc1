<script lang="ts">
    import { useForm } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import Field from '../Field.svelte';

    /** A record that another clinic took out is read in. */
    const form = useForm<{ file: File | null }>({ file: null });

    function submit(event: SubmitEvent): void {
        event.preventDefault();
        form.post('/patients/file', { preserveScroll: true });
    }
</script>

<section aria-labelledby="from-file" class="mt-10 max-w-[40rem] border-t border-ink pt-4">
    <h2 id="from-file" class="text-[1.15rem]">Or read a record in from a file</h2>
    <p class="text-muted">
        A record.zip that another clinic took out. It is read whole or not at all. Screening, programme and practice
        come along; devices do not.
    </p>
    <form onsubmit={submit} novalidate class="mt-3 grid gap-3">
        <Field id="record-file" label="File" error={form.errors.file}
            >{#snippet children(attributes)}<input
                    type="file"
                    accept=".zip,application/zip"
                    class="slot w-full"
                    onchange={(event) => {
                        form.file = event.currentTarget.files?.[0] ?? null;
                    }}
                    {...attributes}
                />{/snippet}</Field
        >
        <div><Button type="submit" outline disabled={form.processing}>Read it in</Button></div>
    </form>
</section>
