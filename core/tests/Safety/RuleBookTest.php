<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Effort;
use IvoryPace\Exercise\School;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RuleBookTest extends TestCase
{
    /** @return iterable<string, array{string, Level, array<string, mixed>, PatientFacts, array<string, mixed>, PatientFacts}> rule, level, fires, does not */
    public static function bothWays(): iterable
    {
        $plain = new PatientFacts;
        $pregnant = new PatientFacts([Flag::Pregnancy], pregnancyWeeks: 12);
        $copd = new PatientFacts([Flag::Copd]);

        yield 'long hold' => ['HOLD-LONG', Level::NeedsReason, ['ratio' => '4:11:6'], $pregnant, ['ratio' => '4:10:6'], $pregnant];
        yield 'long hold without a flag' => ['HOLD-LONG', Level::NeedsReason, ['ratio' => '4:11:6'], new PatientFacts(age: 15), ['ratio' => '4:11:6'], new PatientFacts(age: 16)];
        yield 'long rest is a hold too' => ['HOLD-LONG', Level::NeedsReason, ['ratio' => '4:0:6:11'], $copd, ['ratio' => '4:0:6:11'], $plain];
        yield 'the count length makes it long' => ['HOLD-LONG', Level::NeedsReason, ['ratio' => '4:7:8', 'count_length' => 1.5], $copd, ['ratio' => '4:7:8', 'count_length' => 1.4], $copd];
        yield 'moderate hold' => ['HOLD-MODERATE', Level::Caution, ['ratio' => '4:3:6'], $pregnant, ['ratio' => '4:2:6'], $pregnant];
        yield 'moderate hold at ten' => ['HOLD-MODERATE', Level::Caution, ['ratio' => '4:10:6'], $pregnant, ['ratio' => '4:11:6'], $pregnant];
        yield 'comfort limit, exhale' => ['COMFORT-LIMIT', Level::Caution, ['ratio' => '4:9'], new PatientFacts(limits: new ComfortableLimits(exhale: 8)), ['ratio' => '4:8'], new PatientFacts(limits: new ComfortableLimits(exhale: 8))];
        yield 'comfort limit, hold' => ['COMFORT-LIMIT', Level::Caution, ['ratio' => '4:6:8'], new PatientFacts(limits: new ComfortableLimits(hold: 5)), ['ratio' => '4:5:8'], new PatientFacts(limits: new ComfortableLimits(hold: 5))];
        yield 'on the front' => ['PRONE-SURGERY', Level::NeedsReason, ['technique' => 'prone'], new PatientFacts([Flag::RecentSpinalSurgery]), ['technique' => 'ribs-down'], new PatientFacts([Flag::RecentSpinalSurgery])];
        yield 'on the front, neck' => ['PRONE-NECK', Level::Caution, ['technique' => 'prone'], new PatientFacts([Flag::NeckInjury]), ['technique' => 'prone'], new PatientFacts([Flag::LowBackPain])];
        yield 'weight' => ['WEIGHT-ON-BELLY', Level::NeedsReason, ['technique' => 'weight-on-belly'], new PatientFacts([Flag::Hernia]), ['technique' => 'prone'], new PatientFacts([Flag::Hernia])];
        yield 'humming' => ['HUMMING', Level::Caution, ['technique' => 'humming'], new PatientFacts([Flag::SinusOrEarInfection]), ['technique' => 'soft-exhale'], new PatientFacts([Flag::SinusOrEarInfection])];
        yield 'an open exhale has no limit' => ['COMFORT-LIMIT', Level::Caution, ['technique' => 'humming'], new PatientFacts(limits: new ComfortableLimits(inhale: 3, exhale: 5)), ['technique' => 'humming'], new PatientFacts(limits: new ComfortableLimits(exhale: 5))];
        yield 'nostril' => ['NOSTRIL-CLOSING', Level::Caution, ['technique' => 'alternate-nostril'], new PatientFacts([Flag::BlockedNose]), ['technique' => 'long-exhale'], new PatientFacts([Flag::HandTrouble])];
        yield 'the longest step counts' => ['COMFORT-LIMIT', Level::Caution, ['technique' => 'even', 'parameters' => ['steps' => 3]], new PatientFacts(limits: new ComfortableLimits(exhale: 5)), ['technique' => 'even', 'parameters' => ['steps' => 2]], new PatientFacts(limits: new ComfortableLimits(exhale: 5))];
        yield 'slow pace' => ['PACE-SLOW', Level::Note, ['ratio' => '4:0:5:1', 'breaths' => 19], new PatientFacts(restingRate: 11), ['ratio' => '4:0:5:1', 'breaths' => 18], new PatientFacts(restingRate: 11)];
        yield 'slow pace after two weeks' => ['PACE-SLOW', Level::Note, ['breaths' => 19], new PatientFacts(restingRate: 16, programmeDay: 13), ['breaths' => 19], new PatientFacts(restingRate: 16, programmeDay: 14)];
        yield 'many breaths of 4:7:8' => ['FOUR-SEVEN-EIGHT-BREATHS', Level::Caution, ['ratio' => '2:3.5:4', 'breaths' => 9], $plain, ['ratio' => '4:7:8', 'breaths' => 8], $plain];
        yield 'full breaths' => ['FULL-BREATHS', Level::Caution, ['effort' => 'full', 'breaths' => 13], new PatientFacts([Flag::Panic]), ['effort' => 'full', 'breaths' => 12], new PatientFacts([Flag::Panic])];
        yield 'full breaths, Nijmegen' => ['FULL-BREATHS', Level::Caution, ['effort' => 'full', 'breaths' => 13], new PatientFacts(nijmegen: 23), ['effort' => 'full', 'breaths' => 13], new PatientFacts(nijmegen: 22)];
        yield 'worked exhale' => ['EXHALE-ACTIVE', Level::NeedsReason, ['effort' => 'active'], new PatientFacts([Flag::RibFracture]), ['effort' => 'full'], new PatientFacts([Flag::RibFracture])];
        yield 'complete exhale' => ['EXHALE-COMPLETE', Level::Caution, ['effort' => 'complete'], new PatientFacts([Flag::Asthma]), ['effort' => 'active'], new PatientFacts([Flag::Asthma])];
        yield 'lying flat' => ['LYING-FLAT', Level::Caution, ['position' => 'supine'], new PatientFacts([Flag::Reflux]), ['position' => 'reclined'], new PatientFacts([Flag::Reflux])];
        yield 'lying flat from 20 weeks' => ['LYING-FLAT', Level::Caution, ['position' => 'supine'], new PatientFacts([Flag::Pregnancy], pregnancyWeeks: 20), ['position' => 'supine'], new PatientFacts([Flag::Pregnancy], pregnancyWeeks: 19)];
        yield 'weeks not known' => ['LYING-FLAT', Level::Caution, ['position' => 'supine'], new PatientFacts([Flag::Pregnancy]), ['position' => 'side-lying'], new PatientFacts([Flag::Pregnancy])];
        yield 'on the floor' => ['FLOOR-OR-FORWARD', Level::Caution, ['position' => 'kneeling'], new PatientFacts([Flag::CannotReachFloor]), ['position' => 'seated'], new PatientFacts([Flag::CannotReachFloor])];
        yield 'head down' => ['FLOOR-OR-FORWARD', Level::Caution, ['technique' => 'diaphragmatic', 'position' => 'hands-and-knees'], new PatientFacts([Flag::Eye]), ['technique' => 'diaphragmatic', 'position' => 'standing'], new PatientFacts([Flag::Eye])];
        yield 'long inhale at the start' => ['INHALE-START', Level::Caution, ['ratio' => '4:6'], new PatientFacts([Flag::Asthma]), ['ratio' => '3:6'], new PatientFacts([Flag::Asthma])];
        yield 'long inhale later' => ['INHALE-START', Level::Caution, ['ratio' => '4:6'], new PatientFacts([Flag::Copd], programmeDay: 13), ['ratio' => '4:6'], new PatientFacts([Flag::Copd], programmeDay: 14)];
        yield 'retention of any length' => ['RETENTION', Level::NeedsReason, ['technique' => 'rounds-retention', 'parameters' => ['retention' => 5]], $copd, ['technique' => 'even', 'ratio' => '5:5'], $copd];
        yield 'retention without a flag' => ['RETENTION', Level::NeedsReason, ['technique' => 'rounds-retention'], new PatientFacts(age: 15), ['technique' => 'rounds-retention'], new PatientFacts(age: 16)];
        $trauma = new PatientFacts([Flag::Trauma]);
        yield 'attention in the body' => ['BODY-SCAN', Level::Caution, ['technique' => 'body-scan'], $trauma, ['technique' => 'body-scan', 'gaze' => 'on-a-point', 'parameters' => ['seconds' => 2]], $trauma];
        yield 'long list with open eyes' => ['BODY-SCAN', Level::Caution, ['technique' => 'body-scan', 'gaze' => 'on-a-point', 'parameters' => ['seconds' => 2, 'list' => 2]], new PatientFacts([Flag::Psychosis]), ['technique' => 'tense-release'], new PatientFacts([Flag::Psychosis])];
        yield 'eyes closed only' => ['EYES-CLOSED', Level::Caution, ['gaze' => 'closed'], $trauma, ['gaze' => 'choice'], $trauma];
        yield 'neck' => ['NECK-MOVES', Level::Caution, ['technique' => 'neck-release'], new PatientFacts([Flag::NeckInjury]), ['technique' => 'neck-release'], $plain];
        yield 'ten breaths in ratio practice' => ['FOUR-SEVEN-EIGHT-BREATHS', Level::Caution, ['ratio' => '4:7:8', 'breaths' => 11, 'school' => 'ratio-practice'], $plain, ['ratio' => '4:7:8', 'breaths' => 10, 'school' => 'ratio-practice'], $plain];
        yield 'slower than prescribed' => ['HOLD-LONG', Level::NeedsReason, ['ratio' => '4:7:8', 'slowest' => 1.5], $copd, ['ratio' => '4:7:8', 'slowest' => 1.4], $copd];
        yield 'rounds break the row' => ['FULL-BREATHS', Level::Caution, ['technique' => 'rounds-retention'], new PatientFacts([Flag::Panic]), ['technique' => 'rounds-retention', 'breaths' => 12], new PatientFacts([Flag::Panic])];
        yield 'nothing for breathlessness' => ['RECOVERY-MISSING', Level::Note, [], $copd, [], $plain];
        yield 'low back, flat' => ['FLAT-LOW-BACK', Level::Note, ['position' => 'supine', 'props' => []], new PatientFacts([Flag::LowBackPain]), ['position' => 'supine', 'props' => ['pillow-under-knees']], new PatientFacts([Flag::LowBackPain])];
        yield 'too many minutes' => ['MINUTES-A-DAY', Level::Note, ['times_a_day' => 3], new PatientFacts(minutesADay: 5), ['times_a_day' => 2], new PatientFacts(minutesADay: 5)];
        $before = self::item([])->prescription;
        yield 'two axes' => ['TWO-AXES', Level::Note, ['ratio' => '4:0:6:1', 'position' => 'seated'], new PatientFacts(inForce: $before), ['ratio' => '4:0:6:1'], new PatientFacts(inForce: $before)];
    }

    /**
     * @param  array<string, mixed>  $fires
     * @param  array<string, mixed>  $quiet
     */
    #[DataProvider('bothWays')]
    public function test_each_rule_fires_when_it_should_and_only_then(string $rule, Level $level, array $fires, PatientFacts $whom, array $quiet, PatientFacts $whomNot): void
    {
        $finding = self::find($rule, RuleBook::check(self::item($fires), $whom));

        self::assertNotNull($finding, "$rule should fire");
        self::assertSame($level, $finding->level);
        self::assertNotSame('', $finding->basis);
        self::assertNull(self::find($rule, RuleBook::check(self::item($quiet), $whomNot)), "$rule should be quiet");
    }

    public function test_every_rule_is_tested_both_ways(): void
    {
        $tested = array_unique(array_map(fn (array $case) => $case[0], iterator_to_array(self::bothWays(), false)));
        $all = array_map(fn ($rule) => $rule->id(), RuleBook::rules());

        self::assertEqualsCanonicalizing($all, array_values($tested));
        self::assertCount(count($all), array_unique($all));
    }

    public function test_an_offered_change_clears_its_finding_and_raises_no_graver_one(): void
    {
        mt_srand(11);
        $seen = [];
        for ($run = 0; $run < 900; $run++) {
            $item = self::randomItem();
            $patient = self::randomPatient();
            $findings = RuleBook::check($item, $patient);
            foreach ($findings as $finding) {
                $seen[$finding->rule] = true;
                if ($finding->level !== Level::Note) {
                    self::assertNotSame([], $finding->changes, "{$finding->rule}: {$finding->message}");
                }
                foreach ($finding->changes as $change) {
                    $draft = DraftReader::read([...self::fields($item), ...$change->set], 'x');
                    self::assertSame([], $draft->errors, $change->label);
                    self::assertNotNull($draft->item);
                    $added = $change->add === null ? [] : [DraftReader::read($change->add, 'added')->item];
                    $after = RuleBook::findings($draft->item, $patient, array_values(array_filter($added)));
                    self::assertNull(self::find($finding->rule, $after), "{$finding->rule} stays after “{$change->label}”: {$finding->message}");
                    foreach ($after as $other) {
                        self::assertTrue(
                            $other->level->rank() <= $finding->level->rank() || self::find($other->rule, $findings) !== null,
                            "“{$change->label}” raises {$other->rule}",
                        );
                    }
                }
            }
        }
        self::assertCount(count(RuleBook::rules()), $seen, 'the random cases reach every rule');
    }

    public function test_the_programme_is_looked_at_as_a_whole(): void
    {
        $copd = new PatientFacts([Flag::Copd], minutesADay: 10);
        $one = self::item(['technique' => 'pursed-exhale', 'ratio' => '2:1:4', 'position' => 'seated']);
        $two = DraftReader::read(['technique' => 'double-exhale', 'ratio' => '2:4', 'breaths' => 60, 'times_a_day' => 2], 'y')->item;
        $lean = DraftReader::read(['technique' => 'forward-lean'], 'z')->item;
        self::assertNotNull($two);
        self::assertNotNull($lean);

        $without = RuleBook::checkProgramme([$one, $two], $copd);
        $missing = self::find('RECOVERY-MISSING', $without['x']);
        self::assertSame('add forward-lean recovery, as needed', $missing?->changes[0]->label);
        self::assertSame(['technique' => 'forward-lean'], $missing->changes[0]->add);
        self::assertNull(self::find('RECOVERY-MISSING', $without['y']), 'it is said once');
        // 3 × 10 × 7 s + 2 × 60 × 6 s = 15.5 min: arithmetic.
        self::assertStringContainsString('15.5 min', (string) self::find('MINUTES-A-DAY', $without['x'])?->message);

        $with = RuleBook::checkProgramme([$one, $two, $lean], $copd);
        self::assertNull(self::find('RECOVERY-MISSING', $with['x']));
        self::assertCount(3, $with);
    }

    public function test_each_exercise_is_compared_with_its_own_in_force(): void
    {
        $item = self::item(['ratio' => '4:0:6:1', 'position' => 'seated']);
        $findings = RuleBook::checkProgramme([$item], new PatientFacts([Flag::Asthma], age: 12), ['x' => self::item([])->prescription]);

        self::assertNotNull(self::find('TWO-AXES', $findings['x']));
        self::assertNull(self::find('TWO-AXES', RuleBook::checkProgramme([$item], new PatientFacts)['x']));
    }

    public function test_findings_come_gravest_first(): void
    {
        $findings = RuleBook::check(self::item(['ratio' => '4:11:6', 'position' => 'supine', 'effort' => 'complete']), new PatientFacts([Flag::Copd, Flag::Reflux, Flag::Bullae]));
        $ranks = array_map(fn (Finding $finding) => $finding->level->rank(), $findings);
        $sorted = $ranks;
        rsort($sorted);

        self::assertSame($sorted, $ranks);
        self::assertSame(Level::NeedsReason, $findings[0]->level);
    }

    /** @param  list<Finding>  $findings */
    private static function find(string $rule, array $findings): ?Finding
    {
        foreach ($findings as $finding) {
            if ($finding->rule === $rule) {
                return $finding;
            }
        }

        return null;
    }

    /** @param  array<string, mixed>  $fields */
    private static function item(array $fields): Item
    {
        $draft = DraftReader::read(['technique' => 'extended-exhale', ...$fields], 'x');
        self::assertSame([], $draft->errors);
        self::assertNotNull($draft->item);

        return $draft->item;
    }

    /** @return array<string, mixed> */
    private static function fields(Item $item): array
    {
        return \IvoryPace\Programme\ItemFields::write($item);
    }

    private static function randomItem(): Item
    {
        $all = array_values(Catalogue::all());
        $technique = mt_rand(0, 2) === 0 ? Catalogue::get('extended-exhale') : $all[mt_rand(0, count($all) - 1)];
        $ratios = ['4:0:5:1', '4:7:8', '2:4', '2+1:6', '5:5:5:5', '4:12:8', '6:0:12:11', '3.5:1:7', '1:0:2:30', mt_rand(1, 8).':'.mt_rand(0, 14).':'.mt_rand(1, 14).':'.mt_rand(0, 12)];
        $pick = fn (array $of) => $of[mt_rand(0, count($of) - 1)];

        return self::item([
            'technique' => $technique->key,
            'ratio' => $pick($ratios),
            'count_length' => mt_rand(40, 200) / 100,
            'breaths' => $pick([4, 8, 9, 12, 13, 30, 60, mt_rand(1, 200)]),
            'minutes' => mt_rand(1, 40) / 2,
            'parameters' => array_map(fn ($parameter) => $pick(range($parameter->min, $parameter->max, $parameter->step)), $technique->parameters),
            'route_out' => $pick($technique->routesOut)->value,
            'position' => $pick($technique->positions)->value,
            'props' => $pick([[], ['pillow-under-knees'], ['blanket']]),
            'effort' => in_array(Effort::Full, $technique->efforts, true) && in_array(Effort::Complete, $technique->efforts, true)
                ? $pick(['gentle', 'gentle', 'full', 'active', 'complete']) : $pick($technique->efforts)->value,
            'gaze' => $pick(['choice', 'choice', 'closed', 'on-a-point']),
            'slowest' => $pick([1, 1, 1.25, 2]),
            'school' => $pick(School::cases())->value,
            'times_a_day' => mt_rand(1, 9),
        ]);
    }

    private static function randomPatient(): PatientFacts
    {
        $flags = array_values(array_filter(Flag::asked(), fn () => mt_rand(0, 6) === 0));
        $maybe = fn (float $value) => mt_rand(0, 1) === 0 ? null : $value;
        $technique = Catalogue::get('extended-exhale');

        return new PatientFacts(
            $flags,
            age: mt_rand(8, 90),
            pregnancyWeeks: mt_rand(0, 1) === 0 ? null : mt_rand(4, 40),
            limits: new ComfortableLimits($maybe(mt_rand(15, 80) / 10), $maybe(mt_rand(10, 100) / 10), $maybe(mt_rand(20, 120) / 10)),
            restingRate: $maybe(mt_rand(9, 24)),
            nijmegen: mt_rand(0, 1) === 0 ? null : mt_rand(0, 64),
            minutesADay: $maybe(mt_rand(2, 40)),
            programmeDay: mt_rand(0, 30),
            inForce: mt_rand(0, 1) === 0 ? null : self::item(['technique' => $technique->key])->prescription,
        );
    }
}
