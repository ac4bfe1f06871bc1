<?php

declare(strict_types=1);

namespace App\Pages\Record;

use App\Facts\AskedForms;
use App\Facts\SharedWith;
use App\Language\PatientLanguage;
use App\Models\CareSession;
use App\Models\Erasure;
use App\Models\Handover;
use App\Models\Measurement;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\ProgrammeVersion;
use App\Models\RecordJoin;
use App\Models\Role;
use App\Models\SessionStep;
use App\Pages\Shared\PatientHead;
use App\Pages\Shared\PausesOf;
use App\Pages\Shared\ScreeningForm;
use App\Pages\Shared\TrailOf;
use Carbon\CarbonImmutable;

/** Everything of one patient in one place. */
final class RecordOf
{
    private const MOST = 100;

    /** @return array<string, mixed> */
    public static function patient(Patient $patient, Practitioner $reader, CarbonImmutable $now): array
    {
        $zone = $patient->clinic->time_zone;
        $day = fn (CarbonImmutable $at) => $at->setTimezone($zone)->format('j M Y');

        return [
            'patient' => PatientHead::of($patient, $now),
            'details' => [
                'name' => $patient->name, 'birth_date' => $patient->birth_date->format('Y-m-d'), 'time_zone' => $patient->time_zone,
                'locale' => $patient->locale, 'day_start' => $patient->day_start,
                'contact' => $patient->contact ?? '', 'mails_appointments' => $patient->mails_appointments,
                'minutes_a_day' => (string) ($patient->minutes_a_day ?? ''),
            ],
            'languages' => array_map(
                fn (string $locale, string $name) => ['value' => $locale, 'label' => $name], array_keys(PatientLanguage::all()),
                PatientLanguage::all(),
            ),
            'added_on' => $day($patient->created_at),
            'screenings' => ScreeningForm::history($patient),
            'red_flags' => ScreeningForm::redFlags($patient),
            'exercises' => ScreeningForm::exercises($patient),
            'measurements' => self::measurements($patient, $day),
            'questionnaires' => AskedForms::questionnaires($patient),
            'sessions' => $patient->everySession()
                ->with(['practitioner', 'note.practitioner', 'note.amendments', 'droppedBy', 'steps'])->orderByDesc('number')
                ->limit(self::MOST)->get()->map(fn (CareSession $session) => [
                    'id' => $session->id, 'number' => $session->number, 'on' => $day($session->begun_at),
                    'by' => $session->practitioner->name,
                    'note' => $session->note?->text, 'signed_by' => $session->note?->practitioner->name,
                    'amendments' => $session->note?->amendments->count() ?? 0,
                    'dropped' => $session->dropped_at === null ? null : [
                        'reason' => $session->drop_reason, 'by' => $session->droppedBy?->name,
                        'typed' => self::typed($session),
                    ],
                ]),
            'versions' => ProgrammeVersion::query()->whereIn('programme_id', $patient->programmes()->select('id'))
                ->with(['items', 'practitioner', 'programme', 'withdrawer'])->orderByDesc('id')->limit(self::MOST)->get()
                ->map(fn (ProgrammeVersion $version) => [
                    'id' => $version->id, 'number' => $version->number, 'on' => $day($version->issued_at),
                    'by' => $version->practitioner->name,
                    'reason' => $version->reason, 'items' => $version->items->map(fn ($row) => $row->item()->name())->implode(', '),
                    'withdrawn' => $version->withdrawn_at === null ? null
                        : "withdrawn by {$version->withdrawer?->name}: {$version->withdrawn_reason}",
                    'query' => $version->programme->closed_on === null ? '' : "?programme={$version->programme_id}",
                ]),
            'lifted' => PausesOf::lifted($patient),
            'practices' => $patient->practices()->count(), 'letters' => $patient->letters()->count(),
            'archived' => $patient->archived_at === null ? null : ['on' => $day($patient->archived_at),
                'reason' => $patient->archive_reason],
            'refusals' => Erasure::query()->where('patient_id', $patient->id)->where('outcome', Erasure::REFUSED)->with('practitioner')
                ->orderByDesc('id')->limit(10)->get()->map(fn (Erasure $refused) => [
                    'on' => $day($refused->asked_at), 'by' => $refused->practitioner?->name, 'reason' => $refused->reason,
                ]),
            'is_lead' => $reader->role === Role::Lead,
            'joins' => RecordJoin::query()->where('older_id', $patient->id)->with('practitioner')->orderByDesc('id')->limit(10)->get()
                ->map(fn (RecordJoin $join) => [
                    'on' => $day($join->at), 'by' => $join->practitioner->name, 'reason' => $join->reason,
                ]),
            'responsible' => ['id' => $patient->practitioner_id, 'name' => $patient->practitioner->name],
            'shared_with' => SharedWith::of($patient),
            'handovers' => $patient->handovers()->with(['to', 'by'])->orderByDesc('id')->limit(self::MOST)->get()
                ->map(fn (Handover $handover) => [
                    'text' => match ($handover->kind) {
                        'move' => "moved to {$handover->to->name}",
                        'share' => "shared with {$handover->to->name}",
                        default => "no longer shared with {$handover->to->name}",
                    }, 'by' => $handover->by->name, 'on' => $day($handover->at), 'reason' => $handover->reason,
                ]),
            'colleagues' => Practitioner::query()->where('clinic_id', $patient->clinic_id)->whereNull('ended_at')->orderBy('name')
                ->limit(self::MOST)->get()
                ->map(fn (Practitioner $colleague) => ['id' => $colleague->id, 'name' => $colleague->name]),
            'trail' => $reader->role === Role::Lead ? TrailOf::patient($patient) : null,
        ];
    }

    /** What was typed in a session that was dropped. */
    private static function typed(CareSession $session): string
    {
        return $session->steps->map(fn (SessionStep $step) => $step->content['remarks'] ?? $step->content['text'] ?? '')
            ->filter(fn (mixed $text) => is_string($text) && trim($text) !== '')->implode("\n");
    }

    /**
     * @param  callable(CarbonImmutable): string  $day
     * @return list<array<string, mixed>> newest first
     */
    private static function measurements(Patient $patient, callable $day): array
    {
        $latest = Measurement::withStruck()->where('patient_id', $patient->id)->with(['practitioner', 'symptom', 'striker'])
            ->orderByDesc('measured_at')->orderByDesc('id')->limit(self::MOST)->get();

        return array_values($latest->map(fn (Measurement $each) => [
            'id' => $each->id, 'struck' => $each->struck_at === null ? null : "struck by {$each->striker?->name}: {$each->struck_reason}",
            'label' => $each->symptom === null ? $each->measure->label() : ucfirst($each->symptom->name),
            'value' => round($each->value, 1).' '.$each->measure->unit(), 'words' => $each->details['words'] ?? null,
            'how' => "{$each->position->label()}, {$each->method}", 'on' => $day($each->measured_at), 'by' => $each->practitioner->name,
        ])->all());
    }
}
