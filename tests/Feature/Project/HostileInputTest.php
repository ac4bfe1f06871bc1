<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Routing\Route as AnyRoute;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Feature\Scenario;
use Tests\TestCase;

/**
 * Requests of nobody who means well, at every address that takes a body, by someone who is signed in: no answer is an error of
 * ours, and every page opens afterwards. FUZZ_REQUESTS and FUZZ_SEED ask for more of them.
 */
final class HostileInputTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    private const REQUESTS = 500;

    private const FIELDS = [
        'name', 'email', 'birth_date', 'items', 'reason', 'goal', 'measure', 'value', 'taps', 'tries', 'pairs', 'position', 'answers', 'form', 'on', 'done',
        'fields', 'own_name', 'ratio', 'weeks', 'review_on', 'starts_on', 'rated_symptom', 'based_on', 'decisions', 'content', 'revision', 'text', 'note',
        'outcome', 'school', 'at', 'at_time', 'lineage', 'anchor', 'days', 'uuid', 'started_at', 'ended_at', 'sent_at', 'pin', 'kind', 'symptoms', 'to',
        'role', 'thresholds', 'reliabilities', 'emergency_wording', 'time_zone', 'locale', 'line', 'audio', 'action', 'confirmed', 'search', 'page', 'query',
    ];

    public function test_no_request_is_answered_with_an_error_of_ours_and_every_page_opens_afterwards(): void
    {
        $this->travelTo('2026-11-10 12:00:00');
        $this->clinicWithPatient();
        $this->practitioner->update(['role' => 'lead']);
        $this->screen();
        $version = $this->issue();
        [, $credential] = $this->device();
        $chance = new Randomizer(new Xoshiro256StarStar((int) (getenv('FUZZ_SEED') ?: 20261129)));
        $routes = array_values(array_filter(
            Route::getRoutes()->getRoutes(),
            fn (AnyRoute $route) => array_intersect($route->methods(), ['POST', 'PUT', 'PATCH', 'DELETE']) !== [] && ! str_contains($route->uri(), 'sign-'),
        ));
        self::assertGreaterThan(40, count($routes));
        $bad = [];
        for ($n = 0; $n < (int) (getenv('FUZZ_REQUESTS') ?: self::REQUESTS); $n++) {
            $route = $routes[$n % count($routes)];
            $body = [];
            for ($field = $chance->getInt(1, 7); $field > 0; $field--) {
                $body[self::FIELDS[$chance->getInt(0, count(self::FIELDS) - 1)]] = $this->nasty($chance);
            }
            $url = $this->url($route, $chance, $version->id);
            auth()->forgetGuards();
            $method = array_values(array_intersect($route->methods(), ['POST', 'PUT', 'PATCH', 'DELETE']))[0];
            $answer = str_starts_with($route->uri(), 'api/')
                ? $this->fromDevice($credential)->json($method, $url, $body, [], JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR)
                : $this->actingAs($this->practitioner, 'practitioner')->call($method, $url, $body, [], [], ['HTTP_ACCEPT' => 'application/json']);
            if ($answer->status() >= 500) {
                $bad[] = "$method $url ".substr((string) json_encode($body, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR), 0, 300).' → '
                    .substr((string) ($answer->exception?->getMessage() ?? ''), 0, 200);
            }
        }
        self::assertSame([], $bad);

        auth()->forgetGuards();
        $this->actingAs($this->practitioner->refresh(), 'practitioner');
        foreach (['', '/screening', '/measure', '/bench', '/access', '/record'] as $page) {
            $this->get("/patients/{$this->patient->id}$page")->assertOk();
        }
        foreach (['/', '/exercises', '/clinic'] as $page) {
            $this->get($page)->assertOk();
        }
        $this->course();
    }

    public function test_what_is_no_text_is_refused_at_the_door_and_stored_nowhere(): void
    {
        $this->clinicWithPatient();
        $this->actingAs($this->practitioner, 'practitioner');
        $before = DB::table('patients')->count();
        foreach (["\xff\xfe", "Nora\0", "\xc3\x28", ["a\xff" => 'x'], [[["\xf0\x28\x8c\xbc"]]]] as $broken) {
            $this->post('/patients', ['name' => $broken, 'birth_date' => '1990-01-01'], ['Accept' => 'application/json'])->assertStatus(422)->assertJsonPath('title', 'Could not be read');
        }
        $this->get('/?search='.rawurlencode("\xff"), ['Accept' => 'application/json'])->assertStatus(422);
        $this->get('/patients/%ff%fe')->assertNotFound();
        self::assertSame($before, DB::table('patients')->count());

        [, $credential] = $this->device();
        auth()->forgetGuards();
        $this->fromDevice($credential)->unlock();
        $this->call('POST', '/api/v1/outbox', [], [], [], ['HTTP_X_IVORY_PACE' => '1', 'CONTENT_TYPE' => 'application/x-www-form-urlencoded'], 'sent_at=x')->assertStatus(415);
        $this->call('POST', '/api/v1/outbox', [], [], [], ['HTTP_X_IVORY_PACE' => '1', 'CONTENT_TYPE' => 'application/json'], "{\"sent_at\":\"\xff\"}")->assertStatus(422);
    }

    private function url(AnyRoute $route, Randomizer $chance, int $version): string
    {
        return '/'.preg_replace_callback('/\{(\w+)(?::\w+)?\??\}/', fn (array $found) => match (true) {
            $found[1] === 'patient' && $chance->getInt(0, 9) > 0 => $this->patient->id,
            $found[1] === 'version' && $chance->getInt(0, 2) > 0 => (string) $version,
            $found[1] === 'number' => (string) $chance->getInt(0, 2),
            $found[1] === 'step' => ['brief', 'catch-up', 'measure', 'teach', 'decide', 'hand-over', 'note', 'x'][$chance->getInt(0, 7)],
            default => ['1', '0', '-1', '99999999999999999999', 'x', (string) Str::ulid(), '1e400', '%27%20or%201'][$chance->getInt(0, 7)],
        }, $route->uri());
    }

    private function nasty(Randomizer $chance, int $depth = 0): mixed
    {
        $kinds = [
            null, true, false, 0, -1, PHP_INT_MAX, PHP_INT_MIN, 1.5, 1e308, '', ' ', '0', '-0', '1e400', 'NaN', '0000-01-01', '9999-12-31', '2026-02-30', '99999999999999999999999',
            "\xff\xfe", "a\0b", 'Straße', 'STRASSE', str_repeat('ß', 5000), str_repeat('x', 100_000), "'; drop table patients; --", '<script>alert(1)</script>', '=1+1',
            '../../etc/passwd', '{{7*7}}', '%00', "\u{202e}", "\u{1f9d8}", '4:6', '25:61', '2026-11-10T12:00:00.000Z', '9999-01-01T00:00:00.000Z', '4:-2:7', [], [[]], ['a' => ['b' => []]],
        ];
        if ($depth < 3 && $chance->getInt(0, 4) === 0) {
            return array_map(fn () => $this->nasty($chance, $depth + 1), array_fill(0, $chance->getInt(1, 4), 0));
        }
        if ($depth < 3 && $chance->getInt(0, 6) === 0) {
            return [self::FIELDS[$chance->getInt(0, count(self::FIELDS) - 1)] => $this->nasty($chance, $depth + 1)];
        }

        return $kinds[$chance->getInt(0, count($kinds) - 1)];
    }
}
