<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Rule;

/** Two things of the same exercise changed at once against the version in force. Common practice. */
final class TwoAxes implements Rule
{
    public function id(): string
    {
        return 'TWO-AXES';
    }

    public function check(Look $look): ?Finding
    {
        [$changed, $old, $new] = self::compare($look);
        if (count($changed) < 2) {
            return null;
        }

        return new Finding(
            $this->id(), Level::Note, 'Two things change at once',
            ucfirst(implode('; ', array_map(fn (string $axis) => "$axis {$old[$axis]['text']} → {$new[$axis]['text']}", $changed))).'.',
            'technique',
            new Cause([], array_fill_keys($changed, 1.0)),
        );
    }

    public function changes(Look $look, Finding $finding): array
    {
        return self::back(...self::compare($look));
    }

    /**
     * @return array{
     *     list<string>,
     *     array<string, array{text: string, set: array<string, mixed>}>,
     *     array<string, array{text: string, set: array<string, mixed>}>
     * } what changed, how it was, how it is
     */
    private static function compare(Look $look): array
    {
        $before = $look->patient->inForce;
        if ($before === null || $before->technique->key !== $look->prescription->technique->key) {
            return [[], [], []];
        }
        $old = self::axes($before);
        $new = self::axes($look->prescription);

        return [
            array_keys(array_filter($new, fn ($value, string $axis) => $value['text'] !== $old[$axis]['text'], ARRAY_FILTER_USE_BOTH)),
            $old, $new,
        ];
    }

    /**
     * For each changed axis: change only this one, keep the others.
     *
     * @param  list<string>  $changed
     * @param  array<string, array{text: string, set: array<string, mixed>}>  $old
     * @param  array<string, array{text: string, set: array<string, mixed>}>  $new
     * @return list<Change>
     */
    private static function back(array $changed, array $old, array $new): array
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
