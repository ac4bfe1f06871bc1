<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Models\Device;
use App\Models\Patient;
use Carbon\CarbonImmutable;
use Database\Seeders\Demo\DemoSeeder;
use Illuminate\Contracts\Translation\Loader;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Every sentence that a patient can meet comes from the language of the patient: in a made-up one all are in brackets. */
final class LanguageTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->app?->extend('translation.loader', fn (Loader $real) => new Bracketed($real));
        $this->app?->forgetInstance('translator');
    }

    public function test_explore(): void
    {
        $this->travelTo(CarbonImmutable::parse('2026-11-25 15:00', 'Europe/Lisbon'));
        (new DemoSeeder)->run('Europe/Lisbon');
        Patient::query()->update(['locale' => Bracketed::LOCALE]);
        $bare = [];
        $known = Device::query()->whereNotNull('pin')->whereNull('revoked_at')->with('patient.practitioner')->get()->unique('patient_id');
        foreach ($known as $device) {
            $this->practitioner = $device->patient->practitioner;
            [, $credential] = $this->device($device->patient);
            $this->app?->make('auth')->forgetGuards();
            $this->fromDevice($credential)->unlock();
            foreach (['today', 'as-needed', 'diary', 'progress', 'sheet', 'devices', 'me'] as $page) {
                $answer = $this->getJson("/api/v1/$page")->assertOk()->json();
                array_walk_recursive($answer, function (mixed $text, string|int $key) use (&$bare, $page) {
                    if (is_string($text) && ! str_starts_with($text, '⟦') && preg_match('/\pL{3,}/u', $text) === 1) {
                        $bare["$page $key"][$text] = true;
                    }
                });
            }
        }
        foreach ($bare as $where => $texts) {
            fwrite(STDERR, "$where: ".implode(' | ', array_slice(array_keys($texts), 0, 5))."\n");
        }
        self::assertTrue(true);
    }
}
