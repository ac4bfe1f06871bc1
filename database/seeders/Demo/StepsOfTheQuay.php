<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Models\Practitioner;
use IvoryPace\Assessment\Measure;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Programme\Outcome;
use IvoryPace\Progress\Proposal\ProposalKind;

/** Patients for whom something is proposed, or whose programme has been closed. */
final readonly class StepsOfTheQuay
{
    private const EXHALE = [
        'technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'breaths' => 12, 'position' => 'seated', 'times_a_day' => 2,
    ];

    private const BELLY = ['technique' => 'diaphragmatic', 'minutes' => 4, 'position' => 'supine-knees-bent', 'times_a_day' => 1];

    public function __construct(private Practitioner $nora, private Practitioner $idris, private Practitioner $tamsin)
    {
    }

    public function seed(): void
    {
        $this->proposed();
        $this->closed();
    }

    private function proposed(): void
    {
        // A choir mistress whose tension has grown with the rehearsals.
        (new InventedPatient($this->nora, 24, ['name' => Promises::patient('worse'), 'birth_date' => '1971-05-16', 'minutes_a_day' => 15]))
            ->screened(24)->rates(24, 'tension', 3)->issued(23, self::EXHALE, weeks: 8, reviewAfter: 40)->joined(23)
            ->practised(23, 0, chance: [0.9, 0.85], before: [4, 6], effort: [4, 4])->wrote(
                23, 0, symptom: [2.4, 7], sleep: [7, 4], lines: [3 => 'Two extra rehearsals, jaw tight.'],
            );
        // A tugboat cook with little time and an easy breath.
        (new InventedPatient(
            $this->idris, 20, ['name' => Promises::patient('lighten'), 'birth_date' => '1983-12-02', 'minutes_a_day' => 5],
        ))
            ->screened(20)->issued(20, ['times_a_day' => 3] + self::EXHALE, weeks: 6, reviewAfter: 30)->joined(20)
            ->practised(20, 0, chance: [0.35, 0.4], before: [5, 4], effort: [2, 2])->comes(0, '09:00');
        // A harp maker who has slept through for weeks.
        (new InventedPatient(
            $this->tamsin, 32, ['name' => Promises::patient('finish'), 'birth_date' => '1966-08-23', 'minutes_a_day' => 10],
        ))
            ->screened(32)->rates(32, 'tension', 6)
            ->issued(
                31, self::BELLY, weeks: 8, reviewAfter: 45,
                goal: [
                    'words' => 'Fall asleep without lying there for an hour', 'measure' => 'tension', 'target' => 4,
                    'direction' => 'at-most',
                ],
            )->joined(31)
            ->practised(31, 0, chance: [0.9, 0.9], before: [5, 3])->wrote(31, 0, symptom: [4.4, 1.2], sleep: [5, 8])->comes(0, '14:30');
        // A courier for whom the breath was made too long.
        (new InventedPatient(
            $this->nora, 11, ['name' => Promises::patient('step-back'), 'birth_date' => '1998-03-09', 'minutes_a_day' => 15],
        ))
            ->screened(11, ['flag.asthma'])
            ->issued(11, ['ratio' => '4:0:8:1'] + self::EXHALE, weeks: 6, reviewAfter: 21, symptom: 'breathlessness')->joined(11)
            ->practised(11, 0, chance: [0.85, 0.8], before: [5, 5], effort: [7.6, 8])->comes(0, '10:15');
        // A lighthouse painter who is ready for the next rung.
        (new InventedPatient(
            $this->nora, 14, ['name' => Promises::patient('step-up'), 'birth_date' => '1990-10-28', 'minutes_a_day' => 10],
        ))
            ->screened(14)->measured(14, Measure::RestingRate, ['value' => 17])->rates(14, 'tension', 5)
            ->issued(14, self::EXHALE, weeks: 6, reviewAfter: 21)->joined(14)
            ->practised(14, 0, chance: [1.0, 1.0], before: [5, 3], effort: [2.4, 1.6], smooth: true)
            ->wrote(14, 1, symptom: [5, 3], sleep: [6, 7])->comes(0, '11:30');
        // A ropemaker's apprentice with the same evidence, whose practitioner decided otherwise.
        (new InventedPatient(
            $this->idris, 13, ['name' => Promises::patient('declined'), 'birth_date' => '2003-01-14', 'minutes_a_day' => 10],
        ))
            ->screened(13, ['flag.panic'])->issued(13, self::EXHALE, weeks: 6, reviewAfter: 21)->joined(13)
            ->practised(13, 0, chance: [1.0, 1.0], before: [4, 3], effort: [2, 1.6], smooth: true)
            ->declined(0, ProposalKind::StepUp, 'Examinations next week; nothing new until they are over.')->comes(1, '09:30');
        // A cartographer whose old phone was signed out with a practice still in it.
        (new InventedPatient(
            $this->tamsin, 16, ['name' => Promises::patient('kept-aside'), 'birth_date' => '1979-07-19', 'minutes_a_day' => 10],
        ))
            ->screened(16)->issued(16, self::BELLY, weeks: 6, reviewAfter: 28)->joined(16)
            ->practised(16, 2, chance: [0.9, 0.9], before: [4, 3])->signedOut(2)->sentAfterAll(1)->joined(1)
            ->practised(1, 0, chance: [1.0, 1.0]);
    }

    private function closed(): void
    {
        $closed = [
            [
                $this->tamsin, 'Ebba Thorne', '1958-04-04', Outcome::GoalReached, [2, 2, 2, 2, 1, 1, 2], [0, 1, 0, 1, 0, 0, 1],
                'Sleeps through, five nights of seven.',
            ],
            [
                $this->idris, 'Marius Delacroy', '1987-11-21', Outcome::GoalReached, [3, 3, 2, 3, 2, 2, 3], [1, 1, 1, 1, 0, 1, 1],
                'Played the whole concert without a tingle.',
            ],
            [$this->nora, Promises::patient('better'), '1949-02-27', Outcome::Better, [1, 2, 1, 1, 1, 1, 1], [1, 1, 0, 1, 0, 1, 1], null],
            [
                $this->idris, Promises::patient('ended-by-the-patient'), '1994-06-12', Outcome::Patient, [2, 1, 2, 2, 1, 1, 1],
                [2, 1, 1, 2, 1, 1, 1], 'Moved inland; knows how to go on alone.',
            ],
            [
                $this->tamsin, Promises::patient('no-change'), '1976-09-30', Outcome::NoChange, [2, 2, 1, 2, 2, 1, 2],
                [2, 2, 2, 2, 2, 1, 2], 'Back to the GP to look at sleep apnoea.',
            ],
        ];
        foreach ($closed as $index => [$by, $name, $born, $outcome, $then, $now, $note]) {
            $patient = (new InventedPatient($by, 60 + $index, ['name' => $name, 'birth_date' => $born, 'minutes_a_day' => 10]))
                ->screened(60)->answered(60, 'gad-7', $then)
                ->issued(59, $index % 2 === 0 ? self::BELLY : self::EXHALE, weeks: 6, reviewAfter: 28)->joined(59)
                ->practised(59, 20, chance: [0.9, 0.85], before: [5, 3]);
            if ($outcome === Outcome::NoChange) {
                $patient->stopped(19, StopSymptom::Dizziness, 0.5);
            }
            $patient->answered(18, 'gad-7', $now)->ended(18, $outcome, $note);
        }
    }
}
