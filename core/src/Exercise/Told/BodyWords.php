<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Told;

use IvoryPace\Exercise\Body\Gaze;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Numbers;

/** How the body is placed: position, hands, what is needed, and the eyes. */
final class BodyWords
{
    /** @return list<Sentence> */
    public static function of(Prescription $prescription): array
    {
        return [
            new Sentence(Part::Position, "position.{$prescription->position->value}"),
            new Sentence(Part::Hands, "hands.{$prescription->hands->value}"),
            ...self::with($prescription),
        ];
    }

    /** @return list<Sentence> what has to be put aside between two exercises: it would press or bind where nobody meant it to */
    public static function without(Prescription $before, Prescription $now): array
    {
        return self::putAside([
            'weight' => $before->hasWeight() && ! $now->hasWeight(),
            'strap' => in_array(Prop::Strap, $before->props, true) && ! in_array(Prop::Strap, $now->props, true),
        ]);
    }

    /**
     * @param  array<string, bool>  $things
     * @return list<Sentence>
     */
    public static function putAside(array $things = ['weight' => true, 'strap' => true]): array
    {
        return array_map(fn (string $thing) => new Sentence(Part::With, "told.without.$thing"), array_keys(array_filter($things)));
    }

    public static function eyes(Prescription $prescription): Sentence
    {
        $position = $prescription->position;
        $how = match (true) {
            $position === Position::Walking => 'walking',
            $position->isUpright() && $prescription->gaze === Gaze::Choice => 'choice-upright',
            $position->isUpright() && $prescription->gaze === Gaze::Closed => 'closed-upright',
            $prescription->gaze === Gaze::Choice && ! Gaze::OnAPoint->suits($position) => 'choice-face-down',
            default => $prescription->gaze->value,
        };

        return new Sentence(Part::Eyes, "told.eyes.$how");
    }

    /** @return list<Sentence> each thing in its place, a weight with its kilograms */
    private static function with(Prescription $prescription): array
    {
        $told = [];
        foreach ($prescription->props as $prop) {
            $told[] = new Sentence(Part::With, "told.with.{$prop->value}");
        }
        if ($prescription->hasWeight()) {
            $told[] = new Sentence(Part::With, 'told.with.weight', ['kg' => Numbers::print($prescription->parameter('weight'))]);
        }
        if ($prescription->ownProp !== '') {
            $told[] = new Sentence(Part::With, 'told.with.own', ['what' => $prescription->ownProp]);
        }

        return $told;
    }
}
