<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Actions\Access\MakeAccessLink;
use App\Guard\DeviceGuard;
use App\Models\Consent;
use App\Models\Device;
use App\Models\Patient;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Hash;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** What a patient does with their devices: names, another PIN, several people on one tablet, and no consent. */
final class SharedTabletTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->withHeader('X-Ivory-Pace', '1')->withCredentials();
    }

    public function test_others_take_their_turn_and_only_who_was_here_before(): void
    {
        [$mine, $credential] = $this->device();
        $other = Patient::factory()->create([
            'name' => 'Berta Quay Lind', 'practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id,
        ]);
        $link = app(MakeAccessLink::class)($other, $this->practitioner);
        $entered = $this->fromDevice($credential)->postJson('/api/v1/access', ['token' => $link['token']])->assertCreated();
        $theirs = Device::query()->where('patient_id', $other->id)->sole();
        $this->withCookie(DeviceGuard::COOKIE, (string) $entered->getCookie(DeviceGuard::COOKIE)?->getValue())
            ->withCookie(DeviceGuard::OTHERS, (string) $entered->getCookie(DeviceGuard::OTHERS)?->getValue());
        $this->app?->make('auth')->forgetGuards();
        self::assertSame([$mine->id], array_column($this->getJson('/api/v1/me')->json('others'), 'id'));

        $this->postJson('/api/v1/turn', ['device' => $theirs->id])->assertUnauthorized();
        [$strangers] = $this->device(Patient::factory()->create(['clinic_id' => $this->practitioner->clinic_id]));
        $this->postJson('/api/v1/turn', ['device' => $strangers->id])->assertUnauthorized();
        $turned = $this->postJson('/api/v1/turn', ['device' => $mine->id])->assertOk()->assertJson(['state' => 'locked']);
        $this->withCookie(DeviceGuard::COOKIE, (string) $turned->getCookie(DeviceGuard::COOKIE)?->getValue())
            ->withCookie(DeviceGuard::OTHERS, (string) $turned->getCookie(DeviceGuard::OTHERS)?->getValue());
        $this->app?->make('auth')->forgetGuards();
        self::assertSame([['id' => $theirs->id, 'initials' => 'B Q L']], $this->getJson('/api/v1/me')->json('others'));
        $this->getJson('/api/v1/today')->assertStatus(423);

        $theirs->update(['revoked_at' => now()]);
        self::assertSame([], $this->getJson('/api/v1/me')->json('others'));
    }

    public function test_the_pin_is_changed_by_who_knows_it_and_wrong_ones_count(): void
    {
        [$device, $credential] = $this->device();
        $this->fromDevice($credential)->unlock();
        $this->putJson('/api/v1/pin', ['pin' => '000000', 'new' => '864209'])->assertJsonValidationErrors('pin');
        self::assertSame(1, $device->refresh()->wrong_pins);
        $this->putJson('/api/v1/pin', ['pin' => '480153', 'new' => '111111'])->assertJsonValidationErrors('new');
        $this->putJson('/api/v1/pin', ['pin' => ['480153'], 'new' => ['864209']])->assertUnprocessable();
        $this->putJson('/api/v1/pin', ['pin' => '480153', 'new' => '864209'])->assertOk();
        self::assertTrue(Hash::check('864209', (string) $device->refresh()->pin));
        self::assertSame(0, $device->wrong_pins);
    }

    public function test_a_device_has_a_name_of_the_patients_own(): void
    {
        [$device, $credential] = $this->device();
        [$strangers] = $this->device(Patient::factory()->create(['clinic_id' => $this->practitioner->clinic_id]));
        $this->fromDevice($credential)->unlock();
        $this->putJson("/api/v1/devices/{$device->id}", ['label' => '  '])->assertJsonValidationErrors('label');
        $this->putJson("/api/v1/devices/{$device->id}", ['label' => ['x']])->assertUnprocessable();
        $this->putJson("/api/v1/devices/{$strangers->id}", ['label' => 'Mine'])->assertNotFound();
        $this->putJson("/api/v1/devices/{$device->id}", ['label' => ' Phone in the kitchen '])->assertOk()
            ->assertJson(['devices' => [['label' => 'Phone in the kitchen']]]);
    }

    public function test_who_declines_is_signed_out_and_it_is_on_record(): void
    {
        $link = app(MakeAccessLink::class)($this->patient, $this->practitioner);
        $entered = $this->postJson('/api/v1/access', ['token' => $link['token']])->assertCreated();
        $this->withCookie(DeviceGuard::COOKIE, (string) $entered->getCookie(DeviceGuard::COOKIE)?->getValue());
        $this->postJson('/api/v1/consent/declined')->assertOk();
        self::assertSame('declined', Consent::query()->sole()->kind);
        self::assertNotNull(Device::query()->sole()->revoked_at);
        $this->app?->make('auth')->forgetGuards();
        $this->getJson('/api/v1/me')->assertJson(['state' => 'unknown']);

        [, $credential] = $this->device();
        $this->fromDevice($credential)->postJson('/api/v1/consent/declined')->assertStatus(409);
    }

    public function test_the_bare_address_leads_a_patient_to_their_pages(): void
    {
        [, $credential] = $this->device();
        $this->fromDevice($credential)->get('/')->assertRedirect('/my');
    }
}
