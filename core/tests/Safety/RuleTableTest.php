<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

use IvoryPace\Assessment\SaturationFall;
use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Exercise\Change;
use IvoryPace\Health\Flag;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Every line of the safety tables, a row each, written a second time: with which flags a feature matters and how gravely
 * (with every other flag the rule is silent), at which numbers it begins and ends, and what is offered first.
 */
final class RuleTableTest extends TestCase
{
    private const HEART = 'heart-failure heart-attack arrhythmia';

    private const AGAINST_HOLDING = 'pregnancy epilepsy fainting heart-failure heart-attack arrhythmia pulmonary-hypertension high-blood-pressure stroke eye sickle-cell bullae copd oxygen panic sedatives under-16 under-12';

    private const AGAINST_MUCH_AIR = 'pregnancy epilepsy sickle-cell stroke heart-failure heart-attack arrhythmia pulmonary-hypertension panic fainting under-12';

    private const SURGERY = 'recent-eye-surgery recent-chest-surgery recent-abdominal-surgery recent-spinal-surgery recent-ear-surgery';

    /** @return iterable<string, array{string, array<string, mixed>, array<string, string>, array<string, mixed>, string}> rule, prescription, flags by level, the nearest prescription that is silent, the first offer */
    public static function withFlags(): iterable
    {
        $rounds = ['technique' => 'rounds-retention', 'parameters' => ['retention' => 5]];
        yield 'retention' => ['RETENTION', $rounds, ['needs-reason' => self::AGAINST_HOLDING.' asthma trauma psychosis'], ['technique' => 'even', 'ratio' => '5:5'], 'the breaths without the retention'];
        yield 'hold over 10 s' => ['HOLD-LONG', ['ratio' => '4:10.1:6'], ['needs-reason' => self::AGAINST_HOLDING], ['ratio' => '4:10:6'], 'no long pause: 4:6'];
        yield 'rest over 10 s' => ['HOLD-LONG', ['ratio' => '4:0:6:10.1'], ['needs-reason' => self::AGAINST_HOLDING], ['ratio' => '4:0:6:10'], 'no long pause: 4:6'];
        yield 'hold over 3 s' => ['HOLD-MODERATE', ['ratio' => '4:3.1:6'], ['caution' => self::AGAINST_HOLDING], ['ratio' => '4:2:6'], 'no long pause: 4:6'];
        yield 'hold of 10 s' => ['HOLD-MODERATE', ['ratio' => '4:10:6'], ['caution' => self::AGAINST_HOLDING], ['ratio' => '4:10.1:6'], 'no long pause: 4:6'];
        yield 'hold of 3 s' => [
            'HOLD-MODERATE', ['ratio' => '4:3:6'],
            ['caution' => 'late-pregnancy epilepsy fainting heart-failure heart-attack pulmonary-hypertension high-blood-pressure stroke eye sickle-cell bullae copd oxygen panic sedatives under-12', 'note' => 'pregnancy arrhythmia under-16'],
            ['ratio' => '4:2:6'], 'no long pause: 4:6',
        ];
        yield 'full and held' => ['FULL-HELD', ['effort' => 'full', 'ratio' => '4:1:6'], ['caution' => 'bullae'], ['effort' => 'gentle', 'ratio' => '4:1:6'], 'no long pause: 4:6'];
        yield 'topped up and held' => ['FULL-HELD', ['ratio' => '2+1:1:6'], ['caution' => 'bullae'], ['ratio' => '2+1:0:6'], 'no long pause: 2+1:6'];
        yield 'active exhale, worked' => ['EXHALE-ACTIVE', ['effort' => 'active'], ['needs-reason' => 'rib-fracture recent-chest-surgery recent-abdominal-surgery recent-eye-surgery eye bullae'], ['effort' => 'full'], 'passive exhale'];
        yield 'complete exhale, worked' => ['EXHALE-ACTIVE', ['effort' => 'complete'], ['needs-reason' => 'rib-fracture recent-chest-surgery recent-abdominal-surgery recent-eye-surgery eye bullae'], ['effort' => 'gentle'], 'passive exhale'];
        yield 'active exhale' => ['EXHALE-DRAWN', ['effort' => 'active'], ['caution' => 'hernia pelvic-floor recent-birth pregnancy stroke recent-spinal-surgery copd'], ['effort' => 'complete'], 'passive exhale'];
        yield 'complete exhale' => [
            'EXHALE-COMPLETE', ['effort' => 'complete'],
            ['needs-reason' => 'stroke', 'caution' => 'copd asthma recent-birth pelvic-floor hernia high-blood-pressure reflux '.self::HEART.' pregnancy pulmonary-hypertension fainting oxygen recent-spinal-surgery recent-ear-surgery'],
            ['effort' => 'active'], 'passive exhale',
        ];
        yield 'exhale over 10 s' => ['EXHALE-LONG', ['ratio' => '4:10.1'], ['caution' => 'copd asthma oxygen panic'], ['ratio' => '4:10'], 'shorter exhale: 4:10'];
        yield 'open hum' => ['HUM-OPEN', ['technique' => 'humming'], ['caution' => 'copd asthma oxygen panic bullae'], ['technique' => 'humming', 'parameters' => ['hum' => 6]], 'a hum that ends after 6 counts'];
        yield 'open hum of the remainder' => ['HUM-OPEN', ['technique' => 'rib-release'], ['caution' => 'copd asthma oxygen panic bullae'], ['technique' => 'rib-release', 'parameters' => ['hum' => 4]], 'a hum that ends after 6 counts'];
        yield 'humming' => ['HUMMING', ['technique' => 'humming'], ['caution' => 'sinus-or-ear-infection recent-ear-surgery'], ['technique' => 'soft-exhale'], 'a silent exhale: extended exhale'];
        yield 'prone' => ['PRONE-SURGERY', ['technique' => 'prone'], ['needs-reason' => 'pregnancy rib-fracture '.self::SURGERY], ['technique' => 'ribs-down'], 'diaphragmatic breathing, supine'];
        yield 'prone, otherwise' => [
            'PRONE', ['technique' => 'prone'], ['caution' => 'neck-injury reflux eye hernia copd oxygen cannot-reach-floor recent-birth stroke heart-attack', 'note' => 'low-back-pain'], ['technique' => 'ribs-down'], 'diaphragmatic breathing, supine',
        ];
        yield 'flat' => [
            'LYING-FLAT', ['position' => 'supine', 'breaths' => 31], ['caution' => 'heart-failure cannot-lie-flat reflux vertigo late-pregnancy', 'note' => 'copd oxygen pulmonary-hypertension'], ['position' => 'reclined', 'breaths' => 31], 'reclined',
        ];
        yield 'flat, 5 min or less' => [
            'LYING-FLAT', ['position' => 'supine', 'breaths' => 30], ['caution' => 'heart-failure cannot-lie-flat vertigo late-pregnancy', 'note' => 'reflux copd oxygen pulmonary-hypertension'], ['position' => 'side-lying'], 'reclined',
        ];
        yield 'on the floor' => ['FLOOR-OR-FORWARD', ['position' => 'kneeling'], ['caution' => 'cannot-reach-floor vertigo eye'], ['position' => 'seated-forward'], 'seated'];
        yield 'folded forward' => ['FLOOR-OR-FORWARD', ['technique' => 'humming', 'position' => 'folded-forward'], ['caution' => 'cannot-reach-floor vertigo eye'], ['technique' => 'humming', 'position' => 'reclined'], 'seated'];
        yield 'head down' => [
            'HEAD-DOWN', ['technique' => 'humming', 'position' => 'folded-forward'],
            ['needs-reason' => 'recent-eye-surgery', 'caution' => 'stroke high-blood-pressure heart-failure heart-attack fainting sinus-or-ear-infection recent-ear-surgery recent-abdominal-surgery recent-spinal-surgery reflux hernia late-pregnancy'],
            ['technique' => 'diaphragmatic', 'position' => 'hands-and-knees'], 'seated',
        ];
        yield 'standing' => ['UPRIGHT', ['position' => 'standing'], ['caution' => 'fainting vertigo'], ['position' => 'kneeling'], 'seated'];
        yield 'at the wall' => ['UPRIGHT', ['position' => 'standing-at-wall'], ['caution' => 'fainting vertigo'], ['position' => 'seated'], 'seated'];
        yield 'walking, upright' => ['UPRIGHT', ['technique' => 'walking'], ['caution' => 'fainting vertigo'], ['position' => 'seated'], 'diaphragmatic breathing, seated'];
        yield 'standing with a hold' => ['UPRIGHT-EFFORT', ['position' => 'standing', 'ratio' => '4:2.1:6'], ['caution' => 'sedatives epilepsy arrhythmia heart-attack pregnancy'], ['position' => 'standing', 'ratio' => '4:2:6'], 'seated'];
        yield 'standing with full breaths' => ['UPRIGHT-EFFORT', ['position' => 'standing', 'effort' => 'full'], ['caution' => 'sedatives epilepsy arrhythmia heart-attack pregnancy'], ['position' => 'standing', 'effort' => 'active'], 'seated'];
        yield 'standing with a top-up' => ['UPRIGHT-EFFORT', ['position' => 'standing', 'ratio' => '2+1:6'], ['caution' => 'sedatives epilepsy arrhythmia heart-attack pregnancy'], ['position' => 'standing', 'ratio' => '3:6'], 'seated'];
        yield 'walking' => ['WALKING', ['technique' => 'walking'], ['caution' => 'heart-attack heart-failure oxygen pulmonary-hypertension sight-loss epilepsy'], ['technique' => 'extended-exhale', 'position' => 'standing'], 'diaphragmatic breathing, seated'];
        yield 'walking without a count' => ['WALKING', ['technique' => 'diaphragmatic', 'position' => 'walking'], ['caution' => 'heart-attack heart-failure oxygen pulmonary-hypertension sight-loss epilepsy'], ['technique' => 'diaphragmatic', 'position' => 'standing'], 'seated'];
        yield 'many full breaths' => ['FULL-BREATHS', ['effort' => 'full', 'breaths' => 13], ['caution' => 'panic fainting'], ['effort' => 'full', 'breaths' => 12], 'resting-size breaths'];
        yield 'much air' => ['VENTILATION', ['effort' => 'full', 'ratio' => '4:6', 'count_length' => 1.01, 'breaths' => 7], ['caution' => self::AGAINST_MUCH_AIR], ['effort' => 'full', 'ratio' => '4:6', 'count_length' => 1.02, 'breaths' => 7], 'resting-size breaths'];
        yield 'much air, six breaths' => ['VENTILATION', ['effort' => 'complete', 'ratio' => '2:4', 'breaths' => 7], ['caution' => self::AGAINST_MUCH_AIR], ['effort' => 'complete', 'ratio' => '2:4', 'breaths' => 6], 'resting-size breaths'];
        yield 'full without a count' => ['FULL-UNCOUNTED', ['technique' => 'diaphragmatic', 'effort' => 'full', 'minutes' => 1], ['caution' => self::AGAINST_MUCH_AIR], ['technique' => 'diaphragmatic', 'effort' => 'full', 'minutes' => 0.5], 'resting-size breaths'];
        yield 'top-up' => ['TOP-UP', ['ratio' => '2+1:6'], ['needs-reason' => 'bullae', 'caution' => 'recent-chest-surgery rib-fracture'], ['ratio' => '3:6'], 'without the top-up: 2:6'];
        yield 'top-up of the double inhale' => ['TOP-UP', ['technique' => 'double-inhale'], ['needs-reason' => 'bullae', 'caution' => 'recent-chest-surgery rib-fracture'], ['technique' => 'double-exhale'], 'without the top-up: extended exhale'];
        yield 'many top-ups' => ['TOP-UPS-MANY', ['technique' => 'double-inhale', 'breaths' => 7], ['caution' => 'panic fainting epilepsy'], ['technique' => 'double-inhale', 'breaths' => 6], '6 breaths'];
        yield 'weight' => ['WEIGHT-ON-BELLY', ['technique' => 'weight-on-belly'], ['needs-reason' => 'pregnancy recent-abdominal-surgery hernia', 'caution' => 'recent-birth rib-fracture recent-chest-surgery recent-spinal-surgery copd oxygen bullae under-12'], ['technique' => 'ribs-down'], 'hands only: diaphragmatic breathing'];
        yield 'pressed ribs' => ['RIB-PRESSURE', ['technique' => 'rib-release'], ['caution' => 'rib-fracture recent-chest-surgery'], ['technique' => 'full-exhale'], 'the hands lie there, without pressing'];
        yield 'ribs led inward' => ['RIB-PRESSURE', ['hands' => 'leading-ribs'], ['caution' => 'rib-fracture recent-chest-surgery'], ['hands' => 'lower-ribs'], 'the hands lie there, without pressing'];
        yield 'an exhale that a tap ends' => ['HUM-OPEN', ['technique' => 'full-exhale', 'effort' => 'gentle', 'parameters' => ['open' => 2]], ['caution' => 'copd asthma oxygen panic bullae'], ['technique' => 'full-exhale', 'effort' => 'gentle'], 'a counted exhale'];
        yield 'asleep at lights out' => ['FALLING-ASLEEP', ['technique' => 'three-part'], ['caution' => 'sleep-apnoea sedatives'], ['technique' => 'three-part', 'ending' => 'bell'], 'side-lying'];
        yield 'cross-legged' => ['FLOOR-OR-FORWARD', ['technique' => 'even', 'position' => 'cross-legged'], ['caution' => 'cannot-reach-floor vertigo', 'note' => 'eye'], ['technique' => 'even', 'position' => 'seated'], 'seated'];
        yield 'child’s pose' => ['HEAD-DOWN', ['technique' => 'humming', 'position' => 'childs-pose'], ['needs-reason' => 'recent-eye-surgery', 'caution' => 'stroke high-blood-pressure heart-failure heart-attack fainting sinus-or-ear-infection recent-ear-surgery recent-abdominal-surgery recent-spinal-surgery reflux hernia late-pregnancy'], ['technique' => 'humming', 'position' => 'reclined'], 'seated'];
        yield 'one nostril' => ['NOSTRIL-CLOSING', ['technique' => 'alternate-nostril'], ['caution' => 'blocked-nose hand-trouble sinus-or-ear-infection'], ['technique' => 'long-exhale'], 'extended exhale instead'];
        yield 'head turns' => ['NECK-MOVES', ['technique' => 'neck-release'], ['caution' => 'neck-injury vertigo stroke recent-spinal-surgery'], ['technique' => 'noticing'], 'sitting or lying still: noticing the breath'];
        yield 'head turns, seated and supported' => ['NECK-MOVES', ['technique' => 'neck-release', 'position' => 'seated', 'props' => ['chair-with-back']], ['note' => 'neck-injury vertigo stroke recent-spinal-surgery'], ['technique' => 'noticing'], 'sitting or lying still: noticing the breath'];
        yield 'shoulder rolls' => ['NECK-MOVES', ['technique' => 'shoulder-rolls'], ['caution' => 'neck-injury vertigo stroke recent-spinal-surgery'], ['technique' => 'noticing'], 'sitting or lying still: noticing the breath'];
        yield 'shoulder rolls before' => ['NECK-MOVES', ['technique' => 'in-hold-out', 'position' => 'seated'], ['caution' => 'neck-injury vertigo stroke recent-spinal-surgery'], ['technique' => 'in-hold-out', 'position' => 'seated', 'parameters' => ['prelude' => 2]], 'no shoulder rolls'];
        yield 'tensing' => ['TENSING', ['technique' => 'tense-release'], ['caution' => 'high-blood-pressure heart-attack stroke eye recent-eye-surgery recent-chest-surgery recent-abdominal-surgery recent-spinal-surgery rib-fracture neck-injury'], ['technique' => 'body-scan'], 'nothing tensed: diaphragmatic breathing'];
        yield 'body scan' => ['BODY-SCAN', ['technique' => 'body-scan'], ['caution' => 'trauma psychosis'], ['technique' => 'body-scan', 'gaze' => 'on-a-point', 'parameters' => ['seconds' => 2]], 'eyes open on a point, groups only, 2 s a part'];
        yield 'body scan, eyes as they like' => ['BODY-SCAN', ['technique' => 'body-scan', 'parameters' => ['seconds' => 2]], ['caution' => 'trauma psychosis'], ['technique' => 'tense-release'], 'eyes open on a point, groups only, 2 s a part'];
        yield 'body scan, slower' => ['BODY-SCAN', ['technique' => 'body-scan', 'gaze' => 'on-a-point', 'parameters' => ['seconds' => 2.5]], ['caution' => 'trauma psychosis'], ['technique' => 'tense-release'], 'eyes open on a point, groups only, 2 s a part'];
        yield 'body scan, long list' => ['BODY-SCAN', ['technique' => 'body-scan', 'gaze' => 'on-a-point', 'parameters' => ['seconds' => 2, 'list' => 2]], ['caution' => 'trauma psychosis'], ['technique' => 'tense-release'], 'eyes open on a point, groups only, 2 s a part'];
        yield 'eyes closed' => ['EYES-CLOSED', ['gaze' => 'closed'], ['caution' => 'trauma psychosis'], ['gaze' => 'lowered'], 'eyes as the patient likes'];
        yield 'falling asleep' => ['FALLING-ASLEEP', ['technique' => 'body-scan', 'parameters' => ['end' => 2]], ['caution' => 'sleep-apnoea sedatives'], ['technique' => 'body-scan', 'position' => 'side-lying', 'parameters' => ['end' => 2]], 'side-lying'];
        yield 'attention inward' => ['LOOKING-INWARD', ['technique' => 'noticing'], ['note' => 'panic trauma psychosis'], ['technique' => 'reverse-count'], 'attention on something outside: counting down'];
        yield 'attention inward, no count' => ['LOOKING-INWARD', ['technique' => 'diaphragmatic'], ['note' => 'panic trauma psychosis'], ['technique' => 'even'], 'attention on something outside: counting down'];
        yield 'inhale over 5 s at the start' => ['INHALE-START', ['ratio' => '5.1:6'], ['caution' => 'asthma copd'], ['ratio' => '3:6'], 'start at 2 s: 2:2'];
        yield 'inhale over 3 s at the start' => ['INHALE-START', ['ratio' => '3.1:6'], ['caution' => 'copd', 'note' => 'asthma'], ['ratio' => '3:6'], 'start at 2 s: 2:4'];
        yield 'no recovery' => ['RECOVERY-MISSING', [], ['note' => 'asthma copd'], ['technique' => 'forward-lean'], 'add forward-lean recovery, as needed'];
        yield 'flat with a bad back' => ['FLAT-LOW-BACK', ['position' => 'supine', 'props' => []], ['note' => 'low-back-pain'], ['position' => 'supine', 'props' => ['pillow-under-knees']], 'add a pillow under the knees'];
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  array<string, string>  $byLevel
     * @param  array<string, mixed>  $silent
     */
    #[DataProvider('withFlags')]
    public function test_a_rule_speaks_with_its_flags_at_their_level_and_with_no_other(string $rule, array $fields, array $byLevel, array $silent, string $firstOffer): void
    {
        $levels = [];
        foreach ($byLevel as $level => $flags) {
            foreach (explode(' ', $flags) as $flag) {
                $levels[$flag] = $level;
            }
        }
        // What goes for a pregnancy or under 16 goes for the later or younger half, unless the table says otherwise.
        $levels += array_filter(['late-pregnancy' => $levels['pregnancy'] ?? null, 'under-12' => $levels['under-16'] ?? null]);
        self::assertNull(self::find($rule, self::item($fields), new PatientFacts), "$rule without a flag");
        foreach (self::people() as $name => $patient) {
            $finding = self::find($rule, self::item($fields), $patient);
            self::assertSame($levels[$name] ?? null, $finding?->level->value, "$rule with $name");
            self::assertNull(self::find($rule, self::item($silent), $patient), "$rule with $name, silent");
            if ($finding === null) {
                continue;
            }
            self::assertContains(Flag::from(str_replace('late-', '', $name) === 'pregnancy' && ! in_array($rule, ['LYING-FLAT', 'HEAD-DOWN'], true) ? 'pregnancy' : $name), [...$finding->cause->flags, ...($name === 'under-12' ? [Flag::Under12] : [])], $name);
            self::assertNotSame('', $finding->basis);
            self::assertMatchesRegularExpression('/^[\p{Lu}\d].*\.$/u', $finding->message);
            self::assertSame([], array_filter($finding->changes, fn (Change $change) => $change->label === ''));
        }
        $first = array_key_first($levels);
        $offers = self::find($rule, self::item($fields), self::people()[$first])->changes ?? [];
        self::assertSame($firstOffer, $offers[0]->label ?? null);
    }

    /** @return iterable<string, array{string, string|null, array<string, mixed>, PatientFacts}> rule, level (null: silent), prescription, patient */
    public static function atTheEdges(): iterable
    {
        $anyone = new PatientFacts;
        foreach ([
            'HOLD-ANYONE' => [[null, ['ratio' => '4:15:6']], ['caution', ['ratio' => '4:15.01:6']], ['caution', ['ratio' => '4:30:6']], ['needs-reason', ['ratio' => '4:30.01:6']], ['needs-reason', ['ratio' => '4:0:6:31']], [null, ['ratio' => '4:0:6:15']]],
            'RETENTION-LONG' => [
                [null, self::rounds(25)], ['caution', self::rounds(30)], ['caution', self::rounds(55)], ['needs-reason', self::rounds(60)],
            ],
            'BREATH-LONG' => [
                [null, ['ratio' => '8:12']], ['caution', ['ratio' => '8:12.01']], ['caution', ['ratio' => '10:20']], ['needs-reason', ['ratio' => '10:20.01']], [null, ['ratio' => '4:7:8', 'slowest' => 1.05]], ['caution', ['ratio' => '4:7:8', 'slowest' => 1.06]],
                [null, ['technique' => 'humming', 'count_length' => 2]], ['caution', ['technique' => 'even', 'ratio' => '8:8', 'parameters' => ['steps' => 4]]], [null, ['technique' => 'even', 'ratio' => '8:8', 'parameters' => ['steps' => 3]]],
            ],
            'INHALE-LONG' => [[null, ['ratio' => '12:12']], ['caution', ['ratio' => '12.01:12']], ['caution', ['ratio' => '10+2.01:12']]],
            'EXHALE-VERY-LONG' => [[null, ['ratio' => '4:20']], ['caution', ['ratio' => '4:20.01']]],
            'PACE-FAST' => [
                [null, ['ratio' => '1:1']], ['caution', ['ratio' => '1:0.99']], [null, ['ratio' => '1:1.25', 'fastest' => 0.9]], ['caution', ['ratio' => '1:1', 'fastest' => 0.99]], [null, ['technique' => 'forward-lean']],
            ],
            'OVER-BREATHING' => [
                // 60 / 9.6428… s × 1.35 l is exactly twice the rest.
                [null, ['effort' => 'full', 'ratio' => '4:5.65', 'breaths' => 30]], ['caution', ['effort' => 'full', 'ratio' => '4:5.6', 'breaths' => 30]],
                [null, ['effort' => 'full', 'ratio' => '3:5', 'breaths' => 7]], ['caution', ['effort' => 'full', 'ratio' => '3:5', 'breaths' => 8]],
                ['caution', ['effort' => 'full', 'ratio' => '2.5:4', 'breaths' => 30]], ['needs-reason', ['effort' => 'full', 'ratio' => '2.4:4', 'breaths' => 30]],
                ['caution', ['effort' => 'full', 'ratio' => '3:4', 'breaths' => 9]], [null, ['effort' => 'full', 'ratio' => '2:4', 'breaths' => 9]], ['needs-reason', ['effort' => 'full', 'ratio' => '2:4', 'breaths' => 10]],
                [null, ['ratio' => '1:1.6', 'breaths' => 100]], ['caution', ['ratio' => '1:1.4', 'breaths' => 100]], [null, ['ratio' => '1.5+0.5:5.6', 'breaths' => 50]], ['caution', ['ratio' => '1.5+0.5:5.4', 'breaths' => 50]],
                [null, ['effort' => 'full', 'ratio' => '4:6', 'breaths' => 30]], ['caution', ['effort' => 'full', 'ratio' => '4:6', 'breaths' => 30, 'fastest' => 0.9]], [null, ['technique' => 'rounds-retention']],
                ['caution', ['technique' => 'rounds-retention', 'ratio' => '4:4', 'breaths' => 4, 'parameters' => ['rounds' => 2]]], [null, ['technique' => 'rounds-retention', 'ratio' => '4:4', 'breaths' => 3, 'parameters' => ['rounds' => 2]]],
                [null, ['technique' => 'rib-release', 'parameters' => ['inhale' => 2], 'breaths' => 30]], ['caution', ['technique' => 'rib-release', 'parameters' => ['inhale' => 2, 'hum' => 3], 'breaths' => 8]],
            ],
            'EYES-CLOSED-UPRIGHT' => [['caution', ['position' => 'standing', 'gaze' => 'closed']], ['caution', ['position' => 'standing-at-wall', 'gaze' => 'closed']], [null, ['technique' => 'walking', 'gaze' => 'closed']], [null, ['position' => 'standing', 'gaze' => 'choice']], [null, ['position' => 'seated', 'gaze' => 'closed']]],
            'FOUR-SEVEN-EIGHT-BREATHS' => [
                ['caution', ['ratio' => '2:3.5:4', 'breaths' => 9]], [null, ['ratio' => '4:7:8', 'breaths' => 8]], [null, ['ratio' => '4:6:8', 'breaths' => 9]],
                ['caution', ['ratio' => '4:7:8', 'breaths' => 11, 'school' => 'ratio-practice']], [null, ['ratio' => '4:7:8', 'breaths' => 10, 'school' => 'ratio-practice']],
            ],
        ] as $rule => $rows) {
            foreach ($rows as $row => [$level, $fields]) {
                yield "$rule $row" => [$rule, $level, $fields, $anyone];
            }
        }
        $limits = new ComfortableLimits(4, 5, 8);
        foreach ([
            'exhale' => ['4:8.1', '4:8'], 'inhale' => ['4.1:6', '4:6'], 'hold' => ['4:5.1:6', '4:5:6'], 'rest' => ['4:0:6:5.1', '4:0:6:5'], 'top-up' => ['3.5+0.6:6', '3.5+0.5:6'],
        ] as $phase => [$over, $within]) {
            yield "comfort limit, $phase" => ['COMFORT-LIMIT', 'caution', ['ratio' => $over], new PatientFacts(limits: $limits)];
            yield "comfort limit, $phase within" => ['COMFORT-LIMIT', null, ['ratio' => $within], new PatientFacts(limits: $limits)];
        }
        yield 'the slowest pace counts' => ['COMFORT-LIMIT', 'caution', ['ratio' => '4:6', 'slowest' => 1.05], new PatientFacts(limits: $limits)];
        yield 'an open exhale has no limit' => ['COMFORT-LIMIT', null, ['technique' => 'humming'], new PatientFacts(limits: new ComfortableLimits(exhale: 5))];
        yield 'a hum of a set length has one' => ['COMFORT-LIMIT', 'caution', ['technique' => 'humming', 'parameters' => ['hum' => 6]], new PatientFacts(limits: new ComfortableLimits(exhale: 5))];
        yield 'the longest step counts' => ['COMFORT-LIMIT', 'caution', ['technique' => 'even', 'parameters' => ['steps' => 3]], new PatientFacts(limits: new ComfortableLimits(exhale: 5))];
        yield 'an earlier step does not' => ['COMFORT-LIMIT', null, ['technique' => 'even', 'parameters' => ['steps' => 2]], new PatientFacts(limits: new ComfortableLimits(exhale: 5))];
        yield 'slow pace' => ['PACE-SLOW', 'note', ['breaths' => 19], new PatientFacts(restingRate: 11)];
        yield 'three minutes' => ['PACE-SLOW', null, ['breaths' => 18], new PatientFacts(restingRate: 11)];
        yield 'six of ten is 60 %' => ['PACE-SLOW', null, ['breaths' => 19], new PatientFacts(restingRate: 10)];
        yield 'two weeks' => ['PACE-SLOW', 'note', ['breaths' => 19], new PatientFacts(restingRate: 16, programmeDay: 13)];
        yield 'after two weeks' => ['PACE-SLOW', null, ['breaths' => 19], new PatientFacts(restingRate: 16, programmeDay: 14)];
        yield 'Nijmegen 23' => ['FULL-BREATHS', 'caution', ['effort' => 'full', 'breaths' => 13], new PatientFacts(nijmegen: 23)];
        yield 'Nijmegen 22' => ['FULL-BREATHS', null, ['effort' => 'full', 'breaths' => 13], new PatientFacts(nijmegen: 22)];
        yield 'rounds break the row' => ['FULL-BREATHS', 'caution', ['technique' => 'rounds-retention', 'breaths' => 13], new PatientFacts([Flag::Panic])];
        yield 'rounds of twelve' => ['FULL-BREATHS', null, ['technique' => 'rounds-retention', 'breaths' => 12], new PatientFacts([Flag::Panic])];
        yield 'uncounted is many' => ['FULL-BREATHS', 'caution', ['technique' => 'diaphragmatic', 'effort' => 'full', 'minutes' => 0.5], new PatientFacts([Flag::Panic])];
        yield 'asthma up to 5 s' => ['INHALE-START', 'note', ['ratio' => '5:6'], new PatientFacts([Flag::Asthma], mmrc: 1)];
        yield 'asthma, marked breathlessness' => ['INHALE-START', 'caution', ['ratio' => '4:6'], new PatientFacts([Flag::Asthma], mmrc: 2)];
        yield 'asthma and COPD' => ['INHALE-START', 'caution', ['ratio' => '4:6'], new PatientFacts([Flag::Asthma, Flag::Copd])];
        yield 'inhale later' => ['INHALE-START', null, ['ratio' => '6:6'], new PatientFacts([Flag::Copd], programmeDay: 14)];
        yield 'inhale in the second week' => ['INHALE-START', 'caution', ['ratio' => '6:6'], new PatientFacts([Flag::Copd], programmeDay: 13)];
        yield 'minutes' => ['MINUTES-A-DAY', 'note', ['times_a_day' => 3], new PatientFacts(minutesADay: 5.9)];
        yield 'just enough minutes' => ['MINUTES-A-DAY', null, ['times_a_day' => 3], new PatientFacts(minutesADay: 6)];
        foreach ([
            [null, new SaturationFall(97, 94, 60)], [null, new SaturationFall(97, 93, 4.9)], ['caution', new SaturationFall(97, 93, 5)], [null, new SaturationFall(92, 89, 60)], ['needs-reason', new SaturationFall(90, 88, 1)],
            ['needs-reason', new SaturationFall(94, 90, 5, 94)], ['caution', new SaturationFall(95, 91, 5, 94)],
        ] as $row => [$level, $fall]) {
            yield "saturation fell, retention $row" => ['SATURATION-FALL', $level, ['technique' => 'rounds-retention'], new PatientFacts(saturationFall: $fall)];
            yield "saturation fell, hold $row" => ['SATURATION-FALL', $level, ['ratio' => '4:2.1:6'], new PatientFacts(saturationFall: $fall)];
            yield "saturation fell, no hold $row" => ['SATURATION-FALL', null, ['ratio' => '4:2:6'], new PatientFacts(saturationFall: $fall)];
        }
        $before = self::item([])->prescription;
        yield 'two axes' => ['TWO-AXES', 'note', ['ratio' => '4:0:6:1', 'position' => 'reclined'], new PatientFacts(inForce: $before)];
        yield 'one axis' => ['TWO-AXES', null, ['ratio' => '4:0:6:1'], new PatientFacts(inForce: $before)];
        yield 'another technique' => ['TWO-AXES', null, ['technique' => 'even'], new PatientFacts(inForce: $before)];
    }

    /** @param  array<string, mixed>  $fields */
    #[DataProvider('atTheEdges')]
    public function test_at_the_edges_of_its_numbers(string $rule, ?string $level, array $fields, PatientFacts $patient): void
    {
        $finding = self::find($rule, self::item($fields), $patient);
        self::assertSame($level, $finding?->level->value, $finding->message ?? '');
        if ($finding !== null && $finding->level !== Level::Note) {
            self::assertNotSame([], $finding->changes);
        }
    }

    public function test_every_rule_has_its_rows(): void
    {
        $tested = array_unique(array_map(fn (array $row) => $row[0], [...iterator_to_array(self::withFlags(), false), ...iterator_to_array(self::atTheEdges(), false)]));

        self::assertEqualsCanonicalizing(array_keys(RuleBook::rules()), array_values($tested));
    }

    /** @return array<string, PatientFacts> one for each flag, also of those that follow from age and weeks */
    private static function people(): array
    {
        $people = ['late-pregnancy' => new PatientFacts([Flag::Pregnancy], pregnancyWeeks: 20), 'under-16' => new PatientFacts(age: 15), 'under-12' => new PatientFacts(age: 11)];
        foreach (Flag::asked() as $flag) {
            $people[$flag->value] = new PatientFacts([$flag], age: 40, pregnancyWeeks: 19);
        }

        return $people;
    }

    /** @return array<string, mixed> */
    private static function rounds(int $retention): array
    {
        return ['technique' => 'rounds-retention', 'effort' => 'gentle', 'parameters' => ['retention' => $retention]];
    }

    private static function find(string $rule, Item $item, PatientFacts $patient): ?Finding
    {
        foreach (RuleBook::check($item, $patient) as $finding) {
            if ($finding->rule === $rule) {
                return $finding;
            }
        }

        return null;
    }

    /** @param  array<string, mixed>  $fields */
    private static function item(array $fields): Item
    {
        $draft = DraftReader::read(['technique' => 'extended-exhale', 'position' => 'seated', ...($fields['technique'] ?? 'extended-exhale') === 'extended-exhale' ? [] : ['position' => null], ...$fields], 'x');
        self::assertSame([], $draft->errors);
        self::assertNotNull($draft->item);

        return $draft->item;
    }
}
