<?php

declare(strict_types=1);

// Makes up recordings, reads them by the core and by scipy, and prints a table of how far both, and the truth, agree.
//   signals.php [write]     with "write" a few of them and what scipy says become the snapshot that the core's tests read
require __DIR__.'/../../core/vendor/autoload.php';

use IvoryPace\Signal\Breaths;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\Steps\Resampling;
use IvoryPace\Signal\TwoBelts;

const RATES = [3.0, 4.5, 6.0, 8.0, 10.0, 12.0, 15.0, 20.0, 25.0, 30.0];
const NOISES = [30.0, 20.0, 10.0, 5.0];
const SNAPSHOT = __DIR__.'/../../core/tests/snapshots/scipy.json';

/** @return array<string, list<array<string, mixed>>> arguments of made-up breathing, by what is done to it */
function recordings(): array
{
    $all = [];
    foreach (RATES as $rate) {
        foreach (NOISES as $noise) {
            $length = 60 / $rate;
            $base = [
                'phases' => [0.4 * $length, 0.0, 0.5 * $length, 0.1 * $length], 'breaths' => (int) max(10, 2 * $rate),
                'noiseDb' => $noise, 'irregular' => 0.05,
            ];
            $all['at rest'][] = $base;
            $all['a drift'][] = ['drift' => 2.0] + $base;
            $all['a cough'][] = ['coughs' => [33.3, 61.0]] + $base;
            $all['speech'][] = ['speech' => [[40.0, 48.0]]] + $base;
            $all['moved'][] = ['moves' => [62.0]] + $base;
            $all['held in between'][] = ['held' => [5, 20.0]] + $base;
            $held = [0.25 * $length, 0.25 * $length, 0.4 * $length, 0.1 * $length];
            $all['a hold in each'][] = ['phases' => $held] + $base;
        }
    }
    foreach (range(0, 180, 10) as $angle) {
        foreach ([INF, 20.0] as $noise) {
            $all['two belts'][] = ['phases' => [2.5, 0.0, 2.5, 0.0], 'breaths' => 24, 'noiseDb' => $noise, 'apart' => (float) $angle];
        }
        $all['a belt slips'][] = ['slips' => 60.0] + $all['two belts'][count($all['two belts']) - 1];
    }
    $seed = 0;

    return array_map(function (array $some) use (&$seed): array {
        return array_map(function (array $each) use (&$seed): array {
            return $each + ['seed' => ++$seed];
        }, $some);
    }, $all);
}

/**
 * @param  list<float>  $one
 * @param  list<float>  $other
 * @return float the largest distance; INF when they are not as many
 */
function apart(array $one, array $other): float
{
    if (count($one) !== count($other)) {
        return INF;
    }

    return $one === [] ? 0.0 : max(array_map(fn (float $a, float $b) => abs($a - $b), $one, $other));
}

function worst(array $values): string
{
    $finite = array_filter($values, is_finite(...));
    $others = count($values) - count($finite);

    $largest = $finite === [] ? '–' : sprintf('%.3f', max($finite));

    return $values === [] ? '' : $largest.($others > 0 ? " ({$others} differ)" : '');
}

$scipy = proc_open(['/usr/bin/python3', __DIR__.'/signals.py'], [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes);
is_resource($scipy) || exit("scipy does not start.\n");
[$to, $from] = $pipes;
$table = $kept = [];
$times = ['core' => 0.0, 'scipy' => 0.0];
foreach (recordings() as $what => $some) {
    $row = ['many' => 0] + array_fill_keys(['start', 'rate', 'true10', 'true5', 'angle', 'hilbert', 'loop', 'loop90'], []);
    foreach ($some as $number => $arguments) {
        $made = new MadeUpBreathing(...$arguments);
        $belly = $made->belly();
        $two = isset($arguments['apart']);
        $chest = $two ? $made->chest() : [];
        fwrite($to, json_encode(['belly' => $belly] + ($two ? ['chest' => $chest] : []), JSON_THROW_ON_ERROR)."\n");
        $said = json_decode((string) fgets($from), true, 16, JSON_THROW_ON_ERROR);
        $begun = hrtime(true);
        $breaths = Breaths::in(Resampling::even($belly));
        $times['core'] += (hrtime(true) - $begun) / 1e6;
        $times['scipy'] += $said['ms'];
        $row['many']++;
        $row['start'][] = 25 * apart($breaths->starts(), $said['starts']);
        $all = array_map(fn ($breath) => $breath->length(), $breaths->all);
        sort($all);
        $middle = ($all[intdiv(count($all) - 1, 2)] + $all[intdiv(count($all), 2)]) / 2;
        $row['rate'][] = abs(60 / $middle - $said['rate']);
        $lengths = array_map(fn (array $true) => $true['inhale'] + $true['hold'] + $true['exhale'] + $true['rest'], $made->truth);
        sort($lengths);
        $middle = array_slice($lengths, $off = intdiv(count($lengths), 4), count($lengths) - 2 * $off);
        $true = 60 * count($middle) / array_sum($middle);
        $row[$arguments['noiseDb'] < 10 ? 'true5' : 'true10'][] = abs($breaths->rate() - $true);
        if ($two) {
            $belts = TwoBelts::of($breaths, Breaths::in(Resampling::even($chest)));
            $row['angle'][] = abs($belts->angle - $arguments['apart']);
            $row['hilbert'][] = abs($belts->angle - $said['angle']);
            $row[$arguments['apart'] >= 70 && $arguments['apart'] <= 110 ? 'loop90' : 'loop'][] = abs($belts->loop - $arguments['apart']);
        }
        if ($number % 9 === 4) {
            $kept[] = [
                'what' => $what,
                'made' => ['noiseDb' => is_infinite($arguments['noiseDb']) ? null : $arguments['noiseDb']] + $arguments,
                'starts' => array_map(fn (float $at) => round($at, 4), $said['starts']), 'rate' => round($said['rate'], 4),
            ];
        }
    }
    $table[$what] = $row;
}
$heads = [
    'recordings', 'how many', 'starts, core and scipy, samples', 'rate, core and scipy, /min', 'rate and truth to 10 dB, /min', 'at 5 dB',
    'angle and truth, °', 'and Hilbert’s', 'loop and truth, °', 'at 70–110°',
];
echo '| '.implode(' | ', $heads)." |\n|".str_repeat('---|', count($heads))."\n";
foreach ($table as $what => $row) {
    $many = $row['many'];
    unset($row['many']);
    echo "| $what | $many | ".implode(' | ', array_map(worst(...), $row))." |\n";
}
$many = array_sum(array_column($table, 'many'));
printf(
    "\n%d recordings. Core %.1f ms each, scipy %.1f ms: %.1f ×.\n",
    $many, $times['core'] / $many, $times['scipy'] / $many, $times['core'] / $times['scipy'],
);

$made = new MadeUpBreathing([4.0, 0.0, 5.0, 1.0], 59, noiseDb: 20);
[$belly, $chest] = [$made->belly(), $made->chest()];
$best = INF;
for ($n = 0; $n < 5; $n++) {
    $begun = hrtime(true);
    TwoBelts::of(Breaths::in(Resampling::even($belly)), Breaths::in(Resampling::even($chest)));
    $best = min($best, (hrtime(true) - $begun) / 1e6);
}
printf("Ten minutes of two belts: %.0f ms (budget 150), %.1f MB (budget 32).\n", $best, memory_get_peak_usage() / 1e6);
if (($argv[1] ?? '') === 'write') {
    file_put_contents(SNAPSHOT, json_encode($kept, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n");
}
