<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Models\MadeDecision;
use App\Models\Measurement;
use Carbon\CarbonImmutable;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use IvoryPace\Progress\Proposal\Decision;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** What the database itself refuses, whoever asks: also someone with every right. */
final class HistoryStandsTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    public function test_what_was_measured_decided_closed_paused_and_issued_stands(): void
    {
        $this->clinicWithPatient();
        $this->screen();
        $version = $this->issue();
        $id = $this->patient->id;
        Measurement::query()->create([
            'patient_id' => $id, 'practitioner_id' => $this->practitioner->id, 'measure' => 'exhale', 'value' => 6, 'position' => 'seated',
            'method' => 'typed', 'measured_at' => now(),
        ]);
        $this->refuses('A measurement cannot be changed.', 'update measurements set value = 7');
        $this->refuses('A measurement cannot be removed.', 'delete from measurements');
        $this->refuses('A patient cannot be removed.', 'set foreign_key_checks = 0', 'delete from patients');

        $item = [$version->id, (string) Str::ulid(), json_encode($version->items()->sole()->fields)];
        $this->refuses('An issued version takes no other exercise.', 'insert into programme_items (programme_version_id, lineage, fields) values (?, ?, ?)', with: $item);
        $this->refuses('An issued programme version cannot be changed.', 'update programme_versions set item_count = 9');

        $pause = $this->patient->pauses()->create(['lineage' => null, 'rule' => 'GET-HELP', 'from_at' => CarbonImmutable::now()]);
        $this->refuses('How a pause began cannot be changed.', 'update pauses set from_at = from_at + interval 1 day');
        $this->refuses('How a pause began cannot be changed.', "update pauses set rule = 'TWICE'");
        $this->refuses('A pause cannot be removed.', 'delete from pauses');
        self::assertTrue($pause->update(['until_at' => now(), 'looked_at' => 'seen', 'ended_by' => $this->practitioner->id]), 'it can be ended');

        $this->actingAs($this->practitioner, 'practitioner')->post("/patients/$id/sessions");
        $session = $this->patient->careSessions()->sole();
        $decided = [
            'clinic_id' => $this->patient->clinic_id, 'patient_id' => $id, 'practitioner_id' => $this->practitioner->id,
            'lineage' => $version->items()->sole()->lineage, 'decided' => Decision::GoOn, 'decided_at' => now(),
        ];
        $open = MadeDecision::query()->create([...$decided, 'care_session_id' => $session->id]);
        self::assertTrue($open->update(['decided' => Decision::Stop]), 'while its session is open, it is not made yet');
        $session->update(['closed_at' => now()]);
        $this->refuses('A decision of a closed session cannot be changed.', "update decisions set decided = 'go-on'");
        $this->refuses('A decision of a closed session cannot be removed.', 'delete from decisions');

        $version->programme->update(['closed_on' => now(), 'is_active' => null]);
        $this->refuses('A closed programme cannot be changed.', 'update programmes set closed_on = null');
        $this->refuses('A programme cannot be removed.', 'delete from programmes');
    }

    /** @param  list<mixed>  $with */
    private function refuses(string $message, string $before, ?string $statement = null, array $with = []): void
    {
        if ($statement !== null) {
            DB::statement($before);
        }
        try {
            DB::statement($statement ?? $before, $with);
        } catch (QueryException $refusal) {
            DB::statement('set foreign_key_checks = 1');
            self::assertStringContainsString($message, $refusal->getMessage());

            return;
        }
        self::fail('Nothing refused: '.($statement ?? $before));
    }
}
