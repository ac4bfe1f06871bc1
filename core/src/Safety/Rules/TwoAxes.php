<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Prop;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;

/** Two things of the same exercise changed at once against the version in force. Common practice. */
final class TwoAxes implements Rule
{
    public function id(): string
    {
        return 'TWO-AXES';
    }

    public function level(): Level
    {
        return Level::Note;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $before = $patient->inForce;
        if ($before === null || $before->technique->key !== $item->prescription->technique->key) {
            return null;
        }
        $old = self::axes($before);
        $new = self::axes($item->prescription);
        $changed = array_keys(array_filter($new, fn ($value, string $axis) => $value['text'] !== $old[$axis]['text'], ARRAY_FILTER_USE_BOTH));
        if (count($changed) < 2) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Two things change at once',
            ucfirst(implode('; ', array_map(
                fn (string $axis) => "$axis {$old[$axis]['text']} → {$new[$axis]['text']}", $changed,
            ))).'.',
            'technique', self::changes($changed, $old, $new), 'Common practice.',
        );
    }

    /**
     * For each changed axis: change only this one, keep the others.
     *
     * @param  list<string>  $changed
     * @param  array<string, array{text: string, set: array<string, mixed>}>  $old
     * @param  array<string, array{text: string, set: array<string, mixed>}>  $new
     * @return list<Change>
     */
    private static function changes(array $changed, array $old, array $new): array
    {
        return array_map(function (string $only) use ($changed, $old, $new) {
            $set = [];
            foreach ($changed as $axis) {
                $set = [...$set, ...($axis === $only ? [] : $old[$axis]['set'])];
            }

            return new Change("change only $only: {$new[$only]['text']}", $set);
        }, $changed);
    }

    /** @return array<string, array{text: string, set: array<string, mixed>}> */
    private static function axes(Prescription $prescription): array
    {
        $pattern = (string) $prescription->pattern?->toString();
        $count = $prescription->countLength->seconds;

        return [
            'ratio' => ['text' => $pattern, 'set' => ['ratio' => $pattern]],
            'count' => ['text' => round($count, 2).' s', 'set' => ['count_length' => $count]],
            'length' => $prescription->breaths !== null
                ? ['text' => "{$prescription->breaths} breaths", 'set' => ['breaths' => $prescription->breaths]]
                : ['text' => round((float) $prescription->minutes, 1).' min', 'set' => ['minutes' => (float) $prescription->minutes]],
            'steps' => [
                'text' => implode(', ', array_map(fn (float $value) => (string) round($value, 2), $prescription->parameters)),
                'set' => ['parameters' => $prescription->parameters],
            ],
            'position' => ['text' => $prescription->position->label(), 'set' => [
                'position' => $prescription->position->value,
                'props' => array_map(fn (Prop $prop) => $prop->value, $prescription->props),
            ]],
        ];
    }
}
