<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Models\Practitioner;
use IvoryPace\Assessment\Measure;
use IvoryPace\Health\RedFlag;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Practice\NotToday;
use IvoryPace\Programme\Outcome;

/** The patients of a three-person practice over a chandler's shop, one for each state that the application knows. */
final readonly class HarrowQuay
{
    public function __construct(private Practitioner $nora, private Practitioner $idris, private Practitioner $tamsin)
    {
    }

    public function seed(): void
    {
        $this->doingWell();
        $this->stopped();
        $this->waiting();
    }

    private function doingWell(): void
    {
        $exhale = [
            'technique' => 'extended-exhale', 'ratio' => '2:0:4:1', 'breaths' => 12, 'position' => 'seated', 'props' => ['chair-with-back'],
            'route_out' => 'pursed-lips', 'times_a_day' => 3,
        ];
        // A retired slate worker with COPD.
        (new InventedPatient(
            $this->nora, 34, ['name' => Promises::patient('step-up-with-recovery'), 'birth_date' => '1968-02-11', 'minutes_a_day' => 20],
        ))
            ->screened(34, ['flag.copd', 'flag.low-back-pain'])
            ->measured(
                34, Measure::RestingRate, ['value' => 21, 'explanation' => 'COPD, as at every visit.'],
            )->measured(16, Measure::RestingRate, ['value' => 18])
            ->measured(
                34, Measure::HandCheck, ['chest' => 3, 'belly' => 1, 'first' => 'chest', 'shoulders' => true],
            )->measured(16, Measure::HandCheck, ['chest' => 2, 'belly' => 2, 'first' => 'together'])
            ->measured(34, Measure::Exhale, ['tries' => [4.2, 4.4, 3.9]])->measured(16, Measure::Exhale, ['tries' => [6.6, 7, 6.8]])
            ->measured(34, Measure::Inhale, ['tries' => [3, 3.2]])->measured(16, Measure::Inhale, ['tries' => [4.6, 4.1]])
            ->measured(34, Measure::Saturation, ['value' => 93])->measured(16, Measure::Saturation, ['value' => 93], 'reclined')
            ->measured(34, Measure::RibExpansion, ['pairs' => [[96, 98]]])->measured(
                16, Measure::RibExpansion, ['pairs' => [[95, 98], [96, 98.5]]],
            )
            ->rates(34, 'breathlessness', 6)->rates(16, 'breathlessness', 4)
            ->answered(34, 'mmrc', [3])->answered(16, 'mmrc', [2])
            ->issued(33, $exhale, weeks: 8, symptom: 'breathlessness')
            ->joined(33)
            ->practised(33, 16, chance: [0.7, 0.9], before: [7, 5])
            ->issued(
                16, ['ratio' => '3:0:5:1'] + $exhale, weeks: 6, reviewAfter: 21, symptom: 'breathlessness',
                reason: 'Exhale unhurried at 4; next rung.',
                also: [
                    [
                        'technique' => 'forward-lean', 'position' => 'seated-forward', 'as_needed' => true,
                        'use_when' => 'breath is short on the stairs', 'daily_most' => 4,
                    ],
                ],
            )
            ->sessionSigned(
                33,
                "First assessment\nUpper-chest pattern, short exhale. Extended exhale 2:0:4:1 tried twice, effort 4 of 10. Sheet "
                    .'explained; agreed on three times a day.',
            )
            ->sessionSigned(
                16, "Session 2\nExhale unhurried, shoulders stay low. Took the next rung, 3:0:5:1. Stairs: stops once instead of twice.",
            )
            ->practised(
                15, 0, chance: [0.9, 0.97], before: [5, 3], effort: [3, 2],
                remarks: [4 => 'Did the bottom flight of the quay steps and talked at the top.'],
            )
            ->wrote(
                33, 1, symptom: [6, 3], sleep: [5, 7],
                lines: [9 => 'Fog on the quay; kept the scarf up.', 2 => 'Carried the coal up in two goes.'],
            )
            ->tapped(25, 21)->tapped(17, 19)->tapped(8, 17)->recovered(11, 170)->recovered(6, 125)->recovered(2, 95)
            ->putOff(11, NotToday::Tired)->comes(0, '12:00');
        // A cornet player who over-breathes before concerts.
        (new InventedPatient(
            $this->idris, 24, ['name' => Promises::patient('step-up-of-a-colleague'), 'birth_date' => '1997-06-03', 'minutes_a_day' => 10],
        ))
            ->screened(24, ['flag.panic'])
            ->measured(24, Measure::RestingRate, ['value' => 19])
            ->answered(24, 'gad-7', [3, 2, 2, 2, 1, 2, 1])->answered(3, 'gad-7', [1, 1, 1, 1, 0, 1, 1])
            ->answered(24, 'nijmegen', [1, 3, 1, 3, 2, 3, 2, 2, 1, 2, 2, 1, 1, 1, 1, 1])
            ->issued(
                24,
                [
                    'technique' => 'extended-exhale', 'ratio' => '4:0:6:1', 'breaths' => 10, 'position' => 'seated',
                    'props' => ['chair-with-back'], 'times_a_day' => 2,
                ],
                weeks: 6, reviewAfter: 28,
            )
            ->joined(24)
            ->practised(24, 0, chance: [0.95, 0.98], before: [6, 3]);
        // A ferry engineer with low back pain and upper-chest breathing.
        (new InventedPatient(
            $this->nora, 23, ['name' => Promises::patient('review-overdue'), 'birth_date' => '1974-09-27', 'minutes_a_day' => 15],
        ))
            ->screened(23, ['flag.low-back-pain'])
            ->issued(
                23, ['technique' => 'diaphragmatic', 'minutes' => 4, 'position' => 'supine-knees-bent', 'times_a_day' => 2], weeks: 4,
                reviewAfter: 14,
            )
            ->joined(23)
            ->practised(23, 0, chance: [0.8, 0.85], before: [5, 3]);
        // Finished: a lock-keeper who sleeps again.
        (new InventedPatient(
            $this->tamsin, 40, ['name' => Promises::patient('goal-reached'), 'birth_date' => '1960-01-19', 'minutes_a_day' => 10],
        ))
            ->screened(40)
            ->issued(
                39, ['technique' => 'diaphragmatic', 'minutes' => 5, 'position' => 'supine', 'times_a_day' => 1], weeks: 5, reviewAfter: 35,
                symptom: 'tension',
            )
            ->joined(39)
            ->practised(39, 5, chance: [0.9, 1.0], before: [6, 2])
            ->ended(4, Outcome::GoalReached, 'Sleeps again; keeps two evenings a week.');
    }

    private function stopped(): void
    {
        // A bell-ringer with panic, paused after two dizzy practices.
        (new InventedPatient(
            $this->idris, 18, ['name' => Promises::patient('paused'), 'birth_date' => '1992-04-30', 'minutes_a_day' => 15],
        ))
            ->screened(18, ['flag.panic', 'flag.fainting'])
            ->issued(
                18,
                [
                    'technique' => 'extended-exhale', 'ratio' => '4:2:7:1', 'breaths' => 12, 'position' => 'seated', 'props' => [],
                    'times_a_day' => 2,
                ],
                weeks: 6, reviewAfter: 28,
            )
            ->joined(18)
            ->practised(18, 3, chance: [0.85, 0.8], before: [7, 6], effort: [5, 6])
            ->stopped(2, StopSymptom::Dizziness, 0.4, 'Swimmy after the fifth one.')
            ->stopped(1, StopSymptom::Dizziness, 0.3);
        // A rower after pneumonia, stopped once.
        (new InventedPatient(
            $this->nora, 12, ['name' => Promises::patient('stopped-once'), 'birth_date' => '1979-11-08', 'minutes_a_day' => 20],
        ))
            ->screened(12, [], endDates: [])
            ->issued(
                12,
                [
                    'technique' => 'extended-exhale', 'ratio' => '4:0:6:1', 'breaths' => 15, 'position' => 'reclined', 'props' => ['wedge'],
                    'times_a_day' => 3,
                ],
                weeks: 4, reviewAfter: 21, symptom: 'breathlessness',
            )
            ->joined(12)
            ->practised(12, 4, chance: [0.8, 0.9], before: [6, 5])
            ->stopped(3, StopSymptom::Tingling, 0.6, 'Fingers prickled, gone after a minute.')
            ->practised(2, 0, chance: [0.9, 0.9], before: [5, 4]);
        // A seed merchant with asthma, who needed help.
        (new InventedPatient(
            $this->nora, 9, ['name' => Promises::patient('get-help'), 'birth_date' => '1960-05-22', 'minutes_a_day' => 10],
        ))
            ->screened(9, ['flag.asthma', 'flag.high-blood-pressure'])
            ->issued(
                9,
                [
                    'technique' => 'extended-exhale', 'ratio' => '2:0:3:1', 'breaths' => 10, 'position' => 'seated',
                    'props' => ['chair-with-back'], 'route_out' => 'pursed-lips', 'times_a_day' => 2,
                ],
                reviewAfter: 14, symptom: 'breathlessness',
            )
            ->joined(9)
            ->practised(9, 2, chance: [0.9, 0.9], before: [5, 5])
            ->stopped(1, StopSymptom::ChestPain, 0.5, 'Tight across the chest, rang the doctor.');
        // A night-shift baker who cannot fall asleep; the nights were swapped.
        (new InventedPatient(
            $this->tamsin, 21,
            ['name' => Promises::patient('no-practice'), 'birth_date' => '1985-08-14', 'day_start' => '14:00', 'minutes_a_day' => 10],
        ))
            ->screened(21)
            ->issued(21, [
                'technique' => 'extended-exhale', 'ratio' => '2:4', 'breaths' => 15, 'position' => 'supine',
                'props' => ['pillow-under-head'], 'times_a_day' => 1,
                'anchors' => [['anchor' => 'lights-out', 'from' => '07:30', 'to' => '10:00', 'days' => [1, 2, 3, 4, 5, 6, 7]]],
            ], weeks: 6, reviewAfter: 28, symptom: 'tension')
            ->joined(21)
            ->practised(21, 7, chance: [0.9, 0.8], before: [6, 5], remarks: [8 => 'Nights swapped again.']);
    }

    private function waiting(): void
    {
        // A pregnant glazier who has not used her link yet.
        (new InventedPatient(
            $this->nora, 5, [
                'name' => Promises::patient('access-unused'), 'birth_date' => '1995-12-01', 'minutes_a_day' => 10,
                'contact' => 'ines.calloway@post.example',
            ],
        ))
            ->screened(5, ['flag.pregnancy', 'flag.reflux'], weeks: 24)
            ->issued(
                5, ['technique' => 'diaphragmatic', 'minutes' => 3, 'position' => 'side-lying', 'props' => ['pillow-under-head'],
                    'times_a_day' => 2], reviewAfter: 14, symptom: 'breathlessness',
            )
            ->invited(5);
        // A net-mender with an open red flag.
        (new InventedPatient($this->tamsin, 2, ['name' => Promises::patient('red-flag'), 'birth_date' => '1953-03-17']))
            ->screened(2, ['red.chest-pain', 'red.breathless-at-rest', 'flag.high-blood-pressure']);
        // A signwriter: screened, red flag acted on, no programme yet.
        (new InventedPatient($this->idris, 3, ['name' => Promises::patient('no-programme'), 'birth_date' => '2001-10-05']))
            ->screened(3, ['red.weight-loss-or-fever', 'flag.panic'])
            ->redFlagActed(
                3, RedFlag::WeightLossOrFever, 'Seen by Dr Amery on Friday, blood tests normal, no objection to breathing practice.',
            );
        // A lamp-oil chandler who was told of epilepsy since: what needs a reason is paused.
        (new InventedPatient(
            $this->idris, 15, ['name' => Promises::patient('new-finding'), 'birth_date' => '1990-02-17', 'minutes_a_day' => 15],
        ))
            ->screened(15)
            ->issued(
                15, ['technique' => 'square', 'ratio' => '4:11:6:1', 'breaths' => 6, 'position' => 'seated', 'times_a_day' => 1],
                weeks: 6, reviewAfter: 28,
            )
            ->joined(15)
            ->practised(15, 1, chance: [0.9, 0.9], before: [5, 4])
            ->screened(0, ['flag.epilepsy']);
        // A ropewalk foreman who answered the questions at home, before the first visit.
        (new InventedPatient(
            $this->tamsin, 4, ['name' => Promises::patient('screening-waiting'), 'birth_date' => '1963-09-09', 'minutes_a_day' => 20],
        ))
            ->joined(3)
            ->answeredAtHome(1, ['flag.asthma', 'flag.reflux']);
        // New with nothing yet: a tide-gauge reader.
        new InventedPatient(
            $this->nora, 0, ['name' => Promises::patient('not-screened'), 'birth_date' => '1988-07-07', 'minutes_a_day' => 15],
        );
    }
}
