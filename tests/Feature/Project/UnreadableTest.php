<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Models\CareSession;
use App\Models\Casts\Sealed;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\SealedColumns;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use IvoryPace\Session\Step;
use Tests\Feature\AtTheQuay;
use Tests\TestCase;

/** A cell that cannot be opened costs that cell, not the page. */
final class UnreadableTest extends TestCase
{
    use AtTheQuay, RefreshDatabase;

    /** Every encrypted column that a page reads, by table. */
    public function test_every_page_opens_when_no_cell_can_be_read_and_when_texts_are_broken(): void
    {
        $this->atTheQuay();
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
        foreach (glob(app_path('Models/*.php')) ?: [] as $file) {
            $text = (string) file_get_contents($file);
            preg_match("/protected \\\$table = '(\\w+)'/", $text, $table);
            foreach (['Sealed' => SealedColumns::TEXTS, 'SealedList' => SealedColumns::LISTS] as $cast => $listed) {
                preg_match_all("/'(\\w+)' => $cast::class/", $text, $columns);
                if (isset($table[1])) {
                    self::assertEqualsCanonicalizing($columns[1], $listed[$table[1]] ?? [], "$cast of {$table[1]}");
                }
            }
        }
    }

    private function damage(string $garbage): void
    {
        $triggers = DB::select('show triggers');
        foreach ($triggers as $trigger) {
            DB::unprepared("drop trigger if exists `{$trigger->Trigger}`");
        }
        foreach (SealedColumns::all() as $table => $columns) {
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
