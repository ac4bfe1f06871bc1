<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;

/** WAV with 16-bit PCM samples: the open form in which a voice is kept. RIFF and "fmt " as in the published format. */
final class Wav
{
    private const PCM = 1;

    private const HEADER = 44;

    /**
     * @return array{list<float>, int} samples -1 to 1 of one channel, and samples a second
     *
     * @throws InvalidValue when it is not such a file
     */
    public static function read(string $bytes): array
    {
        if (strlen($bytes) < self::HEADER || ! str_starts_with($bytes, 'RIFF') || substr($bytes, 8, 4) !== 'WAVE') {
            throw InvalidValue::because('This is not a WAV file.');
        }
        $format = $data = null;
        for ($at = 12; $at + 8 <= strlen($bytes);) {
            $size = self::number('V', substr($bytes, $at + 4, 4));
            $body = substr($bytes, $at + 8, $size);
            match (substr($bytes, $at, 4)) {
                'fmt ' => $format = $body,
                'data' => $data = $body,
                default => null,
            };
            $at += 8 + $size + $size % 2;
        }
        if ($format === null || $data === null || strlen($format) < 16) {
            throw InvalidValue::because('This WAV file is not complete.');
        }
        $channels = self::number('v', substr($format, 2, 2));
        if (self::number('v', substr($format, 0, 2)) !== self::PCM || self::number('v', substr($format, 14, 2)) !== 16 || $channels < 1) {
            throw InvalidValue::because('Only WAV files with 16-bit PCM samples can be read.');
        }

        return [self::samples($data, $channels), self::number('V', substr($format, 4, 4))];
    }

    /** @param  list<float>  $samples  -1 to 1; what is outside is cut */
    public static function write(array $samples, int $rate): string
    {
        $data = pack('v*', ...array_map(fn (float $sample) => ((int) round(max(-1.0, min(1.0, $sample)) * 32767)) & 0xFFFF, $samples));

        return 'RIFF'.pack('V', 36 + strlen($data)).'WAVEfmt '.pack('VvvVVvv', 16, self::PCM, 1, $rate, $rate * 2, 2, 16).'data'
            .pack('V', strlen($data)).$data;
    }

    /** @return list<float> the mean of the channels */
    private static function samples(string $data, int $channels): array
    {
        $words = unpack('v*', substr($data, 0, strlen($data) - strlen($data) % (2 * $channels)));
        $signed = array_map(
            fn (int $word) => ($word > 32767 ? $word - 65536 : $word) / 32767, $words === false ? [] : array_values($words),
        );

        return $channels === 1
            ? $signed
            : array_map(fn (array $frame) => array_sum($frame) / $channels, array_chunk($signed, max(1, $channels)));
    }

    private static function number(string $kind, string $bytes): int
    {
        $read = unpack($kind, $bytes);

        return $read === false ? 0 : (int) $read[1];
    }
}
