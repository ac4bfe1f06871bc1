<?php

declare(strict_types=1);

namespace Tests\Feature\Project\Running;

use Illuminate\Support\Facades\Artisan;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\School;
use IvoryPace\Safety\Survey;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Console\Output\BufferedOutput;
use Tests\TestCase;

final class CommandsTest extends TestCase
{
    public function test_a_pattern_and_its_arithmetic(): void
    {
        $answer = $this->json_('breath:pattern', ['notation' => '4-7-8', '--breaths' => '4', '--count' => '1.0', '--json' => true]);

        self::assertSame(['notation', 'cycle_s', 'rate_bpm', 'ie', 'duty_cycle', 'quiet_share', 'breaths', 'total_s'], array_keys($answer));
        self::assertEqualsWithDelta(['4:7:8', 19, 3.158, 2, 0.2105, 0.7895, 4, 76], array_values($answer), 0.0005);
        self::assertCount(12, $this->json_('breath:pattern', ['notation' => '4:7:8', '--breaths' => '4', '--timeline' => true])['cues']);
    }

    public function test_a_ratio_fitted_to_limits(): void
    {
        $answer = $this->json_('breath:fit', ['notation' => '4:7:8', '--inhale' => '6', '--hold' => '5', '--exhale' => '9', '--json' => true]);

        self::assertSame(['count_s', 'limiting_phase', 'phases_s', 'rate_bpm'], array_keys($answer));
        self::assertSame('hold', $answer['limiting_phase']);
        self::assertEqualsWithDelta([5 / 7, 4.421], [$answer['count_s'], $answer['rate_bpm']], 0.0005);
        self::assertEqualsWithDelta(['inhale' => 20 / 7, 'hold' => 5, 'exhale' => 40 / 7], $answer['phases_s'], 0.0005);
    }

    public function test_every_exercise_of_the_catalogue_can_be_shown(): void
    {
        foreach (Catalogue::all() as $technique) {
            $shown = $this->json_('breath:exercise', ['key' => $technique->key, '--timeline' => true]);
            $own = array_filter($shown['segments'], fn (array $segment) => $segment['role'] === 'exercise');
            self::assertEqualsWithDelta($shown['exercise_s'], array_sum(array_column($own, 'ms')) / 1000, 1e-9, $technique->key);
        }
    }

    /** Three rounds of 20 × 5:5 with a retention of 60 s take 810 s: common practice, arithmetic. */
    public function test_rounds_with_a_retention_add_up(): void
    {
        $shown = $this->json_('breath:exercise', ['key' => 'rounds-retention', '--set' => ['rounds=3', 'retention=60']]);

        self::assertEquals([60, 3, 3, 810], [$shown['breaths'], $shown['rounds'], $shown['sets'], $shown['exercise_s']]);
    }

    public function test_an_exercise_with_its_own_parameters(): void
    {
        $answer = $this->json_('breath:exercise', ['key' => 'even', '--set' => ['steps=3', 'breaths=4', 'position=supine'], '--json' => true]);

        self::assertEquals([12, 4 * (8 + 10 + 12), false], [$answer['breaths'], $answer['exercise_s'], $answer['about']]);
        self::assertSame('supine', $answer['fields']['position']);
        self::assertNotEmpty($this->json_('breath:exercise', ['key' => 'square', '--timeline' => true])['segments']);
    }

    public function test_the_survey_of_the_safety_rules_shows_every_technique_with_every_flag(): void
    {
        self::assertSame(0, Artisan::call('safety:survey'));
        $shown = Artisan::output();
        foreach (School::cases() as $school) {
            self::assertMatchesRegularExpression('/'.preg_quote($school->label(), '/').'\s+\|\s+\d+\.\d %/', $shown);
        }
        foreach (Survey::people() as $flag => $patient) {
            self::assertStringContainsString($flag, $shown);
        }
        foreach (Catalogue::all() as $technique) {
            self::assertMatchesRegularExpression("/^\s*{$technique->key}(\s+[.nCR])+\s*$/m", $shown);
        }
        self::assertMatchesRegularExpression('/^\s*weight-on-belly\s+\.\s+R /m', $shown, 'pregnancy speaks against a weight on the belly');
        self::assertMatchesRegularExpression('/\d+ techniques, \d+ patients, \d+\.\d s\./', $shown);
        self::assertSame(1, Artisan::call('safety:survey', ['--school' => 'hard-work']));
        self::assertStringContainsString('There is no such school. Choose one of: gentle-control', Artisan::output());
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        yield 'ratio' => ['breath:pattern', ['notation' => '4:x'], 'does not belong'];
        yield 'count' => ['breath:pattern', ['notation' => '4:5', '--count' => '9'], 'outside 0.4 to 2.0'];
        yield 'breaths' => ['breath:pattern', ['notation' => '4:5', '--breaths' => '0'], 'outside 1 to 2000'];
        yield 'limit of zero' => ['breath:fit', ['notation' => '4:5', '--exhale' => '0'], 'outside 0 to 120'];
        yield 'no limit' => ['breath:fit', ['notation' => '4:5'], 'measure inhale, hold or exhale first'];
        yield 'does not suit' => ['breath:fit', ['notation' => '4:7:8', '--hold' => '2'], 'does not suit these limits yet'];
        yield 'technique' => ['breath:exercise', ['key' => 'levitation'], 'no technique'];
        yield 'parameter' => ['breath:exercise', ['key' => 'even', '--set' => ['steps=99']], 'outside 1 to 7'];
        yield 'setting' => ['breath:exercise', ['key' => 'even', '--set' => ['wings=2']], 'no “wings” to set'];
        yield 'no value' => ['breath:exercise', ['key' => 'even', '--set' => ['steps']], 'name=value'];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('bad')]
    public function test_bad_input_is_one_line_and_exit_code_two(string $command, array $input, string $says): void
    {
        $output = new BufferedOutput;

        self::assertSame(2, Artisan::call($command, $input + ['--json' => true], $output));
        $said = trim($output->fetch());
        self::assertStringContainsString($says, $said);
        self::assertStringNotContainsString("\n", $said);
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    private function json_(string $command, array $input): array
    {
        $output = new BufferedOutput;
        self::assertSame(0, Artisan::call($command, $input, $output));

        return json_decode($output->fetch(), true, flags: JSON_THROW_ON_ERROR);
    }
}
