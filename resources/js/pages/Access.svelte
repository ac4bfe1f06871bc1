<script lang="ts">
    import { isCopied } from '../shared/clipboard';
    import { router } from '@inertiajs/svelte';
    import { Button } from 'flowbite-svelte';
    import AskFirst from '../components/asking/AskFirst.svelte';
    import AskWhy from '../components/asking/AskWhy.svelte';
    import PatientBar from '../components/PatientBar.svelte';
    import QrCode from '../components/QrCode.svelte';
    import Room from '../components/Room.svelte';
    import type { AccessProps } from '../types/props';

    let { patient, public_address, new_link, mail_to, open_link, consents, devices, kept_aside }: AccessProps =
        $props();

    let working = $state(false);
    let copied = $state(false);
    /** What could not be taken into the record, and why. */
    let unsettled = $state<{ id: number; text: string } | null>(null);
    const isLoopback = $derived(/\/\/(127\.|localhost)/.test(public_address));

    function make(send = false): void {
        router.post(`/patients/${patient.id}/access`, send ? { send: true } : {}, {
            onStart: () => {
                working = true;
            },
            onFinish: () => {
                working = false;
            },
        });
    }

    const KINDS: Record<string, string> = { accepted: 'Accepted', withdrawn: 'Withdrawn', declined: 'Declined' };
    let leaving = $state<AccessProps['devices'][number] | null>(null);
    let asksSignOut = $state(false);
    let asksWithdrawal = $state(false);

    function signOut(): void {
        if (leaving) router.delete(`/patients/${patient.id}/devices/${leaving.id}`);
    }

    function settle(id: number, accept: boolean): void {
        unsettled = null;
        router.post(
            `/patients/${patient.id}/kept-aside/${id}`,
            { accept },
            {
                preserveScroll: true,
                onError: (errors) => {
                    unsettled = { id, text: Object.values(errors)[0] ?? '' };
                },
            },
        );
    }

    function withdraw(): void {
        router.post(`/patients/${patient.id}/consent/withdrawal`);
    }

    async function copy(): Promise<void> {
        if (!new_link) return;
        copied = await isCopied(new_link.address);
    }

    const unreadable = (why: string): string =>
        `It cannot be taken into the record: ${why} Refuse it, or ask the patient.`;
</script>

