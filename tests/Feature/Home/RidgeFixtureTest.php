<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Catalogue\Figures;
use App\Catalogue\RidgeSvg;
use IvoryPace\Programme\DraftReader;
use Tests\TestCase;

/** The ridge on paper is the ridge on the screen: both are held to the same lines. WRITE_SNAPSHOTS=1 writes them anew. */
final class RidgeFixtureTest extends TestCase
{
    private const FILE = __DIR__.'/../../front/ridges.json';

    private const OF = ['extended-exhale', 'square', 'four-seven-eight', 'double-inhale', 'humming', 'rounds-retention', 'even', 'three-part', 'noticing'];

    public function test_paper_draws_the_lines_that_the_screen_draws(): void
    {
        $cases = [];
        foreach (self::OF as $key) {
            $item = DraftReader::read(['technique' => $key], 'x')->item;
            self::assertNotNull($item, $key);
            $ridge = Figures::ridge($item);
            preg_match('#<path d="(M[^"]+)" fill="none"#', RidgeSvg::of($ridge), $line);
            $cases[] = ['technique' => $key, 'ridge' => $ridge, 'width' => RidgeSvg::WIDTH, 'height' => RidgeSvg::HEIGHT, 'line' => $line[1] ?? ''];
        }
        self::assertGreaterThan(7, count($cases));
        $json = (string) json_encode($cases);
        if (getenv('WRITE_SNAPSHOTS') === '1') {
            file_put_contents(self::FILE, $json."\n");
        }
        self::assertJsonStringEqualsJsonFile(self::FILE, $json);
    }
}
