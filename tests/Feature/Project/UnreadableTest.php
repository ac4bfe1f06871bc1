<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Models\CareSession;
use App\Models\Casts\Sealed;
use App\Models\Patient;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Database\Seeders\Demo\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use IvoryPace\Session\Step;
use Tests\TestCase;

/** A cell that cannot be opened costs that cell, not the page. */
final class UnreadableTest extends TestCase
{
    use RefreshDatabase;

    /** Every encrypted column that a page reads, by table. */
    private const SEALED = [
        'session_notes' => ['text'], 'note_amendments' => ['text', 'reason'], 'asked_forms' => ['answers'], 'diary_entries' => ['content', 'struck_reason'],
        'red_flag_actions' => ['action'], 'finding_reasons' => ['message', 'reason'], 'pauses' => ['looked_at', 'reason'], 'decisions' => ['reason'],
        'patients' => ['contact', 'checked_facts', 'archive_reason'], 'new_findings' => ['message', 'looked_at'], 'kept_asides' => ['body'],
        'practices' => ['remark', 'struck_reason'], 'measurements' => ['struck_reason'], 'home_checks' => ['struck_reason'],
        'habit_ticks' => ['struck_reason'], 'care_sessions' => ['drop_reason'], 'record_joins' => ['reason'],
        'session_steps' => ['content'], 'handovers' => ['reason'], 'screenings' => ['remark', 'correction_reason'],
        'programmes' => ['outcome_note'], 'programme_versions' => ['reason', 'goal', 'patient_note', 'withdrawn_reason'], 'access_trail' => ['detail'],
        'outgoing_mails' => ['to', 'subject', 'text'], 'caseload_lines' => ['line'], 'absences' => ['reason'],
        'letters' => ['addressee', 'parts', 'text', 'pdf', 'sent_how'], 'letter_drafts' => ['addressee', 'parts'],
    ];

    public function test_every_page_opens_when_no_cell_can_be_read_and_when_texts_are_broken(): void
    {
        $this->travelTo(CarbonImmutable::parse('2026-11-25 15:00', 'Europe/Lisbon'));
        config(['mail.default' => 'outbox']);
        (new DemoSeeder)->run('Europe/Lisbon');
        $this->actingAs(Practitioner::query()->where('email', 'nora@harrowquay.example')->sole(), 'practitioner');
        foreach (['made of nothing that was encrypted', Crypt::encryptString("broken \xC3\x28 text")] as $garbage) {
            $this->damage($garbage);
            $seen = 0;
            foreach ($this->addresses() as $address) {
                $text = (string) $this->get($address)->assertOk()->getContent();
                $seen += substr_count($text, Sealed::UNREADABLE) + substr_count($text, 'broken ?( text') + substr_count($text, 'broken ?(');
            }
            self::assertGreaterThan(10, $seen, 'It is said where something cannot be read.');
        }
    }

    public function test_the_list_of_encrypted_columns_is_whole(): void
    {
        $found = [];
        foreach (glob(app_path('Models/*.php')) ?: [] as $file) {
            $text = (string) file_get_contents($file);
            preg_match("/protected \\\$table = '(\\w+)'/", $text, $table);
            preg_match_all("/'(\\w+)' => Sealed(?:List)?::class/", $text, $columns);
            if (isset($table[1]) && $columns[1] !== []) {
                $found[$table[1]] = $columns[1];
            }
        }
        foreach ($found as $table => $columns) {
            self::assertEqualsCanonicalizing($columns, self::SEALED[$table] ?? [], $table);
        }
    }

    private function damage(string $garbage): void
    {
        $triggers = DB::select('show triggers');
        foreach ($triggers as $trigger) {
            DB::unprepared("drop trigger if exists `{$trigger->Trigger}`");
        }
        foreach (self::SEALED as $table => $columns) {
            foreach ($columns as $column) {
                DB::table($table)->whereNotNull($column)->update([$column => $garbage]);
            }
        }
        DB::table('caseload_lines')->update(['line' => 'no line']);
    }

    /** @return iterable<string> */
    private function addresses(): iterable
    {
        yield from ['/', '/week', '/clinic', '/clinic/outbox'];
        foreach (Patient::query()->whereHas('clinic', fn ($clinic) => $clinic->where('name', 'like', 'Harrow%'))->with('activeProgramme')->limit(50)->get() as $patient) {
            foreach (['', '/record', '/bench', '/measure', '/screening', '/access', '/versions/1'] as $page) {
                if ($page !== '/versions/1' || $patient->activeProgramme !== null) {
                    yield "/patients/{$patient->id}$page";
                }
            }
            foreach (CareSession::query()->where('patient_id', $patient->id)->limit(10)->get() as $session) {
                foreach (Step::cases() as $step) {
                    yield "/patients/{$patient->id}/sessions/{$session->id}/{$step->value}";
                }
            }
        }
    }
}
