<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\Fields;
use IvoryPace\InvalidValue;

/** The spreads and reliabilities that a clinic goes by, for questionnaires of which no reliable change is shipped. */
final readonly class Reliabilities
{
    private const LEAST_SPREAD = 0.01;

    private const MOST_RELIABLE = 0.99;

    /** @param  array<string, array{sd: float, reliability: float}>  $known  by questionnaire */
    private function __construct(private array $known)
    {
    }

    /**
     * @param  array<array-key, mixed>  $typed  by questionnaire: sd in points and reliability 0–0.99; both empty for none
     * @return array{self, array<string, string>} and problems by field: "nijmegen.sd"
     */
    public static function read(array $typed): array
    {
        $known = [];
        $errors = [];
        foreach (self::open() as $questionnaire) {
            $row = $typed[$questionnaire->key] ?? null;
            $fields = new Fields(is_array($row) ? $row : []);
            if ($fields->text('sd') === '' && $fields->text('reliability') === '') {
                continue;
            }
            $read = [];
            foreach (
                [
                    'sd' => [self::LEAST_SPREAD, (float) $questionnaire->highest()], 'reliability' => [0.0, self::MOST_RELIABLE],
                ] as $name => $range
            ) {
                try {
                    $read[$name] = $fields->numberIn($name, $range[0], $range[1], $name === 'sd' ? 'points of spread' : 'reliability');
                } catch (InvalidValue $problem) {
                    $errors["{$questionnaire->key}.$name"] = $problem->getMessage();
                }
            }
            if (isset($read['sd'], $read['reliability'])) {
                $known[$questionnaire->key] = ['sd' => $read['sd'], 'reliability' => $read['reliability']];
            }
        }

        return [new self($known), $errors];
    }

    public function of(Questionnaire $questionnaire): ?ReliableChange
    {
        $known = $this->known[$questionnaire->key] ?? null;

        return $known === null ? null : new ReliableChange($known['sd'], $known['reliability']);
    }

    /** @return array<string, array{sd: float, reliability: float}> as stored */
    public function write(): array
    {
        return $this->known;
    }

    /** @return list<array{key: string, name: string, sd: float|null, reliability: float|null}> as shown, one for each questionnaire */
    public function lines(): array
    {
        return array_map(fn (Questionnaire $each) => [
            'key' => $each->key, 'name' => $each->name, 'sd' => $this->known[$each->key]['sd'] ?? null,
            'reliability' => $this->known[$each->key]['reliability'] ?? null,
        ], self::open());
    }

    /** @return list<Questionnaire> */
    private static function open(): array
    {
        return array_values(array_filter(Questionnaire::all(), fn (Questionnaire $each) => $each->needsReliability()));
    }
}
