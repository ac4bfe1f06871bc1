<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

use IvoryPace\Safety\PauseRules;
use IvoryPace\Safety\StopClass;
use IvoryPace\Safety\StopSymptom;
use PHPUnit\Framework\TestCase;

final class PauseRulesTest extends TestCase
{
    public function test_a_get_help_symptom_pauses_every_exercise_at_once(): void
    {
        $decision = PauseRules::afterPractice([StopClass::GetHelp]);

        self::assertNotNull($decision);
        self::assertSame(PauseRules::GET_HELP, $decision->rule);
        self::assertTrue($decision->everyExercise);
    }

    public function test_what_a_stop_paused_is_looked_at_before_another_programme(): void
    {
        self::assertTrue(PauseRules::barsANewProgramme(PauseRules::GET_HELP));
        self::assertTrue(PauseRules::barsANewProgramme(PauseRules::TWICE_IN_THREE));
        self::assertFalse(PauseRules::barsANewProgramme(PauseRules::NEW_FINDING));
    }

    public function test_a_stop_symptom_in_two_of_the_last_three_pauses_that_exercise(): void
    {
        $stop = StopClass::MadeMeStop;
        foreach ([[$stop, $stop], [$stop, null, $stop], [$stop, $stop, null]] as $ends) {
            $decision = PauseRules::afterPractice($ends);
            self::assertNotNull($decision);
            self::assertSame(PauseRules::TWICE_IN_THREE, $decision->rule);
            self::assertFalse($decision->everyExercise);
        }
    }

    public function test_fewer_stops_or_stops_without_a_symptom_do_not_pause(): void
    {
        $stop = StopClass::MadeMeStop;
        foreach ([[], [null], [$stop], [$stop, null, null, $stop], [StopClass::NoSymptom, StopClass::NoSymptom, $stop]] as $ends) {
            self::assertNull(PauseRules::afterPractice($ends));
        }
    }

    public function test_a_recovery_exercise_is_never_paused_itself(): void
    {
        self::assertNull(PauseRules::afterPractice([StopClass::MadeMeStop, StopClass::MadeMeStop], isRecovery: true));
        self::assertTrue(PauseRules::afterPractice([StopClass::GetHelp], isRecovery: true)?->everyExercise);
    }

    public function test_every_symptom_belongs_to_a_class_that_is_a_symptom(): void
    {
        foreach (StopSymptom::cases() as $symptom) {
            self::assertTrue($symptom->stopClass()->isSymptom());
            self::assertContains($symptom, StopSymptom::of($symptom->stopClass()));
        }
        self::assertSame([], StopSymptom::of(StopClass::NoSymptom));
    }
}
