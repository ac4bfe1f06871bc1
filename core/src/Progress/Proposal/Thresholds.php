<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Fields;
use IvoryPace\InvalidValue;

/** From which numbers on something is proposed. Common practice; a clinic may set its own. */
final readonly class Thresholds
{
    /** Lowest and highest value of each. */
    private const POSSIBLE = [
        'leastDays' => [1, 60], 'leastPractices' => [1, 100], 'stops' => [1, 10], 'hardEffort' => [1, 10], 'easyEffort' => [0, 9],
        'lightEffort' => [0, 10],
        'lowSmooth' => [0, 1], 'highSmooth' => [0, 1], 'lowAdherence' => [0, 1], 'highAdherence' => [0, 1], 'notWorse' => [0, 1],
        'goalDays' => [1, 90],
    ];

    /**
     * @param  int  $leastDays  days in the window below which it is too early
     * @param  int  $leastPractices  practices, likewise
     * @param  int  $stops  stops for a symptom from which a step back is proposed
     * @param  float  $hardEffort  median effort 0–10 from which it is too hard
     * @param  float  $easyEffort  median effort up to which a step up is proposed
     * @param  float  $lightEffort  median effort up to which little practice is not a matter of a hard breath
     * @param  float  $lowSmooth  share 0–1 below which it is too hard
     * @param  float  $highSmooth  share from which a step up is proposed
     * @param  float  $lowAdherence  share below which fewer practices are proposed
     * @param  float  $highAdherence  share from which a step up is proposed
     * @param  float  $notWorse  share of rated practices after which the symptom is no worse, for a step up
     * @param  int  $goalDays  days at the goal's target from which it is finished
     *
     * @throws InvalidValue when one is impossible or two contradict each other
     */
    public function __construct(
        public int $leastDays = 7,
        public int $leastPractices = 6,
        public int $stops = 2,
        public float $hardEffort = 7.0,
        public float $easyEffort = 3.0,
        public float $lightEffort = 6.0,
        public float $lowSmooth = 0.5,
        public float $highSmooth = 0.8,
        public float $lowAdherence = 0.5,
        public float $highAdherence = 0.8,
        public float $notWorse = 0.7,
        public int $goalDays = 14,
    ) {
        foreach (self::POSSIBLE as $name => [$low, $high]) {
            if (! is_finite((float) $this->$name) || $low > $this->$name || $high < $this->$name) {
                throw InvalidValue::because(sprintf('%s of %s is outside %s to %s.', self::words($name), $this->$name, $low, $high));
            }
        }
        foreach (
            [
                ['easyEffort', 'hardEffort'], ['lightEffort', 'hardEffort'], ['lowSmooth', 'highSmooth'], ['lowAdherence', 'highAdherence'],
            ] as [$less, $more]
        ) {
            if ($this->$less >= $this->$more) {
                throw InvalidValue::because(
                    sprintf(
                        '%s has to be less than %s: now both could be proposed at once.', self::words($less), lcfirst(self::words($more)),
                    ),
                );
            }
        }
    }

    /** What each is called and counted in, in the order in which the rules ask for them; shares are per cent to people. */
    private const LABELS = [
        'stops' => 'Step back from so many stops for a symptom', 'hardEffort' => 'Step back from this effort (0–10)',
        'lowSmooth' => 'Step back when smooth in less than, %',
        'leastDays' => 'Too early below so many days', 'leastPractices' => 'Too early below so many practices',
        'lowAdherence' => 'Lighten when practised less than, %',
        'lightEffort' => 'Lighten at this effort or less (0–10)', 'goalDays' => 'Finish after so many days at the goal',
        'highAdherence' => 'Step up from practised, %',
        'highSmooth' => 'Step up from smooth in, %', 'easyEffort' => 'Step up at this effort or less (0–10)',
        'notWorse' => 'Step up when no worse after, % of practices',
    ];

    private const SHARES = ['lowSmooth', 'highSmooth', 'lowAdherence', 'highAdherence', 'notWorse'];

    private const WHOLE = ['leastDays', 'leastPractices', 'stops', 'goalDays'];

    /**
     * Reads what people type: shares in per cent, missing ones as shipped.
     *
     * @param  array<string, mixed>  $input
     * @return array{self|null, array<string, string>} null when it cannot be read; errors by field, "" for a contradiction
     */
    public static function read(array $input): array
    {
        $fields = new Fields($input);
        $values = [];
        foreach (self::LABELS as $name => $label) {
            if ($fields->text($name) === '') {
                continue;
            }
            $by = in_array($name, self::SHARES, true) ? 100 : 1;
            [$low, $high] = self::POSSIBLE[$name];
            $values[$name] = $fields->attempt($name, fn () => in_array($name, self::WHOLE, true)

                    ? $fields->whole($name, (int) $low, (int) $high, strtolower(self::words($name)))
                    : $fields->numberIn($name, $low * $by, $high * $by, $by === 100 ? '%' : 'of effort') / $by);
        }
        if ($fields->errors() !== []) {
            return [null, $fields->errors()];
        }
        try {
            return [new self(...$values), []];
        } catch (InvalidValue $problem) {
            return [null, ['' => $problem->getMessage()]];
        }
    }

    /** @return list<array{name: string, label: string, value: float|int, shipped: float|int}> as people read them, shares in per cent */
    public function lines(): array
    {
        $shipped = new self;
        $shown = fn (self $of, string $name): float|int => in_array($name, self::SHARES, true) ? round($of->$name * 100, 1) : $of->$name;

        return array_map(
            fn (string $name) => [
                'name' => $name, 'label' => self::LABELS[$name], 'value' => $shown($this, $name), 'shipped' => $shown($shipped, $name),
            ],
            array_keys(self::LABELS),
        );
    }

    /** "Easy effort", from "easyEffort". */
    private static function words(string $name): string
    {
        return ucfirst(strtolower((string) preg_replace('/(?=[A-Z])/', ' ', $name)));
    }
}
