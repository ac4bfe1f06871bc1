<?php

declare(strict_types=1);

// Times the core: what a key press on the Bench costs before any request is counted.

use IvoryPace\Calendar\ClockTime;
use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Weekday;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Health\Flag;
use IvoryPace\Practice\Adherence;
use IvoryPace\Practice\PracticeRecord;
use IvoryPace\Programme\Anchor;
use IvoryPace\Programme\AnchorSlot;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\History;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\Version;
use IvoryPace\Programme\WeekPlan;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;

require __DIR__.'/../../core/vendor/autoload.php';

/** @param  array<string, mixed>  $fields */
$item = fn (
    array $fields, string $lineage = 'x',
): Item => DraftReader::read($fields, $lineage)->item ?? throw new RuntimeException('cannot be prescribed');

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

$programme = fn (): array => array_map(
    fn (string $key) => $item(['technique' => $key], $key), array_slice(array_keys(Catalogue::all()), 0, 6),
);
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

// Three practices a day for a year, one exercise, three versions.
$clock = PatientClock::in('Europe/Lisbon');
$plan = fn (): WeekPlan => new WeekPlan(
    array_map(
        fn (Anchor $anchor) => new AnchorSlot(
            $anchor, ClockTime::parse($anchor->usualWindow()[0]), ClockTime::parse($anchor->usualWindow()[1]), Weekday::cases(),
        ),
        Anchor::spread(3),
    ),
);
$history = new History([
    new Version(1, PatientDay::of('2025-11-25'), null, ['x' => $plan()]),
    new Version(2, PatientDay::of('2026-03-25'), null, ['x' => $plan()]),
    new Version(3, PatientDay::of('2026-07-25'), null, ['x' => $plan()]),
]);
$now = new DateTimeImmutable('2026-11-25 12:00 UTC');
$records = [];
foreach (PatientDay::of('2025-11-25')->through(PatientDay::of('2026-11-25')) as $day) {
    foreach ([8, 13, 22] as $hour) {
        $records[] = new PracticeRecord('x', new DateTimeImmutable(sprintf('%s %02d:10 UTC', $day->date, $hour)), 12, 12);
    }
}
$year = $median(
    fn () => new Adherence($history, $clock, $records, [], $now),
    fn (Adherence $adherence) => $adherence->ofProgramme(PatientDay::of('2025-11-25'), PatientDay::of('2026-11-25')), 30,
);
$whole = $median(
    fn () => null,
    fn () => (new Adherence($history, $clock, $records, [], $now))->ofProgramme(PatientDay::of('2025-11-25'), PatientDay::of('2026-11-25')),
    30,
);

printf("%-66s %8.2f ms   budget 20 ms\n", 'adherence of a patient-year, '.count($records).' practices, sorting them into days too', $whole);
printf("%-66s %8.2f ms\n", 'the same once they are sorted', $year);
printf("%-66s %8.2f ms   budget 5 ms\n", 'compile a 20-minute timeline (median of 200)', $compile);
printf("%-66s %8.2f ms   budget 5 ms\n", 'all rules, a programme of six, a patient with two flags (median of 50)', $usual);
printf("%-66s %8.2f ms   worst case, no budget\n", 'the same, a patient with every flag, every change tried', $rules);
printf("%-66s %8.1f MB\n", 'peak memory of the core', memory_get_peak_usage() / 1e6);
