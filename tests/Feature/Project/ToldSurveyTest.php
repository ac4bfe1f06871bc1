<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Language\Survey\ToldCases;
use App\Language\Survey\ToldRules;
use App\Language\Told;
use Illuminate\Support\Facades\File;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Technique;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Told\Instruction;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What patients are told is true of what is prescribed, in every pair of position, route, size, school, hands and ending. */
final class ToldSurveyTest extends TestCase
{
    private const READING = __DIR__.'/../../front/told.json';

    /** @return iterable<string, array{string}> */
    public static function techniques(): iterable
    {
        foreach (array_keys(Catalogue::all()) as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('techniques')]
    public function test_no_sentence_contradicts_and_nothing_is_left_out(string $key): void
    {
        $technique = Catalogue::get($key);
        $cases = new ToldCases(20261129);
        $pairs = iterator_to_array($cases->pairs($technique), false);
        self::assertGreaterThan(10, count($pairs));
        $this->assertAllHold($technique, [...$pairs, ...array_map(fn () => $cases->any($technique), range(1, 170))]);
    }

    public function test_the_rules_notice_what_is_wrong(): void
    {
        $item = DraftReader::read(['technique' => 'extended-exhale', 'position' => 'walking-not-there'], 'x')->item;
        self::assertNull($item);
        $standing = DraftReader::read(['technique' => 'extended-exhale', 'position' => 'standing', 'why' => 'Close your eyes. Lie on your back and take very many breaths one after the other without any pause!'], 'x')->item;
        self::assertNotNull($standing);
        $broken = implode("\n", ToldRules::broken($standing));
        self::assertStringContainsString('lying for someone who does not lie', $broken);
        self::assertStringContainsString('closed eyes on one’s feet', $broken);
        self::assertStringContainsString('reads wrongly', $broken);
    }

    /** The front tests count how hard it is to read. WRITE_SNAPSHOTS=1 writes it anew. */
    public function test_what_is_told_is_kept_to_be_counted(): void
    {
        $told = [];
        foreach (Catalogue::all() as $technique) {
            $cases = new ToldCases(7);
            foreach ([['technique' => $technique->key, 'own_name' => 'Own'], $cases->any($technique), $cases->any($technique)] as $fields) {
                $item = DraftReader::read([...$fields, 'own_prop' => null, 'as_needed' => false, 'times_a_day' => 1], 'x')->item;
                self::assertNotNull($item);
                $told[] = ['technique' => $technique->key, 'sentences' => array_map(Told::say(...), Instruction::of($item))];
            }
        }
        $now = json_encode($told, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
        if (getenv('WRITE_SNAPSHOTS') === '1') {
            File::put(self::READING, $now);
        }
        self::assertTrue(File::get(self::READING) === $now, 'The words have changed: WRITE_SNAPSHOTS=1 writes them anew.');
    }

    /** @param  list<array<string, mixed>>  $cases */
    private function assertAllHold(Technique $technique, array $cases): void
    {
        foreach ($cases as $fields) {
            $draft = DraftReader::read($fields, 'x');
            self::assertNotNull($draft->item, $technique->key.' '.json_encode([$fields, $draft->errors]));
            self::assertSame([], ToldRules::broken($draft->item), (string) json_encode($fields));
        }
    }
}
