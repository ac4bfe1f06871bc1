<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Reading;

use IvoryPace\InvalidValue;
use IvoryPace\Median;
use IvoryPace\Signal\Beats;
use IvoryPace\Signal\BestPace;

/** What an oximeter or a heartbeat sensor says of a recording. */
final readonly class HeartRead
{
    /** Lengths of breaths this near belong to one pace. */
    private const SAME_PACE = 0.03;

    private const LEAST_VALUES = 5;

    /**
     * @param  float|null  $pulse  beats a minute, in the middle; null where fewer than five values came
     * @param  float|null  $saturation  %, in the middle; null where fewer than five values came
     * @param  Beats|null  $beats  null where intervals did not come, or too few
     * @param  float|null  $swing  beats a minute within a breath, in the middle of those that were led
     * @param  BestPace|null  $best  where paces were compared
     */
    private function __construct(
        public ?float $pulse,
        public ?float $saturation,
        public ?Beats $beats,
        public ?float $swing,
        public ?BestPace $best,
    ) {
    }

    /**
     * @param  array<string, list<array{float, float}>>  $values  s and value, by channel: rr_ms, spo2, pulse
     * @param  list<PlayedBreath>  $played
     */
    public static function of(array $values, array $played): self
    {
        try {
            $beats = Beats::of($values['rr_ms'] ?? []);
        } catch (InvalidValue) {
            $beats = null;
        }
        $pulse = self::middle($values['pulse'] ?? []) ?? $beats?->rate();
        $spans = array_map(fn (PlayedBreath $breath) => [$breath->start, $breath->end()], $played);
        $swings = $beats?->swings($spans) ?? [];

        return new self(
            $pulse, self::middle($values['spo2'] ?? []), $beats, $swings === [] ? null : Median::of($swings), self::best($beats, $played),
        );
    }

    /** @param  list<PlayedBreath>  $played */
    private static function best(?Beats $beats, array $played): ?BestPace
    {
        $tried = [];
        foreach (BestPace::PACES as $pace) {
            $of = array_filter($played, fn (PlayedBreath $breath) => abs($breath->length * $pace / 60 - 1) <= self::SAME_PACE);
            $spans = array_map(fn (PlayedBreath $breath) => [$breath->start, $breath->end()], array_values($of));
            $tried[] = [$pace, $beats?->swings($spans) ?? []];
        }
        try {
            return BestPace::of($tried);
        } catch (InvalidValue) {
            return null;
        }
    }

    /** @param  list<array{float, float}>  $values */
    private static function middle(array $values): ?float
    {
        return count($values) < self::LEAST_VALUES ? null : Median::of(array_column($values, 1));
    }

    public function isEmpty(): bool
    {
        return $this->pulse === null && $this->saturation === null;
    }

    /**
     * @return array{pulse: float|null, saturation: float|null, beats: int|null, left_out: int|null, swing: float|null,
     *     best: float|null, as_good: list<float>, paces: list<array{pace: float, swing: float, from: float, to: float, breaths: int}>}
     *     rounded as it is kept
     */
    public function details(): array
    {
        return [
            'pulse' => $this->pulse === null ? null : round($this->pulse), 'saturation' => $this->saturation,
            'beats' => $this->beats === null ? null : count($this->beats->kept), 'left_out' => $this->beats?->leftOut,
            'swing' => $this->swing === null ? null : round($this->swing, 1),
            'best' => $this->best?->best, 'as_good' => $this->best->asGood ?? [],
            'paces' => array_map(fn (array $each) => [
                'pace' => $each['pace'], 'swing' => round($each['swing'], 1), 'from' => round($each['from'], 1),
                'to' => round($each['to'], 1), 'breaths' => $each['breaths'],
            ], $this->best->paces ?? []),
        ];
    }
}
