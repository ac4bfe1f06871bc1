<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Told;

use IvoryPace\Exercise\Prescription;

/** What a patient calls an exercise. A name that tells the numbers is only used while they are prescribed. */
final class PlainName
{
    /** Names that tell a proportion: inhale, hold, exhale, rest. */
    private const TELL = [
        'four-seven-eight' => [4, 7, 8, 0], 'square' => [1, 1, 1, 1], 'double-exhale' => [1, 0, 2, 0],
    ];

    /** @return string a translation key, or the clinic's own name */
    public static function of(Prescription $prescription): string
    {
        $key = $prescription->technique->key;
        if ($prescription->own !== null) {
            return $prescription->own->name;
        }

        return "exercise.$key.".(self::isTrue($prescription) ? 'name' : 'name-otherwise');
    }

    private static function isTrue(Prescription $prescription): bool
    {
        $key = $prescription->technique->key;
        $pattern = $prescription->pattern;

        return match (true) {
            isset(self::TELL[$key]) => Proportion::is($pattern, ...self::TELL[$key]),
            $key === 'even' => $pattern?->exhale->hundredths === $pattern?->inhale->hundredths,
            $key === 'three-part' => $pattern?->toString() === '3:3:6',
            in_array($key, ['extended-exhale', 'long-exhale'], true) => $pattern !== null
                && $pattern->exhale->hundredths > $pattern->inhale->hundredths,
            $key === 'double-inhale' => $prescription->hasTopUp(),
            default => true,
        };
    }
}
