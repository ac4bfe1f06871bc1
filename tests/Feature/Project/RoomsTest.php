<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use FilesystemIterator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** Which room may use which. An arrow that is not in the table, a room that is not, or one that nobody needs any more, fails. */
final class RoomsTest extends TestCase
{
    private const ROOT = __DIR__.'/../../..';

    private const MOST_FILES = 25;

    /** Laravel looks for models and migrations in one folder each. */
    private const MAY_BE_FULL = ['app/Models', 'database/migrations'];

    /** @var array<string, array<string, string>> by what it is: each room, and what it uses; any room may use what stands above all */
    private const ROOMS = [
        'core' => [
            'Breath' => '',
            'Calendar' => '',
            'Health' => '',
            'Signal' => '',
            'Exercise' => 'Breath Health',
            'Programme' => 'Breath Calendar Exercise',
            'Practice' => 'Breath Calendar Exercise Health Programme',
            'Assessment' => 'Health',
            'Safety' => 'Assessment Breath Exercise Health Programme',
            'Progress' => 'Assessment Breath Calendar Exercise Health Practice Programme Safety',
            'Session' => 'Assessment Breath Exercise Programme Progress Safety Signal',
            'Letter' => 'Progress',
            'Exchange' => 'Assessment Exercise Programme',
        ],
        'app' => [
            'Models' => '',
            'Policies' => 'Models',
            'Jobs' => 'Models',
            'Mail' => 'Models',
            'Catalogue' => 'Language Models',
            'Facts' => 'Models',
            'Guard' => 'Models',
            'Language' => 'Models',
            'Paper' => '',
            'Letters' => 'Catalogue Facts Language Models Paper',
            'Fhir' => 'Facts Language Models',
            'Records' => 'Facts Fhir Models',
            'Signals' => 'Models',
            'Reports' => 'Models Paper Records',
            'Actions' => 'Facts Guard Language Letters Mail Models Records Signals',
            'Feeds' => 'Facts Language Models',
            'Device' => 'Actions Catalogue Facts Guard Language Models Paper Signals',
            'Pages/Shared' => 'Facts Language Models',
            'Pages/Access' => 'Device Models',
            'Pages/Caseload' => 'Facts Models',
            'Pages/Bench' => 'Catalogue Facts Language Models Pages/Shared',
            'Pages/Clinic' => 'Facts Models',
            'Pages/Course' => 'Catalogue Facts Models Pages/Shared',
            'Pages/Exercises' => 'Catalogue Facts Models',
            'Pages/Letters' => 'Models Pages/Shared',
            'Pages/Measure' => 'Facts Language Models Pages/Shared Signals',
            'Pages/Record' => 'Facts Language Models Pages/Shared',
            'Pages/Session' => 'Facts Language Models Pages/Measure Pages/Shared',
            'Pages/Week' => 'Facts Models',
            'Http' => 'Actions Catalogue Device Facts Feeds Guard Language Mail Models Pages/Access Pages/Bench Pages/Caseload Pages/Clinic '
                .'Pages/Course Pages/Exercises Pages/Letters Pages/Measure Pages/Record Pages/Session Pages/Shared Pages/Week Paper '
                .'Records Reports Signals',
            'Console' => 'Actions Facts Guard Language Models',
            'Providers' => 'Facts Guard Mail Models Policies',
        ],
        'resources/js' => [
            'shared' => '',
            'player' => 'shared',
            'patient' => 'player shared',
            'types' => 'shared',
            'lib' => 'shared types',
            'components' => 'lib player shared types',
            'pages' => 'components lib shared types',
        ],
    ];

    /** @return iterable<string, array{string}> */
    public static function parts(): iterable
    {
        foreach (array_keys(self::ROOMS) as $part) {
            yield $part => [$part];
        }
    }

    #[DataProvider('parts')]
    public function test_rooms_use_what_the_table_says_and_nothing_else(string $part): void
    {
        $found = array_fill_keys(array_keys(self::ROOMS[$part]), []);
        foreach (self::files($part) as $path => $code) {
            $room = self::roomOf($part, $path);
            if ($room === '') {
                continue;
            }
            self::assertArrayHasKey($room, $found, "$part/$path stands in a room that is not in the table");
            foreach (self::used($part, $path, $code) as $other) {
                if ($other !== '' && $other !== $room) {
                    $found[$room][$other] = true;
                }
            }
        }
        foreach (self::ROOMS[$part] as $room => $uses) {
            $names = array_keys($found[$room]);
            sort($names);
            self::assertSame($uses, implode(' ', $names), "What $part/$room uses");
        }
    }

