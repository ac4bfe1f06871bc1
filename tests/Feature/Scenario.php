<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Access\MakeAccessLink;
use App\Actions\Access\RegisterDevice;
use App\Actions\Assessment\ActOnRedFlag;
use App\Actions\Assessment\CompleteScreening;
use App\Actions\Practice\StorePractice;
use App\Actions\Programme\IssueVersion;
use App\Facts\Sent;
use App\Guard\DeviceGuard;
use App\Guard\ScreenLock;
use App\Language\ConsentText;
use App\Models\Consent;
use App\Models\Device;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\ProgrammeVersion;
use App\Models\RedFlagAction;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use IvoryPace\Assessment\ScreeningQuestions;
use IvoryPace\Programme\VersionOrder;
use LogicException;
use Symfony\Component\HttpFoundation\Response;

/** People and programmes for the tests, made the way the application makes them. */
trait Scenario
{
    protected Practitioner $practitioner;

    protected Patient $patient;

    protected function clinicWithPatient(): void
    {
        $this->practitioner = Practitioner::factory()->create();
        $this->patient = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
    }

    /** @param  list<string>  $yes */
    protected function screen(array $yes = [], ?Patient $patient = null): void
    {
        $answers = array_fill_keys(ScreeningQuestions::keys(), false);
        foreach ($yes as $question) {
            $answers[$question] = true;
        }
        app(CompleteScreening::class)($patient ?? $this->patient, $this->practitioner, $answers);
    }

    /** What was done is recorded for every open red flag, and practice may go on. */
    protected function actOnRedFlags(): void
    {
        foreach ($this->patient->openRedFlags()->get() as $raised) {
            app(ActOnRedFlag::class)($this->patient, $raised, $this->practitioner, 'Seen by the GP.', RedFlagAction::MAY_GO_ON);
        }
    }

    /** @param  array<string, mixed>  $fields */
    protected function issue(array $fields = [], int $basedOn = 0, ?string $reason = null, ?Patient $patient = null): ProgrammeVersion
    {
        $patient ??= $this->patient;
        $today = $patient->dayOf(CarbonImmutable::now());

        return app(IssueVersion::class)($patient, $this->practitioner, new VersionOrder(
            items: [['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'position' => 'seated', ...$fields]],
            weeks: 4, reviewOn: $today->plusDays(14)->date, startsOn: $today->date, ratedSymptom: 'tension',
            reason: $reason, basedOn: $basedOn,
        ));
    }

    /** @return array{Device, string} a device that is ready, and its credential */
    protected function device(?Patient $patient = null, ?string $pin = '480153'): array
    {
        $link = app(MakeAccessLink::class)($patient ?? $this->patient, $this->practitioner);
        [$device, $credential] = app(RegisterDevice::class)('token_hash', hash('sha256', $link['token']), 'Phone') ?? throw new LogicException;
        if ($pin !== null) {
            Consent::query()->create([
                'patient_id' => $device->patient_id, 'device_id' => $device->id, 'kind' => 'accepted', 'version' => ConsentText::VERSION,
                'text_hash' => ConsentText::hash($device->patient->clinic), 'given_at' => now(),
            ]);
            $device->update(['pin' => $pin]);
        }

        return [$device, $credential];
    }

    /** Requests from here on come from this device. */
    protected function fromDevice(string $credential): static
    {
        return $this->withCookie(DeviceGuard::COOKIE, $credential)->withHeader('X-Ivory-Pace', '1')->withCredentials();
    }

    /** The PIN is typed, and the key that it brings is held from here on. */
    protected function unlock(string $pin = '480153'): static
    {
        return $this->hold($this->postJson('/api/v1/unlock', ['pin' => $pin])->assertOk());
    }

    /** @param  TestResponse<Response>  $answer  to a PIN */
    protected function hold(TestResponse $answer): static
    {
        return $this->withCookie(ScreenLock::COOKIE, (string) $answer->getCookie(ScreenLock::COOKIE)?->getValue());
    }

    /** @return array<string, mixed> the present day as the device shows it, with its exercises */
    protected function todayOnDevice(string $pin = '480153'): array
    {
        $this->unlock($pin);
        $bundle = $this->getJson('/api/v1/today')->assertOk()->json();
        $day = $bundle['days'][0];

        return [...$bundle, ...$day, 'items' => $bundle['items'][$day['version_id'] ?? ''] ?? []];
    }

    /**
     * @param  TestResponse<Response>  $page
     * @return array<string, mixed> the page's props, as they arrive
     */
    protected function props(TestResponse $page): array
    {
        return json_decode(json_encode($page->assertOk()->viewData('page')['props'], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true, flags: JSON_THROW_ON_ERROR);
    }

    /** @return array<string, mixed> everything on the Course, also what follows when the page has opened */
    protected function course(string $query = ''): array
    {
        $url = "/patients/{$this->patient->id}$query";
        $answer = $this->actingAs($this->practitioner, 'practitioner')->get($url);
        $page = $answer->viewData('page');
        $following = array_merge(...array_values($page['deferredProps'] ?? []));
        $headers = ['X-Inertia' => 'true', 'X-Inertia-Version' => (string) $page['version'], 'X-Inertia-Partial-Component' => 'Course', 'X-Inertia-Partial-Data' => implode(',', $following)];

        return [...$this->props($answer), ...($following === [] ? [] : $this->get($url, $headers)->assertOk()->json('props'))];
    }

    /** @param  array<string, mixed>  $log */
    protected function store(Device $device, array $log): void
    {
        app(StorePractice::class)($device, $log, new Sent(CarbonImmutable::parse($log['sent_at']), CarbonImmutable::now()));
    }

    /** @param  array<string, mixed>  $body  sent_at is the time of sending, now unless given */
    protected function outbox(string $kind, array $body): OutboxAnswer
    {
        $sentAt = $body['sent_at'] ?? CarbonImmutable::now()->utc()->format('Y-m-d\TH:i:s.v\Z');
        unset($body['sent_at']);

        return new OutboxAnswer($this->postJson('/api/v1/outbox', ['sent_at' => $sentAt, 'items' => [['id' => (string) Str::uuid(), 'kind' => $kind, 'body' => $body]]]));
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    protected function practiceLog(ProgrammeVersion $version, array $with = []): array
    {
        $now = CarbonImmutable::now()->utc();

        return [
            'uuid' => (string) Str::uuid(), 'version_id' => $version->id, 'lineage' => $version->items->first()?->lineage, 'anchor' => 'waking',
            'started_at' => $now->subSeconds(130)->format('Y-m-d\TH:i:s.v\Z'), 'ended_at' => $now->format('Y-m-d\TH:i:s.v\Z'), 'sent_at' => $now->format('Y-m-d\TH:i:s.v\Z'),
            'breaths_done' => 12, 'seconds_done' => 120, 'before' => 6, 'after' => 4, 'effort' => 3, 'smooth' => 'yes',
            'slight_symptom' => false, 'remark' => 'Easier today.', 'stop_class' => null, 'stop_symptom' => null, ...$with,
        ];
    }
}
