<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Body\Gaze;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Demand;
use IvoryPace\Exercise\Ending;
use IvoryPace\Exercise\Recipes\BodyScan;
use IvoryPace\Health\Flag;
use IvoryPace\Numbers;
use IvoryPace\Safety\FlagRule;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Offers\OtherPosition;
use IvoryPace\Safety\Offers\OtherTechnique;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Seen;

/** Where attention and eyes are, and falling asleep. Common practice. */
final class Attending
{
    /** Seconds a part that keep the attention from sinking in. */
    private const SHORT_SECONDS = 2.0;

    /** @return list<Rule> */
    public static function rules(): array
    {
        return [
            new FlagRule(
                'BODY-SCAN', 'Attention inside the body', 'technique', [Level::Caution->value => [Flag::Trauma, Flag::Psychosis]],
                self::scan(...), self::outside(...),
            ),
            new FlagRule('EYES-CLOSED', 'Eyes closed', 'gaze', [Level::Caution->value => [Flag::Trauma, Flag::Psychosis]],
                fn (Look $look) => $look->prescription->gaze === Gaze::Closed ? new Seen('only with the eyes closed') : null,
                fn () => self::openEyes()),
            new FlagRule('FALLING-ASLEEP', 'Falling asleep', 'ending', [Level::Caution->value => [Flag::SleepApnoea, Flag::Sedatives]],
                fn (Look $look) => $look->item->endsInSleep() && ! in_array(
                    $look->prescription->position, [Position::SideLying, Position::Reclined], true,
                )
                    ? new Seen('falling asleep is welcome, '.$look->prescription->position->label()) : null,
                fn (Look $look) => [
                    ...OtherPosition::to($look->item, [Position::SideLying, Position::Reclined]),
                    new Change('staying awake', ['ending' => Ending::Bell->value]),
                ],
            ),
            new FlagRule('LOOKING-INWARD', 'Attention on breath or body', 'technique', [
                Level::Note->value => [Flag::Panic, Flag::Trauma, Flag::Psychosis],
            ],
                fn (Look $look) => $look->prescription->demandsThat(Demand::LooksInward)
                    ? new Seen('attention on the breath or the body')
                    : null,
                fn (Look $look) => [OtherTechnique::to('reverse-count', $look->item, 'attention on something outside: counting down')]),
        ];
    }

    /** @return list<Change> */
    public static function openEyes(): array
    {
        return [
            new Change('eyes as the patient likes', ['gaze' => Gaze::Choice->value]),
            new Change('eyes open on a point', ['gaze' => Gaze::OnAPoint->value]),
        ];
    }

    private static function scan(Look $look): ?Seen
    {
        $prescription = $look->prescription;
        $isShallow = $prescription->gaze === Gaze::OnAPoint && (int) ($prescription->parameters['list'] ?? 0) === BodyScan::GROUPS
            && ($prescription->parameters['seconds'] ?? INF) <= self::SHORT_SECONDS;

        return $prescription->demandsThat(Demand::ScansBody) && ! $isShallow
            ? new Seen('going through the body, which may bring memories or unreality') : null;
    }

    /** @return list<Change> */
    private static function outside(Look $look): array
    {
        return [
            new Change('eyes open on a point, groups only, '.Numbers::print(self::SHORT_SECONDS).' s a part', [
                'gaze' => Gaze::OnAPoint->value,
                'parameters' => ['list' => (float) BodyScan::GROUPS, 'seconds' => self::SHORT_SECONDS] + $look->prescription->parameters,
            ]),
            OtherTechnique::to('reverse-count', $look->item, 'attention on something outside: counting down'),
        ];
    }
}
