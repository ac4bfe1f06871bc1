<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Assessment\SaturationFall;
use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Health\Flag;

/** What is known of a patient on the day a prescription is checked. */
final readonly class PatientFacts
{
    /** @var array<string, Flag> */
    private array $flags;

    /** Weeks from which a pregnancy is late. Common practice. */
    public const LATE_WEEKS = 20;

    /**
     * @param  list<Flag>  $flags  those in force today
     * @param  int|null  $age  whole years
     * @param  int|null  $pregnancyWeeks  weeks of gestation
     * @param  float|null  $restingRate  breaths per minute
     * @param  int|null  $nijmegen  0–64
     * @param  float|null  $minutesADay  minutes a day that the patient said they have
     * @param  int  $programmeDay  0 on the first day of the programme, also before it
     * @param  Prescription|null  $inForce  the same exercise as it is prescribed now
     * @param  int|null  $mmrc  breathlessness grade 0–4
     * @param  SaturationFall|null  $saturationFall  the deepest seen during a hold or retention
     * @param  float|null  $ceiling  comfort ceiling: the longest even inhale and exhale that is still easy, s
     */
    public function __construct(
        array $flags = [],
        public ?int $age = null,
        public ?int $pregnancyWeeks = null,
        public ComfortableLimits $limits = new ComfortableLimits,
        public ?float $restingRate = null,
        public ?int $nijmegen = null,
        public ?float $minutesADay = null,
        public int $programmeDay = 0,
        public ?Prescription $inForce = null,
        public ?int $mmrc = null,
        public ?SaturationFall $saturationFall = null,
        public ?float $ceiling = null,
    ) {
        if ($age !== null && $age < 16) {
            $flags[] = Flag::Under16;
        }
        if ($age !== null && $age < 12) {
            $flags[] = Flag::Under12;
        }
        if (in_array(Flag::Pregnancy, $flags, true) && ($pregnancyWeeks ?? self::LATE_WEEKS) >= self::LATE_WEEKS) {
            $flags[] = Flag::LatePregnancy;
        }
        $this->flags = array_combine(array_map(fn (Flag $flag) => $flag->value, $flags), $flags);
    }

    /** The same patient, for an exercise that is prescribed like this now. */
    public function comparedWith(?Prescription $inForce): self
    {
        return new self(
            array_values(array_filter($this->flags, fn (Flag $flag) => $flag->isAsked())), $this->age, $this->pregnancyWeeks, $this->limits,
            $this->restingRate, $this->nijmegen, $this->minutesADay, $this->programmeDay, $inForce, $this->mmrc, $this->saturationFall,
            $this->ceiling,
        );
    }

    /**
     * As it is remembered, to be compared with what is known later.
     *
     * @return array<string, mixed>
     */
    public function write(): array
    {
        return [
            'flags' => array_values(
                array_map(fn (Flag $flag) => $flag->value, array_filter($this->flags, fn (Flag $flag) => $flag->isAsked())),
            ),
            'age' => $this->age, 'weeks' => $this->pregnancyWeeks, 'inhale' => $this->limits->inhale, 'hold' => $this->limits->hold,
            'exhale' => $this->limits->exhale,
            'rate' => $this->restingRate, 'nijmegen' => $this->nijmegen, 'mmrc' => $this->mmrc, 'day' => $this->programmeDay,
            'minutes' => $this->minutesADay, 'ceiling' => $this->ceiling,
            'fall' => $this->saturationFall === null
                ? null
                : [
                    $this->saturationFall->from, $this->saturationFall->lowest, $this->saturationFall->seconds,
                    $this->saturationFall->ownLow,
                ],
        ];
    }

    /** @param  array<mixed>  $stored  what {@see write()} wrote */
    public static function read(array $stored): self
    {
        $number = fn (string $name): ?float => is_numeric($stored[$name] ?? null) ? (float) $stored[$name] : null;
        $whole = fn (string $name): ?int => is_numeric($stored[$name] ?? null) ? (int) $stored[$name] : null;
        $flags = array_filter(
            array_map(
                fn (mixed $flag) => is_string($flag) ? Flag::tryFrom($flag) : null,
                is_array($stored['flags'] ?? null) ? $stored['flags'] : [],
            ),
        );
        $fall = is_array($stored['fall'] ?? null) && count($stored['fall']) === 4
            ? array_map(fn (mixed $each) => is_numeric($each) ? (float) $each : null, array_values($stored['fall']))
            : null;

        return new self(
            array_values($flags), $whole('age'), $whole('weeks'),
            new ComfortableLimits($number('inhale'), $number('hold'), $number('exhale')), $number('rate'), $whole('nijmegen'),
            $number('minutes'),
            $whole('day') ?? 0, mmrc: $whole('mmrc'),
            saturationFall: $fall === null ? null : new SaturationFall((float) $fall[0], (float) $fall[1], (float) $fall[2], $fall[3]),
            ceiling: $number('ceiling'),
        );
    }

    /**
     * Flags that were there and are no longer.
     *
     * @return list<Flag>
     */
    public function lostSince(self $before): array
    {
        return array_values(array_filter($before->flags, fn (Flag $flag) => ! $this->has($flag)));
    }

    public function has(Flag $flag): bool
    {
        return isset($this->flags[$flag->value]);
    }

    /**
     * @param  list<Flag>  $flags
     * @return list<Flag> those of the list that the patient has
     */
    public function which(array $flags): array
    {
        return array_values(array_filter($flags, $this->has(...)));
    }

    /** @return list<Flag> */
    public function flags(): array
    {
        return array_values($this->flags);
    }

    /** @return list<Flag> for people: an early pregnancy is not said beside a late one */
    public function shown(): array
    {
        $flags = $this->flags();
        $isLate = in_array(Flag::LatePregnancy, $flags, true);

        return array_values(array_filter($flags, fn (Flag $flag) => ! $isLate || $flag !== Flag::Pregnancy));
    }

    /** @return list<string> the same in words */
    public function labels(): array
    {
        return array_map(fn (Flag $flag) => $flag->label(), $this->shown());
    }
}
