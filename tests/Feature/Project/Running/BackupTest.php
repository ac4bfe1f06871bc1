<?php

declare(strict_types=1);

namespace Tests\Feature\Project\Running;

use App\Guard\Backup\Rotation;
use App\Guard\Backup\Vault;
use App\Guard\Backup\VaultProblem;
use App\Models\Backup;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Artisan;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** The drill with a whole database is a part of bin/test. */
final class BackupTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const PASSPHRASE = 'four quiet herons walk';

    private static function quickKey(string $passphrase = self::PASSPHRASE): string
    {
        return Vault::key($passphrase, 1, 8192);
    }

    /** @return resource */
    private static function holding(string $bytes)
    {
        $stream = fopen('php://temp', 'r+b') ?: self::fail('There is no memory to write to.');
        fwrite($stream, $bytes);
        rewind($stream);

        return $stream;
    }

    private static function sealed(string $text, string $key): string
    {
        $to = self::holding('');
        Vault::seal(self::holding($text), $to, $key);
        rewind($to);

        return (string) stream_get_contents($to);
    }

    private static function opened(string $archive, string $passphrase = self::PASSPHRASE): string
    {
        $to = self::holding('');
        Vault::open(self::holding($archive), $to, $passphrase);
        rewind($to);

        return (string) stream_get_contents($to);
    }

    #[DataProvider('sizes')]
    public function test_what_is_sealed_comes_back_as_it_was(int $size): void
    {
        $text = $size === 0 ? '' : random_bytes($size);
        $archive = self::sealed($text, self::quickKey());
        self::assertSame($text, self::opened($archive));
        self::assertNotSame($archive, self::sealed($text, self::quickKey()));
    }

    /** @return iterable<array{int}> around the length of a piece */
    public static function sizes(): iterable
    {
        foreach ([0, 1, 65535, 65536, 65537, 131072, 400_000] as $size) {
            yield "$size bytes" => [$size];
        }
    }

    public function test_whatever_is_changed_cut_or_added_is_refused_in_words(): void
    {
        $archive = self::sealed(random_bytes(150_000), self::quickKey());
        mt_srand(7);
        $changed = [substr($archive, 0, -1), $archive.'x', substr($archive, 1), '', "\n", 'PK'.random_bytes(500)];
        $length = strlen($archive);
        foreach ([100, 1000, 10_000, 65_536, 70_000, 140_000] as $short) {
            $changed[] = substr($archive, 0, $short);
        }
        for ($n = 0; $n < 150; $n++) {
            $at = $n < 60 ? mt_rand(0, 700) : mt_rand(0, $length - 1);
            $changed[] = substr_replace($archive, chr(ord($archive[$at]) ^ (1 << mt_rand(0, 7))), $at, 1);
        }
        // Bits of base64 that stand for nothing.
        preg_match_all('/"(salt|private|nonce|sealed)":"[^"]*?(.)(=*)"/', substr($archive, 0, 2000), $ends, PREG_OFFSET_CAPTURE);
        foreach (array_filter($ends[3], fn (array $end) => $end[0] !== '') as [$padding, $at]) {
            $changed[] = substr_replace($archive, self::oneFurther($archive[(int) $at - 1]), (int) $at - 1, 1);
        }
        self::assertGreaterThan(160, count($changed));
        // Two pieces in each other's place.
        $head = (int) strpos($archive, "\n") + 1 + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES;
        $piece = 65536 + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES;
        $changed[] = substr($archive, 0, $head).substr($archive, $head + $piece, $piece).substr($archive, $head, $piece)
            .substr($archive, $head + 2 * $piece);
        foreach ($changed as $number => $bytes) {
            try {
                self::opened($bytes);
                // The only bytes that carry nothing: the public half is not needed to open.
                self::assertStringContainsString('"public"', substr($archive, 0, 200), "change $number");
                self::assertSame(strstr($archive, '"salt"'), strstr($bytes, '"salt"'), "change $number was not noticed");
            } catch (VaultProblem $problem) {
                self::assertMatchesRegularExpression('/^(The archive|This is no backup|This backup|The passphrase)/', $problem->getMessage());
            }
        }
    }

    private static function oneFurther(string $sign): string
    {
        $signs = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/';

        return $signs[(int) strpos($signs, $sign) ^ 1];
    }

    public function test_only_the_passphrase_opens_it_and_a_short_one_is_none(): void
    {
        $archive = self::sealed('Quay', self::quickKey());
        try {
            self::opened($archive, 'four quiet herons run');
            self::fail('Another passphrase opened it.');
        } catch (VaultProblem $problem) {
            self::assertStringContainsString('passphrase', $problem->getMessage());
        }
        self::assertStringNotContainsString('Quay', $archive);
        // What an archive says of its key seals the next one.
        self::assertSame('Harrow', self::opened(self::sealed('Harrow', Vault::keyOf(self::holding($archive)))));
        $this->expectExceptionMessage('at least 12 characters');
        Vault::key('short');
    }

    public function test_seven_days_five_weeks_and_twelve_months_are_kept(): void
    {
        $names = [];
        $start = CarbonImmutable::parse('2025-06-01 03:15:00', 'UTC');
        for ($day = 0; $day < 540; $day++) {
            $names[] = $start->addDays($day)->format('\i\v\o\r\y-\p\a\c\e-Ymd\THis\Z.\b\a\c\k\u\p');
            // As it is done: each night after the backup.
            $names = array_values(array_diff($names, Rotation::superfluous($names)));
        }
        $last = $start->addDays(539);
        $days = array_map(fn (string $name) => substr($name, 11, 8), $names);
        for ($back = 0; $back < 7; $back++) {
            self::assertContains($last->subDays($back)->format('Ymd'), $days);
        }
        $weeks = array_unique(array_map(fn (string $day) => CarbonImmutable::parse($day)->format('o-W'), $days));
        $months = array_unique(array_map(fn (string $day) => substr($day, 0, 6), $days));
        self::assertGreaterThanOrEqual(5, count($weeks));
        self::assertCount(12, $months);
        self::assertLessThanOrEqual(24, count($names));
        self::assertSame([], Rotation::superfluous(['notes.txt', 'ivory-pace-soon.backup', 'ivory-pace-20261399T000000Z.backup.part']));
    }

    public function test_the_clinic_page_says_when_and_warns_when_it_is_late(): void
    {
        $this->travelTo(CarbonImmutable::parse('2026-12-01 09:00', 'UTC'));
        $this->clinicWithPatient();
        $this->actingAs($this->practitioner, 'practitioner');
        $see = fn (?string $last, bool $isLate) => $this->get('/clinic')->assertInertia(
            fn (AssertableInertia $page) => $page->where('backup.last', $last)->where('backup.is_late', $isLate),
        );
        $see(null, true);
        self::assertSame(1, Artisan::call('backup:made', ['bytes' => 'many']));
        self::assertSame(0, Artisan::call('backup:made', ['bytes' => '2600000']));
        self::assertSame(1, Backup::query()->count());
        $at = CarbonImmutable::now()->setTimezone($this->practitioner->clinic->time_zone)->isoFormat('ddd D MMM YYYY, HH:mm');
        $see("$at, 3 MB", false);
        $this->travel(49)->hours();
        $see("$at, 3 MB", true);
    }
}
