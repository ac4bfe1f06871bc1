<?php

declare(strict_types=1);

namespace App\Actions\Programme;

use App\Facts\PatientFactsOf;
use App\Models\FindingReason;
use App\Models\Patient;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use IvoryPace\Health\Flag;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Likeness;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\PauseRules;
use IvoryPace\Safety\Recheck;

/**
 * What is known of a patient is held against the running programme whenever it changes: by a screening, by a measured
 * value, by a day that passes. The version in force is looked at and the one that is issued but not in force yet. What was
 * known last is remembered, so that nothing new is missed and nothing is said twice.
 */
final class RecheckProgramme
{
    /** A flag whose time is over: nothing is paused, and what was asked for because of it can be looked at again. */
    public const FLAG_ENDED = 'FLAG-ENDED';

    /** @param  bool  $timePassed  nobody has said anything: a flag that is gone has come to its end */
    public function __invoke(Patient $patient, bool $timePassed = false): void
    {
        $now = CarbonImmutable::now();
        $patient->load('latestScreening.answers', 'activeProgramme.versions.items');
        $after = PatientFactsOf::patient($patient, $now);
        // Read anew: it is written whenever something is issued, whoever holds this patient meanwhile.
        $known = Patient::query()->findOrFail($patient->id)->checked_facts;
        $before = $known === null ? null : PatientFacts::read($known);
        if ($before !== null && $before->write() === $after->write()) {
            return;
        }
        if ($before !== null) {
            foreach ($this->versions($patient, $now) as $version) {
                $this->check($patient, $version, $before, $after, $now);
            }
            // What turns from early to late goes on; only what is over is said.
            $ended = array_values(array_filter($after->lostSince($before), fn (Flag $flag) => $flag !== Flag::LatePregnancy));
            $this->noteEnded($patient, $timePassed ? $ended : [], $now);
        }
        $this->remember($patient, $after);
    }

    /** From here on this is what the rules have seen. */
    public function remember(Patient $patient, PatientFacts $facts): void
    {
        Patient::query()->findOrFail($patient->id)->update(['checked_facts' => $facts->write()]);
    }

    /** @return list<ProgrammeVersion> in force, and issued but not in force yet */
    private function versions(Patient $patient, CarbonImmutable $now): array
    {
        $programme = $patient->activeProgramme;
        $versions = [];
        foreach ([$programme?->versionOn($patient->dayOf($now)), $programme?->latestVersion()] as $version) {
            if ($version !== null) {
                $versions[$version->id] = $version;
            }
        }

        return array_values($versions);
    }

    private function check(
        Patient $patient,
        ProgrammeVersion $version,
        PatientFacts $before,
        PatientFacts $after,
        CarbonImmutable $now,
    ): void {
        $version->loadMissing('findingReasons');
        $rows = $version->items->keyBy('lineage');
        $items = array_values($version->items->map(fn (ProgrammeItem $row) => $row->item())->all());
        foreach (
            Recheck::of(
                $items, $before, $after, PatientFactsOf::inForce($version), self::reasons($version),
            )->new as ['item' => $item, 'finding' => $finding, 'pauses' => $pauses]
        ) {
            $known = $patient->newFindings()->where('lineage', $item->lineage)->where('rule', $finding->rule)->get()
                ->contains(
                    fn ($each) => $each->level->rank() >= $finding->level->rank() && Cause::read($each->cause)->covers($finding->cause),
                );
            if (! $known) {
                $patient->newFindings()->create([
                    'lineage' => $item->lineage, 'rule' => $finding->rule, 'level' => $finding->level, 'exercise' => $item->name(),
                    'title' => $finding->title, 'message' => $finding->message, 'cause' => $finding->cause->write(), 'found_at' => $now,
                ]);
            }
            if (
                $pauses
                    && ! $patient->pauses()->goingOn()->where('lineage', $item->lineage)->where('rule', PauseRules::NEW_FINDING)->exists()
            ) {
                $patient->pauses()->create([
                    'lineage' => $item->lineage, 'rule' => PauseRules::NEW_FINDING,
                    'cause' => mb_substr("{$item->name()}: {$finding->title}", 0, 190), 'from_at' => $now,
                    'likeness' => array_map(fn (Likeness $likeness) => $likeness->write(), $rows->get($item->lineage)?->likeness() ?? []),
                ]);
            }
        }
    }

    /** @return array<string, array<string, Cause>> what a reason was given for, by lineage and rule */
    private static function reasons(ProgrammeVersion $version): array
    {
        $reasons = [];
        /** @var FindingReason $reason */
        foreach ($version->findingReasons as $reason) {
            $reasons[$reason->lineage][$reason->rule] = $reason->covers();
        }

        return $reasons;
    }

    /** @param  list<Flag>  $ended */
    private function noteEnded(Patient $patient, array $ended, CarbonImmutable $now): void
    {
        $first = $patient->activeProgramme?->latestVersion()?->items->first();
        if ($first === null) {
            return;
        }
        foreach ($ended as $flag) {
            $patient->newFindings()->create([
                'lineage' => $first->lineage, 'rule' => self::FLAG_ENDED, 'level' => Level::Note, 'exercise' => 'The programme',
                'title' => ucfirst($flag->label()).': no longer',
                'message' => 'What was chosen because of it can be looked at again.', 'cause' => (new Cause([$flag]))->write(),
                'found_at' => $now,
            ]);
        }
    }
}
