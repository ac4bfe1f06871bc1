<?php

declare(strict_types=1);

namespace App\Models;

/** Which columns stand encrypted, as a text or as several values. A test holds it against the models. */
final class SealedColumns
{
    public const TEXTS = [
        'session_notes' => ['text'], 'note_amendments' => ['text', 'reason'], 'diary_entries' => ['struck_reason'],
        'red_flag_actions' => ['action'], 'finding_reasons' => ['message', 'reason'], 'pauses' => ['looked_at', 'reason'],
        'decisions' => ['reason'], 'patients' => ['contact', 'archive_reason'], 'new_findings' => ['message', 'looked_at'],
        'practices' => ['remark', 'struck_reason'], 'measurements' => ['struck_reason'], 'home_checks' => ['struck_reason'],
        'habit_ticks' => ['struck_reason'], 'care_sessions' => ['drop_reason'], 'record_joins' => ['reason'],
        'erasures' => ['reason'], 'handovers' => ['reason'],
        'screenings' => ['remark', 'correction_reason'], 'programmes' => ['outcome_note'],
        'programme_versions' => ['reason', 'patient_note', 'withdrawn_reason'],
        'outgoing_mails' => ['to', 'subject', 'text'], 'absences' => ['reason'],
        'recording_parts' => ['samples'],
        'letters' => ['addressee', 'text', 'pdf', 'sent_how'], 'letter_drafts' => ['addressee'],
    ];

    public const LISTS = [
        'asked_forms' => ['answers'], 'diary_entries' => ['content'], 'patients' => ['checked_facts'], 'kept_asides' => ['body'],
        'session_steps' => ['content'], 'programme_versions' => ['goal'], 'letters' => ['parts'], 'letter_drafts' => ['parts'],
        'access_trail' => ['detail'], 'caseload_lines' => ['line'],
    ];

    /** @return array<string, list<string>> */
    public static function all(): array
    {
        return array_merge_recursive(self::TEXTS, self::LISTS);
    }
}
