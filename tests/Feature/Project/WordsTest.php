<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Language\PatientTexts;
use Illuminate\Support\Facades\Lang;
use IvoryPace\Breath\Timeline\Beat;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Parameter;
use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\Routine\Shipped;
use IvoryPace\Exercise\School;
use IvoryPace\Exercise\Told\Part;
use IvoryPace\Exercise\Told\Script;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Programme\Anchor;
use IvoryPace\Programme\DraftReader;
use Tests\TestCase;

/** Whatever the patient may be shown has words. */
final class WordsTest extends TestCase
{
    public function test_every_technique_has_its_texts_and_every_cue_its_words(): void
    {
        $words = PatientTexts::forPatients();
        foreach (Catalogue::all() as $technique) {
            $keys = ["exercise.{$technique->key}.name", ...$technique->teaching->times, ...$technique->teaching->right, ...$technique->teaching->mistakes, ...$technique->teaching->feels, ...$technique->teaching->attention];
            foreach (School::cases() as $school) {
                array_push($keys, ...$school->criteria($technique));
            }
            $least = array_map(fn (Parameter $parameter) => $parameter->min, $technique->parameters);
            $most = array_map(fn (Parameter $parameter) => $parameter->max, $technique->parameters);
            foreach ($technique->routesOut as $route) {
                foreach ([[], $least, $most] as $parameters) {
                    $item = DraftReader::read(['technique' => $technique->key, 'route_out' => $route->value, 'parameters' => $parameters, 'cue_word' => true], 'x')->item;
                    self::assertNotNull($item);
                    foreach (Compiler::compile($item->prescription)->cues() as $cue) {
                        $keys = [...$keys, $cue->instruction, ...array_filter([$cue->how]), ...array_filter(array_map(fn (Beat $beat) => $beat->word, $cue->beats))];
                    }
                }
            }
            foreach (array_unique($keys) as $key) {
                self::assertNotSame('', $words[$key] ?? '', "{$technique->key} needs words for $key");
            }
        }
    }

    public function test_positions_props_efforts_anchors_and_symptoms_have_words(): void
    {
        $words = PatientTexts::forPatients();
        $keys = [
            ...array_map(fn (Position $position) => "position.{$position->value}", Position::cases()),
            ...array_map(fn (Prop $prop) => "prop.{$prop->value}", Prop::cases()),
            // What is taught before a step comes in whole sentences.
            ...array_filter(array_map(fn (Cue $cue) => $cue->instruction, array_merge(...array_map(fn (Routine $routine) => $routine->timeline()->cues(), array_values(Shipped::routines())))), fn (string $key) => ! str_starts_with($key, 'told.') && ! str_starts_with($key, 'hands.')),
            'cue.free-between',
            ...array_map(fn (Anchor $anchor) => "anchor.{$anchor->value}", Anchor::cases()),
            ...array_map(fn (StopSymptom $symptom) => "stop.symptom.{$symptom->value}", StopSymptom::cases()),
        ];
        foreach ($keys as $key) {
            self::assertNotSame('', $words[$key] ?? '', $key);
        }
        foreach (array_keys(Script::lines()) as $key) {
            self::assertTrue(str_starts_with($key, 'number.') || Lang::has($key), $key);
        }
        foreach (Part::cases() as $part) {
            self::assertTrue(Lang::has("told.part.{$part->value}"), $part->value);
        }
        foreach (Position::cases() as $position) {
            self::assertTrue(Lang::has("sheet.position.{$position->value}"), $position->value);
        }
        foreach (Length::cases() as $length) {
            self::assertTrue($length === Length::Minutes || $length === Length::Derived || Lang::has("told.amount.{$length->value}"), $length->value);
        }
    }
}
