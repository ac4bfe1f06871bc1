<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Device\Outbox\Kinds;
use Illuminate\Support\Facades\Lang;
use IvoryPace\Assessment\Measure;
use IvoryPace\Safety\RuleBook;
use Tests\TestCase;

/** What has to be touched to add something is few, is there, and is missed where it is forgotten. */
final class ChangingTest extends TestCase
{
    private const MOST = [
        'A technique' => 3, 'A safety rule' => 4, 'A measure' => 2, 'A kind of thing that devices send' => 6, 'A language of the patient\'s side' => 2, 'What a page shows' => 3,
    ];

    public function test_few_files_are_touched_and_each_is_there(): void
    {
        $sections = preg_split('/^## /m', (string) file_get_contents(base_path('docs/changing.md'))) ?: [];
        $found = [];
        foreach (array_slice($sections, 1) as $section) {
            $title = trim(strtok($section, "\n"));
            preg_match_all('/^\d+\. `([^`]+)`/m', $section, $paths);
            $found[$title] = count($paths[1]);
            foreach ($paths[1] as $path) {
                $there = str_contains($path, '<') ? dirname(substr($path, 0, (int) strpos($path, '<')).'x') : $path;
                self::assertFileExists(base_path($there), "$title: $path");
            }
        }
        self::assertSame(array_keys(self::MOST), array_keys($found));
        foreach (self::MOST as $title => $most) {
            self::assertLessThanOrEqual($most, $found[$title], $title);
        }
    }

    public function test_whatever_a_device_sends_has_its_name_and_its_texts_on_both_sides(): void
    {
        $store = (string) file_get_contents(resource_path('js/patient/keeping/store.ts'));
        preg_match('/export type Kind =\s+([^;]+);/', $store, $type);
        preg_match_all("/'([a-z-]+)'/", $type[1] ?? '', $names);
        $sent = array_values(array_filter(Kinds::names(), fn (string $name) => Kinds::named($name)::name() === $name));
        self::assertEqualsCanonicalizing($sent, $names[1]);
        foreach ($sent as $name) {
            foreach (['patient.today.kind', 'patient.today.refused'] as $texts) {
                self::assertTrue(Lang::has("$texts.$name"), "$texts.$name");
            }
        }
        foreach (['patient.today.kind', 'patient.today.refused'] as $texts) {
            self::assertEqualsCanonicalizing($sent, array_keys((array) __($texts)), "$texts has no texts of what is no longer sent");
        }
    }

    public function test_every_rule_has_its_row_and_every_measure_its_lines(): void
    {
        $table = (string) file_get_contents(base_path('core/tests/Safety/RuleTableTest.php'))
            .file_get_contents(base_path('core/tests/Safety/KnownOfAPatientTest.php'));
        foreach (array_keys(RuleBook::rules()) as $rule) {
            self::assertStringContainsString("'$rule'", $table, $rule);
        }
        $measures = (string) file_get_contents(base_path('core/tests/snapshots/measures.txt'));
        foreach (Measure::cases() as $measure) {
            self::assertStringContainsString($measure->value, $measures);
        }
    }

    public function test_the_readme_is_two_screens_and_counts_nothing(): void
    {
        $readme = (string) file_get_contents(base_path('README.md'));
        self::assertLessThanOrEqual(80, substr_count($readme, "\n"));
        $versions = preg_replace(['/Debian 12|PHP 8\.2|Node\.js 20/', '/^\d+\. /m'], '', $readme);
        self::assertSame(0, preg_match('/\d/', (string) $versions), 'a number in the README would have to be kept true');
        foreach (glob(base_path('docs/screenshots/*.png')) ?: [] as $picture) {
            self::assertStringContainsString('docs/screenshots/'.basename($picture), $readme);
        }
        preg_match_all('/\]\(([^)#]+)(?:#[^)]*)?\)/', $readme.file_get_contents(base_path('docs/tour.md')), $links);
        foreach (array_unique($links[1]) as $link) {
            self::assertTrue(is_file(base_path($link)) || is_file(base_path("docs/$link")), $link);
        }
    }
}
