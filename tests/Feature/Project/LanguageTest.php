<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Device\Outbox\Kinds;
use App\Device\PatientSheet;
use App\Language\PatientLanguage;
use App\Models\Clinic;
use App\Models\Device;
use App\Models\Patient;
use App\Models\Programme;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Translation\Loader;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Arr;
use Illuminate\Support\Str;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\ItemFields;
use Tests\Feature\AtTheQuay;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Every sentence that a patient can meet comes from the language of the patient: in a made-up one all are in brackets. */
final class LanguageTest extends TestCase
{
    use AtTheQuay, RefreshDatabase, Scenario;

    private const PAGES = ['today', 'as-needed', 'diary', 'progress', 'sheet', 'devices', 'me'];

    /** Keys of texts, names of things, identifiers, times and drawings: no words for people. */
    private const NO_WORDS = '#^([a-z0-9_.-]+|[0-9A-Z]{26}|[0-9T:.Z–/ -]+|data:image/.*)$#';

    protected function setUp(): void
    {
        parent::setUp();
        $this->app?->extend('translation.loader', fn (Loader $real) => new Bracketed($real));
        $this->app?->forgetInstance('translator');
    }

    public function test_all_that_devices_are_told_is_in_the_language_of_the_patient(): void
    {
        $this->atTheQuay();
        Patient::query()->update(['locale' => Bracketed::LOCALE]);
        $seen = 0;
        $known = Device::query()->whereNotNull('pin')->whereNull('revoked_at')->with('patient.practitioner')->get()->unique('patient_id');
        foreach ($known as $device) {
            $this->practitioner = $device->patient->practitioner;
            [, $credential] = $this->device($device->patient);
            $this->app?->make('auth')->forgetGuards();
            $this->fromDevice($credential)->unlock();
            $typed = self::typed($device->patient);
            foreach (self::PAGES as $page) {
                $answer = $this->getJson("/api/v1/$page")->assertOk()->json();
                array_walk_recursive($answer, function (mixed $text, string|int $key) use ($typed, $page, &$seen) {
                    if (is_string($text) && preg_match(self::NO_WORDS, $text) !== 1 && ! in_array(mb_strtolower($text), $typed, true)) {
                        $seen++;
                        self::assertInBrackets(str_ireplace(array_filter($typed), '', $text), "$page: $key");
                    }
                });
            }
        }
        self::assertGreaterThan(100, $seen);
    }

    public function test_the_page_brings_all_its_texts_in_it_and_says_which_it_is(): void
    {
        $this->clinicWithPatient();
        [, $credential] = $this->device();
        $this->patient->update(['locale' => Bracketed::LOCALE]);
        $page = (string) $this->fromDevice($credential)->get('/my')->assertOk()->getContent();
        self::assertStringContainsString('<html lang="qq">', $page);
        preg_match('#<script id="words"[^>]*>(.*?)</script>#s', $page, $words);
        foreach ((array) json_decode($words[1], true) as $key => $text) {
            self::assertStringContainsString('⟦', $text, (string) $key);
        }
    }

    public function test_the_sheet_speaks_to_the_patient_whoever_prints_it(): void
    {
        $this->clinicWithPatient();
        $this->screen();
        foreach (array_chunk(array_filter(array_keys(Catalogue::all()), fn (string $key) => $key !== 'own'), 12) as $keys) {
            $patient = Patient::factory()->create([
                'practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id, 'locale' => Bracketed::LOCALE,
            ]);
            $this->screen(patient: $patient);
            $html = PatientSheet::html($this->onFile($keys, $patient), $patient);
            preg_match_all('#base64,([^"]+)"#', $html, $drawings);
            foreach ([...array_map(fn (string $each) => (string) base64_decode($each, true), $drawings[1]), $html] as $page) {
                $text = preg_replace(['#<(style|title)\b.*?</\1>#s', '#<[^>]+>#'], ["\n", "\n"], $page);
                foreach (preg_split('/\n+/', html_entity_decode((string) $text)) ?: [] as $line) {
                    self::assertInBrackets(str_ireplace(array_filter(self::typed($patient)), '', $line), 'the sheet');
                }
            }
        }
    }

    public function test_days_and_months_are_written_as_it_is_usual_there(): void
    {
        $this->travelTo(CarbonImmutable::parse('2026-11-25 12:00', 'Europe/Lisbon'));
        $this->clinicWithPatient();
        $this->screen();
        $this->issue();
        [, $credential] = $this->device();
        $this->patient->update(['locale' => Bracketed::WITH_DATES]);
        $this->fromDevice($credential)->unlock();
        $label = fn (): string => (string) $this->getJson('/api/v1/today')->json('days.0.label');
        self::assertStringContainsString('Mittwoch', $label());
        $this->patient->update(['locale' => 'no-such']);
        self::assertStringContainsString('Wednesday', $label(), 'a language that is not there falls back to the first');
    }

