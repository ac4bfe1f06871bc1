<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Models\Practitioner;
use IvoryPace\Assessment\Measure;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Programme\Outcome;

/** Patients who have been coming for long: one with a year of practice, one who keeps up what was reached. */
final readonly class YearsOfTheQuay
{
    private const EXHALE = [
        'technique' => 'extended-exhale', 'breaths' => 12, 'position' => 'seated', 'props' => ['chair-with-back'],
        'route_out' => 'pursed-lips', 'times_a_day' => 1, 'why' => 'To get up the harbour steps with breath to spare.',
    ];

    public function __construct(private Practitioner $nora, private Practitioner $tamsin)
    {
    }

    public function seed(): void
    {
        $this->aYear();
        $this->keepsUp();
    }

    /** A ship's cook with COPD. */
    private function aYear(): void
    {
        $goal = [
            'words' => 'Carry the shopping up the harbour steps without a stop.', 'measure' => 'breathlessness', 'target' => 2,
            'direction' => 'at-most',
        ];
        $patient = (new InventedPatient(
            $this->nora, 360, ['name' => Promises::patient('step-up-after-a-year'), 'birth_date' => '1957-03-28', 'minutes_a_day' => 10],
        ))
            ->screened(360, ['flag.copd'])->rates(360, 'breathlessness', 7)->answered(360, 'mmrc', [3])
            ->measured(
                360, Measure::RestingRate, ['value' => 22, 'explanation' => 'COPD, as at every visit.'],
            )->measured(360, Measure::Exhale, ['tries' => [3.8, 4.1, 4.0]])
            ->issued(
                359, ['ratio' => '2:0:3:1'] + self::EXHALE, weeks: 12, reviewAfter: 28, symptom: 'breathlessness', goal: $goal,
            )->joined(359)
            ->sessionSigned(
                359, "First assessment\nShort of breath on one flight, pursed-lip exhale shown and practised. Once a day to begin with.",
            )
            ->practised(359, 281, chance: [0.75, 0.85], before: [7, 6], effort: [4, 3])->wrote(358, 281, symptom: [7, 6], sleep: [5, 5])
            ->stopped(300, StopSymptom::Dizziness, 0.5, 'Stood up too soon.')
            ->issued(
                280, ['ratio' => '2:0:4:1'] + self::EXHALE, weeks: 16, reviewAfter: 42, symptom: 'breathlessness',
                reason: 'Exhale unhurried; next rung.', goal: $goal,
            )
            ->sessionSigned(280, "Session 2\nOne stop for dizziness, standing up too soon. Exhale unhurried at 3; took 2:0:4:1.")
            ->measured(280, Measure::RestingRate, ['value' => 20])->measured(280, Measure::Exhale, ['tries' => [5.2, 5.6]])
            ->answered(280, 'mmrc', [3])
            ->practised(280, 171, chance: [0.8, 0.85], before: [6, 5], effort: [4, 3])->wrote(
                280, 171, symptom: [6, 5], sleep: [5, 6], lines: [225 => 'First warm week; sat on the quay wall to practise.'],
            )
            ->issued(
                170, ['ratio' => '2:0:5:1'] + self::EXHALE, weeks: 12, reviewAfter: 42, symptom: 'breathlessness',
                reason: 'Steps with one stop instead of two.', goal: $goal,
            )
            ->sessionSigned(170, "Session 3\nHarbour steps with one stop. Took 2:0:5:1.")
            ->measured(170, Measure::RestingRate, ['value' => 18])->measured(170, Measure::Exhale, ['tries' => [6.4, 6.9, 6.6]])
            ->answered(170, 'mmrc', [2])
            // A bad chest in autumn: three weeks without practice, and a rung back.
            ->practised(170, 96, chance: [0.85, 0.85], before: [5, 4], effort: [3, 3])->wrote(
                170, 96, symptom: [5, 4], sleep: [6, 6], lines: [97 => 'Cold on the chest, staying in.'],
            );
        $patient->issued(
            72, ['ratio' => '2:0:4:1'] + self::EXHALE, weeks: 18, reviewAfter: 84, symptom: 'breathlessness',
            reason: 'After three weeks with a bad chest: a rung back.', goal: $goal,
        )
            ->sessionSigned(72, "Session 4\nBad chest since late summer, antibiotics finished. A rung back until it is unhurried again.")
            ->measured(72, Measure::RestingRate, ['value' => 20])->measured(72, Measure::Exhale, ['tries' => [5.9, 6.1]])
            ->practised(72, 0, chance: [0.85, 0.95], before: [5, 2], effort: [4, 2])
            ->wrote(72, 1, symptom: [5, 2], sleep: [6, 7], lines: [3 => 'Up the steps with both bags.'])->answered(10, 'mmrc', [2])
            ->comes(2, '11:00');
    }

    /** A sailmaker who fell asleep with effort; kept up on three evenings. */
    private function keepsUp(): void
    {
        (new InventedPatient(
            $this->tamsin, 96, ['name' => Promises::patient('kept-up'), 'birth_date' => '1981-12-05', 'minutes_a_day' => 10],
        ))
            ->screened(96)->answered(96, 'gad-7', [2, 2, 1, 2, 2, 1, 1])
            ->issued(
                95, ['technique' => 'diaphragmatic', 'minutes' => 5, 'position' => 'supine', 'times_a_day' => 2], weeks: 7, reviewAfter: 42,
            )->joined(95)
            ->practised(95, 46, chance: [0.7, 0.85], before: [6, 2], effort: [3, 1])
            ->answered(45, 'gad-7', [0, 1, 0, 1, 1, 0, 0])->ended(45, Outcome::GoalReached, 'Asleep within the half hour.')
            ->keptUp(45)->practised(44, 0, chance: [0.9, 0.9], before: [3, 2], effort: [1, 1]);
    }
}
