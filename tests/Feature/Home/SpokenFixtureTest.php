<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Language\Told;
use Illuminate\Support\Facades\File;
use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Technique;
use IvoryPace\Exercise\Told\ExerciseTold;
use IvoryPace\Exercise\Told\Spoken;
use IvoryPace\Programme\DraftReader;
use Tests\TestCase;

/**
 * What the core says of each cue, as the player's own computation is held to it. Written anew with WRITE_SNAPSHOTS=1; the
 * front tests read the same file.
 */
final class SpokenFixtureTest extends TestCase
{
    private const FILE = __DIR__.'/../../front/spoken.json';

    private const WAYS = __DIR__.'/../../front/ways.json';

    public function test_the_fixture_says_what_the_core_says(): void
    {
        $now = json_encode([
            'buzz' => array_combine(
                array_map(fn (CueKind $kind) => $kind->value, CueKind::cases()), array_map(Spoken::buzz(...), CueKind::cases()),
            ),
            'techniques' => array_values(array_map($this->technique(...), Catalogue::all())),
        ], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
        if (getenv('WRITE_SNAPSHOTS') === '1') {
            File::put(self::FILE, $now);
        }

        $this->assertTrue(File::get(self::FILE) === $now, 'The player is held to another file: WRITE_SNAPSHOTS=1 writes it anew.');
    }

    public function test_the_fixture_of_whole_ways_says_what_the_core_says(): void
    {
        $ways = array_map(fn (string $name, array $way) => $this->way($name, $way[0]), array_keys(Ways::all()), Ways::all());
        $now = json_encode([...$ways, $this->way('a routine of twelve steps', Ways::ofTwelve())], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
        if (getenv('WRITE_SNAPSHOTS') === '1') {
            File::put(self::WAYS, $now);
        }

        $this->assertTrue(File::get(self::WAYS) === $now, 'The player is held to another file: WRITE_SNAPSHOTS=1 writes it anew.');
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed> a way of practising, with what may be said of each cue; before a step, the sentence of it
     */
    private function way(string $name, array $fields): array
    {
        $item = DraftReader::read($fields, 'x')->item;
        $this->assertNotNull($item, $name);
        $timeline = $item->timeline();
        $taught = [];
        foreach ($item->routine->steps ?? [] as $index => $step) {
            foreach ($step->prescription === null ? [] : ExerciseTold::anyStep($step->prescription, $item->school) as $sentence) {
                $taught[($index + 1).' '.$sentence->key] = Told::say($sentence);
            }
        }
        $lines = [];
        foreach ($timeline->segments as $segment) {
            foreach ($segment->cues as $cue) {
                $lines[] = $segment->role === SegmentRole::Teach ? [$taught["{$cue->place->step} {$cue->instruction}"]]
                    : array_map(Told::inWords(...), Spoken::lines($cue));
            }
        }

        return ['key' => $name, 'timeline' => $timeline, 'lines' => $lines, 'taught' => (object) $taught];
    }

    /** @return array<string, mixed> a technique, as short as it can be, with what may be said of each cue */
    private function technique(Technique $technique): array
    {
        $least = [
            'steps' => 2, 'from' => 120, 'list' => 3, 'let-go' => 2, 'seconds' => 2, 'groups' => 3, 'times' => 1, 'rounds' => 1, 'retention' => 10,
            'start' => 3, 'top' => 3, 'free' => 1,
        ];
        $item = DraftReader::read([
            'technique' => $technique->key, ...($technique->isOwn ? ['own_name' => 'Own', 'own_in' => 'as if smelling bread', 'own_out' => 'lips loose'] : []),
            'breaths' => $technique->countsRepeats() ? 3 : null, 'minutes' => $technique->length === Length::Minutes ? 1 : null,
            'parameters' => array_intersect_key($least, $technique->parameters), 'ending' => 'slow',
        ], 'x')->item;
        $this->assertNotNull($item, $technique->key);
        $timeline = $item->timeline();

        return [
            'key' => $technique->key,
            'timeline' => $timeline,
            'shown' => array_map(Told::shown(...), $timeline->cues()),
            'lines' => array_map(fn (Cue $cue) => array_map(Told::inWords(...), Spoken::lines($cue)), $timeline->cues()),
        ];
    }
}
