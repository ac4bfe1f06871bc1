<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

use DateTimeImmutable;
use IvoryPace\Health\StopClass;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Safety\EndedPractice;
use IvoryPace\Safety\PauseDecision;
use IvoryPace\Safety\PauseRules;
use PHPUnit\Framework\TestCase;

final class PauseRulesTest extends TestCase
{
    public function test_a_get_help_symptom_pauses_every_exercise_from_when_it_happened(): void
    {
        $decision = $this->after('.h...', 1);

        self::assertNotNull($decision);
        self::assertSame([PauseRules::GET_HELP, true, '2026-11-02'], [$decision->rule, $decision->everyExercise, $decision->from->format('Y-m-d')]);
    }

    public function test_a_stop_symptom_in_two_of_the_last_three_pauses_that_exercise(): void
    {
        foreach (['ss' => 2, 's.s' => 3, '.ss' => 3, '..s.s' => 5] as $ends => $day) {
            $decision = $this->after($ends, strlen($ends) - 1);
            self::assertNotNull($decision, $ends);
            self::assertSame([PauseRules::TWICE_IN_THREE, false, sprintf('2026-11-%02d', $day)], [$decision->rule, $decision->everyExercise, $decision->from->format('Y-m-d')], $ends);
        }
    }

    public function test_fewer_stops_or_stops_without_a_symptom_do_not_pause(): void
    {
        foreach (['.', 's', 's..s', 'nns', 'ns', 'ss.'] as $ends) {
            self::assertNull($this->after($ends, strlen($ends) - 1), $ends);
        }
    }

    public function test_a_stop_that_is_heard_of_late_pauses_from_when_the_second_happened(): void
    {
        // The first of two stops arrives last, with good practices since.
        self::assertSame('2026-11-02', $this->after('ss....', 0)?->from->format('Y-m-d'));
        self::assertSame('2026-11-03', $this->after('s.s....', 0)?->from->format('Y-m-d'));
        self::assertSame('2026-11-03', $this->after('s.s....', 2)?->from->format('Y-m-d'));
        self::assertNull($this->after('s..s....', 0), 'three practices apart');
        self::assertNull($this->after('....', 7), 'not among them');
    }

    public function test_a_recovery_exercise_is_never_paused_itself(): void
    {
        self::assertNull($this->after('ss', 1, isRecovery: true));
        self::assertTrue($this->after('h', 0, isRecovery: true)?->everyExercise);
    }

    public function test_stops_pause_now_only_with_the_latest_among_them(): void
    {
        $stop = StopClass::MadeMeStop;
        self::assertTrue(PauseRules::isTwiceInThree([$stop, null, $stop]));
        self::assertTrue(PauseRules::isTwiceInThree([StopClass::GetHelp, $stop]));
        self::assertFalse(PauseRules::isTwiceInThree([null, $stop, $stop]));
        self::assertFalse(PauseRules::isTwiceInThree([$stop, null, null, $stop]));
        self::assertFalse(PauseRules::isTwiceInThree([$stop, StopClass::NoSymptom, StopClass::NoSymptom]));
        self::assertFalse(PauseRules::isTwiceInThree([]));
        self::assertSame(['look_at' => 3, 'stops' => 2], PauseRules::forDevices());
    }

    public function test_a_practice_counts_until_somebody_has_looked_who_knew_of_it(): void
    {
        $at = fn (string $time) => new DateTimeImmutable("2026-11-01 $time");
        self::assertTrue(PauseRules::stillCounts($at('10:00'), null));
        self::assertTrue(PauseRules::stillCounts($at('10:01'), $at('10:00')));
        self::assertFalse(PauseRules::stillCounts($at('10:00'), $at('10:00')));
    }

    public function test_which_pauses_settle_stops_and_bar_another_programme(): void
    {
        foreach ([[PauseRules::GET_HELP, true, true], [PauseRules::TWICE_IN_THREE, true, true], [PauseRules::NEW_FINDING, false, false], [PauseRules::RED_FLAG, false, true]] as [$rule, $settles, $bars]) {
            self::assertSame([$settles, $bars], [PauseRules::settlesStops($rule), PauseRules::barsANewProgramme($rule)], $rule);
        }
    }

    public function test_every_symptom_belongs_to_a_class_that_is_a_symptom(): void
    {
        foreach (StopSymptom::cases() as $symptom) {
            self::assertTrue($symptom->stopClass()->isSymptom());
            self::assertContains($symptom, StopSymptom::of($symptom->stopClass()));
            self::assertTrue($symptom->goesWith(StopClass::GetHelp), 'what does not settle needs help');
            self::assertSame($symptom->stopClass() === StopClass::MadeMeStop, $symptom->goesWith(StopClass::MadeMeStop));
            self::assertFalse($symptom->goesWith(StopClass::NoSymptom));
        }
        self::assertSame([], StopSymptom::of(StopClass::NoSymptom));
        foreach ([StopSymptom::NumbSide, StopSymptom::SlurredSpeech, StopSymptom::Seizure, StopSymptom::LossOfSight] as $symptom) {
            self::assertSame(StopClass::GetHelp, $symptom->stopClass());
        }
        $asked = StopSymptom::forDevices();
        self::assertSame('something-else', $asked['made_me_stop'][count($asked['made_me_stop']) - 1], 'it is always there');
        self::assertSame(count(StopSymptom::cases()), count($asked['made_me_stop']) + count($asked['get_help']));
        self::assertSame(StopSymptom::BreathlessnessStays, StopSymptom::Breathlessness->unsettled());
        self::assertSame(StopSymptom::Dizziness, StopSymptom::Dizziness->unsettled());
    }

    /** @param  string  $ends  a letter a practice, one a day: s stopped for a symptom, h help needed, n stopped without a symptom, . not stopped */
    private function after(string $ends, int $heard, bool $isRecovery = false): ?PauseDecision
    {
        $practices = [];
        foreach (str_split($ends) as $index => $end) {
            $at = new DateTimeImmutable(sprintf('2026-11-%02d 08:00', $index + 1));
            $practices[] = new EndedPractice("p$index", $at, $at, match ($end) {
                's' => StopClass::MadeMeStop, 'h' => StopClass::GetHelp, 'n' => StopClass::NoSymptom, default => null,
            });
        }

        return PauseRules::after($practices, "p$heard", $isRecovery);
    }
}
