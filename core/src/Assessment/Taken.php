<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\Fields;
use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/** What was tapped, tried or typed, as one value in the unit of its measure. */
final readonly class Taken
{
    /**
     * @param  array<string, mixed>|null  $details  taps or tries that it was computed from; "words" where it is more than a number
     * @param  string  $method  how it was taken
     */
    private function __construct(public float $value, public ?array $details, public string $method)
    {
    }

    /** @throws InvalidValue with the range */
    public static function read(Measure $measure, Fields $fields): self
    {
        return match ($measure->how()) {
            Taking::Taps => $fields->list('taps') === [] ? self::typed($measure, $fields) : self::taps($measure, $fields),
            Taking::Tries => self::tries($measure, $fields),
            Taking::Ceiling => self::ceiling($measure, $fields),
            Taking::Hands => self::hands($fields),
            Taking::Ribs => self::ribs($measure, $fields),
            Taking::Rhythm => self::rhythm($fields),
            Taking::Typed => self::typed($measure, $fields),
            Taking::Fall => self::fall($measure, $fields),
            Taking::Rating => new self((float) $fields->whole('value', 0, 10, 'points'), null, 'rated'),
        };
    }

    /**
     * As a device measured it.
     *
     * @param  string  $recording  which recording it was read from
     * @param  array<string, mixed>  $details
     *
     * @throws InvalidValue when it is impossible
     */
    public static function measured(Measure $measure, float $value, string $method, string $recording, array $details = []): self
    {
        return new self($measure->check($value), [...$details, 'recording' => $recording], $method);
    }

    /** @throws InvalidValue */
    private static function fall(Measure $measure, Fields $fields): self
    {
        $lowest = $measure->check($fields->number('lowest', '% at the lowest'));
        $fall = new SaturationFall(
            $measure->check($fields->number('from', '% before the hold')), $lowest, $fields->numberIn('seconds', 0, 600, 'seconds'),
        );

        return new self(
            $lowest,
            [
                'from' => $fall->from, 'seconds' => $fall->seconds,
                'words' => 'from '.Numbers::print($fall->from).' %, low for '.Numbers::print($fall->seconds).' s',
            ],
            'watched in a hold',
        );
    }

    private static function typed(Measure $measure, Fields $fields): self
    {
        return new self($measure->check($fields->number('value', $measure->unit())), null, 'typed');
    }

    private static function taps(Measure $measure, Fields $fields): self
    {
        $rate = TappedRate::of(array_values($fields->list('taps')));

        return new self($measure->check($rate->rate), [
            'taps' => $rate->taps, 'median_s' => $rate->medianInterval, 'variation' => $rate->variation, 'cross_check' => $rate->crossCheck,
            'doubtful' => $rate->doubtful,
        ], 'tapped');
    }

    private static function tries(Measure $measure, Fields $fields): self
    {
        [$min, $max] = $measure->possible();
        $best = BestOf::of(self::filled($fields->list('tries')), $min, $max, 'seconds');

        return new self(
            $best->best, ['tries' => $best->tries, 'spread' => $best->spread, 'words' => 'spread '.Numbers::print($best->spread, 1).' s'],
            'best of '.count($best->tries),
        );
    }

    private static function ceiling(Measure $measure, Fields $fields): self
    {
        $count = $fields->number('count_length', 'seconds a count');
        $isPlayed = $fields->text('step') !== '';
        $ceiling = $isPlayed
            ? ComfortCeiling::stoppedIn(
                $fields->whole('step', 1, ComfortCeiling::LONGEST_COUNTS - ComfortCeiling::FIRST_COUNTS + 2, 'lengths'), $count,
            )
            : ComfortCeiling::of($fields->whole('counts', 1, 20, 'counts'), $count);

        return new self(
            $measure->check($ceiling->seconds()),
            ['counts' => $ceiling->counts, 'count_length' => $ceiling->countSeconds, 'words' => $ceiling->inWords()],
            $isPlayed ? 'led in the room' : 'typed',
        );
    }

    private static function hands(Fields $fields): self
    {
        $check = new HandCheck(
            $fields->whole('chest', 0, 4, 'movement of the chest'), $fields->whole('belly', 0, 4, 'movement of the belly'),
            $fields->text('first'), $fields->isTrue('shoulders'), $fields->isTrue('ribs'),
        );

        return new self($check->chestShare() * 100, [
            'chest' => $check->chest, 'belly' => $check->belly, 'first' => $check->first, 'pattern' => $check->pattern(),
            'words' => $check->inWords(),
        ], 'two hands');
    }

    private static function ribs(Measure $measure, Fields $fields): self
    {
        $ribs = RibExpansion::of(
            array_values(array_filter($fields->list('pairs'), fn (mixed $pair) => is_array($pair) && self::filled($pair) !== [])),
        );

        $level = $fields->text('level') === '' ? RibExpansion::LEVELS[0] : $fields->text('level');
        if (! in_array($level, RibExpansion::LEVELS, true)) {
            throw InvalidValue::because('Say where the tape lies: '.implode(', ', RibExpansion::LEVELS).'.');
        }

        return new self(
            $measure->check($ribs->best),
            [
                'pairs' => $ribs->pairs, 'spread' => $ribs->spread, 'level' => $level,
                'words' => "at the $level, spread ".Numbers::print($ribs->spread, 1).' cm',
            ],
            'tape, best of '.count($ribs->pairs),
        );
    }

    private static function rhythm(Fields $fields): self
    {
        $rhythm = new Rhythm($fields->text('route'), match ($fields->text('even')) {
            'even' => true,
            'uneven' => false,
            default => throw InvalidValue::because('Say whether the breath is even or uneven.'),
        }, $fields->whole('sighs', 0, 50, 'sighs in 5 minutes'));

        return new self(
            (float) $rhythm->sighs, ['route' => $rhythm->route, 'even' => $rhythm->isEven, 'words' => $rhythm->inWords()], 'watched',
        );
    }

    /**
     * @param  array<mixed>  $typed
     * @return list<mixed> without what was left empty
     */
    private static function filled(array $typed): array
    {
        return array_values(array_filter($typed, fn (mixed $each) => $each !== null && $each !== ''));
    }
}
