<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Session;

use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Health\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;
use IvoryPace\Session\PaceComparison;
use IvoryPace\Signal\BestPace;
use PHPUnit\Framework\TestCase;

final class PaceComparisonTest extends TestCase
{
    public function test_five_paces_of_three_minutes_each_go_on_into_each_other(): void
    {
        $comparison = PaceComparison::for(new PatientFacts);
        self::assertSame(BestPace::PACES, $comparison->paces);
        self::assertSame([], $comparison->leftOut);
        $timeline = $comparison->timeline();
        self::assertEqualsWithDelta(5 * 180_000, $timeline->exerciseMs(), 5 * 7_000, 'as near as whole breaths come');

        foreach (BestPace::PACES as $n => $pace) {
            $cues = [];
            foreach ($timeline->segments as $segment) {
                foreach ($segment->role === SegmentRole::Exercise ? $segment->cues : [] as $cue) {
                    $cues = $cue->place->step === $n + 1 ? [...$cues, $cue] : $cues;
                }
            }
            $inhales = array_values(array_filter($cues, fn ($cue) => $cue->kind === CueKind::Inhale));
            self::assertSame((int) round(3 * $pace), count($inhales));
            $ms = array_sum(array_map(fn ($cue) => $cue->endMs() - $cue->startMs, $cues));
            self::assertEqualsWithDelta(60_000 / $pace, $ms / count($inhales), 25, "$pace a minute");
            self::assertEqualsWithDelta(0.4 * 60_000 / $pace, $inhales[0]->endMs() - $inhales[0]->startMs, 25);
        }
        $leads = array_filter($timeline->segments, fn ($segment) => $segment->role === SegmentRole::LeadIn);
        self::assertCount(1, $leads, 'only before the first there is a lead-in');
    }

    /** A second way to say it: a pace is led exactly when nothing warns of it. */
    public function test_for_whomever_a_pace_is_led_or_left_out_with_what_warns_of_it(): void
    {
        $leftOut = 0;
        foreach (Flag::cases() as $flag) {
            foreach ([null, 14] as $age) {
                $limits = new ComfortableLimits(4.2, null, $age === null ? null : 6.0);
                $patient = new PatientFacts($flag->isAsked() ? [$flag] : [], $age, limits: $limits);
                $comparison = PaceComparison::for($patient);
                foreach (BestPace::PACES as $pace) {
                    $levels = array_map(fn ($finding) => $finding->level, RuleBook::check(PaceComparison::item($pace), $patient, ofTheWhole: false));
                    self::assertSame(array_diff(array_map(fn ($level) => $level->value, $levels), [Level::Note->value]) === [], in_array($pace, $comparison->paces, true));
                }
                self::assertCount(count(BestPace::PACES), [...$comparison->paces, ...$comparison->leftOut]);
                self::assertSame(count($comparison->paces) >= 2, $comparison->isPossible());
                $leftOut += count($comparison->leftOut);
            }
        }
        self::assertGreaterThan(0, $leftOut);
    }
}
