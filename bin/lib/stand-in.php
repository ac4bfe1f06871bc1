<?php

declare(strict_types=1);

// What bin/stand-in makes up.
require __DIR__.'/../../core/vendor/autoload.php';
require __DIR__.'/sender.php';

use IvoryPace\InvalidValue;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\MadeUp\MadeUpHeart;

const OPTIONS = [
    'breath', 'breaths', 'out', 'truth', 'seed', 'noise', 'drift', 'irregular', 'cough', 'speech', 'moved', 'held', 'sigh', 'slip', 'apart',
    'pulse', 'swing', 'fall', 'script', 'to', 'code', 'keep', 'recordings',
];

/** A recording in the room lasts no longer, s. */
const LONGEST_S = 1800;

function refuse(string $why): never
{
    fwrite(STDERR, "bin/stand-in: $why\n");
    exit(1);
}

/** @return array<string, string> */
function options(array $words): array
{
    $options = [];
    for ($n = 0; $n < count($words); $n += 2) {
        $name = substr($words[$n], 2);
        if (! str_starts_with($words[$n], '--') || ! in_array($name, OPTIONS, true)) {
            refuse("“{$words[$n]}” is none of --".implode(', --', OPTIONS));
        }
        $options[$name] = $words[$n + 1] ?? refuse("--$name wants something behind it");
    }

    return $options;
}

/** @return list<float> */
function numbers(string $text, string $between): array
{
    return array_map(fn (string $each) => is_numeric($each) ? (float) $each : refuse("“{$each}” is no number"), explode($between, $text));
}

$device = $argv[1] ?? '';
if (! in_array($device, ['phone', 'belt', 'belts', 'oximeter'], true)) {
    refuse('say which: phone, belt, belts or oximeter');
}
$given = options(array_slice($argv, 2));
$number = fn (string $name, float $otherwise) => isset($given[$name]) ? numbers($given[$name], ' ')[0] : $otherwise;
$phases = numbers($given['breath'] ?? '4:0:6:0', ':');
count($phases) === 4 && array_sum($phases) > 0 || refuse('a breath is like 4:0:5:1, in seconds');
$breaths = isset($given['to']) ? ceil(LONGEST_S / array_sum($phases)) : 12;
$held = isset($given['held']) ? numbers($given['held'], ':') : null;
try {
    $made = new MadeUpBreathing(
        $phases, (int) $number('breaths', $breaths), seed: (int) $number('seed', 1),
        noiseDb: $number('noise', INF), drift: $number('drift', 0), irregular: $number('irregular', 0),
        coughs: isset($given['cough']) ? numbers($given['cough'], ',') : [],
        speech: array_map(
            fn (string $each) => numbers($each, '-') + [1 => 0.0], isset($given['speech']) ? explode(',', $given['speech']) : [],
        ),
        moves: isset($given['moved']) ? numbers($given['moved'], ',') : [],
        held: $held === null ? null : [(int) $held[0], $held[1] ?? 10.0],
        sigh: isset($given['sigh']) ? (int) $number('sigh', 0) : null, slips: isset($given['slip']) ? $number('slip', 0) : null,
        apart: $number('apart', 0),
    );
    $heart = new MadeUpHeart(
        $made, rate: $number('pulse', 70), swing: $number('swing', 10), fall: $number('fall', 0), seed: (int) $number('seed', 1),
    );
} catch (InvalidValue $problem) {
    refuse($problem->getMessage());
}
$line = fn (float $at, array $said) => ['t' => round($at, 3)] + $said;
$chest = $device === 'belts' ? $made->chest() : [];
$lines = match ($device) {
    'phone' => array_map(fn (array $s) => $line($s[0], ['acc' => [round($s[1], 4), round($s[2], 4), round($s[3], 4)]]), $made->phone()),
    'belt' => array_map(fn (array $s) => $line($s[0], ['ch' => ['belly' => round($s[1], 4)]]), $made->belly()),
    'belts' => array_map(
        fn (array $s, array $c) => $line($s[0], ['ch' => ['belly' => round($s[1], 4), 'chest' => round($c[1], 4)]]), $made->belly(), $chest,
    ),
    'oximeter' => [
        ...array_map(fn (array $s) => $line($s[0], ['spo2' => (int) $s[1], 'pulse' => (int) $s[2]]), $heart->oximeter()),
        ...array_map(fn (array $s) => $line($s[0], ['rr_ms' => (int) round($s[1])]), $heart->beats()),
    ],
};
usort($lines, fn (array $one, array $other) => $one['t'] <=> $other['t']);
if (isset($given['to'])) {
    $sender = new Sender(rtrim($given['to'], '/'), $given['keep'] ?? sys_get_temp_dir()."/ivory-pace-stand-in-$device", $lines);
    isset($given['code']) && $sender->pair($given['code']);
    $sender->run((int) $number('recordings', 0));
    exit(0);
}
$text = implode('', array_map(fn (array $each) => json_encode($each, JSON_THROW_ON_ERROR)."\n", $lines));
if (isset($given['truth'])) {
    $truth = json_encode(['breaths' => $made->truth, 'apart' => $number('apart', 0)], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT);
    file_put_contents($given['truth'], $truth."\n") !== false || refuse("{$given['truth']} cannot be written");
}
if (isset($given['script'])) {
    $device === 'phone' || refuse('--script is for a phone');
    $first = $made->truth[0];
    $script = strtr((string) file_get_contents(__DIR__.'/stand-in.js'), [
        'SAMPLES' => json_encode(array_map(fn (array $s) => array_map(fn (float $each) => round($each, 4), $s), $made->phone())),
        'LENGTH' => json_encode(array_sum($phases)),
        'FIRST' => json_encode($first['start']), 'SECOND' => json_encode($first['start'] + $first['inhale'] + $first['exhale']),
    ]);
    file_put_contents($given['script'], $script) !== false || refuse("{$given['script']} cannot be written");
    exit(0);
}
isset($given['out']) ? file_put_contents($given['out'], $text) !== false || refuse("{$given['out']} cannot be written") : print $text;
