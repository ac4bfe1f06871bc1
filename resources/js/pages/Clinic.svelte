<script lang="ts">
    import { Link } from '@inertiajs/svelte';
    import Room from '../components/Room.svelte';
    import People from '../components/clinic/People.svelte';
    import BackupLine from '../components/clinic/BackupLine.svelte';
    import Keeping from '../components/clinic/Keeping.svelte';
    import LetterWords from '../components/clinic/LetterWords.svelte';
    import OwnQuestionnaires from '../components/clinic/OwnQuestionnaires.svelte';
    import Outcomes from '../components/clinic/Outcomes.svelte';
    import Settings from '../components/clinic/Settings.svelte';
    import Reliabilities from '../components/clinic/Reliabilities.svelte';
    import Thresholds from '../components/clinic/Thresholds.svelte';
    import Trail from '../components/Trail.svelte';
    import type { ClinicProps } from '../types/props';

    let {
        clinic,
        schools,
        outcomes,
        quarters,
        people,
        roles,
        invitations,
        new_invitation,
        demands_second_factor,
        thresholds,
        reliabilities,
        questionnaires,
        agreement,
        backup,
        letters,
        keeping,
        is_lead,
        trail,
    }: ClinicProps = $props();
</script>

<Room title="Clinic" current="clinic">
    <div class="grid gap-x-12 gap-y-6 pt-5 md:grid-cols-[1fr_1.4fr]">
        <section>
            <h1 class="text-[1.45rem]">{clinic.name}</h1>
            <p class="text-muted">{clinic.time_zone.replaceAll('_', ' ')}</p>
            <h2 class="mt-5 mb-1 text-[1.15rem]">People</h2>
            <People
                {people}
                {roles}
                {invitations}
                newInvitation={new_invitation}
                demanded={demands_second_factor}
                isLead={is_lead}
            />
            <h2 class="mt-5 mb-1 text-[1.15rem]">My voice</h2>
            <p>
                Numbers and words in your own voice lead your patients at home. <Link href="/voice" class="linklike"
                    >Record it</Link
                >
            </p>
            <div class="mt-5">
                <Settings
                    wording={clinic.emergency_wording}
                    crisis={clinic.crisis_number}
                    school={clinic.school}
                    {schools}
                    telephone={clinic.telephone}
                    minutes={clinic.minutes}
                    initials={clinic.calendar_initials}
                    canChange={is_lead}
                />
            </div>
        </section>
        <section>
            <h2 class="mb-1 text-[1.15rem]">When something is proposed</h2>
            <p class="mb-1 text-[0.925rem] text-muted">
                The rules are asked from top to bottom. A proposal is never applied by itself.
            </p>
            <Thresholds lines={thresholds} canChange={is_lead} />
            <h2 class="mt-5 mb-1 text-[1.15rem]">Questionnaires of our own</h2>
            <OwnQuestionnaires all={questionnaires} />
            <h2 class="mt-5 mb-1 text-[1.15rem]">When a change in a questionnaire counts</h2>
            <p class="mb-1 text-[0.925rem] text-muted">
                For these no reliable change is published that everyone could go by. Enter the spread and the
                reliability that you go by; without them a change is shown in points, and nothing is claimed.
            </p>
            <Reliabilities lines={reliabilities} canChange={is_lead} />
            <p class="mt-3 text-[0.925rem]">
                {#if agreement.share === null}
                    <span class="text-muted">
                        How often decisions follow the proposals is shown from 10 decisions a year on; so far
                        {agreement.decisions}.
                    </span>
                {:else}
                    <strong>{Math.round(agreement.share * 100)} %</strong>
                    of {agreement.decisions} decisions in the last year followed the proposal.
                {/if}
            </p>
            <h2 class="mt-5 mb-1 text-[1.15rem]">Backups of the server</h2>
            <BackupLine {backup} />
            {#if keeping}<h2 class="mt-5 mb-1 text-[1.15rem]">Keeping and forgetting</h2>
                <Keeping {keeping} />{/if}
            {#if letters}<h2 class="mt-5 mb-2 text-[1.15rem]">Letters</h2>
                <LetterWords words={letters} name={clinic.name} />{/if}
        </section>
    </div>
    <section class="mt-6 border-t border-ink pt-3">
        <h2 class="mb-2 text-[1.15rem]">What became of our patients</h2>
        <Outcomes {outcomes} {quarters} />
    </section>
    <section class="mt-6 border-t border-ink pt-3">
        <h2 class="mb-1 text-[1.15rem]">Who opened and changed what</h2>
        {#if trail}<Trail lines={trail} withPatient />{:else}<p class="text-muted">The clinic’s lead sees this.</p>{/if}
    </section>
</Room>
