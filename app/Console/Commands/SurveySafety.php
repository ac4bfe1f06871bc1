<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\School;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Survey;
use Symfony\Component\Console\Helper\TableSeparator;

/** What the rules say of every technique as it is prescribed by default, for a patient with each flag, and how often they speak at all. */
final class SurveySafety extends Command
{
    protected $signature = 'safety:survey {--school=gentle-control : Whose defaults the table shows}';

    protected $description = 'Show what the safety rules say of each technique with each flag, and how often they speak';

    private const PER_TABLE = 14;

    public function handle(): int
    {
        $school = School::tryFrom((string) $this->option('school'));
        if ($school === null) {
            $this->error(
                'There is no such school. Choose one of: '.implode(', ', array_map(fn (School $each) => $each->value, School::cases())).'.',
            );

            return self::FAILURE;
        }
        $start = hrtime(true);
        $this->table(...$this->share());
        foreach (array_chunk(Survey::people(), self::PER_TABLE, true) as $people) {
            $rows = [];
            foreach (Catalogue::all() as $technique) {
                $rows[] = [
                    $technique->key,
                    ...array_map(fn ($patient) => $this->mark(Survey::level($technique, $school, $patient)), array_values($people)),
                ];
            }
            $this->newLine();
            $this->table(['', ...array_map(fn (string $flag) => $flag === '' ? 'none' : $flag, array_keys($people))], $rows, 'compact');
        }
        $this->line('n a note, C caution, R needs a reason, . nothing.');
        $this->line(
            sprintf('%d techniques, %d patients, %.1f s.', count(Catalogue::all()), count(Survey::people()), (hrtime(true) - $start) / 1e9),
        );

        return self::SUCCESS;
    }

    /** @return array{list<string>, list<array<int, string>|TableSeparator>} */
    private function share(): array
    {
        $percent = fn (float $share): string => sprintf('%.1f %%', 100 * $share);

        return [[
            'Of sensible prescriptions', 'a caution or more', 'at most', 'a note or more', 'at least',
        ], array_map(fn (School $school) => [
            $school->label(), $percent(Survey::share($school)), $percent(Survey::MOST_ALARMS),
            $percent(Survey::share($school, Level::Note)), $percent(Survey::LEAST_SAID),
        ], School::cases())];
    }

    private function mark(?Level $level): string
    {
        return match ($level) {
            null => '.',
            Level::Note => 'n',
            Level::Caution => 'C',
            Level::NeedsReason => 'R',
        };
    }
}
