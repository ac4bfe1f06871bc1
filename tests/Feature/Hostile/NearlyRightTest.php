<?php

declare(strict_types=1);

namespace Tests\Feature\Hostile;

use App\Actions\Assessment\AskForm;
use App\Actions\Session\BeginSession;
use App\Models\ChosenSymptom;
use App\Models\Practitioner;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use IvoryPace\Assessment\ScreeningQuestions;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\Scenario;
use Tests\TestCase;

/**
 * Requests that would be right but for one thing, somewhere in them: what gets far. Never an error of ours, and what is
 * refused has stored nothing, not even a part.
 */
final class NearlyRightTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const REQUESTS = 1000;

    /** What is written whatever the answer: guesses that are counted, lines of what was read or refused, derived lines. */
    private const ASIDE = ['cache', 'cache_locks', 'sessions', 'access_trail', 'caseload_lines', 'jobs', 'migrations'];

    public function test_one_wrong_thing_is_refused_whole_or_taken_whole(): void
    {
        $this->travelTo('2026-11-10 12:00:00');
        $this->clinicWithPatient();
        $this->practitioner->update(['role' => 'lead']);
        $this->screen();
        $version = $this->issue();
        [, $credential] = $this->device();
        $nasty = Nasty::seeded();
        $tables = array_values(array_diff(array_map(fn (object $row) => (string) array_values((array) $row)[0], DB::select('show tables')), self::ASIDE));
        $count = fn (): array => array_map(fn (string $table) => DB::table($table)->count(), array_combine($tables, $tables));
        $bodies = $this->bodies($version->id, $version->items->sole()->lineage);
        $bad = [];
        $answers = [];
        foreach ($bodies as [$method, $url, $body]) {
            $answer = $this->ask($method, $url, $body, $credential);
            if ($answer->status() >= 400 || str_contains((string) $answer->getContent(), 'refused')) {
                $bad[] = "$url is not right as it stands: ".substr((string) $answer->getContent(), 0, 300);
            }
        }
        self::assertSame([], $bad);
        for ($n = 0; $n < Nasty::requests(self::REQUESTS); $n++) {
            [$method, $url, $body] = $bodies[$n % count($bodies)];
            // Some are right altogether, so that there is something to come after.
            $sent = $nasty->upTo(19) === 0 ? $body : $nasty->spoil($body);
            $before = $count();
            $answer = $this->ask($method, $url, $sent, $credential);
            $answers[intdiv($answer->status(), 100)] = ($answers[intdiv($answer->status(), 100)] ?? 0) + 1;
            $stored = array_diff_assoc($count(), $before);
            if ($answer->status() >= 500 || ($answer->status() >= 400 && $stored !== [])) {
                $bad[] = "{$answer->status()} $method $url ".substr((string) json_encode($sent, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR), 0, 400)
                    .' → '.implode(' ', array_keys($stored)).' '.substr((string) ($answer->exception?->getMessage() ?? ''), 0, 200);
            }
        }
        self::assertSame([], $bad);
        // Both happened, or nothing was tried.
        self::assertGreaterThan(30, $answers[2] ?? 0);
        self::assertGreaterThan(100, $answers[4] ?? 0);

        auth()->forgetGuards();
        $this->actingAs($this->practitioner->refresh(), 'practitioner');
        foreach (['', '/screening', '/measure', '/bench', '/access', '/record'] as $page) {
            $this->get("/patients/{$this->patient->id}$page")->assertOk();
        }
        foreach (['/', '/week', '/exercises', '/clinic', '/account', '/clinic/outbox'] as $page) {
            $this->get($page)->assertOk();
        }
        $this->course();
        auth()->forgetGuards();
        $this->fromDevice($credential)->unlock();
        foreach (['today', 'diary', 'progress', 'sheet'] as $page) {
            $this->getJson("/api/v1/$page")->assertOk();
        }
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @return TestResponse<Response>
     */
    private function ask(string $method, string $url, array $body, string $credential): TestResponse
    {
        auth()->forgetGuards();

        return str_starts_with($url, '/api/')
            ? $this->fromDevice($credential)->unlock()->json($method, $url, $this->dated($body), [], JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR)
            : $this->actingAs($this->practitioner->refresh(), 'practitioner')->call($method, $url, $this->dated($body), [], [], ['HTTP_ACCEPT' => 'application/json']);
    }

    /**
     * Ids are used once.
     *
     * @param  array<array-key, mixed>  $body
     * @return array<array-key, mixed>
     */
    private function dated(array $body): array
    {
        array_walk_recursive($body, function (mixed &$value): void {
            if ($value === 'NEW-UUID') {
                $value = (string) Str::uuid();
            }
        });

        return $body;
    }

    /** @return list<array{string, string, array<array-key, mixed>}> */
    private function bodies(int $version, string $lineage): array
    {
        $patient = "/patients/{$this->patient->id}";
        $session = app(BeginSession::class)($this->patient, $this->practitioner);
        $form = app(AskForm::class)($this->patient, $this->practitioner, 'gad-7', 'device');
        $symptom = ChosenSymptom::query()->firstOrCreate(['patient_id' => $this->patient->id, 'name' => 'tension']);
        $exercise = ['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'position' => 'seated', 'breaths' => 12, 'times_a_day' => 2,
            'anchors' => [
                ['anchor' => 'waking', 'from' => '06:30', 'to' => '08:00', 'days' => [1, 3]], ['anchor' => 'lights-out', 'from' => '21:30', 'to' => '23:00', 'days' => [1, 2, 3, 4, 5, 6, 7]],
            ]];
        $sent = fn (string $kind, array $body): array => ['POST', '/api/v1/outbox', [
            'sent_at' => '2026-11-10T12:00:00.000Z', 'items' => [['id' => 'NEW-UUID', 'kind' => $kind, 'body' => $body]],
        ]];

        return [
            ['POST', '/patients', ['name' => 'Ilse Wren', 'birth_date' => '1980-02-03', 'time_zone' => 'Europe/Lisbon', 'day_start' => '03:00', 'locale' => 'en']],
            ['PUT', "$patient/details", ['name' => 'Oda Finch', 'birth_date' => '1981-02-03', 'time_zone' => 'Europe/Lisbon', 'day_start' => '03:00', 'locale' => 'en', 'contact' => '555 010']],
            ['POST', "$patient/screening", ['answers' => array_fill_keys(ScreeningQuestions::keys(), false), 'remark' => 'Nothing new.']],
            ['POST', "$patient/measure", ['measure' => 'pulse', 'value' => 70, 'position' => 'seated']],
            ['POST', "$patient/measure", ['measure' => 'resting-rate', 'taps' => [0, 4000, 8100, 12_000, 16_000, 20_100], 'position' => 'seated']],
            ['PUT', "$patient/measure/choices", ['symptoms' => ['tension', 'sleep'], 'own_low_saturation' => 94]],
            ['POST', "$patient/forms", ['form' => 'nijmegen', 'on' => 'device']],
            ['PUT', "$patient/forms/{$form->id}", ['answers' => ['nervous' => 1]]],
            ['PUT', "$patient/sessions/{$session->id}/steps/teach", ['revision' => 0, 'content' => ['text' => 'Breathed well.']]],
            ['POST', "$patient/versions", ['items' => [$exercise], 'weeks' => 4, 'review_on' => '2026-11-24', 'starts_on' => '2026-11-10', 'rated_symptom' => 'tension', 'reason' => 'Better now.', 'based_on' => 1]],
            ['POST', "$patient/bench/answer", ['items' => [$exercise], 'school' => 'gentle-control']],
            ['POST', "$patient/appointments", ['day' => '2026-12-01', 'time' => '10:00', 'kind' => 'remote', 'minutes' => 20, 'with' => $this->practitioner->id, 'every' => 2, 'times' => 3]],
            ['POST', '/absences', ['who' => $this->practitioner->id, 'from_day' => '2026-12-01', 'from_time' => '10:00', 'to_day' => '2026-12-02', 'to_time' => '11:00', 'reason' => 'teaching']],
            ['POST', "$patient/handovers", ['kind' => 'share', 'to' => Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id])->id, 'reason' => 'Away.']],
            ['POST', '/own-exercises', ['fields' => ['technique' => 'own', 'own_name' => 'Quay breath', 'ratio' => '3:5']]],
            ['POST', '/routines', ['fields' => ['name' => 'Quay', 'steps' => [['kind' => 'exercise', 'technique' => 'square']]]]],
            ['PUT', '/clinic/settings', ['emergency_wording' => 'Call 112 and sit down at once.', 'crisis_number' => '808 200 204, the line', 'school' => 'gentle-control']],
            ['PUT', '/clinic/thresholds', ['thresholds' => ['step_back_effort' => 7]]],
            ['POST', '/clinic/invitations', ['email' => 'maren@quay.example', 'role' => 'practitioner']],
            ['PUT', '/account/details', ['name' => 'Nora Ash', 'profession' => 'counsellor', 'registration' => 'HQ 1']],
            $sent('practice', ['uuid' => 'NEW-UUID', 'version_id' => $version, 'lineage' => $lineage, 'anchor' => null, 'started_at' => '2026-11-10T11:00:00.000Z',
                'ended_at' => '2026-11-10T11:02:05.000Z', 'breaths_done' => 12, 'seconds_done' => 120, 'before' => 6, 'after' => 4, 'effort' => 2, 'smooth' => 'yes', 'remark' => 'Good.']),
            $sent('diary', ['day' => '2026-11-10', 'ratings' => [(string) $symptom->id => 4], 'sleep' => 6, 'text' => 'Quiet.', 'written_at' => '2026-11-10T11:30:00.000Z']),
            $sent('put-off', ['day' => '2026-11-10', 'lineage' => $lineage, 'anchor' => 'waking', 'reason' => 'busy', 'said_at' => '2026-11-10T11:00:00.000Z']),
        ];
    }
}
