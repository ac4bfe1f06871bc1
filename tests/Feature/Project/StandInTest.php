<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use IvoryPace\Signal\Breaths;
use IvoryPace\Signal\DeviceStream;
use IvoryPace\Signal\Steps\Resampling;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** bin/stand-in: what it makes up is what a device may send, and has the truth beside it. */
final class StandInTest extends TestCase
{
    public function test_each_device_sends_what_is_taken(): void
    {
        foreach (['phone' => ['x', 'y', 'z'], 'belt' => ['belly'], 'belts' => ['belly', 'chest'], 'oximeter' => ['spo2', 'pulse', 'rr_ms']] as $device => $channels) {
            $made = self::making([$device, '--breath', '2:0:3:0', '--breaths', '4', '--noise', '20', '--seed', '7']);
            self::assertSame(0, $made->getExitCode(), $made->getErrorOutput());
            self::assertSame($channels, array_keys(DeviceStream::read($made->getOutput())->values));
            self::assertSame($made->getOutput(), self::making([$device, '--breath', '2:0:3:0', '--breaths', '4', '--noise', '20', '--seed', '7'])->getOutput());
        }
    }

    public function test_the_truth_stands_beside_it(): void
    {
        $folder = sys_get_temp_dir().'/ivory-pace-stand-in-'.getmypid();
        mkdir($folder);
        $made = self::making(['belts', '--breath', '3:0:4:1', '--breaths', '8', '--apart', '30', '--out', "$folder/lines", '--truth', "$folder/truth"]);
        self::assertSame([0, ''], [$made->getExitCode(), $made->getOutput()]);
        $truth = json_decode((string) file_get_contents("$folder/truth"), true);
        $values = DeviceStream::read((string) file_get_contents("$folder/lines"))->values;
        array_map(unlink(...), ["$folder/lines", "$folder/truth"]);
        rmdir($folder);
        self::assertSame([8, 30], [count($truth['breaths']), (int) $truth['apart']]);
        foreach (Breaths::in(Resampling::even($values['belly']))->starts() as $n => $start) {
            self::assertEqualsWithDelta($truth['breaths'][$n]['start'], $start, 0.3);
        }
    }

    public function test_what_it_does_not_understand_it_says(): void
    {
        foreach ([
            'say which' => ['cat'], '“x” is no number' => ['belt', '--breath', '4:x'], 'a breath is like' => ['belt', '--breath', '4:5'],
            'is none of --breath' => ['belt', '--colour', 'red'], 'wants something behind it' => ['belt', '--seed'],
            'less than an hour' => ['belt', '--breaths', '1000'], 'beats 30 to 200' => ['oximeter', '--pulse', '5'],
        ] as $words => $with) {
            $made = self::making($with);
            self::assertSame(1, $made->getExitCode());
            self::assertStringContainsString($words, $made->getErrorOutput());
        }
    }

    /** @param  list<string>  $with */
    private static function making(array $with): Process
    {
        $process = new Process([dirname(__DIR__, 3).'/bin/stand-in', ...$with]);
        $process->run();

        return $process;
    }
}
