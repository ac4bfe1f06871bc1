<?php

declare(strict_types=1);

namespace App\Fhir;

use Carbon\CarbonInterface;
use IvoryPace\Exchange\MeasureCode;

/** Values as FHIR writes them. */
final class Said
{
    public const LOINC = 'http://loinc.org';

    public const UCUM = 'http://unitsofmeasure.org';

    public const TERMS = 'http://terminology.hl7.org/CodeSystem/';

    /** @return array<string, mixed> a CodeableConcept */
    public static function concept(string $text, ?MeasureCode $code = null): array
    {
        return self::filled(['coding' => $code === null ? [] : self::codings($code), 'text' => $text]);
    }

    /** @return list<array<string, string>> */
    public static function codings(MeasureCode $code): array
    {
        return array_map(
            fn (int|string $loinc, string $display) => ['system' => self::LOINC, 'code' => (string) $loinc, 'display' => $display],
            array_keys($code->loinc), array_values($code->loinc),
        );
    }

    /** @return array<string, mixed> a CodeableConcept of FHIR's own words */
    public static function term(string $system, string $code): array
    {
        return ['coding' => [['system' => str_contains($system, '://') ? $system : self::TERMS.$system, 'code' => $code]]];
    }

    /** @return array<string, mixed> a Quantity */
    public static function quantity(float $value, string $unit, ?string $ucum): array
    {
        $number = floor($value) === $value ? (int) $value : $value;

        return $ucum === null
            ? self::filled(['value' => $number, 'unit' => $unit])
            : ['value' => $number, 'unit' => $unit, 'system' => self::UCUM, 'code' => $ucum];
    }

    public static function instant(CarbonInterface $at): string
    {
        return $at->toIso8601ZuluString();
    }

    public static function day(CarbonInterface $on): string
    {
        return $on->format('Y-m-d');
    }

    /** @return list<array{text: string}> */
    public static function note(?string $text): array
    {
        $text = self::text($text);

        return $text === null ? [] : [['text' => $text]];
    }

    /** FHIR's strings are never empty. */
    public static function text(?string $text): ?string
    {
        $text = trim((string) $text);

        return $text === '' ? null : $text;
    }

    /**
     * Without what is empty: FHIR has no empty lists, texts or nulls.
     *
     * @param  array<string, mixed>  $resource
     * @return array<string, mixed>
     */
    public static function filled(array $resource): array
    {
        return array_filter($resource, fn (mixed $value) => $value !== null && $value !== [] && $value !== '');
    }
}