    public function test_whatever_is_refused_says_so_in_it(): void
    {
        $this->clinicWithPatient();
        $this->screen();
        $version = $this->issue();
        [, $credential] = $this->device();
        $this->patient->update(['locale' => Bracketed::LOCALE]);
        $this->fromDevice($credential)->unlock();
        $bodies = [
            [], ['uuid' => 'x', 'day' => 'x', 'form' => 'x', 'answers' => 'x', 'taps' => 'x', 'taken_at' => 'x', 'started_at' => 'x'],
            ['uuid' => (string) Str::uuid(), 'day' => '2020-01-01', 'form' => (string) Str::ulid(), 'answers' => [], 'taps' => [1, 2],
                'taken_at' => '2020-01-01T00:00:00Z', 'written_at' => '2020-01-01T00:00:00Z', 'ratings' => [], 'settled' => false,
                'looked_at' => '2020-01-01T00:00:00Z', 'lineage' => 'x', 'anchor' => 'waking', 'reason' => 'tired', 'said_at' => '2020-01-01T00:00:00Z'],
            ...self::practices($version),
        ];
        $refused = 0;
        foreach (Kinds::names() as $kind) {
            foreach ($bodies as $body) {
                $answer = $this->postJson('/api/v1/outbox', [
                    'sent_at' => now()->format('Y-m-d\TH:i:s\Z'), 'items' => [['id' => (string) Str::uuid(), 'kind' => $kind, 'body' => $body]],
                ])->assertOk()->json('answers.0');
                if ($answer['result'] === 'refused') {
                    $refused++;
                    foreach ([$answer['message'], ...array_merge(...array_values($answer['errors'] ?? []))] as $message) {
                        self::assertInBrackets($message, "$kind ".json_encode($body));
                    }
                }
            }
        }
        self::assertGreaterThan(25, $refused);
        foreach ([['/api/v1/pin', ['pin' => '1']], ['/api/v1/pin', []], ['/api/v1/pin', ['pin' => '123456']], ['/api/v1/unlock', ['pin' => '999999']], ['/api/v1/unlock', []], ['/api/v1/consent', []], ['/api/v1/outbox', []]] as [$address, $body]) {
            $answer = $this->postJson($address, $body);
            if ($answer->status() !== 200) {
                foreach ([...array_merge(...array_values($answer->json('errors') ?? [[$answer->json('message')]]))] as $message) {
                    self::assertInBrackets((string) $message, "$address ".json_encode($body));
                }
            }
        }
        self::assertInBrackets((string) $this->postJson('/api/v1/lock', [])->json('message'), 'locked');
        foreach (['/api/v1/today', '/api/v1/nothing-here'] as $address) {
            self::assertInBrackets((string) $this->getJson($address)->json('message'), $address);
        }
    }

    public function test_every_language_has_every_text_of_the_first_one(): void
    {
        $texts = function (string $locale): array {
            $keys = [];
            foreach (glob(lang_path("$locale/*.php")) ?: [] as $file) {
                array_push($keys, ...array_map(fn (string $key) => basename($file).": $key", array_keys(Arr::dot(require $file))));
            }
            sort($keys);

            return $keys;
        };
        foreach (array_keys(PatientLanguage::all()) as $locale) {
            self::assertSame($texts(PatientLanguage::FIRST), $texts($locale), $locale);
        }
        $this->clinicWithPatient();
        $details = ['name' => 'A', 'birth_date' => '1980-01-01', 'time_zone' => 'Europe/Lisbon', 'day_start' => '04:00'];
        $this->actingAs($this->practitioner, 'practitioner')->from('/')
            ->put("/patients/{$this->patient->id}/details", [...$details, 'locale' => 'qq'])->assertSessionHasErrors('locale');
        $this->put("/patients/{$this->patient->id}/details", [...$details, 'locale' => 'en'])->assertSessionHasNoErrors();
    }

    public function test_a_stranger_is_spoken_to_as_the_browser_asks_and_otherwise_in_the_first_language(): void
    {
        self::assertStringContainsString('<html lang="en">', (string) $this->get('/enter', ['Accept-Language' => 'tlh, en;q=0.5'])->getContent());
        self::assertSame(['en' => 'English'], PatientLanguage::all());
    }

