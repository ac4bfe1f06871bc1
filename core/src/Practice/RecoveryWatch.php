<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use IvoryPace\Exercise\Catalogue;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use LogicException;

/**
 * What a device does while somebody recovers from breathlessness: help is on screen from the first second, it is asked
 * whether it is easing, and after a while the emergency wording shows by itself. Common practice.
 */
final class RecoveryWatch
{
    /** Seconds after which it is asked whether it is easing. */
    public const ASK_AFTER = 180;

    /** Seconds after which the emergency wording shows by itself. */
    public const HELP_AFTER = 600;

    /** Seconds after a stop at which it is asked how it is now; it is asked until it is answered. */
    public const LOOK_BACK_AFTER = 120;

    /** Seconds by which a device's clock may be off before its times are corrected. */
    public const TRUSTED_OFFSET = 90;

    /**
     * The same for everyone, with no word of a diagnosis: it stands before the PIN, where others may see it.
     */
    public static function forEveryone(): Item
    {
        foreach (Catalogue::all() as $technique) {
            if ($technique->isRecovery) {
                return DraftReader::read(['technique' => $technique->key], 'everyone')->item ?? throw new LogicException(
                    "The defaults of {$technique->key} cannot be prescribed.",
                );
            }
        }
        throw new LogicException('There is no recovery exercise in the catalogue.');
    }

    /** @return array{ask_after: int, help_after: int, look_back_after: int, trusted_offset: int} in seconds */
    public static function forDevices(): array
    {
        return [
            'ask_after' => self::ASK_AFTER, 'help_after' => self::HELP_AFTER, 'look_back_after' => self::LOOK_BACK_AFTER,
            'trusted_offset' => self::TRUSTED_OFFSET,
        ];
    }
}
