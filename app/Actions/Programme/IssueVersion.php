<?php

declare(strict_types=1);

namespace App\Actions\Programme;

use App\Facts\PatientFactsOf;
use App\Facts\Safeguards;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Programme;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Programme\Goal;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\ItemFields;
use IvoryPace\Programme\Lineages;
use IvoryPace\Programme\ProgrammeDates;
use IvoryPace\Programme\ProgrammeDraft;
use IvoryPace\Programme\VersionOrder;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PauseRules;
use IvoryPace\Safety\RuleBook;

/**
 * Issues a version of a patient's programme: the first one starts the programme, any later one takes effect on the
 * next patient-day. Versions are never changed afterwards.
 */
final class IssueVersion
{
    public function __construct(private readonly SettleFindings $settle, private readonly RecheckProgramme $recheck)
    {
    }

    /** @throws ValidationException with messages by field */
    public function __invoke(Patient $patient, Practitioner $by, VersionOrder $order): ProgrammeVersion
    {
        return DB::transaction(function () use ($patient, $by, $order) {
            // One writer at a time for a patient: the second sees what the first has issued.
            $patient = Patient::query()->lockForUpdate()->findOrFail($patient->id);
            $patient->load(
                ['latestScreening.answers', 'openRedFlags', 'activeProgramme.versions.items', 'activeProgramme.versions.practitioner'],
            );
            $now = CarbonImmutable::now();
            $programme = $patient->activeProgramme;
            $latest = $programme?->latestVersion();

            $archived = $patient->archived_at !== null;
            $this->refuse('programme', ! $archived ? null : 'This patient is archived. Bring them back under Record first.');
            $this->refuse('programme', Safeguards::obstacle($patient));
            if (($latest->number ?? 0) !== $order->basedOn) {
                $this->refuse('programme', $latest === null
                    ? 'The programme was closed meanwhile. Look at the Course; begin anew on the Bench if another is to follow.'
                    : "Version {$latest->number} was issued by {$latest->practitioner->name} meanwhile. "
                        .'Look at it first; nothing of yours is lost.');
            }
            if ($latest === null && $this->isPaused($patient)) {
                $this->refuse('programme', 'An exercise of the last programme is paused, and nobody has looked at it. '
                    .'Do that on the Course first; nothing of yours is lost.');
            }
            $isMaintenance = $programme->is_maintenance ?? $order->maintenance;
            if ($isMaintenance && $programme === null && $patient->lastClosedProgramme === null) {
                $this->refuse('programme', 'There is no finished programme to keep up.');
            }
            $lines = Lineages::kept($order->items, $latest?->itemsByLineage() ?? [], fn () => (string) Str::ulid());
            $draft = ProgrammeDraft::read($lines, $order->school);
            $this->refuseDraft($draft);
            [$goal, $goalErrors] = Goal::read($order->goal);
            $this->refuseAll($goalErrors, 'goal.');
            $items = $draft->items();
            $facts = PatientFactsOf::patient($patient, $now);
            $findings = RuleBook::checkProgramme($items, $facts, PatientFactsOf::inForce($latest));
            $reasons = $this->reasons($items, $findings, $order);
            $dates = $this->dates($patient, $now, $order, $latest, $isMaintenance);
            if ($latest !== null && trim((string) $order->reason) === '') {
                $this->refuse('reason', 'Say in a line why the programme changes.');
            }

            $programme ??= $this->begin($patient, $isMaintenance);
            $version = $programme->versions()->create([
                'number' => 1 + (int) $programme->everyVersion()->max('number'),
                'practitioner_id' => $by->id,
                'in_force_from' => $dates->from->date,
                'ends_on' => $dates->ends?->date,
                'review_on' => $dates->review->date,
                'rated_symptom' => $order->ratedSymptom,
                'school' => $draft->school->value,
                'goal' => $goal?->write(),
                'patient_note' => $order->patientNote,
                'reason' => $order->reason,
                'issued_at' => $now,
                'item_count' => count($items),
            ]);
            foreach ($items as $item) {
                $version->items()->create(['lineage' => $item->lineage, 'fields' => ItemFields::write($item)]);
            }
            foreach ($reasons as $reason) {
                $version->findingReasons()->create([...$reason, 'practitioner_id' => $by->id, 'given_at' => $now]);
            }

            // What a new fact said has been looked at: the rules have seen this version with it. Until it takes effect, the
            // old one is still in force, so what was paused stays paused.
            $takesEffect = CarbonImmutable::instance($patient->clock()->startsAt($dates->from))->max($now);
            ($this->settle)($patient, $by, self::settledBy($version->number), until: $takesEffect);
            $this->recheck->remember($patient, $facts);

            return $version;
        });
    }

