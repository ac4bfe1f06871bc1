<script lang="ts">
    import { isCopied as couldCopy } from '../../shared/clipboard';
    import { Link } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import { untrack } from 'svelte';
    import { asRows } from '../../lib/told';
    import { sendSignedIn } from '../../lib/send';
    import { inWords } from '../../shared/http';
    import type { PatientHead } from '../../types/pages';
    import type { NewLink } from '../../types/props';
    import type { HandOverShown, KeptContent, SessionHeadView } from '../../types/session';
    import NextAppointment from '../NextAppointment.svelte';
    import QrCode from '../QrCode.svelte';
    import SheetLinks from '../SheetLinks.svelte';
    import ToldRows from '../ToldRows.svelte';
    import KeptLine from '../keeping/KeptLine.svelte';
    import { KeptStep } from '../keeping/kept.svelte';
    import Remarks from './Remarks.svelte';

    interface Content {
        practised: boolean;
        remarks: string;
    }
    let {
        patient,
        session,
        shown,
        kept,
    }: { patient: PatientHead; session: SessionHeadView; shown: HandOverShown; kept: KeptContent } = $props();

    const step = untrack(
        () =>
            new KeptStep<Content>(`/patients/${patient.id}/sessions/${session.id}/steps/hand-over`, kept, {
                practised: false,
                remarks: '',
            }),
    );
    let link = $state.raw<NewLink | null>(null);
    let trouble = $state('');
    let isCopied = $state(false);

    async function copy(): Promise<void> {
        if (!link) return;
        isCopied = await couldCopy(link.address);
    }

    /** The link alone: nothing of the session is on that paper. */
    function printLink(): void {
        document.body.classList.add('prints-a-card');
        window.print();
        document.body.classList.remove('prints-a-card');
    }

    async function make(send = false): Promise<void> {
        trouble = '';
        try {
            link = await sendSignedIn<NewLink>(`/patients/${patient.id}/access`, 'POST', send ? { send } : {});
        } catch (problem) {
            trouble = inWords(problem, 'No link was made.');
        }
    }
</script>

<div class="grid items-start gap-x-12 gap-y-6 pt-5 md:grid-cols-[1fr_1fr]">
    <section>
        {#if shown.version}
            <h2 class="mb-1 text-[1.15rem]">
                Version {shown.version.number}{shown.version.is_new ? ', issued in this session' : ''}
            </h2>
            <p class="text-muted">in force from {shown.version.in_force_from}, review {shown.version.review_on}</p>
            <ul class="mt-2">
                {#each shown.version.items as item, index (index)}<li class="border-t border-rule py-1">
                        <strong>{item.name}</strong>
                        {item.summary}
                        {#if item.when.length > 0}<span class="block text-[0.925rem] text-muted"
                                >{item.when.join(' · ')}</span
                            >{/if}
                    </li>{/each}
            </ul>
            {#if shown.version.patient_note}<h3 class="mt-3 text-[1rem]">What we changed and why</h3>
                <p class="whitespace-pre-line">{shown.version.patient_note}</p>{/if}
            <p class="mt-3">
                <SheetLinks href="/patients/{patient.id}/versions/{shown.version.number}/sheet.pdf" />
            </p>
        {:else}
            <p class="text-muted">
                No programme is issued yet, so there is nothing to hand over. <Link
                    class="linklike"
                    href="/patients/{patient.id}/sessions/{session.id}/prescribe">To Prescribe</Link
                >
            </p>
        {/if}
        <h2 class="mt-6 mb-1 text-[1.15rem]">On the patient’s own device</h2>
        {#if link}
            <div class="card-on-paper mt-2 flex items-center gap-6 border border-ink bg-card p-4">
                <QrCode text={link.address} label="Link for {patient.name}" />
                <div>
                    <p class="text-sm text-muted">
                        Scan it, or open {shown.public_address}/enter and type the code. Once, within {link.days} days.
                    </p>
                    <p class="font-serif text-[1.6rem] font-semibold whitespace-nowrap">{link.code}</p>
                    <p class="flex gap-4 print:hidden">
                        <button type="button" class="linklike" onclick={copy}
                            >{isCopied ? 'Copied' : 'Copy the link'}</button
                        ><button type="button" class="linklike" onclick={printLink}>Print it</button>
                    </p>
                </div>
            </div>
            {#if link.sent_to}<p class="mt-2" role="status">
                    Sent to {link.sent_to}. The code is not in the mail.
                </p>{/if}
            <p class="visually-hidden" data-link>{link.address}</p>
        {:else}
            <p class="text-muted">
                {shown.has_device
                    ? 'A device is in use already; it shows the new version by itself.'
                    : 'No device yet.'}
            </p>
            <Button class="mt-2" outline={shown.has_device} onclick={() => make()}
                >{shown.has_device ? 'Link for another device' : 'Show the link as a QR code'}</Button
            >
            {#if shown.mail_to}<Button class="mt-2 ml-2" outline onclick={() => make(true)}
                    >Send it to {shown.mail_to}</Button
                >{/if}
        {/if}
        {#if trouble}<p role="alert" class="font-semibold text-clay">{trouble}</p>{/if}
    </section>
    <section>
        <label class="block"
            ><input
                type="checkbox"
                class="mr-2 size-4 rounded-sm border-gray-300 text-primary-700"
                bind:checked={step.content.practised}
            />The patient has practised it once here</label
        >
        <div class="mt-4"><NextAppointment appointment={shown.appointment} patientId={patient.id} /></div>
        <div class="mt-4"><Remarks bind:value={step.content.remarks} label="Agreed" /></div>
        <KeptLine {step}
            >{#snippet theirs(content)}<p>{content.practised ? 'Practised once here.' : ''}</p>
                <p class="whitespace-pre-line">{content.remarks ?? ''}</p>{/snippet}</KeptLine
        >
    </section>
    {#if shown.version && shown.version.items.length > 0}
        <section class="border-t border-ink pt-3 md:col-span-2" aria-labelledby="as-read">
            <h2 id="as-read" class="text-[1.15rem]">As the patient reads it</h2>
            <p class="text-[0.875rem] text-muted">
                Word for word what stands on the phone and on the sheet: go through it once together.
            </p>
            <div class="mt-2 grid gap-x-12 gap-y-5 {shown.version.items.length > 1 ? 'md:grid-cols-2' : ''}">
                {#each shown.version.items as item, index (index)}<section>
                        {#if shown.version.items.length > 1}<h3 class="mb-1 text-[1rem]">{item.name}</h3>{/if}
                        <ToldRows rows={asRows(item.told)} />
                    </section>{/each}
            </div>
        </section>
    {/if}
</div>
