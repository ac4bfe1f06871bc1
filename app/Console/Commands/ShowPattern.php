<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Timeline\PacedSet;
use IvoryPace\Numbers;

final class ShowPattern extends Command
{
    use AnswersInJson;

    protected $signature = 'breath:pattern {notation : for example 4:7:8} {--breaths=1} {--count=1.0 : seconds a count} {--timeline : with '
        .'all cues} {--json : on one line, for programs}';

    protected $description = 'The arithmetic of a breath pattern';

    public function handle(): int
    {
        return $this->answer(function () {
            $cycle = Cycle::of(
                BreathPattern::parse($this->stringArgument('notation')),
                CountLength::seconds(Numbers::read($this->option('count'), 'seconds a count')),
            );
            $breaths = (int) Numbers::read($this->option('breaths'), 'breaths');
            $set = (new PacedSet($cycle, []))->compile($breaths);

            return [
                'notation' => $cycle->pattern->toString(),
                'cycle_s' => round($cycle->seconds(), 6),
                'rate_bpm' => round($cycle->rate(), 6),
                'ie' => round($cycle->exhaleToInhale(), 6),
                'duty_cycle' => round($cycle->dutyCycle(), 6),
                'quiet_share' => round($cycle->quietShare(), 6),
                'breaths' => $breaths,
                'total_s' => round($cycle->secondsFor($breaths), 6),
                ...($this->option('timeline') ? ['cues' => $set->cues] : []),
            ];
        });
    }
}
