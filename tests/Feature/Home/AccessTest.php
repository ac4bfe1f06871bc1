<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Actions\Access\MakeAccessLink;
use App\Guard\AccessCode;
use App\Guard\DeviceGuard;
use App\Guard\ScreenLock;
use App\Mail\PatientMail;
use App\Models\AccessLink;
use App\Models\Consent;
use App\Models\Device;
use App\Models\KeptAside;
use App\Models\Patient;
use App\Models\Practice;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class AccessTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->withHeader('X-Ivory-Pace', '1')->withCredentials();
    }

    public function test_opening_the_link_changes_nothing_and_confirming_uses_it_up(): void
    {
        $link = app(MakeAccessLink::class)($this->patient, $this->practitioner);
        $this->get('/enter')->assertOk();
        self::assertNull(AccessLink::query()->sole()->used_at);

        $response = $this->postJson('/api/v1/access', ['token' => $link['token'], 'label' => 'Phone, Android'])->assertCreated();
        $response->assertJson(['state' => 'consent'])->assertCookie(DeviceGuard::COOKIE);
        self::assertSame('Phone, Android', Device::query()->sole()->label);
        self::assertNotNull(AccessLink::query()->sole()->used_at);

        $this->postJson('/api/v1/access', ['token' => $link['token']])->assertUnprocessable();
        self::assertSame(1, Device::query()->count());
    }

    public function test_a_link_is_sent_to_the_address_under_contact_and_says_nothing_of_what_is_practised(): void
    {
        Mail::fake();
        $this->screen();
        $this->issue();
        $this->actingAs($this->practitioner, 'practitioner');
        $this->postJson("/patients/{$this->patient->id}/access", ['send' => true])->assertJsonValidationErrors('send');
        self::assertSame(0, AccessLink::query()->count(), 'no link without its mail');

        $this->patient->update(['contact' => 'mobile 555 0100, tess@quay.example']);
        $made = $this->postJson("/patients/{$this->patient->id}/access", ['send' => true])->assertCreated();
        self::assertSame('tess@quay.example', $made->json('sent_to'));
        Mail::assertQueued(PatientMail::class, function (PatientMail $mail) use ($made) {
            $text = $mail->render();

            return $mail->hasTo('tess@quay.example') && str_contains($text, $made->json('address'))
                && ! str_contains($text, $made->json('code')) && ! str_contains(strtolower($text), 'exhale');
        });
        $this->travel(10)->seconds();
        self::assertNull($this->postJson("/patients/{$this->patient->id}/access")->json('sent_to'));
        Mail::assertQueuedCount(1);
    }

    public function test_the_code_works_however_it_is_typed(): void
    {
        $link = app(MakeAccessLink::class)($this->patient, $this->practitioner);
        $this->postJson('/api/v1/access', ['code' => ' '.strtolower(str_replace('-', ' ', $link['code'])).' '])->assertCreated();
    }

    public function test_the_code_has_at_least_forty_bits(): void
    {
        $codes = array_map(fn () => AccessCode::random(), range(1, 200));

        self::assertCount(200, array_unique($codes));
        self::assertMatchesRegularExpression('/^[0-9A-HJKMNP-TV-Z]{5}-[0-9A-HJKMNP-TV-Z]{5}$/', $codes[0]);
        self::assertGreaterThanOrEqual(40, 10 * log(32, 2));
        self::assertSame(AccessCode::hash('O1I2L'), AccessCode::hash('01121'));
    }

    public function test_an_expired_a_replaced_and_a_made_up_link_are_refused_alike(): void
    {
        $old = app(MakeAccessLink::class)($this->patient, $this->practitioner);
        $new = app(MakeAccessLink::class)($this->patient, $this->practitioner);
        $this->postJson('/api/v1/access', ['token' => $old['token']])->assertUnprocessable()->assertJsonPath('errors.code.0', __('patient.enter.not-valid'));
        $this->travel(8)->days();
        $this->postJson('/api/v1/access', ['token' => $new['token']])->assertUnprocessable();
        $this->postJson('/api/v1/access', ['token' => 'made-up'])->assertUnprocessable();
        $this->postJson('/api/v1/access', [])->assertUnprocessable();
        self::assertSame(0, Device::query()->count());
    }

    public function test_guessing_is_throttled_by_address(): void
    {
        $link = app(MakeAccessLink::class)($this->patient, $this->practitioner);
        for ($try = 0; $try < 20; $try++) {
            $this->postJson('/api/v1/access', ['code' => AccessCode::random()])->assertUnprocessable();
        }
        $this->postJson('/api/v1/access', ['code' => $link['code']])->assertStatus(429);
        // Whoever scans a link there comes in all the same.
        $this->postJson('/api/v1/access', ['token' => app(MakeAccessLink::class)(Patient::factory()->create(), $this->practitioner)['token']])->assertCreated();
        $this->travel(16)->minutes();
        $this->postJson('/api/v1/access', ['code' => $link['code']])->assertCreated();
    }

    public function test_a_thousand_wrong_codes_lock_out_nobody_else(): void
    {
        $link = app(MakeAccessLink::class)($this->patient, $this->practitioner);
        for ($try = 0; $try < 1000; $try++) {
            // One guesser has a whole network of the newer addresses.
            $this->withServerVariables(['REMOTE_ADDR' => sprintf('2001:db8:0:1::%x', $try)])->postJson('/api/v1/access', ['code' => AccessCode::random()])
                ->assertStatus($try < 20 ? 422 : 429);
        }
        $this->withServerVariables(['REMOTE_ADDR' => '2001:db8:0:2::1'])->postJson('/api/v1/access', ['code' => $link['code']])->assertCreated();
    }

    public function test_guessing_one_code_from_many_addresses_is_throttled_by_code(): void
    {
        for ($try = 0; $try < 5; $try++) {
            $this->withServerVariables(['REMOTE_ADDR' => "10.0.0.$try"])->postJson('/api/v1/access', ['code' => 'AAAAA-AAAAA'])->assertUnprocessable();
        }
        $this->withServerVariables(['REMOTE_ADDR' => '10.0.0.99'])->postJson('/api/v1/access', ['code' => 'AAAAA-AAAAA'])->assertStatus(429);
    }

    public function test_consent_comes_before_the_pin_and_the_pin_before_today(): void
    {
        [$device, $credential] = $this->device(pin: null);
        $this->fromDevice($credential);

        $this->getJson('/api/v1/me')->assertJson(['state' => 'consent']);
        $this->postJson('/api/v1/pin', ['pin' => '480153'])->assertStatus(409);
        $this->postJson('/api/v1/consent', ['version' => 'old'])->assertUnprocessable();
        $version = $this->getJson('/api/v1/me')->json('consent.version');
        $this->postJson('/api/v1/consent', ['version' => $version])->assertJson(['state' => 'pin']);
        $this->postJson('/api/v1/consent', ['version' => $version])->assertOk();
        self::assertSame([$device->id, 'accepted'], [Consent::query()->sole()->device_id, Consent::query()->sole()->kind]);
        $this->getJson('/api/v1/today')->assertStatus(423);
        foreach (['12345' => 'short', '123456' => 'easy', '111222' => 'easy', '12a456' => 'digits', '1234567890123' => 'long'] as $pin => $problem) {
            $this->postJson('/api/v1/pin', ['pin' => (string) $pin])->assertUnprocessable()->assertJsonPath('errors.pin.0', __("patient.pin.$problem"));
        }
        $this->hold($this->postJson('/api/v1/pin', ['pin' => '480153'])->assertJson(['state' => 'ready']));
        $this->getJson('/api/v1/today')->assertOk();
        $this->postJson('/api/v1/pin', ['pin' => '999153'])->assertStatus(409);
        self::assertNotSame('480153', $device->refresh()->pin);
    }

    public function test_ten_wrong_pins_lock_the_screen_and_the_right_one_no_longer_helps(): void
    {
        [$device, $credential] = $this->device();
        $this->fromDevice($credential);
        for ($left = 9; $left > 0; $left--) {
            $this->postJson('/api/v1/unlock', ['pin' => '000000'])->assertUnprocessable()
                ->assertJsonPath('errors.pin.0', trans_choice('patient.pin.wrong', $left, ['left' => $left]));
        }
        $this->postJson('/api/v1/unlock', ['pin' => '000000'])->assertJsonPath('errors.pin.0', __('patient.pin.locked-out'));
        $this->postJson('/api/v1/unlock', ['pin' => '480153'])->assertUnprocessable();
        $this->getJson('/api/v1/me')->assertJson(['state' => 'locked-out']);
        self::assertTrue($device->refresh()->isLockedOut());

        // Its practices still arrive.
        $this->screen();
        $this->outbox('practice', $this->practiceLog($this->issue()))->assertStored();
    }

    public function test_the_right_pin_starts_the_count_anew(): void
    {
        [$device, $credential] = $this->device();
        $this->fromDevice($credential);
        $this->postJson('/api/v1/unlock', ['pin' => '000000']);
        $this->unlock();
        self::assertSame(0, $device->refresh()->wrong_pins);
    }

    public function test_a_screen_locks_by_hand_after_half_an_hour_and_in_another_browser(): void
    {
        [$device, $credential] = $this->device();
        $this->fromDevice($credential)->unlock();
        $this->travel(20)->minutes();
        $this->newRequests()->getJson('/api/v1/today')->assertOk();
        $this->travel(25)->minutes();
        $this->newRequests()->getJson('/api/v1/today')->assertOk();
        $this->travel(31)->minutes();
        $this->newRequests()->getJson('/api/v1/today')->assertStatus(423);

        $this->unlock();
        $this->newRequests()->postJson('/api/v1/lock')->assertJson(['state' => 'locked']);
        // The key that an older answer may have brought back opens nothing any more.
        $this->newRequests()->getJson('/api/v1/today')->assertStatus(423);
        $this->unlock()->withCookie(ScreenLock::COOKIE, str_repeat('0', 64))->newRequests()->getJson('/api/v1/today')->assertStatus(423);
        self::assertNotNull($device->refresh()->open_hash);
    }

    /** Who asks is found out anew, as in a request of its own. */
    private function newRequests(): static
    {
        $this->app?->make('auth')->forgetGuards();

        return $this;
    }

    public function test_a_device_that_was_signed_out_reaches_nothing(): void
    {
        [$device, $credential] = $this->device();
        $this->actingAs($this->practitioner, 'practitioner')->delete("/patients/{$this->patient->id}/devices/{$device->id}")->assertRedirect();
        $this->app?->make('auth')->forgetGuards();

        $this->fromDevice($credential)->getJson('/api/v1/me')->assertJson(['state' => 'unknown']);
        $this->getJson('/api/v1/as-needed')->assertUnauthorized();
    }

    public function test_nothing_is_taken_before_consent_and_nothing_after_it_was_withdrawn_by_any_device(): void
    {
        $this->screen();
        $version = $this->issue();
        [$asked, $unasked] = $this->device(pin: null);
        auth()->forgetGuards();
        $send = fn (string $credential) => $this->fromDevice($credential)->postJson('/api/v1/outbox', ['sent_at' => now()->toIso8601ZuluString('millisecond'), 'items' => [
            ['id' => (string) Str::uuid(), 'kind' => 'practice', 'body' => $this->practiceLog($version, ['uuid' => (string) Str::uuid()])],
        ]]);
        $send($unasked)->assertStatus(409);

        [$old, $signedOut] = $this->device();
        [, $present] = $this->device();
        $old->update(['revoked_at' => now()]);
        auth()->forgetGuards();
        $send($present)->assertOk()->assertJsonPath('answers.0.result', 'stored');
        auth()->forgetGuards();
        $send($signedOut)->assertOk()->assertJsonPath('answers.0.result', 'kept-aside');

        auth()->forgetGuards();
        $this->actingAs($this->practitioner, 'practitioner')->post("/patients/{$this->patient->id}/consent/withdrawal")->assertRedirect();
        foreach ([$unasked, $signedOut, $present] as $credential) {
            auth()->forgetGuards();
            self::assertContains($send($credential)->status(), [401, 409]);
        }
        self::assertSame([1, 1], [Practice::query()->count(), KeptAside::query()->count()], 'nothing more');
        self::assertNotNull($asked->refresh()->revoked_at);
    }

    public function test_a_withdrawn_consent_is_recorded_and_signs_every_device_out(): void
    {
        [, $first] = $this->device();
        [, $second] = $this->device();
        $this->actingAs($this->practitioner, 'practitioner')->post("/patients/{$this->patient->id}/consent/withdrawal")->assertRedirect();

        $withdrawn = Consent::query()->where('kind', 'withdrawn')->get();
        self::assertSame([$this->practitioner->id, $this->practitioner->id], $withdrawn->pluck('practitioner_id')->all());
        self::assertSame(2, Consent::query()->where('kind', 'accepted')->count(), 'what was accepted before stays readable');
        foreach ([$first, $second] as $credential) {
            $this->app?->make('auth')->forgetGuards();
            $this->fromDevice($credential)->postJson('/api/v1/outbox', [])->assertUnauthorized();
        }
    }

    public function test_the_link_is_shown_once_for_the_public_address(): void
    {
        config(['app.url' => 'https://practice.example']);
        $this->actingAs($this->practitioner, 'practitioner');
        $this->post("/patients/{$this->patient->id}/access")->assertRedirect();
        $address = session('new_link')['address'];
        self::assertStringStartsWith('https://practice.example/enter#', $address);

        $this->get("/patients/{$this->patient->id}/access")->assertInertia(fn ($page) => $page->where('new_link.address', $address));
        $this->get("/patients/{$this->patient->id}/access")->assertInertia(fn ($page) => $page->where('new_link', null)->has('open_link.expires_on'));
    }

    public function test_links_that_ran_out_unused_are_forgotten_after_a_month(): void
    {
        app(MakeAccessLink::class)($this->patient, $this->practitioner);
        (new \App\Jobs\ForgetOldAccessLinks)->handle();
        self::assertSame(1, AccessLink::query()->count());
        $this->travel(40)->days();
        (new \App\Jobs\ForgetOldAccessLinks)->handle();
        self::assertSame(0, AccessLink::query()->count());
    }
}
