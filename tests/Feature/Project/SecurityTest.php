<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Route;
use RuntimeException;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class SecurityTest extends TestCase
{
    use RefreshDatabase, Scenario;

    public function test_every_answer_forbids_what_did_not_come_from_us(): void
    {
        foreach (['/sign-in', '/enter', '/no-such-page', '/api/v1/me'] as $path) {
            $response = $this->get($path);
            $policy = (string) $response->headers->get('Content-Security-Policy');
            self::assertStringContainsString("default-src 'none'", $policy);
            self::assertStringNotContainsString('unsafe', $policy);
            $response->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('Referrer-Policy', 'same-origin');
        }
    }

    public function test_each_page_has_a_nonce_of_its_own(): void
    {
        $policy = fn () => $this->get('/sign-in')->headers->get('Content-Security-Policy');
        self::assertNotSame($policy(), $policy());
    }

    public function test_a_broken_page_is_told_in_words_without_a_trace(): void
    {
        Route::match(['get', 'post'], '/broken', fn () => throw new RuntimeException('secret detail'))->middleware('web');

        $this->get('/broken')->assertStatus(500)->assertSee('Something broke')->assertDontSee('secret detail')->assertDontSee('vendor');
        $this->getJson('/broken')->assertStatus(500)->assertJsonMissing(['exception' => RuntimeException::class])->assertDontSee('secret detail');
        $this->withHeader('X-Inertia', 'true')->post('/broken')->assertStatus(500)->assertJsonStructure(['message', 'title']);
    }

    public function test_a_page_that_is_not_there_says_so(): void
    {
        $this->get('/no-such-page')->assertNotFound()->assertSee('Nothing here');
    }

    public function test_a_stopped_database_is_told_in_words(): void
    {
        $this->clinicWithPatient();
        $this->actingAs($this->practitioner, 'practitioner');
        config(['database.connections.mariadb.port' => 1]);
        app('db')->purge('mariadb');
        try {
            $this->get('/')->assertStatus(503)->assertSee('The records cannot be reached')->assertDontSee('SQLSTATE');
            $this->postJson("/patients/{$this->patient->id}/bench/answer", ['fields' => []])->assertStatus(503)
                ->assertJsonPath('title', 'The records cannot be reached');
        } finally {
            config(['database.connections.mariadb.port' => env('DB_PORT')]);
            app('db')->purge('mariadb');
        }
    }
}
