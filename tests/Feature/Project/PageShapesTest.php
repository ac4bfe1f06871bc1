<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Guard\Trail;
use App\Models\CareSession;
use App\Models\Device;
use App\Models\OwnRoutine;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\ProgrammeVersion;
use App\Models\TrailKind;
use Illuminate\Foundation\Testing\RefreshDatabase;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Letter\LetterKind;
use IvoryPace\Session\Step;
use Tests\Feature\AtTheQuay;
use Tests\Feature\Scenario;
use Tests\TestCase;

/**
 * What the server sends to every page of the demo is written down as TypeScript types; `svelte-check` holds them against what
 * the pages expect (`tests/front/shapes/expected.ts`). When a page is meant to get something else:
 * WRITE_SNAPSHOTS=1 vendor/bin/phpunit --filter PageShapesTest
 */
final class PageShapesTest extends TestCase
{
    use AtTheQuay, RefreshDatabase, Scenario;

    private const FILE = __DIR__.'/../../front/shapes/sent.ts';

    /** @var array<string, Shape> */
    private array $shapes = [];

    public function test_pages_and_devices_get_what_is_written_down(): void
    {
        $this->atTheQuay();
        $this->changeSomething();
        $this->openPages();
        $this->askForDevices();

        ksort($this->shapes);
        $text = "// What the server sends, as seen by PageShapesTest: written by it, not by hand.\n";
        foreach ($this->shapes as $name => $shape) {
            $text .= "\nexport type $name = ".$shape->type().";\n";
        }
        if (getenv('WRITE_SNAPSHOTS') === '1') {
            file_put_contents(self::FILE, $text);
        }
        self::assertSame((string) file_get_contents(self::FILE), $text);
    }

    /** So that the trail has a line with what was and what is. */
    private function changeSomething(): void
    {
        foreach (Practitioner::query()->orderBy('id')->get()->unique('clinic_id') as $practitioner) {
            $patient = Patient::query()->where('clinic_id', $practitioner->clinic_id)->firstOrFail();
            $trail = app(Trail::class);
            $trail->changed('telephone', null, '555 0142');
            $trail->practitioner($practitioner, TrailKind::Write, 'patients/{patient}', $patient);
        }
    }

    private function openPages(): void
    {
        foreach (Practitioner::query()->orderBy('id')->get()->unique('role') as $each) {
            $practitioner = Practitioner::query()->findOrFail($each->id);
            $this->actingAs($practitioner, 'practitioner');
            foreach (['/', '/clinic', '/voice', '/patients/new', '/exercises', '/routines/new', '/account', '/clinic/outbox', '/week'] as $address) {
                $this->open($address);
            }
            foreach (OwnRoutine::query()->where('clinic_id', $practitioner->clinic_id)->limit(20)->get() as $routine) {
                $this->open("/routines/{$routine->id}");
            }
            $patients = Patient::query()->where('clinic_id', $practitioner->clinic_id)->orderBy('name')->get();
            foreach (Catalogue::all() as $technique) {
                $this->open("/exercises/{$technique->key}?patient={$patients->firstOrFail()->id}");
            }
            foreach ($patients as $patient) {
                $this->openPagesOf($patient, $practitioner);
            }
            // They are alike, whoever the patient is.
            foreach ($patients->take(2) as $patient) {
                $this->openLettersOf($patient);
            }
        }
    }

    private function openLettersOf(Patient $patient): void
    {
        foreach (LetterKind::cases() as $kind) {
            $this->post("/patients/{$patient->id}/letters", ['kind' => $kind->value]);
            $this->open("/patients/{$patient->id}/letters/{$kind->value}");
        }
    }

    private function openPagesOf(Patient $patient, Practitioner $practitioner): void
    {
        foreach (['', '/screening', '/measure', '/signals', '/record', '/bench', '/access', '/join', '/letters'] as $page) {
            $this->open("/patients/{$patient->id}$page");
        }
        $versions = ProgrammeVersion::query()->whereIn('programme_id', $patient->programmes()->select('id'))->with('programme')->get();
        foreach ($versions as $version) {
            $this->open("/patients/{$patient->id}/versions/{$version->number}?programme={$version->programme_id}");
        }
        foreach (CareSession::query()->where('patient_id', $patient->id)->get() as $session) {
            foreach (Step::cases() as $step) {
                $this->open("/patients/{$patient->id}/sessions/{$session->id}/{$step->value}");
            }
        }
        foreach (['2-weeks', 'all'] as $span) {
            $this->open("/patients/{$patient->id}?span=$span");
        }
    }

    private function open(string $address): void
    {
        $answer = $this->get($address);
        if ($answer->isRedirect() || in_array($answer->status(), [403, 404], true)) {
            return;
        }
        $page = json_decode((string) json_encode($answer->assertOk()->viewData('page')));
        $component = $page->component;
        $props = $page->props;
        $late = array_merge(...array_values(array_map(array_values(...), (array) ($page->deferredProps ?? []))));
        if ($late !== []) {
            $more = $this->get($address, [
                'X-Inertia' => 'true', 'X-Inertia-Version' => (string) $page->version, 'X-Inertia-Partial-Component' => $component,
                'X-Inertia-Partial-Data' => implode(',', $late),
            ])->assertOk();
            $props = (object) ((array) $props + (array) json_decode((string) $more->getContent())->props);
        }
        foreach (['errors', 'auth', 'flash', 'csrf_token'] as $shared) {
            unset($props->{$shared});
        }
        if (isset($props->who)) {
            // It goes by the application's key, which is another everywhere.
            $props->who->key = 'A text.';
        }
        if ($component === 'Session') {
            $step = str_replace(' ', '', ucwords(str_replace('-', ' ', $props->session->step)));
            $this->see("Sent{$component}Shown$step", $props->shown);
            unset($props->shown);
        }
        $this->see("Sent$component", $props);
    }

    private function askForDevices(): void
    {
        $known = Device::query()->whereNotNull('pin')->whereNull('revoked_at')->with('patient.practitioner')->get()->unique('patient_id');
        foreach ($known as $device) {
            $this->practitioner = $device->patient->practitioner;
            [, $credential] = $this->device($device->patient);
            $this->app?->make('auth')->forgetGuards();
            $this->fromDevice($credential)->unlock();
            foreach (['today' => 'Today', 'as-needed' => 'AsNeeded', 'diary' => 'Diary', 'progress' => 'Progress', 'sheet' => 'Sheet'] as $page => $name) {
                $this->see("SentTo$name", json_decode((string) $this->getJson("/api/v1/$page")->assertOk()->getContent()));
            }
        }
    }

    private function see(string $name, mixed $value): void
    {
        $this->shapes[$name] ??= new Shape;
        $this->shapes[$name]->see($value);
    }
}
