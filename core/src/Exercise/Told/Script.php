<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Told;

use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Own;
use IvoryPace\Exercise\Parameter;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Exercise\Technique;

/**
 * Everything that can be recorded once in a practitioner's own voice: every word and number of the catalogue. Sentences with
 * numbers or names in them are left to the device.
 */
final class Script
{
    /** Of a count-down the longest; of counts in a breath there are far fewer. */
    public const NUMBERS = 120;

    /** A number has to be over before the next one, in seconds. */
    public const LONGEST_NUMBER_S = 0.8;

    public const LONGEST_WORD_S = 1.6;

    public const LONGEST_SENTENCE_S = 4.5;

    /** Sentences that are said before a step, and carry no value. */
    private const BEFORE_A_STEP = [
        'breath.free', 'breath.on', 'start.exhale', 'start.empty', 'both.nose', 'both.mouth', 'both.pursed-lips', 'in.nose', 'in.mouth',
        'in.pursed-lips', 'out.nose', 'out.mouth', 'out.pursed-lips', 'out.soft-open-mouth', 'out.hum', 'out.passive', 'out.hum-the-rest',
        'route.nostrils', 'route.nostrils-back', 'without.weight', 'without.strap', 'retention.before', 'open.hum', 'open.exhale',
        'open.exhale-complete', 'open.retention', 'size.gentle', 'size.sip',
        'size.easy', 'size.full', 'size.active', 'size.complete', 'holds', 'tempo.both', 'tempo.slower', 'tempo.faster', 'eyes.choice',
        'eyes.choice-upright', 'eyes.choice-face-down', 'eyes.closed', 'eyes.closed-upright', 'eyes.lowered', 'eyes.on-a-point',
        'eyes.walking',
    ];

    /** @return array<string, float> longest length in seconds by key: numbers, words, then sentences */
    public static function lines(): array
    {
        $numbers = array_map(fn (int $number) => "number.$number", range(0, self::NUMBERS));
        $words = [];
        foreach (Catalogue::all() as $technique) {
            $words += array_fill_keys(self::ofTechnique($technique), true);
        }
        $words += array_fill_keys([
            'cue.free-between', 'cue.return.roll', 'cue.return.sit-up', 'cue.end.sleep-welcome', 'cue.inhale.mouth',
            'cue.inhale.pursed-lips',
        ], true);
        $sentence = '/^(cue\.(move|end|return|settle|retention|free|hum|lean|tense)|exercise\.)/';
        $isSentence = fn (string $key): bool => preg_match($sentence, $key) === 1;
        $sentences = [
            ...array_filter(array_keys($words), $isSentence),
            ...array_map(fn (Position $position) => "position.{$position->value}", Position::cases()),
            ...array_map(fn (Hands $hands) => "hands.{$hands->value}", Hands::cases()),
            ...array_map(fn (Prop $prop) => "told.with.{$prop->value}", Prop::cases()),
            ...array_map(fn (string $key) => "told.$key", self::BEFORE_A_STEP),
        ];

        return array_fill_keys($numbers, self::LONGEST_NUMBER_S)
            + array_fill_keys(array_values(array_filter(array_keys($words), fn (string $key) => ! $isSentence($key))), self::LONGEST_WORD_S)
            + array_fill_keys($sentences, self::LONGEST_SENTENCE_S);
    }

    /** @return list<string> keys of everything that may be said while a timeline is played, each once */
    public static function of(Timeline $timeline): array
    {
        $keys = [];
        foreach ($timeline->cues() as $cue) {
            $keys += array_fill_keys(self::ofCue($cue), true);
        }

        return array_keys($keys);
    }

    /** @return list<string> */
    private static function ofCue(Cue $cue): array
    {
        $keys = array_merge([], ...array_merge([], ...Spoken::lines($cue)));
        foreach ($cue->beats as $beat) {
            if ($beat->number !== null) {
                $keys[] = "number.{$beat->number}";
            }
        }

        // A clinic's own words are left to the device.
        return array_values(array_filter($keys, fn (string $key) => ! str_starts_with($key, Own::AS_IT_IS)));
    }

    /** @return list<string> words of a technique, whatever its routes and numbers */
    private static function ofTechnique(Technique $technique): array
    {
        $keys = [];
        $sets = [
            [], array_map(fn (Parameter $parameter) => $parameter->min, $technique->parameters),
            array_map(fn (Parameter $parameter) => $parameter->max, $technique->parameters),
        ];
        foreach (array_keys($technique->parameters['list']->choices ?? []) as $list) {
            $sets[] = ['list' => (float) $list, 'let-go' => 2.0];
        }
        foreach ($technique->positions as $position) {
            foreach ($technique->routesOut as $out) {
                foreach ($sets as $parameters) {
                    [$prescription] = PrescriptionReader::read([
                        'technique' => $technique->key, 'own_name' => 'x', 'position' => $position->value, 'route_out' => $out->value,
                        'parameters' => $parameters, 'breaths' => $technique->countsRepeats() ? 3 : null,
                        'start' => 'empty', 'ending' => 'slow',
                        // A breath with every phase; what a tap ends has no rest after it.
                        ...($technique->hasRatio() ? ['ratio' => $parameters === [] ? '1+1:1:2:1' : '1:1:2'] : []),
                    ]);
                    if ($prescription !== null) {
                        $keys += array_fill_keys(self::of(Compiler::compile($prescription)), true);
                    }
                }
                if ($technique->hasFreeBreath) {
                    break;
                }
            }
        }

        $taught = [...$technique->teaching->right, ...$technique->teaching->attention];
        $keys += array_fill_keys([...$taught, ...array_filter(array_map(Worded::other(...), $taught))], true);

        return array_values(array_filter(array_keys($keys), fn (string $key) => ! str_starts_with($key, 'number.')));
    }
}
