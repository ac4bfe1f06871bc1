<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\ProgrammeVersion;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class BenchAndVersionsTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-25 10:00:00');
        $this->clinicWithPatient();
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_answers_what_follows_from_the_fields(): void
    {
        $this->screen(['flag.copd']);
        $answer = $this->ask(['ratio' => '4 - 3 - 5', 'position' => 'seated'])->assertOk();

        self::assertEqualsWithDelta(5.0, $answer->json('items.0.figures.rate'), 1e-9);
        self::assertSame(144_000, $answer->json('items.0.figures.exercise_ms'));
        self::assertSame(['inhale', 'hold', 'exhale'], array_column($answer->json('items.0.ridge.cues'), 'kind'));
        self::assertContains('HOLD-MODERATE', array_column($answer->json('items.0.findings'), 'rule'));
        self::assertSame(['waking', 'lunch', 'lights-out'], array_column($answer->json('items.0.fields.anchors'), 'anchor'));
        self::assertEqualsWithDelta(array_fill(0, 7, 7.2), $answer->json('minutes'), 1e-9);
    }

    public function test_an_open_exhale_has_lengths_about_and_no_rate(): void
    {
        $this->screen();
        $answer = $this->ask(['technique' => 'humming'])->assertOk();

        self::assertTrue($answer->json('items.0.figures.about'));
        self::assertNull($answer->json('items.0.figures.rate'));
        self::assertSame(60_000, $answer->json('items.0.figures.exercise_ms'));
    }

    public function test_a_malformed_ratio_is_an_answer_not_an_error(): void
    {
        $this->screen();
        $answer = $this->ask(['ratio' => '4:x', 'breaths' => '0', 'times_a_day' => '40'])->assertOk();

        self::assertStringContainsString('does not belong', $answer->json('items.0.errors.ratio'));
        self::assertStringContainsString('0 breaths', $answer->json('items.0.errors.breaths'));
        self::assertStringContainsString('40 practices a day', $answer->json('items.0.errors.times_a_day'));
        self::assertNull($answer->json('items.0.figures'));
    }

    /** @return iterable<string, array{mixed}> */
    public static function nonsense(): iterable
    {
        yield 'nothing' => [null];
        yield 'text' => ['fields'];
        yield 'nested' => [['technique' => ['a' => 'b'], 'ratio' => [[]], 'anchors' => 'x']];
        yield 'deep anchors' => [['technique' => 'extended-exhale', 'anchors' => [['anchor' => ['x']]], 'times_a_day' => 1]];
        yield 'huge' => [['technique' => 'extended-exhale', 'breaths' => 1e300, 'count_length' => 'NaN', 'ratio' => str_repeat('9', 5000)]];
        yield 'odd letters' => [['technique' => "\u{1F92F}", 'position' => "\u{202E}"]];
    }

    #[DataProvider('nonsense')]
    public function test_nonsense_never_breaks_it(mixed $fields): void
    {
        $this->screen();
        $this->postJson($this->url('bench/answer'), ['items' => [$fields]])->assertOk();
        $this->postJson($this->url('bench/answer'), ['items' => $fields])->assertOk();
        $this->postJson($this->url('versions'), ['items' => [$fields], 'weeks' => 4, 'review_on' => '2026-12-09', 'rated_symptom' => 'tension', 'based_on' => 0])->assertUnprocessable();
        self::assertSame(0, ProgrammeVersion::query()->count());
    }

    public function test_nothing_is_issued_before_the_screening_or_with_an_open_red_flag(): void
    {
        $this->order()->assertJsonValidationErrors('programme');
        $this->screen(['red.chest-pain']);
        $this->order()->assertJsonValidationErrors('programme');
        self::assertSame(0, ProgrammeVersion::query()->count());
    }

    public function test_issues_version_one_with_start_and_review(): void
    {
        $this->screen();
        $this->order()->assertCreated()->assertJson(['go_to' => $this->url('access')]);
        $version = ProgrammeVersion::query()->sole();

        self::assertSame([1, '2026-11-25', '2026-12-22', '2026-12-09'], [
            $version->number, $version->in_force_from->format('Y-m-d'), $version->ends_on?->format('Y-m-d'), $version->review_on->format('Y-m-d'),
        ]);
        self::assertSame('4:0:5:1', $version->items->first()?->fields['ratio']);
    }

    public function test_a_later_version_takes_effect_the_next_day_and_keeps_the_lineage(): void
    {
        $this->screen();
        $first = $this->issue();
        $this->order(['reason' => ''], basedOn: 1)->assertJsonValidationErrors('reason');
        $this->order(['reason' => 'Unhurried at 5.'], ['ratio' => '4:0:6:1'], basedOn: 1)->assertCreated();
        $second = ProgrammeVersion::query()->where('number', 2)->sole();

        self::assertSame('2026-11-26', $second->in_force_from->format('Y-m-d'));
        self::assertSame($first->items->first()?->lineage, $second->items->first()?->lineage);
        $this->get($this->url('versions/1'))->assertInertia(fn ($page) => $page->where('version.items.0.fields.ratio', '4:0:5:1'));
        $this->get($this->url('versions/2'))->assertInertia(fn ($page) => $page->where('version.reason', 'Unhurried at 5.'));
        $this->get($this->url('versions/3'))->assertNotFound();
    }

    public function test_another_technique_begins_a_lineage_of_its_own(): void
    {
        $this->screen();
        $first = $this->issue();
        $second = $this->issue(['technique' => 'diaphragmatic', 'minutes' => 4], basedOn: 1, reason: 'Counting made it worse.');

        self::assertNotSame($first->items->first()?->lineage, $second->items->first()?->lineage);
    }

    public function test_the_second_of_two_practitioners_is_told_and_nothing_is_overwritten(): void
    {
        $this->screen();
        $this->issue();
        $problem = $this->order(basedOn: 0)->assertJsonValidationErrors('programme')->json('errors.programme.0');
        self::assertStringContainsString($this->practitioner->name, $problem);
        self::assertSame(1, ProgrammeVersion::query()->count());
    }

    public function test_a_needs_reason_finding_takes_a_typed_reason_and_shows_it_ever_after(): void
    {
        $this->screen(['flag.copd']);
        $this->order([], ['ratio' => '4:12:6'])->assertJsonValidationErrors(['finding_reasons.0.HOLD-LONG']);
        $this->order(['finding_reasons' => [['HOLD-LONG' => 'Trained diver; agreed with the chest clinic.']]], ['ratio' => '4:12:6'])->assertCreated();

        $this->get($this->url('versions/1'))->assertInertia(fn ($page) => $page
            ->where('version.finding_reasons.0.reason', 'Trained diver; agreed with the chest clinic.')
            ->where('version.finding_reasons.0.by', $this->practitioner->name));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badOrders(): iterable
    {
        yield 'start in the past' => [['starts_on' => '2026-11-24'], 'starts_on'];
        yield 'start far away' => [['starts_on' => '2027-11-24'], 'starts_on'];
        yield 'no such start' => [['starts_on' => '2026-02-30'], 'starts_on'];
        yield 'review before start' => [['review_on' => '2026-11-24'], 'review_on'];
        yield 'review after the end' => [['review_on' => '2027-11-24'], 'review_on'];
        yield 'no weeks' => [['weeks' => 0], 'weeks'];
        yield 'too many weeks' => [['weeks' => 53], 'weeks'];
        yield 'nothing to rate' => [['rated_symptom' => ''], 'rated_symptom'];
    }

    /** @param  array<string, mixed>  $wrong */
    #[DataProvider('badOrders')]
    public function test_wrong_dates_and_numbers_are_named(array $wrong, string $field): void
    {
        $this->screen();
        $this->order($wrong)->assertJsonValidationErrors($field);
        self::assertSame(0, DB::table('programmes')->count(), 'nothing half-stored');
    }

    public function test_what_is_issued_or_signed_cannot_be_changed_even_by_raw_sql(): void
    {
        $this->screen(['flag.copd', 'red.chest-pain']);
        $this->actOnRedFlags();
        $this->order(['finding_reasons' => [['HOLD-LONG' => 'A good reason.']]], ['ratio' => '4:12:6']);
        $version = ProgrammeVersion::query()->with('items')->sole();
        [, $credential] = $this->device();
        $log = $this->practiceLog($version, ['breaths_done' => 3, 'stop_class' => 'made-me-stop', 'stop_symptom' => 'dizziness']);
        $this->fromDevice($credential)->outbox('practice', $log)->assertStored();
        $this->outbox('second-look', ['uuid' => $log['uuid'], 'settled' => true, 'at' => $log['ended_at']])->assertStored();

        $columns = [
            'programme_versions' => 'review_on = "2030-01-01"', 'programme_items' => 'fields = "{}"', 'finding_reasons' => 'reason = "x"',
            'screenings' => 'remark = "x"', 'screening_answers' => 'answer = 0', 'red_flag_actions' => 'action = "x"', 'raised_red_flags' => 'flag = "x"',
            'consents' => 'kind = "withdrawn"', 'practices' => 'effort = 0', 'second_looks' => 'settled = 0',
        ];
        foreach ($columns as $table => $change) {
            self::assertGreaterThan(0, DB::table($table)->count(), $table);
            foreach (["update $table set $change", "delete from $table"] as $statement) {
                try {
                    DB::statement($statement);
                    self::fail("“{$statement}” was carried out");
                } catch (QueryException $refusal) {
                    self::assertStringContainsString('cannot be', $refusal->getMessage());
                }
            }
        }
    }

    /** @param  array<string, mixed>  $fields */
    private function ask(array $fields): \Illuminate\Testing\TestResponse
    {
        return $this->postJson($this->url('bench/answer'), ['items' => [['technique' => 'extended-exhale', ...$fields]]]);
    }

    /**
     * @param  array<string, mixed>  $with
     * @param  array<string, mixed>  $fields
     */
    private function order(array $with = [], array $fields = [], int $basedOn = 0): \Illuminate\Testing\TestResponse
    {
        return $this->postJson($this->url('versions'), [
            'items' => [['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'position' => 'seated', ...$fields]],
            'weeks' => 4, 'starts_on' => '2026-11-25', 'review_on' => '2026-12-09', 'rated_symptom' => 'tension', 'based_on' => $basedOn, ...$with,
        ]);
    }

    private function url(string $path): string
    {
        return "/patients/{$this->patient->id}/$path";
    }
}
