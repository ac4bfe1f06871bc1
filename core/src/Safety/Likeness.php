<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Exercise\Prescription;
use IvoryPace\Programme\Item;

/**
 * What makes an exercise the same one for a pause and for stops, whatever it is called and on whichever line of a programme
 * it stands. Two are the same when their technique is; where either is a breath of the clinic's own, when they share the
 * same features that can do harm, or the same ratio where they have none. Common practice.
 */
final readonly class Likeness
{
    private const LONG_EXHALE = 8.0;

    /** @param  list<string>  $marks  features that can do harm, sorted */
    private function __construct(public string $technique, public bool $isOwn, public array $marks, public string $ratio)
    {
    }

    public static function of(Prescription $prescription): self
    {
        $features = Features::of($prescription);
        $marks = array_keys(array_filter([
            'exhale' => $features->exhale > self::LONG_EXHALE + 1e-9,
            'full' => $prescription->isFullSize(),
            'hold' => $features->pause() > Rules\Holding::SHORT + 1e-9,
            'retention' => $features->retention > 0,
            'top-up' => $prescription->hasTopUp(),
        ]));

        return new self(
            $prescription->technique->key, $prescription->technique->isOwn, $marks, (string) $prescription->pattern?->toString(),
        );
    }

    /** @return list<self> of an exercise, or of every exercise of a routine */
    public static function ofItem(Item $item): array
    {
        return array_map(self::of(...), $item->exercises());
    }

    public function isSame(self $other): bool
    {
        if ($this->technique === $other->technique) {
            return true;
        }
        if (! $this->isOwn && ! $other->isOwn) {
            return false;
        }

        return $this->marks === [] && $other->marks === []
            ? $this->ratio !== '' && $this->ratio === $other->ratio
            : $this->marks === $other->marks;
    }

    /**
     * @param  list<self>  $some
     * @param  list<self>  $others
     */
    public static function meet(array $some, array $others): bool
    {
        foreach ($some as $one) {
            foreach ($others as $other) {
                if ($one->isSame($other)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array{technique: string, own: bool, marks: list<string>, ratio: string} as it is stored with a pause */
    public function write(): array
    {
        return ['technique' => $this->technique, 'own' => $this->isOwn, 'marks' => $this->marks, 'ratio' => $this->ratio];
    }

    /**
     * Reads what {@see write()} wrote.
     *
     * @return list<self> what cannot be read is left out
     */
    public static function readAll(mixed $stored): array
    {
        $all = [];
        foreach (is_array($stored) ? $stored : [] as $each) {
            if (is_array($each) && is_string($each['technique'] ?? null)) {
                $marks = is_array($each['marks'] ?? null) ? array_values(array_filter($each['marks'], is_string(...))) : [];
                $all[] = new self(
                    $each['technique'], ($each['own'] ?? false) === true, $marks, is_string($each['ratio'] ?? null) ? $each['ratio'] : '',
                );
            }
        }

        return $all;
    }
}