<Room title="Access of {patient.name}">
    <PatientBar {patient} here="access" />
    <div class="grid gap-12 pt-5 md:grid-cols-[1fr_1fr]">
        <section>
            <h2 class="text-lg">Home practice on the patient’s own device</h2>
            {#if new_link}
                <div class="mt-3 border border-ink bg-card p-6">
                    <p>
                        Scan this with the patient’s phone, or open <strong>{public_address}/enter</strong> there and
                        type the code. It works once, within {new_link.days} days, and is shown only now.
                    </p>
                    <div class="mt-4 flex flex-wrap items-center gap-x-8 gap-y-3">
                        <QrCode text={new_link.address} label="Link for {patient.name}" />
                        <div>
                            <p class="text-sm text-muted">Code</p>
                            <p class="font-serif text-[2rem] font-semibold whitespace-nowrap">{new_link.code}</p>
                            <button type="button" class="linklike mt-2" onclick={copy}
                                >{copied ? 'Copied' : 'Copy the link'}</button
                            >
                        </div>
                    </div>
                    {#if new_link.sent_to}<p class="mt-3" role="status">
                            Sent to {new_link.sent_to}. The code is not in the mail.
                        </p>{/if}
                    <p class="visually-hidden" data-link>{new_link.address}</p>
                    {#if isLoopback}<p class="mt-4 text-sm text-muted">
                            The public address is set to this computer only, so a phone cannot reach it. Set
                            IVORY_PACE_URL to the address that patients can reach.
                        </p>{/if}
                </div>
            {:else if open_link}
                <p class="mt-3">
                    A link was made {open_link.made_on} and has not been used; it runs out {open_link.expires_on}. It
                    cannot be shown again: making a new one ends it.
                </p>
            {:else}
                <p class="mt-3">
                    The patient gets a one-time link and code, reads what is recorded, agrees, and chooses a PIN.
                    Nothing is sent by itself{mail_to
                        ? ''
                        : '; to send it, an e-mail address has to stand under Contact'}.
                </p>
            {/if}
            <Button class="mt-4" outline={new_link !== null} disabled={working} onclick={() => make()}
                >{new_link || open_link ? 'Make a new link' : 'Make a link'}</Button
            >
            {#if mail_to}<Button class="mt-4 ml-2" outline disabled={working} onclick={() => make(true)}
                    >Make one and send it to {mail_to}</Button
                >{/if}
        </section>
        <section>
            <h2 class="text-lg">Devices</h2>
            {#if devices.length === 0}<p class="mt-3 text-muted">None yet.</p>{/if}
            <ul class="mt-2">
                {#each devices as device (device.id)}
                    <li class="flex items-baseline justify-between gap-4 border-t border-rule py-2">
                        <span
                            ><strong>{device.label}</strong>
                            <span class="block text-sm text-muted"
                                >since {device.since}{device.last_seen
                                    ? `, last seen ${device.last_seen}`
                                    : ''}{device.ready ? '' : ', no PIN yet'}</span
                            >
                            {#if device.calendar_since}<span class="block text-sm text-muted"
                                    >its calendar reads practices and appointments since {device.calendar_since};
                                    signing out ends that</span
                                >{/if}
                            {#if device.locked_out}<span class="block text-sm font-semibold text-clay"
                                    >Locked after too many wrong PINs. Make a new link.</span
                                >{/if}
                        </span>
                        <span class="flex flex-col items-end gap-1 whitespace-nowrap">
                            <button
                                type="button"
                                class="linklike"
                                onclick={() => {
                                    leaving = device;
                                    asksSignOut = true;
                                }}>Sign out<span class="visually-hidden"> {device.label}</span></button
                            >
                            <AskWhy
                                url="/patients/{patient.id}/devices/{device.id}/wrong"
                                opener="Not this patient’s"
                                of={device.label}
                                title="{device.label} is not {patient.name}’s"
                                text="The device is signed out, and everything that came from it counts no more:
                                    practices, ticks, home checks and diary. It all stays readable in the Trail. A
                                    pause or red flag that came of it stays until you have looked."
                                button="Sign it out, and strike what it sent"
                            />
                        </span>
                    </li>
                {/each}
            </ul>
            {#if kept_aside.length > 0}
                <h2 class="mt-6 text-lg">From a signed-out device</h2>
                <p class="mt-1 text-sm text-muted">
                    It counts nowhere until you accept it; accepted, it is treated as if it had come in time.
                </p>
                <ul class="mt-2">
                    {#each kept_aside as kept (kept.id)}
                        <li class="flex items-baseline justify-between gap-4 border-t border-rule py-2">
                            <span class={kept.urgent ? 'font-semibold text-clay' : ''}
                                >{kept.what}<span class="block text-sm font-normal text-muted"
                                    >{kept.device}, received {kept.on}</span
                                >{#if unsettled?.id === kept.id}<span
                                        class="block text-sm font-semibold text-clay"
                                        role="alert">{unreadable(unsettled.text)}</span
                                    >{/if}</span
                            >
                            <span class="flex gap-3 whitespace-nowrap">
                                <button type="button" class="linklike" onclick={() => settle(kept.id, true)}
                                    >Accept<span class="visually-hidden"> {kept.what}</span></button
                                >
                                <button type="button" class="linklike" onclick={() => settle(kept.id, false)}
                                    >Refuse<span class="visually-hidden"> {kept.what}</span></button
                                >
                            </span>
                        </li>
                    {/each}
                </ul>
            {/if}
            <h2 class="mt-6 text-lg">Consent</h2>
            {#if consents.length === 0}<p class="mt-3 text-muted">
                    Not given yet; the patient is asked on their own device.
                </p>{/if}
            <ul class="mt-2">
                {#each consents as consent, index (index)}
                    <li class="border-t border-rule py-1.5">
                        {KINDS[consent.kind] ?? consent.kind}, {consent.about}:
                        {consent.on}<span class="text-muted"
                            >, text of {consent.version}{consent.by ? `, recorded by ${consent.by}` : ''}</span
                        >
                    </li>
                {/each}
            </ul>
            {#if devices.length > 0 && consents.length > 0}<button
                    type="button"
                    class="linklike mt-2"
                    onclick={() => {
                        asksWithdrawal = true;
                    }}>The patient withdraws consent</button
                >{/if}
        </section>
    </div>
    <AskFirst
        bind:open={asksSignOut}
        title="Sign out “{leaving?.label ?? ''}”"
        text="What still waits on it is then kept aside for you to accept or refuse."
        yes="Sign it out"
        onyes={signOut}
    />
    <AskFirst
        bind:open={asksWithdrawal}
        title="The patient withdraws consent"
        text="It is recorded with today’s date, and all their devices are signed out."
        yes="Record it"
        onyes={withdraw}
    />
</Room>
