<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

/** Whole ways of practising, as they are prescribed: what each is made of, what has to be told, and what must not be. */
final class Ways
{
    private const NIGHTS = ['times_a_day' => 1, 'anchors' => [['anchor' => 'lights-out', 'from' => '21:30', 'to' => '01:30', 'days' => [1, 2, 3, 4, 5, 6, 7]]]];

    /**
     * @return array<string, array{array<string, mixed>, list<string>, list<string>}> fields, what is told somewhere, what nowhere
     */
    public static function all(): array
    {
        return [
            'rolls once, then 4:5:5 on the feet' => [
                self::routine('Rolls and a breath', [
                    ['technique' => 'shoulder-rolls', 'minutes' => 1, 'position' => 'standing'],
                    ['technique' => 'in-hold-out', 'ratio' => '4:5:5', 'breaths' => 3, 'position' => 'standing', 'hands' => 'belly'],
                ]),
                ['Stand', 'hand on your belly'], ['lie', 'pillow'],
            ],
            'an evening of seven' => [
                self::routine('Evening', [
                    ['technique' => 'long-exhale', 'breaths' => 4, 'position' => 'seated'],
                    ['technique' => 'diaphragmatic', 'minutes' => 1, 'position' => 'seated', 'hands' => 'chest-and-belly'],
                    ['technique' => 'alternate-nostril', 'breaths' => 2, 'position' => 'seated'],
                    ['technique' => 'neck-release', 'minutes' => 1, 'position' => 'supine'],
                    ['technique' => 'weight-on-belly', 'minutes' => 1, 'position' => 'supine', 'parameters' => ['weight' => 0.8]],
                    ['technique' => 'humming', 'breaths' => 3, 'position' => 'supine', 'hands' => 'ears-closed'],
                    ['technique' => 'body-scan', 'position' => 'supine', 'parameters' => ['list' => 4]],
                    ['technique' => 'reverse-count', 'position' => 'supine', 'parameters' => ['from' => 60]],
                ], self::NIGHTS),
                ['0.8 kg', 'ears', 'one hand on your upper chest', 'Take the weight away'], ['Stand'],
            ],
            'two breaths in, one out, when it is needed' => [
                ['technique' => 'double-inhale', 'ratio' => '2+1:6', 'breaths' => 3, 'position' => 'seated', 'as_needed' => true, 'use_when' => 'tension rises', 'daily_most' => 5],
                ['tension rises', 'sip'], ['no bigger than at rest'],
            ],
            'ninety parts in pairs, into sleep' => [
                ['technique' => 'body-scan', 'position' => 'supine', 'gaze' => 'closed', 'ending' => 'quiet', 'parameters' => ['list' => 3, 'let-go' => 2], ...self::NIGHTS],
                ['Close your eyes', 'without a bell', 'fall asleep'], ['Roll', 'sit up'],
            ],
            'watching, then even breaths that grow' => [
                self::routine('Watch and even', [
                    ['technique' => 'noticing', 'minutes' => 1, 'position' => 'seated'],
                    ['technique' => 'even', 'ratio' => '4:4', 'breaths' => 5, 'position' => 'seated', 'parameters' => ['steps' => 7, 'breaths-2' => 2]],
                ]),
                ['32 breaths', 'up to 10'], ['Stand'],
            ],
            'on the front, then ribs down' => [
                [...self::routine('On the floor', [
                    ['technique' => 'prone', 'minutes' => 2],
                    ['technique' => 'ribs-down', 'minutes' => 2],
                ]), 'checks' => ['back-gap']],
                ['backs of your hands', 'knees bent'], ['seated', 'chair'],
            ],
            '4:7:8 in bed' => [
                ['technique' => 'four-seven-eight', 'ratio' => '4:7:8', 'breaths' => 4, 'position' => 'supine', 'route_out' => 'mouth', ...self::NIGHTS],
                ['tongue', 'without a bell', 'fall asleep'], ['Roll', 'Sit'],
            ],
            'three rounds with a retention that a tap ends' => [
                ['technique' => 'rounds-retention', 'breaths' => 25, 'position' => 'supine', 'parameters' => ['rounds' => 3, 'retention-ends' => 2]],
                ['3 rounds of 25 breaths', 'tap when you do'], [],
            ],
            'the lips, at one’s own pace, empty first' => [
                ['technique' => 'pursed-exhale', 'ratio' => '2:4', 'breaths' => 8, 'position' => 'seated', 'start' => 'empty', 'fastest' => 0.8, 'slowest' => 1.2],
                ['lips', 'First let all the air go', 'a little slower or faster'], ['no bigger'],
            ],
            'three soft steps with three bells' => [
                ['technique' => 'stepped-even', 'position' => 'cross-legged', 'bells_first' => 3, 'bells_last' => 3],
                ['Count 3 in, 3 out', 'up to 5', 'legs crossed'], ['lie', 'chair'],
            ],
            'five positions' => [
                self::routine('Down to the floor', array_map(
                    fn (string $position, string $hands) => ['technique' => 'diaphragmatic', 'minutes' => 1, 'position' => $position, 'hands' => $hands, 'props' => $position === 'supine' ? ['pillow-under-knees'] : []],
                    ['supine', 'side-lying', 'seated', 'standing', 'hands-and-knees'], ['chest-and-belly', 'belly', 'belly', 'belly', 'on-the-floor'],
                )),
                ['pillow', 'on your side', 'hands and knees'], [],
            ],
            'square in the lap, then lying' => [
                self::routine('Square twice', [
                    ['technique' => 'square', 'ratio' => '4:4:4:4', 'breaths' => 2, 'position' => 'seated', 'hands' => 'in-the-lap'],
                    ['technique' => 'square', 'ratio' => '4:4:4:4', 'breaths' => 2, 'position' => 'supine', 'hands' => 'chest-and-belly'],
                ]),
                ['lap', 'chest'], [],
            ],
            'wide, then all the way out, before meals' => [
                ['technique' => 'full-exhale', 'breaths' => 3, 'position' => 'seated', 'parameters' => ['open' => 2], 'times_a_day' => 3, 'anchors' => [
                    ['anchor' => 'before-breakfast', 'from' => '06:00', 'to' => '08:30', 'days' => [1, 2, 3, 4, 5, 6, 7]], ['anchor' => 'lunch', 'from' => '11:30', 'to' => '14:00', 'days' => [1, 2, 3, 4, 5, 6, 7]], ['anchor' => 'own', 'name' => 'before dinner', 'from' => '17:30', 'to' => '18:30', 'days' => [1, 2, 3, 4, 5, 6, 7]],
                ]],
                ['Before dinner', 'before breakfast', 'Tap when all the air is out'], [],
            ],
            'hands lead the ribs, then a hum' => [
                ['technique' => 'rib-release', 'breaths' => 3, 'position' => 'seated', 'hands' => 'leading-ribs', 'parameters' => ['hum' => 6]],
                ['ribs', 'hum'], ['press'],
            ],
            'folded hum, free, 5:5, 5:5:5:5' => [
                self::routine('Fold and square', [
                    ['technique' => 'humming', 'breaths' => 3, 'position' => 'folded-forward'],
                    ['kind' => 'free', 'seconds' => 30],
                    ['technique' => 'even', 'ratio' => '5:5', 'breaths' => 3, 'position' => 'seated', 'parameters' => ['steps' => 1]],
                    ['technique' => 'square', 'ratio' => '5:5:5:5', 'breaths' => 2, 'position' => 'seated'],
                ]),
                ['forward', 'hum'], ['lie'],
            ],
            'tense and let go, twice, then three times' => [
                ['technique' => 'tense-release', 'position' => 'supine', 'parameters' => ['groups' => 3, 'times' => 2, 'times-2' => 3, 'times-3' => 3]],
                ['3 places in turn, this often: 2, 3, 3'], [],
            ],
            'recovery at a table' => [['technique' => 'forward-lean', 'position' => 'seated-at-table'], ['table'], ['wall', 'knees.']],
            'recovery at a wall' => [['technique' => 'forward-lean', 'position' => 'facing-wall'], ['wall'], ['table', 'back against']],
            'recovery on the knees' => [['technique' => 'forward-lean', 'position' => 'seated-forward'], ['knees'], ['wall', 'table']],
        ];
    }

