<?php

declare(strict_types=1);

// Times the core: what a key press on the Bench costs before any request is counted.

use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;

require __DIR__.'/../../core/vendor/autoload.php';

/** @param  array<string, mixed>  $fields */
$item = fn (array $fields, string $lineage = 'x'): Item => DraftReader::read($fields, $lineage)->item ?? throw new RuntimeException('cannot be prescribed');

/**
 * Median of many runs in ms, after some to warm up.
 *
 * @param  callable(): mixed  $make  not timed
 * @param  callable(mixed): mixed  $do
 */
$median = function (callable $make, callable $do, int $runs): float {
    $times = [];
    for ($run = 0; $run < $runs + 5; $run++) {
        $given = $make();
        $start = hrtime(true);
        $do($given);
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    $times = array_slice($times, 5);
    sort($times);

    return $times[intdiv(count($times), 2)];
};

// 4:0:5:1 at 1 s is 10 s a breath: 120 breaths are 20 min.
$long = ['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'breaths' => 120];
$compile = $median(fn () => $item($long)->prescription, Compiler::compile(...), 200);

$programme = fn (): array => array_map(fn (string $key) => $item(['technique' => $key], $key), array_slice(array_keys(Catalogue::all()), 0, 6));
$patient = new PatientFacts(Flag::asked(), age: 14, pregnancyWeeks: 30, restingRate: 18, nijmegen: 30, minutesADay: 3);
$rules = $median(
    $programme,
    fn (array $items) => RuleBook::checkProgramme($items, $patient), 50,
);
$plain = new PatientFacts([Flag::Copd, Flag::LowBackPain], age: 58, minutesADay: 20);
$usual = $median(
    $programme,
    fn (array $items) => RuleBook::checkProgramme($items, $plain), 50,
);

printf("%-66s %8.2f ms   budget 5 ms\n", 'compile a 20-minute timeline (median of 200)', $compile);
printf("%-66s %8.2f ms   budget 5 ms\n", 'all rules, a programme of six, a patient with two flags (median of 50)', $usual);
printf("%-66s %8.2f ms   worst case, no budget\n", 'the same, a patient with every flag, every change tried', $rules);
printf("%-66s %8.1f MB\n", 'peak memory of the core', memory_get_peak_usage() / 1e6);
