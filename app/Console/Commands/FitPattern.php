<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Breath\Fitting;
use IvoryPace\Breath\Phase;
use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

final class FitPattern extends Command
{
    use AnswersInJson;

    protected $signature = 'breath:fit {notation : for example 4:7:8} {--inhale= : comfortable limit in s} {--hold=} {--exhale=} {--json : '
        .'on one line, for programs}';

    protected $description = 'The count length at which a ratio stays within comfortable limits';

    public function handle(): int
    {
        return $this->answer(function () {
            $limit = fn (string $name) => $this->option($name) === null
                ? null
                : Numbers::read($this->option($name), "seconds for the $name");
            $fit = Fitting::toLimits(
                BreathPattern::parse($this->stringArgument('notation')),
                new ComfortableLimits($limit('inhale'), $limit('hold'), $limit('exhale')),
            );
            if (! $fit->suits()) {
                throw InvalidValue::because(sprintf(
                    'This ratio does not suit these limits yet: the %s would need counts of %.2f s, under %.1f s. %s',
                    $fit->limiting->value, $fit->countSeconds, Fitting::SHORTEST_SENSIBLE_COUNT,
                    $fit->nearest === null ? 'No ratio of this family suits.' : "Nearest that does: {$fit->nearest->toString()}.",
                ));
            }
            $cycle = $fit->cycle();
            $phases = [];
            foreach (Phase::cases() as $phase) {
                if ($cycle->phaseSeconds($phase) > 0) {
                    $phases[$phase->value] = round($cycle->phaseSeconds($phase), 6);
                }
            }

            return [
                'count_s' => round($cycle->countLength->seconds, 6),
                'limiting_phase' => $fit->limiting->value,
                'phases_s' => $phases,
                'rate_bpm' => round($cycle->rate(), 6),
            ];
        });
    }
}
