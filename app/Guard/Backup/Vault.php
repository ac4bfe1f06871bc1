<?php

declare(strict_types=1);

namespace App\Guard\Backup;

use JsonException;
use SodiumException;

/**
 * Seals what is put away and opens it again. Whoever seals needs only the public half of a key, so that a backup can run by
 * itself; the private half travels in each archive, wrapped by a passphrase, so that an archive and its passphrase are enough.
 *
 * An archive is one line of JSON (format, kdf, wrapped private half, key of this archive for the public half) and then pieces of 64
 * KiB, each with its length's worth of authentication (libsodium's secretstream), the last marked as the last: what is cut, changed or
 * put in another order is refused.
 */
final class Vault
{
    public const FORMAT = 'ivory-pace-backup-1';

    private const PIECE = 65536;

    private const SHORTEST = 12;

    /** A line that is longer is none of ours. */
    private const LONGEST_HEAD = 4096;

    /**
     * @param  positive-int  $work  passes of the key derivation; as libsodium calls moderate
     * @return string what is kept where backups are made; it opens nothing without the passphrase
     *
     * @throws VaultProblem
     */
    public static function key(
        string $passphrase, int $work = SODIUM_CRYPTO_PWHASH_OPSLIMIT_MODERATE, int $memory = SODIUM_CRYPTO_PWHASH_MEMLIMIT_MODERATE,
    ): string {
        if (mb_strlen($passphrase) < self::SHORTEST) {
            throw new VaultProblem('The passphrase needs at least '.self::SHORTEST.' characters.');
        }
        $pair = sodium_crypto_box_keypair();
        $salt = random_bytes(SODIUM_CRYPTO_PWHASH_SALTBYTES);
        $nonce = random_bytes(SODIUM_CRYPTO_SECRETBOX_NONCEBYTES);
        $wrapped = sodium_crypto_secretbox($pair, $nonce, self::derived($passphrase, $salt, $work, $memory));

        return (string) json_encode([
            'format' => self::FORMAT, 'public' => base64_encode(sodium_crypto_box_publickey($pair)), 'salt' => base64_encode($salt),
            'work' => $work, 'memory' => $memory, 'nonce' => base64_encode($nonce), 'private' => base64_encode($wrapped),
        ]);
    }

    /**
     * @param  resource  $archive
     * @return string the key that it was sealed with, to seal the next ones
     *
     * @throws VaultProblem
     */
    public static function keyOf($archive): string
    {
        $line = stream_get_line($archive, self::LONGEST_HEAD, "\n");
        $head = self::head($line === false ? '' : $line);
        unset($head['sealed']);

        return (string) json_encode($head);
    }

    /**
     * @param  resource  $from
     * @param  resource  $to
     *
     * @throws VaultProblem
     */
    public static function seal($from, $to, string $key): void
    {
        $head = self::head($key);
        $secret = sodium_crypto_secretstream_xchacha20poly1305_keygen();
        $head['sealed'] = base64_encode(sodium_crypto_box_seal($secret, self::bytes($head, 'public')));
        [$state, $first] = sodium_crypto_secretstream_xchacha20poly1305_init_push($secret);
        self::write($to, json_encode($head)."\n".$first);
        do {
            $piece = self::read($from, self::PIECE);
            $isLast = strlen($piece) < self::PIECE;
            $tag = $isLast ? SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL
                : SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_MESSAGE;
            self::write($to, sodium_crypto_secretstream_xchacha20poly1305_push($state, $piece, '', $tag));
        } while (! $isLast);
    }

