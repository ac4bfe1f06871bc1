<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;

/**
 * A recorded word or number, made ready to be played on a beat: cut to where the voice begins and ends, brought to a
 * common loudness, and no longer than it may be.
 *
 * Read and written as WAV, 16-bit PCM, one channel. Levels are in decibels below full scale.
 */
final readonly class VoiceClip
{
    /** Loudness to which a voice is brought: root mean square of what is spoken. Common practice for speech. */
    private const TARGET_DB = -20.0;

    /** No sample comes nearer to full scale than this, so that nothing is distorted. */
    private const PEAK_DB = -1.0;

    /** Quieter than this is silence, whatever else there is. */
    private const SILENCE_DB = -50.0;

    /** And so is what is so much quieter than the loudest moment. */
    private const BELOW_LOUDEST_DB = 30.0;

    private const WINDOW_S = 0.01;

    /** So much of what comes before and after the voice is left, for soft consonants. */
    private const LEAD_S = 0.01;

    private const TAIL_S = 0.04;

    private const FADE_S = 0.005;

    /** More than this part of the samples at full scale is distortion. */
    private const MOST_CLIPPED = 0.01;

    /**
     * @param  list<float>  $samples  -1 to 1
     * @param  int  $rate  samples a second
     */
    private function __construct(public array $samples, public int $rate)
    {
    }

    /**
     * @param  list<float>  $samples  -1 to 1
     * @param  int  $rate  samples a second, 8000 to 48000
     * @param  float  $longest  seconds that it may last
     *
     * @throws InvalidValue when nothing is heard, when it is too long, or when it is distorted
     */
    public static function from(array $samples, int $rate, float $longest): self
    {
        if ($rate < 8000 || $rate > 48000) {
            throw InvalidValue::because("A recording of $rate samples a second cannot be read; 8000 to 48000 can.");
        }
        $clipped = count(array_filter($samples, fn (float $sample) => abs($sample) >= 0.999));
        if ($samples !== [] && $clipped / count($samples) > self::MOST_CLIPPED) {
            throw InvalidValue::because('It is distorted: speak a little further from the microphone.');
        }
        $spoken = self::trimmed($samples, $rate);
        $seconds = count($spoken) / $rate;
        if ($seconds > $longest + 1e-9) {
            throw InvalidValue::because(sprintf('It lasts %.1f s; at most %.1f s fit. Say it shorter.', $seconds, $longest));
        }

        return new self(self::faded(self::levelled($spoken), $rate), $rate);
    }

    /**
     * @param  string  $bytes  WAV, 16-bit PCM; of several channels the mean is taken
     *
     * @throws InvalidValue when it is none, and as {@see from()}
     */
    public static function fromWav(string $bytes, float $longest): self
    {
        [$samples, $rate] = Wav::read($bytes);

        return self::from($samples, $rate, $longest);
    }

    public function seconds(): float
    {
        return count($this->samples) / $this->rate;
    }

    /** Root mean square in decibels below full scale. */
    public function loudness(): float
    {
        return self::decibels(self::rms($this->samples));
    }

    public function toWav(): string
    {
        return Wav::write($this->samples, $this->rate);
    }

    /**
     * @param  list<float>  $samples
     * @return list<float>
     */
    private static function trimmed(array $samples, int $rate): array
    {
        $window = max(1, (int) round(self::WINDOW_S * $rate));
        $levels = array_map(fn (array $part) => self::rms($part), array_chunk($samples, $window));
        $threshold = max(10 ** (self::SILENCE_DB / 20), ($levels === [] ? 0.0 : max($levels)) * 10 ** (-self::BELOW_LOUDEST_DB / 20));
        $heard = array_keys(array_filter($levels, fn (float $level) => $level >= $threshold));
        if ($heard === []) {
            throw InvalidValue::because('Nothing was heard. Check the microphone and say it again.');
        }
        $from = max(0, $heard[0] * $window - (int) round(self::LEAD_S * $rate));
        $to = min(count($samples), ($heard[count($heard) - 1] + 1) * $window + (int) round(self::TAIL_S * $rate));

        return array_slice($samples, $from, $to - $from);
    }

    /**
     * @param  list<float>  $samples
     * @return list<float>
     */
    private static function levelled(array $samples): array
    {
        $gain = min(10 ** (self::TARGET_DB / 20) / self::rms($samples), 10 ** (self::PEAK_DB / 20) / self::loudest($samples));

        return array_map(fn (float $sample) => $sample * $gain, $samples);
    }

    /**
     * @param  list<float>  $samples
     * @return list<float>
     */
    private static function faded(array $samples, int $rate): array
    {
        $count = count($samples);
        $fade = min(max(1, (int) round(self::FADE_S * $rate)), intdiv($count, 2));
        for ($n = 0; $n < $fade; $n++) {
            $samples[$n] *= $n / $fade;
            $samples[$count - 1 - $n] *= $n / $fade;
        }

        return array_values($samples);
    }

    /** @param  list<float>  $samples */
    private static function rms(array $samples): float
    {
        return $samples === [] ? 0.0 : sqrt(array_sum(array_map(fn (float $sample) => $sample * $sample, $samples)) / count($samples));
    }

    /** @param  list<float>  $samples */
    private static function loudest(array $samples): float
    {
        return $samples === [] ? 0.0 : max(array_map(abs(...), $samples));
    }

    private static function decibels(float $level): float
    {
        return $level <= 0 ? -INF : 20 * log10($level);
    }
}