    /** What is noted of a finding that a version has settled. */
    public static function settledBy(int $number): string
    {
        return "Version $number issued.";
    }

    /** Where the first version was withdrawn, the programme that it began goes on without it. */
    private function begin(Patient $patient, bool $isMaintenance): Programme
    {
        $empty = $patient->programmes()->whereNull('closed_on')->first();
        $empty?->update(['is_maintenance' => $isMaintenance]);

        return $empty ?? Programme::query()->create(['patient_id' => $patient->id, 'is_maintenance' => $isMaintenance]);
    }

    private function isPaused(Patient $patient): bool
    {
        return $patient->pauses()->goingOn()->limit(20)->pluck('rule')
            ->contains(fn (mixed $rule) => is_string($rule) && PauseRules::barsANewProgramme($rule));
    }

    private function refuseDraft(ProgrammeDraft $draft): void
    {
        $this->refuse('programme', $draft->error);
        $errors = [];
        foreach ($draft->drafts as $index => $each) {
            foreach ($each->errors as $field => $message) {
                $errors["items.$index.$field"] = $message;
            }
        }
        $this->refuseAll($errors);
    }

    /** @param  array<string, string>  $errors  by field */
    private function refuseAll(array $errors, string $prefix = ''): void
    {
        if ($errors !== []) {
            $fields = array_map(fn (string $field) => $prefix.$field, array_keys($errors));
            throw ValidationException::withMessages(array_combine($fields, $errors));
        }
    }

    /**
     * @param  list<Item>  $items
     * @param  array<string, list<Finding>>  $findings  by lineage
     * @return list<array{lineage: string, rule: string, message: string, reason: string, cause: array<string, mixed>}>
     */
    private function reasons(array $items, array $findings, VersionOrder $order): array
    {
        $reasons = [];
        $missing = [];
        foreach ($items as $index => $item) {
            foreach ($findings[$item->lineage] ?? [] as $finding) {
                if ($finding->level !== Level::NeedsReason) {
                    continue;
                }
                $reason = trim((string) ($order->findingReasons[$index][$finding->rule] ?? ''));
                $typedFor = $order->findingCauses[$index][$finding->rule] ?? null;
                $field = "finding_reasons.$index.{$finding->rule}";
                if (mb_strlen($reason) < 5) {
                    $missing[$field] = "“{$finding->title}” needs a clinical reason, or one of the changes.";
                } elseif ($typedFor !== null && ! Cause::read($typedFor)->covers($finding->cause)) {
                    $missing[$field] = "“{$finding->title}” says more than when its reason was written: {$finding->message} "
                        .'Read it again.';
                }
                $reasons[] = [
                    'lineage' => $item->lineage, 'rule' => $finding->rule, 'message' => "{$finding->title}. {$finding->message}",
                    'reason' => $reason, 'cause' => $finding->cause->write(),
                ];
            }
        }
        $this->refuseAll($missing);

        return $reasons;
    }

    private function dates(
        Patient $patient,
        CarbonImmutable $now,
        VersionOrder $order,
        ?ProgrammeVersion $latest,
        bool $isMaintenance,
    ): ProgrammeDates {
        $dates = ProgrammeDates::from(
            $patient->dayOf($now), $latest === null ? null : PatientDay::of($latest->in_force_from->format('Y-m-d')),
            $order->startsOn === null ? null : PatientDay::of($order->startsOn), PatientDay::of($order->reviewOn),
        );
        $dates = match (true) {
            $isMaintenance => $dates,
            $order->endsOn !== null => $dates->until(PatientDay::of($order->endsOn)),
            default => $dates->forWeeks($order->weeks),
        };
        $this->refuseAll($dates->problems());

        return $dates;
    }

    private function refuse(string $field, ?string $message): void
    {
        if ($message !== null) {
            throw ValidationException::withMessages([$field => $message]);
        }
    }
}