    /**
     * @param  resource  $from
     * @param  resource  $to  may hold a part of what was sealed when this fails: it is to be thrown away then
     *
     * @throws VaultProblem
     */
    public static function open($from, $to, string $passphrase): void
    {
        $line = stream_get_line($from, self::LONGEST_HEAD, "\n");
        $head = self::head($line === false ? '' : $line);
        $wrapping = self::derived($passphrase, self::bytes($head, 'salt'), self::number($head, 'work'), self::number($head, 'memory'));
        try {
            $pair = sodium_crypto_secretbox_open(self::bytes($head, 'private'), self::bytes($head, 'nonce'), $wrapping);
            if ($pair === false) {
                throw new VaultProblem('The passphrase is not the one that this archive was sealed with.');
            }
            $secret = sodium_crypto_box_seal_open(self::bytes($head, 'sealed'), $pair);
            $first = self::read($from, SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES);
            if ($secret === false) {
                throw new VaultProblem('The archive is damaged: its key cannot be read.');
            }
            $state = sodium_crypto_secretstream_xchacha20poly1305_init_pull($first, $secret);
            self::pull($from, $to, $state);
        } catch (SodiumException) {
            throw new VaultProblem('The archive is damaged: its beginning cannot be read.');
        }
    }

    /**
     * @param  resource  $from
     * @param  resource  $to
     */
    private static function pull($from, $to, string $state): void
    {
        $whole = self::PIECE + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES;
        for ($at = 0; ; $at++) {
            $piece = self::read($from, $whole);
            $opened = $piece === '' ? false : sodium_crypto_secretstream_xchacha20poly1305_pull($state, $piece);
            if ($opened === false) {
                throw new VaultProblem(
                    $piece === '' ? 'The archive is not whole: its end is missing.'
                        : 'The archive is damaged, after '.($at * self::PIECE / 1024).' KB of what it holds.',
                );
            }
            self::write($to, $opened[0]);
            if ($opened[1] === SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL) {
                break;
            }
        }
        if (self::read($from, 1) !== '') {
            throw new VaultProblem('The archive is damaged: something was added at its end.');
        }
    }

    private static function derived(string $passphrase, string $salt, int $work, int $memory): string
    {
        try {
            return sodium_crypto_pwhash(
                SODIUM_CRYPTO_SECRETBOX_KEYBYTES, $passphrase, $salt, $work, $memory, SODIUM_CRYPTO_PWHASH_ALG_ARGON2ID13,
            );
        } catch (SodiumException) {
            throw new VaultProblem('The archive is damaged: its beginning cannot be read.');
        }
    }

    /** @return array<mixed> */
    private static function head(string $line): array
    {
        try {
            $head = json_decode($line, true, 3, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            $head = null;
        }
        if (! is_array($head) || ! isset($head['format'])) {
            throw new VaultProblem('This is no backup of Ivory Pace, or its beginning is damaged.');
        }
        if ($head['format'] !== self::FORMAT) {
            throw new VaultProblem('This backup is of another format than '.self::FORMAT.'.');
        }

        return $head;
    }

    /** @param  array<mixed>  $head */
    private static function bytes(array $head, string $name): string
    {
        $text = $head[$name] ?? null;
        $bytes = is_string($text) ? base64_decode($text, true) : false;
        // Its last sign has bits that stand for nothing; here nothing may be changed.
        $isWhole = $bytes !== false && base64_encode($bytes) === $text;

        return $isWhole ? $bytes : throw new VaultProblem('The archive is damaged: its beginning cannot be read.');
    }

    /** @param  array<mixed>  $head */
    private static function number(array $head, string $name): int
    {
        $number = $head[$name] ?? null;
        // What somebody else wrote must not take all memory.
        if (! is_int($number) || $number < 1 || $number > SODIUM_CRYPTO_PWHASH_MEMLIMIT_SENSITIVE) {
            throw new VaultProblem('The archive is damaged: its beginning cannot be read.');
        }

        return $number;
    }

    /**
     * As many bytes, or fewer at the end: a pipe gives them in parts.
     *
     * @param  resource  $from
     */
    private static function read($from, int $bytes): string
    {
        $read = '';
        while (($left = $bytes - strlen($read)) > 0 && ! feof($from)) {
            $part = fread($from, $left);
            if ($part === false) {
                throw new VaultProblem('What is to be read cannot be read.');
            }
            $read .= $part;
        }

        return $read;
    }

    /** @param  resource  $to */
    private static function write($to, string $bytes): void
    {
        for ($written = 0; $written < strlen($bytes); $written += $part) {
            $part = fwrite($to, substr($bytes, $written));
            if ($part === false || $part === 0) {
                throw new VaultProblem('The disk is full, or cannot be written.');
            }
        }
    }
}
