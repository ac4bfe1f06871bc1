<?php

declare(strict_types=1);

namespace App\Pages\Bench;

use App\Catalogue\FieldsShown;
use App\Catalogue\Figures;
use App\Catalogue\FromCatalogue;
use App\Catalogue\RoutineList;
use App\Catalogue\Shelf;
use App\Catalogue\TemplateList;
use App\Models\Clinic;
use IvoryPace\Breath\Counting;
use IvoryPace\Exercise\Body\Gaze;
use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Demand;
use IvoryPace\Exercise\Effort;
use IvoryPace\Exercise\Ending;
use IvoryPace\Exercise\Fade;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Parameter;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Exercise\Purpose;
use IvoryPace\Exercise\Route;
use IvoryPace\Exercise\Routine\StepKind;
use IvoryPace\Exercise\School;
use IvoryPace\Exercise\Start;
use IvoryPace\Exercise\Technique;
use IvoryPace\Programme\Anchor;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\SelfCheck;
use LogicException;

/** What can be chosen on the Bench. */
final class BenchChoices
{
    /**
     * @param  list<array<string, mixed>>  $present  fields of the draft's items: a breath of the clinic's own that is no longer kept stays
     *     a choice
     * @return array<string, mixed>
     */
    public static function all(Clinic $clinic, array $present): array
    {
        return [
            ...self::body(),
            'techniques' => [
                ...self::planned(), self::technique(Catalogue::get('forward-lean'), Catalogue::get('forward-lean')->name, []),
                ...self::own($clinic, $present),
            ],
            'routines' => RoutineList::choices($clinic),
            'templates' => TemplateList::of($clinic),
            'kinds' => array_map(fn (StepKind $kind) => ['value' => $kind->value, 'label' => $kind->label()], StepKind::cases()),
            'checks' => array_map(self::choice(...), SelfCheck::cases()),
            'fades' => array_map(self::choice(...), Fade::cases()),
            'countings' => array_map(
                fn (Counting $counting) => ['value' => $counting->value, 'label' => $counting->value], Counting::cases(),
            ),
            'schools' => array_map(fn (School $school) => [...self::choice($school), 'assumes' => $school->assumptions()], School::cases()),
            'anchors' => array_map(fn (Anchor $anchor) => [
                ...self::choice($anchor), 'from' => $anchor->usualWindow()[0], 'to' => $anchor->usualWindow()[1],
            ], Anchor::cases()),
        ];
    }

    /** @return array<string, mixed> hands, props, eyes and sizes, with the positions they go with */
    public static function body(): array
    {
        $positions = fn (callable $suits): array => array_map(
            fn (Position $position) => $position->value, array_values(array_filter(Position::cases(), $suits)),
        );

        return [
            'hands' => array_map(fn (Hands $hands) => [
                ...self::choice($hands), 'positions' => $positions($hands->suits(...)), 'is_special' => $hands->isOfATechnique(),
            ], Hands::cases()),
            'props' => array_map(fn (Prop $prop) => [
                ...self::choice($prop), 'positions' => $positions($prop->suits(...)),
                'routes' => array_map(
                    fn (Route $route) => $route->value,
                    array_values(array_filter(Route::cases(), fn (Route $route) => $prop->suitsRoute($route))),
                ),
            ], Prop::cases()),
            'efforts' => array_map(self::choice(...), Effort::cases()),
            'endings' => [['value' => '', 'label' => 'as fits the time of day'], ...array_map(self::choice(...), Ending::cases())],
            'gazes' => array_map(fn (Gaze $gaze) => [...self::choice($gaze), 'positions' => $positions($gaze->suits(...))], Gaze::cases()),
        ];
    }

    /** @return list<array<string, mixed>> techniques of the catalogue that are practised to a plan */
    public static function planned(): array
    {
        return FromCatalogue::remember('planned', self::compute(...));
    }

    /** @return list<array<string, mixed>> */
    private static function compute(): array
    {
        $techniques = array_filter(Catalogue::all(), fn (Technique $technique) => ! $technique->isOwn && ! $technique->isRecovery);

        return array_values(array_map(fn (Technique $technique) => self::technique($technique, $technique->name, []), $techniques));
    }

    /**
     * @param  list<array<string, mixed>>  $present
     * @return list<array<string, mixed>>
     */
    private static function own(Clinic $clinic, array $present): array
    {
        $technique = Catalogue::get('own');
        $kept = array_map(fn ($own) => $own->fields, Shelf::own($clinic));
        foreach ($present as $fields) {
            if (
                ($fields['technique'] ?? null) === 'own' && ! in_array($fields['own_name'] ?? null, array_column($kept, 'own_name'), true)
            ) {
                $kept[] = $fields;
            }
        }

        return array_map(function (array $fields) use ($technique) {
            $name = $fields['own_name'] ?? null;

            return self::technique($technique, is_string($name) ? $name : $technique->name, $fields);
        }, $kept);
    }

    /**
     * @param  array<string, mixed>  $fields  over the technique's defaults
     * @return array<string, mixed>
     */
    private static function technique(Technique $technique, string $name, array $fields): array
    {
        $words = fn (array $keys) => array_map(fn (string $key) => __($key), $keys);

        return [
            'key' => $technique->key,
            'name' => $name,
            'about' => $technique->isOwn ? 'A counted breath of your own.' : $technique->about,
            'has_ratio' => $technique->hasRatio(),
            'length' => $technique->length->value,
            'is_recovery' => $technique->isRecovery,
            'is_paced' => $technique->length !== Length::Minutes && ! in_array(
                Demand::ScansBody, $technique->demands, true,
            ) && ! $technique->isRecovery,
            'parameters' => array_values(array_map(fn (Parameter $parameter) => [
                'name' => $parameter->name, 'label' => $parameter->label, 'choices' => $parameter->choices,
            ], $technique->parameters)),
            'positions' => array_map(self::choice(...), $technique->positions),
            'routes_in' => $technique->hasFreeBreath ? [] : array_map(self::choice(...), $technique->routesIn),
            'routes_out' => $technique->hasFreeBreath ? [] : array_map(self::choice(...), $technique->routesOut),
            'only_hands' => array_map(fn (Hands $hands) => $hands->value, $technique->onlyHands),
            'more_hands' => array_map(fn (Hands $hands) => $hands->value, $technique->moreHands),
            'starts' => array_map(self::choice(...), $technique->starts),
            'ridge' => Figures::ridge(self::asDefault($technique)),
            'purposes' => array_map(fn (Purpose $purpose) => $purpose->label(), $technique->teaching->uses),
            'efforts' => array_map(fn (Effort $effort) => $effort->value, $technique->efforts),
            'mistakes' => $words($technique->teaching->mistakes),
            'defaults' => FieldsShown::of([...DraftReader::defaults($technique), ...array_intersect_key($fields, array_flip([
                'ratio', 'count_length', 'breaths', 'position', 'hands', 'route_in', 'route_out',
                'own_name', 'own_right', 'own_in', 'own_out',
            ]))]),
        ];
    }

    /** @return array{value: string, label: string} */
    private static function choice(Position|Prop|Route|Effort|Gaze|Fade|School|Anchor|Start|Ending|Hands|SelfCheck $choice): array
    {
        return ['value' => $choice->value, 'label' => $choice->label()];
    }

    private static function asDefault(Technique $technique): Prescription
    {
        return PrescriptionReader::read(['technique' => $technique->key])[0]
            ?? throw new LogicException("The defaults of {$technique->key} cannot be prescribed.");
    }
}
