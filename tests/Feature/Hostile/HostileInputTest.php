<?php

declare(strict_types=1);

namespace Tests\Feature\Hostile;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Routing\Route as AnyRoute;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Tests\Feature\Scenario;
use Tests\TestCase;

/**
 * Requests of nobody who means well, at every address that takes a body, by someone who is signed in: no answer is an error of
 * ours, and every page opens afterwards.
 */
final class HostileInputTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    private const REQUESTS = 1000;

    public function test_no_request_is_answered_with_an_error_of_ours_and_every_page_opens_afterwards(): void
    {
        $this->travelTo('2026-11-10 12:00:00');
        $this->clinicWithPatient();
        $this->practitioner->update(['role' => 'lead']);
        $this->screen();
        $version = $this->issue();
        [, $credential] = $this->device();
        $nasty = Nasty::seeded();
        $routes = array_values(array_filter(
            Route::getRoutes()->getRoutes(),
            fn (AnyRoute $route) => array_intersect($route->methods(), ['POST', 'PUT', 'PATCH', 'DELETE']) !== [] && ! str_contains($route->uri(), 'sign-'),
        ));
        self::assertGreaterThan(40, count($routes));
        $bad = [];
        for ($n = 0; $n < Nasty::requests(self::REQUESTS); $n++) {
            $route = $routes[$n % count($routes)];
            $body = [];
            for ($field = 1 + $nasty->upTo(6); $field > 0; $field--) {
                $body[$nasty->one(Nasty::FIELDS)] = $nasty->value();
            }
            $url = $this->url($route, $nasty, $version->id);
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

    private function url(AnyRoute $route, Nasty $nasty, int $version): string
    {
        return '/'.preg_replace_callback('/\{(\w+)(?::\w+)?\??\}/', fn (array $found) => match (true) {
            $found[1] === 'patient' && $nasty->upTo(9) > 0 => $this->patient->id,
            $found[1] === 'version' && $nasty->upTo(2) > 0 => (string) $version,
            $found[1] === 'number' => (string) $nasty->upTo(2),
            $found[1] === 'step' => $nasty->one(['brief', 'catch-up', 'measure', 'teach', 'decide', 'hand-over', 'note', 'x']),
            default => $nasty->id(),
        }, $route->uri());
    }
}
