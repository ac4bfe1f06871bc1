<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Told;

use IvoryPace\Exercise\Demand;
use IvoryPace\Exercise\Effort;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipes\PassiveThenHum;
use IvoryPace\Exercise\Recipes\TenseAndLetGo;
use IvoryPace\Exercise\Route;
use IvoryPace\Exercise\Start;

/** How the breath goes: with what it begins, its route, its counts, its size, and how far the patient may change it. */
final class BreathWords
{
    /** @return list<Sentence> */
    public static function of(Prescription $prescription): array
    {
        $said = fn (string ...$keys): array => array_map(fn (string $key) => new Sentence(Part::Breath, "told.$key"), array_values($keys));
        if ($prescription->technique->hasFreeBreath) {
            return $prescription->demandsThat(Demand::Tenses)
                ? [self::tensing($prescription), ...$said('breath.on')] : $said('breath.free');
        }

        return [
            ...($prescription->start === Start::Inhale ? [] : $said("start.{$prescription->start->value}")),
            ...$said(...self::route($prescription)),
            ...CountWords::of($prescription),
            ...$said(...self::open($prescription)),
            ...$said(...self::size($prescription)),
            ...($prescription->hasHold() && ! self::hasOpenRetention($prescription) ? $said('holds') : []),
            ...self::tempo($prescription),
        ];
    }

    private static function tensing(Prescription $prescription): Sentence
    {
        $times = array_map(
            fn (int $group) => TenseAndLetGo::timesOf($prescription, $group), range(0, (int) $prescription->parameter('groups') - 1),
        );
        $which = match (true) {
            count(array_unique($times)) > 1 => 'list',
            $times[0] === 1 => 'once',
            default => 'each',
        };

        return new Sentence(Part::Breath, "told.tense.$which", [
            'count' => count($times), 'times' => $which === 'list' ? implode(', ', $times) : (string) $times[0],
        ]);
    }

    /** @return list<string> */
    private static function route(Prescription $prescription): array
    {
        [$in, $out] = [$prescription->routeIn, $prescription->routeOut];

        return match (true) {
            $prescription->demandsThat(Demand::ClosesNostril) => ['route.nostrils', 'route.nostrils-back'],
            $prescription->technique->isRecovery => ["out-first.{$out->value}", "in-gently.{$in->value}"],
            $prescription->technique->recipe instanceof PassiveThenHum => ["in.{$in->value}", 'out.passive', 'out.hum-the-rest'],
            $in === $out => ["both.{$in->value}"],
            default => ["in.{$in->value}", "out.{$out->value}"],
        };
    }

    /** @return list<string> */
    private static function open(Prescription $prescription): array
    {
        return [
            ...($prescription->hasOpenExhale() && ! $prescription->technique->isRecovery
                ? [match (true) {
                    $prescription->routeOut === Route::Hum => 'open.hum',
                    $prescription->effort === Effort::Complete => 'open.exhale-complete',
                    default => 'open.exhale',
                }] : []),
            ...(self::hasOpenRetention($prescription) ? ['open.retention'] : []),
        ];
    }

    private static function hasOpenRetention(Prescription $prescription): bool
    {
        return ($prescription->parameters['retention-ends'] ?? 1.0) > 1.0;
    }

    /**
     * A breath with a second sip, or after all the air went, is bigger than at rest: then that is not said.
     *
     * @return list<string>
     */
    private static function size(Prescription $prescription): array
    {
        return [match (true) {
            $prescription->effort === Effort::Gentle && $prescription->hasTopUp() => 'size.sip',
            $prescription->effort === Effort::Gentle && $prescription->start === Start::Empty => 'size.easy',
            $prescription->effort === Effort::Active && $prescription->hasTopUp() => 'size.active',
            default => "size.{$prescription->effort->value}",
        }];
    }

    /** @return list<Sentence> */
    private static function tempo(Prescription $prescription): array
    {
        $tempo = $prescription->guidance->tempo;
        $which = match (true) {
            ! $tempo->canChange() || $prescription->totalBreaths() === 0 => null,
            $tempo->fastest < 1 && $tempo->slowest > 1 => 'both',
            $tempo->slowest > 1 => 'slower',
            default => 'faster',
        };

        return $which === null ? [] : [new Sentence(Part::Breath, "told.tempo.$which")];
    }
}
