<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

use IvoryPace\Assessment\SaturationFall;
use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Effort;
use IvoryPace\Exercise\School;
use IvoryPace\Health\Flag;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;
use IvoryPace\Tests\Exercise\Prescribing;
use PHPUnit\Framework\TestCase;

final class RuleBookTest extends TestCase
{
    use Prescribing;

    public function test_an_offered_change_clears_its_finding_and_raises_no_graver_one(): void
    {
        mt_srand(11);
        $seen = [];
        for ($run = 0; $run < 500; $run++) {
            $item = self::randomItem();
            $patient = self::randomPatient();
            $findings = RuleBook::check($item, $patient);
            foreach ($findings as $finding) {
                $seen[$finding->rule] = true;
                if ($finding->level !== Level::Note) {
                    self::assertNotSame([], $finding->changes, "{$finding->rule}: {$finding->message}".json_encode(self::fields($item)));
                }
                $says = array_map(fn (Change $change) => str_contains($change->label, '(then: '), $finding->changes);
                $sorted = $says;
                sort($sorted);
                self::assertSame($sorted, $says, 'those after which something else has to be looked at come last');
                foreach ($finding->changes as $change) {
                    self::assertFalse($finding->level !== Level::Note && $change->onlyEases, 'a caution is cleared');
                    $draft = DraftReader::read([...self::fields($item), ...$change->set], 'x');
                    self::assertSame([], $draft->errors, $change->label);
                    self::assertNotNull($draft->item);
                    $added = $change->add === null ? [] : [DraftReader::read($change->add, 'added')->item];
                    $after = RuleBook::findings($draft->item, $patient, array_values(array_filter($added)));
                    if (! $change->onlyEases) {
                        self::assertNull(self::find($finding->rule, $after), "{$finding->rule} stays after “{$change->label}”: {$finding->message}");
                    }
                    $raised = array_filter($after, fn (Finding $other) => $other->rule !== $finding->rule && $other->level !== Level::Note && $other->isWorseThan(self::find($other->rule, $findings)));
                    foreach ($raised as $other) {
                        self::assertLessThanOrEqual($finding->level->rank(), $other->level->rank(), "“{$change->label}” raises {$other->rule}");
                    }
                    $sameThing = array_filter($after, fn (Finding $other) => $other->rule !== $finding->rule && $other->level !== Level::Note && $other->field === $finding->field);
                    self::assertSame($raised !== [] || $sameThing !== [], str_contains($change->label, '(then: '), $change->label);
                }
            }
        }
        self::assertEqualsCanonicalizing(array_keys(RuleBook::rules()), array_keys($seen), 'the random cases reach every rule');
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

    public function test_on_the_front_late_in_pregnancy_the_back_is_not_the_first_thing_offered(): void
    {
        $labels = fn (int $weeks) => array_map(fn (Change $change) => $change->label, self::find('PRONE-SURGERY', RuleBook::check(self::item(['technique' => 'prone']), new PatientFacts([Flag::Pregnancy], pregnancyWeeks: $weeks)))->changes ?? []);

        self::assertSame(['diaphragmatic breathing, supine', 'diaphragmatic breathing, side-lying', 'diaphragmatic breathing, on hands and knees', 'diaphragmatic breathing, reclined'], $labels(12));
        self::assertSame(['diaphragmatic breathing, side-lying', 'diaphragmatic breathing, on hands and knees', 'diaphragmatic breathing, reclined', 'diaphragmatic breathing, supine (then: lying flat)'], $labels(24));
    }

    public function test_what_each_rule_offers_is_named_and_no_phase_grows(): void
    {
        $labels = fn (string $rule, array $fields, PatientFacts $patient) => array_map(fn (Change $change) => $change->label, self::find($rule, RuleBook::check(self::item($fields), $patient))->changes ?? []);
        $copd = new PatientFacts([Flag::Copd]);
        $plain = 'without a count: diaphragmatic breathing';

        self::assertSame(['no long pause: 4:8', 'pause of at most 2 s: 4:2:8', $plain], $labels('HOLD-MODERATE', ['ratio' => '4:7:8', 'position' => 'seated'], $copd));
        self::assertSame(['pause of at most 10 s: 4:10:6', 'no long pause: 4:6', $plain], $labels('HOLD-ANYONE', ['ratio' => '4:16:6', 'position' => 'seated'], new PatientFacts));
        self::assertSame(['retention of 15 s', 'the breaths without the retention', $plain], $labels('RETENTION-LONG', ['technique' => 'rounds-retention', 'parameters' => ['retention' => 45]], new PatientFacts));
        self::assertSame(['shorter count: 0.83 s', 'shorter phases: 5:5:6:3', $plain], $labels('BREATH-LONG', ['ratio' => '6:6:8:4', 'position' => 'seated'], new PatientFacts));
        self::assertSame(['never slower than prescribed', $plain], array_slice($labels('BREATH-LONG', ['ratio' => '4:7:8', 'slowest' => 1.2, 'position' => 'seated'], new PatientFacts), -2));
        self::assertSame(['shorter inhale: 12:14', 'shorter count: 0.85 s', 'shorter phases: 12:12', $plain], $labels('INHALE-LONG', ['ratio' => '14:14', 'position' => 'seated'], new PatientFacts));
        self::assertSame(['never faster than prescribed', 'slower: 1.22 s a count', $plain], $labels('PACE-FAST', ['ratio' => '1:1.2', 'fastest' => 0.75, 'position' => 'seated'], new PatientFacts));
        self::assertSame(['resting-size breaths', '7 breaths', 'slower: 1.21 s a count', $plain], $labels('OVER-BREATHING', ['effort' => 'full', 'ratio' => '3:5', 'breaths' => 12, 'position' => 'seated'], new PatientFacts));
        self::assertSame(['resting-size breaths', '6 breaths', 'slower: 1.27 s a count', $plain], $labels('VENTILATION', ['effort' => 'full', 'ratio' => '3:5', 'breaths' => 12, 'position' => 'seated'], new PatientFacts([Flag::Epilepsy])));
        self::assertSame(['resting-size breaths', '0.5 min'], $labels('FULL-UNCOUNTED', ['technique' => 'diaphragmatic', 'effort' => 'full', 'position' => 'seated'], new PatientFacts([Flag::Epilepsy])));
        self::assertSame(['shorter exhale: 4:10', 'shorter count: 0.83 s', 'shorter phases: 3:10', $plain], $labels('EXHALE-LONG', ['ratio' => '4:12', 'position' => 'seated'], $copd));
        self::assertSame(['one length only', '2 counts throughout', '2 counts throughout, without soft pauses'], array_values(array_filter([...$labels('COMFORT-LIMIT', ['technique' => 'even'], new PatientFacts(limits: new ComfortableLimits(4.5))), ...$labels('COMFORT-LIMIT', ['technique' => 'stepped-even'], new PatientFacts(limits: new ComfortableLimits(4.5)))], fn (string $label) => str_contains($label, 'length') || str_contains($label, 'throughout'))));
        self::assertSame(['at most 3 min: 18 breaths', 'a pace between the two: 0.74 s a count'], $labels('PACE-SLOW', ['breaths' => 19, 'position' => 'seated'], new PatientFacts(restingRate: 10.1)));
        self::assertSame(['2 × a day', '8 breaths each'], $labels('MINUTES-A-DAY', ['times_a_day' => 3], new PatientFacts(minutesADay: 4)));
        self::assertSame(['change only ratio: 4:0:6:1', 'change only position: reclined'], $labels('TWO-AXES', ['ratio' => '4:0:6:1', 'position' => 'reclined'], new PatientFacts(inForce: self::item(['position' => 'seated'])->prescription)));
        self::assertSame(['8 breaths'], $labels('FOUR-SEVEN-EIGHT-BREATHS', ['ratio' => '4:7:8', 'breaths' => 9, 'position' => 'seated'], new PatientFacts));
        self::assertSame(['resting-size breaths', '12 breaths', $plain], $labels('FULL-BREATHS', ['effort' => 'full', 'breaths' => 13, 'position' => 'seated'], new PatientFacts(nijmegen: 30)));
    }

    public function test_a_fit_to_a_comfortable_limit_begins_at_four_fifths_of_it(): void
    {
        $finding = self::find('COMFORT-LIMIT', RuleBook::check(self::item(['ratio' => '5:5', 'position' => 'seated']), new PatientFacts(limits: new ComfortableLimits(4, exhale: 9))));
        self::assertSame(
            ['fit: same ratio at 0.64 s a count', 'fit: same ratio at 0.8 s a count, the full limit', 'shorter phases: 3:5', 'shorter phases: 4:5, the full limit', 'without a count: diaphragmatic breathing'],
            array_map(fn (Change $change) => $change->label, $finding->changes ?? []), 'the exhale, which is within its limit, does not grow',
        );
        self::assertSame('Inhale of 5 s; the comfortable limit measured is 4 s.', $finding?->message);
        $two = self::find('COMFORT-LIMIT', RuleBook::check(self::item(['ratio' => '5:0:9:6', 'position' => 'seated']), new PatientFacts(limits: new ComfortableLimits(4, 5, 8))));
        self::assertSame(['exhale', 'rest', 'inhale'], array_keys($two?->cause->numbers ?? []), 'all that is too long is named');
        self::assertSame('exhale', $two?->field);
    }

    public function test_with_asthma_it_is_the_hold_of_4_7_8_that_goes_first(): void
    {
        $of = fn (int $mmrc) => self::find('INHALE-START', RuleBook::check(self::item(['technique' => 'four-seven-eight']), new PatientFacts([Flag::Asthma], mmrc: $mmrc)));
        self::assertSame([Level::Note, ['without the hold: 4:8', true]], [$of(1)?->level, [$of(1)?->changes[0]->label, $of(1)?->changes[0]->onlyEases]]);
        self::assertSame([Level::Caution, 'start at 2 s: 2:4'], [$of(2)?->level, $of(2)?->changes[0]->label]);
    }

    public function test_a_finding_names_all_its_flags(): void
    {
        $finding = self::find('RETENTION', RuleBook::check(self::item(['technique' => 'rounds-retention']), new PatientFacts([Flag::Panic, Flag::Asthma, Flag::Reflux, Flag::Trauma])));
        self::assertEqualsCanonicalizing([Flag::Panic, Flag::Asthma, Flag::Trauma], $finding?->cause->flags);
        self::assertSame('A retention of 15 s, with panic disorder, asthma and trauma history or dissociation.', $finding->message);
        self::assertStringEndsWith('with under 12.', self::find('RETENTION', RuleBook::check(self::item(['technique' => 'rounds-retention']), new PatientFacts(age: 9)))->message ?? '');
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
        $technique = match (mt_rand(0, 11)) {
            0, 1, 2 => Catalogue::get('extended-exhale'), 3 => Catalogue::get('body-scan'), default => $all[mt_rand(0, count($all) - 1)],
        };
        $ratios = ['1:1', '4:0:5:1', '4:7:8', '2:4', '2+1:6', '5:5:5:5', '4:12:8', '6:0:12:11', '3.5:1:7', '1:0:2:30', mt_rand(1, 8).':'.mt_rand(0, 14).':'.mt_rand(1, 14).':'.mt_rand(0, 12)];
        $pick = fn (array $of) => $of[mt_rand(0, count($of) - 1)];

        $ratio = $pick($ratios);
        $position = $pick($technique->positions);

        return self::item([
            'technique' => $technique->key,
            'ratio' => $ratio,
            'count_length' => mt_rand(40, 200) / 100,
            'breaths' => $pick([4, 8, 9, 12, 13, 30, 60, mt_rand(1, 200)]),
            'minutes' => mt_rand(1, 40) / 2,
            'parameters' => self::anyParameters($technique, $ratio),
            'hands' => $pick($technique->handsIn($position))->value, 'ending' => $pick([null, null, 'bell', 'quiet', 'slow']),
            'route_out' => $pick($technique->routesOut)->value,
            'position' => $position->value,
            'props' => $pick([[], ['pillow-under-knees'], ['blanket']]),
            'effort' => in_array(Effort::Full, $technique->efforts, true) && in_array(Effort::Complete, $technique->efforts, true)
                ? $pick(['gentle', 'gentle', 'full', 'active', 'complete']) : $pick($technique->efforts)->value,
            'gaze' => $pick(['choice', 'choice', 'closed', 'on-a-point']),
            'slowest' => $pick([1, 1, 1.25, 2]), 'fastest' => $pick([1, 1, 0.7]),
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
            mmrc: mt_rand(0, 1) === 0 ? null : mt_rand(0, 4),
            saturationFall: mt_rand(0, 3) > 0 ? null : new SaturationFall(mt_rand(92, 99), mt_rand(80, 92), mt_rand(0, 20)),
        );
    }
}
