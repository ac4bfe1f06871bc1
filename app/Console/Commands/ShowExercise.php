<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Language\Told;
use Illuminate\Console\Command;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Told\Spoken;
use IvoryPace\InvalidValue;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\ItemFields;
use IvoryPace\Programme\Told\Instruction;

final class ShowExercise extends Command
{
    use AnswersInJson;

    private const FIELDS = [
        'ratio', 'count_length', 'breaths', 'minutes', 'position', 'route_in', 'route_out', 'effort', 'gaze', 'hands', 'own_prop',
        'start', 'ending', 'bells_first', 'bells_last', 'props', 'school', 'why', 'as_needed', 'use_when', 'daily_most', 'cue_word', 'fade',
        'fastest', 'slowest', 'own_name', 'own_right', 'own_in', 'own_out', 'times_a_day',
    ];

    protected $signature = 'breath:exercise {key : of the technique} {--set=* : name=value, of a field or a parameter} {--timeline : with '
        .'all cues} {--told : what the patient is told, shown and hears} {--json : on one line, for programs}';

    protected $description = 'A technique of the catalogue as it would be prescribed, with its totals';

    public function handle(): int
    {
        return $this->answer(function () {
            $technique = Catalogue::get($this->stringArgument('key'));
            $fields = ['technique' => $technique->key];
            $parameters = [];
            foreach ((array) $this->option('set') as $setting) {
                if (! is_string($setting) || ! str_contains($setting, '=')) {
                    throw InvalidValue::because('“'.(is_string($setting) ? $setting : '').'” is not of the form name=value.');
                }
                [$name, $value] = explode('=', $setting, 2);
                if (isset($technique->parameters[$name])) {
                    $parameters[$name] = $value;
                } elseif (in_array($name, self::FIELDS, true)) {
                    $fields[$name] = $name === 'props' ? array_values(array_filter(explode(',', $value))) : $value;
                } else {
                    throw InvalidValue::because("{$technique->name} has no “{$name}” to set.");
                }
            }
            $fields['parameters'] = $parameters;
            $draft = DraftReader::read($fields, 'x');
            if ($draft->item === null) {
                throw InvalidValue::because(implode(' ', $draft->errors));
            }
            if ($this->option('told') === true) {
                return self::told($draft->item);
            }
            $timeline = $draft->item->timeline();

            return [
                'name' => $draft->item->prescription->name(),
                'fields' => array_diff_key(ItemFields::write($draft->item), ['anchors' => 0]),
                'breaths' => $timeline->breaths(),
                'rounds' => $timeline->rounds(),
                'sets' => $timeline->sets(),
                'exercise_s' => $timeline->exerciseMs() / 1000,
                'total_s' => $timeline->totalMs() / 1000,
                'about' => $timeline->isAbout(),
                ...($this->option('timeline') ? ['segments' => $timeline->segments] : []),
            ];
        });
    }

    /**
     * @return array{ready: list<string>, steps: list<list<string>>, cues: list<array{
     *     at_ms: int, shown: string, spoken: string, buzz: list<int>,
     * }>}
     */
    private static function told(Item $item): array
    {
        $at = 0;
        $cues = [];
        foreach ($item->timeline()->segments as $segment) {
            foreach ($segment->cues as $cue) {
                $cues[] = [
                    'at_ms' => $at + $cue->startMs, 'shown' => Told::shown($cue), 'spoken' => Told::spoken($cue),
                    'buzz' => Spoken::buzz($cue->kind),
                ];
            }
            $at += $segment->durationMs();
        }

        return [
            'ready' => array_map(Told::say(...), Instruction::of($item)),
            'steps' => array_map(fn (array $told) => array_map(Told::say(...), $told), Instruction::steps($item)),
            'cues' => $cues,
        ];
    }
}