    /** @return array<string, mixed> as many steps as a routine has room for, from standing to lying, with all that is done by ear */
    public static function ofTwelve(): array
    {
        $sit = ['position' => 'seated'];

        return self::routine('A long hour', [
            ['technique' => 'shoulder-rolls', 'minutes' => 0.5, 'position' => 'standing'],
            ['technique' => 'walking', 'breaths' => 2],
            ['technique' => 'in-hold-out', 'ratio' => '3:3:4', 'breaths' => 2, ...$sit],
            ['technique' => 'alternate-nostril', 'breaths' => 1, ...$sit],
            ['technique' => 'double-inhale', 'ratio' => '2+1:5', 'breaths' => 2, ...$sit],
            ['technique' => 'pursed-exhale', 'breaths' => 2, ...$sit],
            ['technique' => 'humming', 'breaths' => 2, ...$sit],
            ['technique' => 'tense-release', 'position' => 'supine', 'parameters' => ['groups' => 2, 'times' => 1]],
            ['technique' => 'weight-on-belly', 'minutes' => 0.5, 'position' => 'supine', 'parameters' => ['weight' => 0.5]],
            ['technique' => 'extended-exhale', 'breaths' => 2, 'position' => 'supine'],
            ['technique' => 'body-scan', 'position' => 'supine', 'parameters' => ['list' => 1]],
            ['technique' => 'reverse-count', 'position' => 'supine', 'parameters' => ['from' => 10]],
        ]);
    }

    /**
     * @param  list<array<string, mixed>>  $steps
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private static function routine(string $name, array $steps, array $with = []): array
    {
        return [
            'kind' => 'routine', 'routine_name' => $name,
            'steps' => array_map(fn (array $step) => ['kind' => 'exercise', ...$step], $steps), 'times_a_day' => 1, ...$with,
        ];
    }
}
