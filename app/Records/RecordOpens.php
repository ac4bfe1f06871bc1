<?php

declare(strict_types=1);

namespace App\Records;

use App\Facts\AskedForms;
use App\Facts\EvidenceOf;
use App\Facts\FormText;
use App\Facts\MeasureSheet;
use App\Facts\OnFile;
use App\Facts\PatientFactsOf;
use App\Models\AskedForm;
use App\Models\CareSession;
use App\Models\ChosenSymptom;
use App\Models\Consent;
use App\Models\Device;
use App\Models\DiaryEntry;
use App\Models\FindingReason;
use App\Models\HabitTick;
use App\Models\Handover;
use App\Models\HomeCheck;
use App\Models\Letter;
use App\Models\LetterDraft;
use App\Models\MadeDecision;
use App\Models\Measurement;
use App\Models\NewFinding;
use App\Models\NoteAmendment;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practice;
use App\Models\Programme;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use App\Models\PutOffPractice;
use App\Models\RaisedRedFlag;
use App\Models\Recording;
use App\Models\RedFlagAction;
use App\Models\Screening;
use App\Models\ScreeningAnswer;
use App\Models\SecondLook;
use App\Models\SessionNote;
use App\Models\SessionStep;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Throwable;

/** Whether every row that was read in can be opened: a word that none of ours is would break each page that shows it. */
final class RecordOpens
{
    /** @var array<string, class-string<Model>> */
    public const MODELS = [
        'asked_forms' => AskedForm::class,
        'care_sessions' => CareSession::class,
        'chosen_symptoms' => ChosenSymptom::class,
        'consents' => Consent::class,
        'decisions' => MadeDecision::class,
        'devices' => Device::class,
        'diary_entries' => DiaryEntry::class,
        'finding_reasons' => FindingReason::class,
        'habit_ticks' => HabitTick::class,
        'handovers' => Handover::class,
        'home_checks' => HomeCheck::class,
        'recordings' => Recording::class,
        'letter_drafts' => LetterDraft::class,
        'letters' => Letter::class,
        'measurements' => Measurement::class,
        'new_findings' => NewFinding::class,
        'note_amendments' => NoteAmendment::class,
        'pauses' => Pause::class,
        'practices' => Practice::class,
        'programme_items' => ProgrammeItem::class,
        'programme_versions' => ProgrammeVersion::class,
        'programmes' => Programme::class,
        'put_offs' => PutOffPractice::class,
        'raised_red_flags' => RaisedRedFlag::class,
        'red_flag_actions' => RedFlagAction::class,
        'screening_answers' => ScreeningAnswer::class,
        'screenings' => Screening::class,
        'second_looks' => SecondLook::class,
        'session_notes' => SessionNote::class,
        'session_steps' => SessionStep::class,
    ];

    /**
     * @param  list<int|string>  $ids  in order
     *
     * @throws BadRecord with the first row that cannot
     */
    public static function look(string $table, array $ids): void
    {
        $model = self::MODELS[$table];
        $places = array_flip($ids);
        foreach ($model::query()->withoutGlobalScopes()->whereIn('id', $ids)->lazy() as $row) {
            try {
                $row->attributesToArray();
                if ($row instanceof ProgrammeItem) {
                    $row->item();
                }
                // Symptoms are the patient's own, and stand among the measurements.
                if ($row instanceof AskedForm && $row->form !== AskedForm::SYMPTOMS) {
                    FormText::said($row);
                }
            } catch (Throwable $problem) {
                $number = $places[$row->getKey()] + 1;
                throw BadRecord::because("In record.json, $table, row $number: ".mb_substr(mb_scrub($problem->getMessage()), 0, 160));
            }
        }
    }

    /**
     * What the pages begin with.
     *
     * @throws BadRecord
     */
    public static function whole(Patient $patient): void
    {
        try {
            $now = CarbonImmutable::now();
            $patient->dayOf($now);
            $patient->load('latestScreening.answers', 'activeProgramme.versions.items', 'openRedFlags', 'clinic');
            $programmes = $patient->programmes()->with('versions.items')->get();
            foreach ([null, ...$programmes->whereNotNull('closed_on')->all()] as $closed) {
                $evidence = EvidenceOf::on(OnFile::patient($patient, $now, null, $closed));
                $first = ($closed ?? $patient->activeProgramme)?->history()->firstDay();
                if ($first !== null) {
                    $evidence?->from($first);
                }
            }
            PatientFactsOf::screened($patient, $now)->labels();
            MeasureSheet::of($patient);
            AskedForms::questionnaires($patient);
            RecordTables::of($patient);
        } catch (Throwable $problem) {
            throw BadRecord::because('The record cannot be opened: '.mb_substr(mb_scrub($problem->getMessage()), 0, 160));
        }
    }
}
