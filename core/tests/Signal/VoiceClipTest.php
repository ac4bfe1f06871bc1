<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\VoiceClip;
use IvoryPace\Signal\Wav;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Made-up voices are sines: their root mean square is the amplitude over √2 (any textbook of signals). */
final class VoiceClipTest extends TestCase
{
    private const RATE = 16_000;

    public function test_silence_before_and_after_is_cut_and_the_loudness_is_common(): void
    {
        foreach ([0.02, 0.1, 0.5] as $amplitude) {
            $clip = VoiceClip::from([...self::silence(0.3), ...self::sine(0.5, $amplitude), ...self::silence(0.7)], self::RATE, 1.0);
            self::assertEqualsWithDelta(0.55, $clip->seconds(), 0.011, "at $amplitude");
            self::assertEqualsWithDelta(-20.0, $clip->loudness(), 0.5, "at $amplitude");
        }
    }

    public function test_the_voice_begins_where_the_clip_begins(): void
    {
        $clip = VoiceClip::from([...self::silence(0.4), ...self::sine(0.4, 0.3)], self::RATE, 1.0);
        $first = array_key_first(array_filter($clip->samples, fn (float $sample) => abs($sample) > 0.02));
        self::assertLessThan(0.015, $first / self::RATE);
    }

    public function test_noise_of_the_room_is_not_a_voice(): void
    {
        mt_srand(11);
        $noise = array_map(fn () => (mt_rand() / mt_getrandmax() - 0.5) * 0.004, range(1, self::RATE));
        $voice = self::sine(0.4, 0.3);
        $samples = $noise;
        foreach ($voice as $n => $sample) {
            $samples[4000 + $n] += $sample;
        }
        self::assertEqualsWithDelta(0.45, VoiceClip::from($samples, self::RATE, 1.0)->seconds(), 0.02);
    }

    public function test_a_sharp_peak_keeps_the_whole_below_full_scale(): void
    {
        $samples = self::sine(0.5, 0.02);
        $samples[4000] = 0.9;
        $clip = VoiceClip::from($samples, self::RATE, 1.0);
        [$written] = Wav::read($clip->toWav());
        self::assertEqualsWithDelta(-1.0, 20 * log10(max(array_map(abs(...), $written))), 0.01);
    }

    /** @return iterable<string, array{list<float>, int, string}> */
    public static function bad(): iterable
    {
        yield 'nothing' => [[], self::RATE, 'Nothing was heard'];
        yield 'silence' => [self::silence(1), self::RATE, 'Nothing was heard'];
        yield 'too long' => [self::sine(1.4, 0.3), self::RATE, 'It lasts 1.4 s; at most 1.0 s fit.'];
        yield 'distorted' => [array_map(fn (float $sample) => max(-1.0, min(1.0, $sample * 3)), self::sine(0.5, 1.0)), self::RATE, 'It is distorted'];
        yield 'an odd rate' => [self::sine(0.5, 0.3), 4000, '4000 samples a second'];
    }

    /** @param  list<float>  $samples */
    #[DataProvider('bad')]
    public function test_what_cannot_be_used_says_why(array $samples, int $rate, string $why): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage($why);
        VoiceClip::from($samples, $rate, 1.0);
    }

    public function test_wav_is_read_back_as_written_and_channels_are_mixed(): void
    {
        $samples = self::sine(0.1, 0.5);
        [$read, $rate] = Wav::read(Wav::write($samples, self::RATE));
        self::assertSame(self::RATE, $rate);
        foreach ($samples as $n => $sample) {
            self::assertEqualsWithDelta($sample, $read[$n], 1 / 32767);
        }
        $stereo = 'RIFF'.pack('V', 44).'WAVEfmt '.pack('VvvVVvv', 16, 1, 2, 8000, 32000, 4, 16).'LIST'.pack('V', 3).'abc'."\0".'data'.pack('V', 8).pack('v4', 1000, 3000, 0xFFFF, 0xFFFD);
        self::assertSame([[2000 / 32767, -2 / 32767], 8000], Wav::read($stereo));
    }

    /**
     * Headers as Python's wave module writes them for 16-bit mono at 16 kHz with two samples, 0 and 258 (computed once
     * with Debian's Python 3.11 and copied).
     */
    public function test_wav_is_what_another_program_writes(): void
    {
        self::assertSame('524946462800000057415645666d74201000000001000100803e0000007d0000020010006461746104000000'.'00000201', bin2hex(Wav::write([0.0, 258 / 32767], 16_000)));
    }

    /** @return iterable<string, array{string}> */
    public static function notWav(): iterable
    {
        yield 'nothing' => [''];
        yield 'text' => [str_repeat('not a recording ', 10)];
        yield 'eight bits' => ['RIFF'.pack('V', 40).'WAVEfmt '.pack('VvvVVvv', 16, 1, 1, 8000, 8000, 1, 8).'data'.pack('V', 4).'abcd'];
        yield 'a format that is cut off' => ['RIFF'.pack('V', 40).'WAVEfmt '.pack('VvvVVv', 14, 1, 1, 8000, 16000, 2).'data'.pack('V', 8).'abcdefgh'];
        yield 'a format of fifteen bytes' => ['RIFF'.pack('V', 40).'WAVEfmt '.pack('VvvVVv', 15, 1, 1, 8000, 16000, 2)."\x10\0".'data'.pack('V', 8).'abcdefgh'];
        yield 'no data' => ['RIFF'.pack('V', 40).'WAVEfmt '.pack('VvvVVvv', 16, 1, 1, 8000, 16000, 2, 16).'LIST'.pack('V', 4).'abcd'];
    }

    #[DataProvider('notWav')]
    public function test_other_files_are_refused(string $bytes): void
    {
        $this->expectException(InvalidValue::class);
        Wav::read($bytes);
    }

    /** @return list<float> */
    private static function sine(float $seconds, float $amplitude): array
    {
        return array_map(fn (int $n) => $amplitude * sin(2 * M_PI * 200 * $n / self::RATE), range(0, (int) ($seconds * self::RATE) - 1));
    }

    /** @return list<float> */
    private static function silence(float $seconds): array
    {
        return array_fill(0, (int) ($seconds * self::RATE), 0.0);
    }
}
