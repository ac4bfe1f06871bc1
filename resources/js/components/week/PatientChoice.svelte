<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import { Input } from 'flowbite-svelte';
    import Field from '../Field.svelte';
    import { sendSignedIn } from '../../lib/send';
    import { inWords } from '../../shared/http';
    import type { PatientFound } from '../../types/week';

    /** Who comes: found by name or date of birth. */
    interface Props {
        chosen: PatientFound | null;
        error: string | undefined;
        onchosen: () => void;
    }

    let { chosen = $bindable(), error, onchosen }: Props = $props();

    const WAIT_MS = 180;
    let typed = $state('');
    let found: PatientFound[] | null = $state(null);
    let trouble: string | null = $state(null);
    let timer: ReturnType<typeof setTimeout> | undefined;

    function choose(patient: PatientFound | null): void {
        chosen = patient;
        onchosen();
    }

    function look(): void {
        clearTimeout(timer);
        timer = setTimeout(async () => {
            const asked = typed;
            try {
                const answer =
                    asked.trim() === ''
                        ? null
                        : await sendSignedIn<PatientFound[]>(`/week/patients?find=${encodeURIComponent(asked)}`, 'GET');
                // A later word was typed meanwhile.
                if (asked !== typed) return;
                found = answer;
                trouble = null;
                // Whoever is chosen is seen: nobody else is left chosen behind another list.
                if (answer?.length === 1 && answer[0]) choose(answer[0]);
                else if (!answer?.some((each) => each.id === chosen?.id)) choose(null);
            } catch (problem) {
                trouble = inWords(problem);
            }
        }, WAIT_MS);
    }
</script>

<div>
    <Field id="patient-of" label="Patient" hint="Name or date of birth." error={error ?? trouble ?? undefined}>
        {#snippet children(attributes)}<Input
                autocomplete="off"
                bind:value={typed}
                oninput={look}
                {...attributes}
            />{/snippet}
    </Field>
    <div role="status">
        {#if found?.length === 0}<p>
                Nobody is called that. <Link class="linklike" href="/patients/new">Add a patient</Link>
            </p>{/if}
    </div>
    {#if found && found.length > 0}
        <fieldset>
            <legend class="visually-hidden">Found</legend>
            {#each found as each (each.id)}<label class="block py-0.5"
                    ><input
                        type="radio"
                        name="patient"
                        class="mr-2 size-4 border-gray-300 text-primary-700"
                        value={each.id}
                        checked={chosen?.id === each.id}
                        onchange={() => choose(each)}
                    />{each.name} <span class="text-muted">{each.born}</span></label
                >{/each}
        </fieldset>
    {/if}
</div>