    public function test_the_practitioner_goes_on_in_english_after_speaking_to_a_patient(): void
    {
        $this->clinicWithPatient();
        $this->patient->update(['locale' => Bracketed::LOCALE]);
        self::assertStringStartsWith('⟦', PatientLanguage::of($this->patient, fn () => (string) __('patient.today.tab')));
        self::assertSame(['en', 'Today'], [app()->getLocale(), __('patient.today.tab')]);
    }

    /**
     * A version as it would be issued, without asking the rules.
     *
     * @param  list<string>  $keys  of techniques
     */
    private function onFile(array $keys, Patient $patient): ProgrammeVersion
    {
        $programme = Programme::query()->create(['patient_id' => $patient->id, 'is_maintenance' => false]);
        $version = $programme->versions()->create([
            'number' => 1, 'practitioner_id' => $this->practitioner->id, 'in_force_from' => '2026-11-20', 'ends_on' => '2026-12-20',
            'review_on' => '2026-12-10', 'rated_symptom' => 'tension', 'school' => 'gentle-control', 'issued_at' => now(), 'item_count' => count($keys),
        ]);
        foreach ($keys as $key) {
            $item = DraftReader::read(['technique' => $key, 'times_a_day' => 2, 'cue_word' => true], $key)->item;
            self::assertNotNull($item, $key);
            $version->items()->create(['lineage' => $key, 'fields' => ItemFields::write($item)]);
        }

        return $version->load('items');
    }

    private static function assertInBrackets(string $text, string $where): void
    {
        $rest = $text;
        for ($before = ''; $before !== $rest;) {
            [$before, $rest] = [$rest, (string) preg_replace('/⟦[^⟦⟧]*⟧/u', '', $rest)];
        }
        $words = preg_replace('/\b\d{1,2}:\d\d\b|\b(January|February|March|April|May|June|July|August|September|October|November|December)\b'
            .'|\b(Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day\b|\b(Mon?|Tue?|Wed?|Thu?|Fri?|Sat?|Sun?)\b/', '', $rest);
        self::assertSame(0, preg_match('/\pL{2,}/u', (string) $words), "$where: “{$text}”");
    }

    /** @return list<array<string, mixed>> practices that cannot be as they are said to be */
    private static function practices(ProgrammeVersion $version): array
    {
        $lineage = $version->items()->firstOrFail()->lineage;
        $good = [
            'version_id' => $version->id, 'lineage' => $lineage, 'started_at' => now()->subMinutes(10)->format('Y-m-d\TH:i:s\Z'),
            'ended_at' => now()->subMinutes(5)->format('Y-m-d\TH:i:s\Z'), 'breaths_done' => 5, 'seconds_done' => 60, 'interruptions' => 0,
        ];

        return array_map(fn (array $wrong) => ['uuid' => (string) Str::uuid(), ...$good, ...$wrong], [
            ['breaths_done' => 5000], ['ended_at' => now()->subHour()->format('Y-m-d\TH:i:s\Z')], ['ended_at' => now()->addDay()->format('Y-m-d\TH:i:s\Z')],
            ['started_at' => now()->subDays(90)->format('Y-m-d\TH:i:s\Z')], ['seconds_done' => 4000], ['tempo' => 3.0], ['enough_step' => 2],
            ['short' => true], ['lineage' => 'x'], ['version_id' => 0], ['before' => 11], ['effort' => 'x'], ['stop_class' => 'x'],
            ['stop_class' => 'get-help'], ['stop_class' => 'made-me-stop', 'stop_symptom' => 'chest-pain'],
        ]);
    }

    /** @return list<string> what people have typed, in small letters: it is in their own words */
    private static function typed(Patient $patient): array
    {
        $clinic = Clinic::query()->findOrFail($patient->clinic_id);
        $typed = [
            $patient->name, $clinic->name, $clinic->emergency_wording, (string) $clinic->crisis_number, 'Phone',
            ...$patient->symptoms()->pluck('name')->all(), ...$patient->diary()->get()->map(fn ($entry) => $entry->content['text'] ?? '')->all(),
        ];
        foreach (ProgrammeVersion::query()->whereIn('programme_id', $patient->programmes()->select('id'))->with('items')->get() as $version) {
            array_push($typed, $version->rated_symptom, (string) $version->patient_note, (string) ($version->goal['words'] ?? ''));
            foreach ($version->items as $item) {
                array_push($typed, $item->item()->why, $item->item()->asNeeded->useWhen ?? '', $item->item()->prescription->own->name ?? '', $item->item()->routine->name ?? '', $item->item()->prescription->own->right ?? '');
            }
        }

        // The longest first: one may stand within another.
        usort($typed, fn (string $a, string $b) => strlen($b) <=> strlen($a));

        return array_map(mb_strtolower(...), $typed);
    }
}