    #[DataProvider('parts')]
    public function test_no_room_leads_back_to_itself(string $part): void
    {
        $left = array_map(fn (string $uses) => array_filter(explode(' ', $uses)), self::ROOMS[$part]);
        while ($left !== []) {
            $free = array_keys(array_filter($left, fn (array $uses) => array_intersect($uses, array_keys($left)) === []));
            self::assertNotSame([], $free, 'These go round in a circle: '.implode(', ', array_keys($left)));
            $left = array_diff_key($left, array_flip($free));
        }
    }

    public function test_the_picture_in_the_architecture_is_the_table(): void
    {
        $text = (string) file_get_contents(self::ROOT.'/docs/architecture.md');
        foreach (self::ROOMS as $part => $rooms) {
            self::assertStringContainsString(self::picture($part, $rooms), $text);
        }
    }

    public function test_no_folder_holds_more_than_can_be_looked_through(): void
    {
        foreach (['app', 'core/src', 'core/tests', 'database', 'resources', 'tests'] as $top) {
            $folders = [];
            foreach (self::filesBelow($top) as $file) {
                $folder = substr($file->getPath(), strlen(self::ROOT) + 1);
                $folders[$folder] = ($folders[$folder] ?? 0) + 1;
            }
            foreach (array_diff_key($folders, array_flip(self::MAY_BE_FULL)) as $folder => $files) {
                self::assertLessThanOrEqual(self::MOST_FILES, $files, $folder);
            }
        }
    }

    /** @param  array<string, string>  $rooms */
    private static function picture(string $part, array $rooms): string
    {
        $lines = [];
        foreach ($rooms as $room => $uses) {
            $lines[] = rtrim('  '.str_pad($room, 18).($uses === '' ? '' : '→ '.wordwrap($uses, 100, "\n".str_repeat(' ', 22))));
        }

        return "$part/\n".implode("\n", $lines)."\n";
    }

    /** @return array<string, string> code by path within the part */
    private static function files(string $part): array
    {
        $top = self::ROOT.'/'.($part === 'core' ? 'core/src' : $part);
        $files = [];
        foreach (self::filesBelow($part === 'core' ? 'core/src' : $part) as $file) {
            $files[substr($file->getPathname(), strlen($top) + 1)] = (string) file_get_contents($file->getPathname());
        }
        self::assertGreaterThan(50, count($files));

        return $files;
    }

    /** @return iterable<SplFileInfo> */
    private static function filesBelow(string $folder): iterable
    {
        $all = new RecursiveDirectoryIterator(self::ROOT."/$folder", FilesystemIterator::SKIP_DOTS);
        foreach (new RecursiveIteratorIterator($all) as $file) {
            assert($file instanceof SplFileInfo);
            yield $file;
        }
    }

    private static function roomOf(string $part, string $path): string
    {
        $folders = explode('/', dirname($path));
        if ($folders[0] === '.') {
            return '';
        }

        return $part === 'app' && $folders[0] === 'Pages' ? implode('/', array_slice($folders, 0, 2)) : $folders[0];
    }

    /** @return list<string> rooms; an empty name is what stands above all rooms */
    private static function used(string $part, string $path, string $code): array
    {
        $paths = [];
        if ($part === 'resources/js') {
            preg_match_all('/(?:from\s+|import\s*\(?\s*)[\'"](\.[^\'"]+)[\'"]/', $code, $found);
            foreach ($found[1] as $import) {
                $at = explode('/', dirname($path) === '.' ? '' : dirname($path));
                foreach (explode('/', $import) as $step) {
                    match ($step) {
                        '.' => null,
                        '..' => array_pop($at),
                        default => $at[] = $step,
                    };
                }
                $paths[] = ltrim(implode('/', $at), '/');
            }
        } else {
            preg_match_all('/\b'.($part === 'core' ? 'IvoryPace' : 'App').'\\\\([A-Za-z\\\\]+)/', self::withoutComments((string) preg_replace('/^namespace .*;$/m', '', $code)), $found);
            $paths = array_map(fn (string $name) => str_replace('\\', '/', $name), $found[1]);
        }

        return array_map(fn (string $used) => self::roomOf($part, $used), $paths);
    }

    private static function withoutComments(string $code): string
    {
        $kept = array_filter(token_get_all($code), fn (array|string $token) => ! is_array($token)
            || ! in_array($token[0], [T_COMMENT, T_DOC_COMMENT], true));

        return implode('', array_map(fn (array|string $token) => is_array($token) ? $token[1] : $token, $kept));
    }
}
