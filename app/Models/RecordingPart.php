<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;

/**
 * Samples of a recording as they came, some seconds of them, packed and encrypted.
 *
 * @property int $id
 * @property int $recording_id
 * @property int $sender a device of the room, or 0
 * @property int $number
 * @property int $lines
 * @property string $samples
 * @property CarbonImmutable $received_at
 */
final class RecordingPart extends Row
{
    /** Number of the part that is the file itself, where a file was read. */
    public const WHOLE_FILE = 0;

    public $timestamps = false;

    protected $table = 'recording_parts';

    /** @param  array<string, list<array{float, float}>>  $values  s and value, by channel */
    public static function pack(array $values): string
    {
        return base64_encode((string) gzdeflate(json_encode($values, JSON_THROW_ON_ERROR)));
    }

    /** @return array<string, list<array{float, float}>> s and value, by channel; nothing when it cannot be opened */
    public function values(): array
    {
        $json = @gzinflate((string) base64_decode($this->samples, true));
        $values = $json === false ? null : json_decode($json, true);

        return is_array($values) ? $values : [];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['samples' => Sealed::class, 'received_at' => 'immutable_datetime'];
    }
}
