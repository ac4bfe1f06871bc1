<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Facts\Calendar\AppointmentsOf;
use App\Models\NewFinding;
use App\Models\Patient;
use App\Models\Programme;
use App\Pages\Shared\PatientHead;
use App\Pages\Shared\PausesOf;
use Carbon\CarbonImmutable;
use Closure;
use IvoryPace\Programme\Outcome;

/** A patient's Course: what was prescribed above what happened, on one axis of days. Each part is computed when it is asked for. */
final readonly class CourseOf
{
    private ?CourseReading $reading;

    /**
     * @param  array<string, mixed>  $compare  the two stretches that are compared
     * @param  Programme|null  $programme  that is looked at
     */
    public function __construct(
        private Patient $patient,
        private CarbonImmutable $now,
        private Span $span,
        array $compare,
        ?Programme $programme,
    ) {
        $patient->loadMissing('clinic');
        $patient->load('openRedFlags');
        $programme?->loadMissing('versions.items', 'versions.practitioner');
        // Only what was answered with yes makes a flag.
        $patient->load(['latestScreening.answers' => fn ($answers) => $answers->where('answer', true)]);
        $this->reading = $programme === null ? null : new CourseReading($patient, $programme, $now, $span, $compare);
    }

    /** @return array<string, mixed> what the page opens with */
    public function opening(): array
    {
        $patient = $this->patient;
        $reading = $this->reading;

        return [
            'patient' => fn () => PatientHead::of($patient, $this->now),
            'added_on' => $patient->created_at->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            'pauses' => fn () => PausesOf::goingOn(
                $patient,
                $reading?->file()->pauses->whereNull('until_at')
                    ?? $patient->pauses()->goingOn()->with('practice', 'begunBy')->limit(20)->get(),
            ),
            'new_findings' => fn () => $patient->newFindings()->limit(20)->get()->map(fn (NewFinding $finding) => [
                'exercise' => $finding->exercise, 'title' => $finding->title, 'message' => $finding->message, 'rule' => $finding->rule,
                'found' => self::time($finding->found_at, $patient),
            ]),
            'appointment' => fn () => AppointmentsOf::next($patient, $this->now),
            'outcomes' => array_map(fn (Outcome $outcome) => ['value' => $outcome->value, 'label' => $outcome->label()], Outcome::cases()),
            'ended' => $reading === null ? null : self::ended($reading->programme),
            'span' => $this->span->value,
            'spans' => array_map(fn (Span $each) => ['value' => $each->value, 'label' => $each->label()], Span::cases()),
            // As an object: Inertia searches arrays through and through for closures, and this is finished.
            'programme' => fn () => $reading === null
                ? null
                : (object) (
                    new CourseAxis($reading->file(), $reading->programme, $reading->evidence(), $reading->lines(), $reading->from())
                )->toArray(),
            'maintenance' => $reading->programme->is_maintenance ?? false,
            'proposals' => fn () => $reading === null || $reading->isClosed()
                ? []
                : ProposalsOf::on($reading->file(), $reading->evidence()),
        ];
    }

    /** @return array<string, Closure(): mixed>|null what follows; null where there is no programme */
    public function details(): ?array
    {
        return $this->reading === null ? null : (new Details($this->reading))->parts();
    }

    /** @return array{on: string, outcome: string, note: string|null, programme: int}|null null while it is running */
    private static function ended(Programme $programme): ?array
    {
        return $programme->closed_on === null ? null
            : [
                'on' => $programme->closed_on->format('j M Y'), 'outcome' => $programme->outcome?->label() ?? 'closed',
                'note' => $programme->outcome_note, 'programme' => $programme->id,
            ];
    }

    private static function time(CarbonImmutable $instant, Patient $patient): string
    {
        return $instant->setTimezone($patient->time_zone)->format('D j M H:i');
    }
}
