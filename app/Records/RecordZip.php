<?php

declare(strict_types=1);

namespace App\Records;

use App\Fhir\PatientBundle;
use App\Models\Patient;
use JsonException;
use RuntimeException;
use ZipArchive;

/** A record as one file: the document, tables that a spreadsheet opens, the paper of its letters, and what each should hash to. */
final class RecordZip
{
    public const MANIFEST = 'manifest.json';

    public const DOCUMENT = 'record.json';

    private const MOST_FILES = 2000;

    /** Bytes when unpacked. */
    private const MOST_BYTES = 40_000_000;

    /**
     * @param  array<string, string>  $sheets  bytes by name of the file, as "sheets/1.pdf"; nothing is read back from them
     * @return string the bytes of the file
     */
    public static function of(Patient $patient, array $sheets = []): string
    {
        $files = [
            self::DOCUMENT => self::json(RecordOut::document($patient)), 'fhir.json' => self::json(PatientBundle::of($patient)),
            ...RecordTables::of($patient),
        ];
        foreach (RecordOut::papers($patient) as $number => $bytes) {
            $files["letters/$number.pdf"] = $bytes;
        }
        $files += $sheets;
        $files = [self::MANIFEST => self::json([
            'format' => RecordOut::FORMAT, 'version' => RecordOut::VERSION,
            'sha256' => array_map(fn (string $bytes) => hash('sha256', $bytes), $files),
        ]), ...$files];

        return self::packed($files);
    }

    /**
     * @param  string  $path  of the file
     * @return array{document: array<string, mixed>, papers: array<int, string>}
     *
     * @throws BadRecord when it is no such file, is damaged, or is not what it says
     */
    public static function read(string $path): array
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw BadRecord::because('This is not a ZIP file, or it is cut off.');
        }
        try {
            $files = self::unpacked($zip);
        } finally {
            $zip->close();
        }
        $document = self::object(
            $files[self::DOCUMENT] ?? throw BadRecord::because('record.json is missing in this file.'), self::DOCUMENT,
        );
        $papers = [];
        foreach ($files as $name => $bytes) {
            if (preg_match('#^letters/(\d{1,5})\.pdf$#D', $name, $number) === 1) {
                $papers[(int) $number[1]] = $bytes;
            }
        }

        return ['document' => $document, 'papers' => $papers];
    }

    /** @return array<string, string> by name, each as its manifest says */
    private static function unpacked(ZipArchive $zip): array
    {
        self::lookBefore($zip);
        $manifest = self::object(self::entry($zip, self::MANIFEST), self::MANIFEST);
        $hashes = $manifest['sha256'] ?? null;
        if (! is_array($hashes)) {
            throw BadRecord::because('manifest.json does not say what the files should be.');
        }
        $files = [];
        for ($index = 0; $index < $zip->numFiles; $index++) {
            $name = (string) $zip->getNameIndex($index);
            if ($name === self::MANIFEST) {
                continue;
            }
            $bytes = self::entry($zip, $name);
            if (($hashes[$name] ?? null) !== hash('sha256', $bytes)) {
                throw BadRecord::because(
                    isset($hashes[$name]) ? "“{$name}” is damaged: it is not what manifest.json says."
                        : "“{$name}” is not named in manifest.json.",
                );
            }
            $files[$name] = $bytes;
        }
        foreach (array_diff_key($hashes, $files) as $name => $hash) {
            throw BadRecord::because("“{$name}” is named in manifest.json and missing.");
        }

        return $files;
    }

    /** Before anything is unpacked: how much it says to be, and where it wants to go. */
    private static function lookBefore(ZipArchive $zip): void
    {
        if ($zip->numFiles > self::MOST_FILES) {
            throw BadRecord::because('This file has more than '.self::MOST_FILES.' files in it; a record has fewer.');
        }
        $bytes = 0;
        for ($index = 0; $index < $zip->numFiles; $index++) {
            $stat = $zip->statIndex($index);
            // What cannot be asked has no name.
            $name = (string) $zip->getNameIndex($index);
            if (preg_match('#^(?:(?:letters|sheets)/)?[a-z0-9-]+\.[a-z]{3,4}$#D', $name) !== 1) {
                throw BadRecord::because('“'.mb_substr(mb_scrub($name), 0, 60).'” has a name that no file of a record has.');
            }
            $bytes += (int) ($stat['size'] ?? 0);
        }
        if ($bytes > self::MOST_BYTES) {
            throw BadRecord::because('Unpacked, this file would be larger than '.(self::MOST_BYTES / 1_000_000).' MB; no record is.');
        }
    }

    /** Never more than it says to be: how much that is was looked at before. */
    private static function entry(ZipArchive $zip, string $name): string
    {
        $stat = $zip->statName($name);
        $bytes = $stat === false ? false : @$zip->getFromName($name);
        if ($bytes === false || strlen($bytes) !== $stat['size']) {
            throw BadRecord::because($stat === false ? "“{$name}” is missing in this file." : "“{$name}” is damaged.");
        }

        return $bytes;
    }

    /** @return array<string, mixed> */
    private static function object(string $json, string $name): array
    {
        try {
            $read = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $problem) {
            throw BadRecord::because("$name cannot be read: {$problem->getMessage()}.");
        }

        return is_array($read) ? $read : throw BadRecord::because("$name is not an object.");
    }

    /** @param  array<string, mixed>  $what */
    public static function json(array $what): string
    {
        return json_encode(
            $what, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        )."\n";
    }

    /** @param  array<string, string>  $files */
    private static function packed(array $files): string
    {
        $path = (string) tempnam(storage_path('framework/cache'), 'record');
        try {
            $zip = new ZipArchive;
            if ($zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
                throw new RuntimeException('No room for a file.');
            }
            foreach ($files as $name => $bytes) {
                $zip->addFromString($name, $bytes);
                // The same record makes the same file.
                $zip->setMtimeName($name, 315_532_800);
            }
            $zip->close();

            return (string) file_get_contents($path);
        } finally {
            @unlink($path);
        }
    }
}
