<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

use IvoryPace\Assessment\ChangeClass;

/**
 * What became of a clinic's patients, summed up. A line about fewer than five patients is left out: it says little, and
 * might say it about someone.
 *
 * @phpstan-type Figures array{
 *     techniques: array<string, array{due: int, credit: float, practices: int, stops: int}>,
 *     anchors: array<string, array{due: int, credit: float}>,
 *     forms: array<string, string>
 * }
 * @phpstan-type OutcomeLine array{
 *     key: string, patients: int, due: int, credit: float, practices: int, stops: int,
 *     share: float|null, stops_per_1000: float|null
 * }
 */
final class ClinicOutcomes
{
    /** Patients from which a line is shown. */
    public const LEAST = 5;

    /**
     * @param  list<Figures>  $patients
     * @return list<OutcomeLine> by technique, most patients first
     */
    public static function techniques(array $patients): array
    {
        return self::lines(array_column($patients, 'techniques'));
    }

    /**
     * @param  list<Figures>  $patients
     * @return list<OutcomeLine> by anchor; practices and stops are not counted by anchor
     */
    public static function anchors(array $patients): array
    {
        return self::lines(array_column($patients, 'anchors'));
    }

    /**
     * @param  list<Figures>  $patients
     * @return list<array{form: string, patients: int, improved: int, recovered: int, unchanged: int, worse: int}> by questionnaire, of
     *     those who answered it twice
     */
    public static function forms(array $patients): array
    {
        $sums = [];
        foreach ($patients as $patient) {
            foreach ($patient['forms'] as $form => $class) {
                $sums[$form][$class] = ($sums[$form][$class] ?? 0) + 1;
            }
        }
        $lines = [];
        foreach ($sums as $form => $classes) {
            if (array_sum($classes) >= self::LEAST) {
                $count = fn (ChangeClass $class): int => $classes[$class->value] ?? 0;
                $lines[] = [
                    'form' => (string) $form, 'patients' => array_sum($classes), 'improved' => $count(ChangeClass::Improved),
                    'recovered' => $count(ChangeClass::Recovered),
                    'unchanged' => $count(ChangeClass::Unchanged), 'worse' => $count(ChangeClass::Worse),
                ];
            }
        }

        return $lines;
    }

    /**
     * @param  array<array-key, array<string, array{due: int, credit: float, practices?: int, stops?: int}>>  $patients
     * @return list<OutcomeLine>
     */
    private static function lines(array $patients): array
    {
        $sums = [];
        foreach ($patients as $byKey) {
            foreach ($byKey as $key => $of) {
                $sum = $sums[$key] ?? ['patients' => 0, 'due' => 0, 'credit' => 0.0, 'practices' => 0, 'stops' => 0];
                $sums[$key] = [
                    'patients' => $sum['patients'] + 1, 'due' => $sum['due'] + $of['due'], 'credit' => $sum['credit'] + $of['credit'],
                    'practices' => $sum['practices'] + ($of['practices'] ?? 0), 'stops' => $sum['stops'] + ($of['stops'] ?? 0),
                ];
            }
        }
        $lines = [];
        foreach ($sums as $key => $sum) {
            if ($sum['patients'] >= self::LEAST) {
                $lines[] = [
                    'key' => (string) $key, ...$sum, 'share' => $sum['due'] === 0 ? null : $sum['credit'] / $sum['due'],
                    'stops_per_1000' => $sum['practices'] === 0 ? null : 1000 * $sum['stops'] / $sum['practices'],
                ];
            }
        }
        usort($lines, fn (array $a, array $b) => [$b['patients'], $a['key']] <=> [$a['patients'], $b['key']]);

        return $lines;
    }
}
