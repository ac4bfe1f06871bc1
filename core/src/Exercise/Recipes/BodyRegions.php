<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\Timeline\Side;

/** Regions of the body in the order in which a scan goes through them. The order is common practice, the lists are ours. */
final class BodyRegions
{
    private const HEAD_PAIRS = ['temple', 'eyebrow', 'eye', 'ear', 'cheek', 'nostril', 'jaw'];

    private const ARM = [
        'shoulder', 'upper-arm', 'elbow', 'forearm', 'wrist', 'palm', 'thumb', 'first-finger', 'middle-finger', 'ring-finger',
        'little-finger',
    ];

    private const LEG = [
        'thigh', 'knee', 'calf', 'ankle', 'heel', 'sole', 'big-toe', 'second-toe', 'middle-toe', 'fourth-toe', 'little-toe',
    ];

    /** @return list<array{string, Side}> feet to head, in groups */
    public static function groups(): array
    {
        $regions = [];
        foreach (['foot', 'lower-leg', 'knee', 'thigh'] as $region) {
            array_push($regions, ...self::pair($region));
        }
        array_push(
            $regions, ...self::single('hips', 'low-back', 'belly', 'ribs', 'chest', 'upper-back'), ...self::pair('hand'),
            ...self::pair('arm'),
        );

        return [...$regions, ...self::single('shoulders', 'neck', 'face', 'head')];
    }

    /** @return list<array{string, Side}> ninety parts, crown to toes, all of the right limb before the left, then wholes */
    public static function parts(): array
    {
        return self::crownToToes(self::limb(...));
    }

    /** @return list<array{string, Side}> the same ninety, each part of the right limb followed by the left one */
    public static function pairs(): array
    {
        return self::crownToToes(fn (array $regions) => array_merge(...array_map(self::pair(...), $regions)));
    }

    /** @return list<array{string, Side}> the feet first: all of one leg, then the other, and so on up to the head */
    public static function legsFirst(): array
    {
        return [
            ...self::limb(array_reverse(self::LEG)), ...self::single('hips', 'low-back', 'belly', 'ribs', 'chest', 'upper-back'),
            ...self::limb(array_reverse(self::ARM)), ...self::single('neck', 'face', 'head', 'whole-body'),
        ];
    }

    /**
     * @param  callable(list<string>): list<array{string, Side}>  $limb  how the parts of right and left are put in order
     * @return list<array{string, Side}>
     */
    private static function crownToToes(callable $limb): array
    {
        $regions = self::single('crown', 'forehead');
        foreach (self::HEAD_PAIRS as $region) {
            array_push($regions, ...self::pair($region));
        }
        array_push($regions, ...self::single('nose', 'upper-lip', 'lower-lip', 'tongue', 'chin', 'throat', 'back-of-neck'));
        array_push($regions, ...$limb(self::ARM));
        foreach (['collarbone', 'chest-side', 'rib-side'] as $region) {
            array_push($regions, ...self::pair($region));
        }
        array_push(
            $regions, ...self::single('breastbone', 'belly', 'low-back'), ...self::pair('shoulder-blade'), ...self::pair('hip'),
            ...$limb(self::LEG),
        );

        return [
            ...$regions,
            ...self::pair('whole-arm'), ...self::single('both-arms'), ...self::pair('whole-leg'),
            ...self::single('both-legs', 'whole-head', 'whole-back', 'whole-front', 'whole-body'),
        ];
    }

    /**
     * All of the right limb, then all of the left.
     *
     * @param  list<string>  $regions
     * @return list<array{string, Side}>
     */
    private static function limb(array $regions): array
    {
        return [
            ...array_map(fn (string $region) => [$region, Side::Right], $regions),
            ...array_map(fn (string $region) => [$region, Side::Left], $regions),
        ];
    }

    /** @return list<array{string, Side}> */
    private static function pair(string $region): array
    {
        return [[$region, Side::Right], [$region, Side::Left]];
    }

    /** @return list<array{string, Side}> */
    private static function single(string ...$regions): array
    {
        return array_values(array_map(fn (string $region) => [$region, Side::None], $regions));
    }
}
