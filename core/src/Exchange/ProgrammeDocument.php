<?php

declare(strict_types=1);

namespace IvoryPace\Exchange;

use IvoryPace\Exercise\School;
use IvoryPace\Fields;
use IvoryPace\Programme\Goal;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\ItemFields;
use IvoryPace\Programme\ProgrammeDraft;
use JsonException;

/**
 * A programme as an open document: what is prescribed, without anything about the patient. What is written reads back
 * the same; what cannot be read is named by its path, and nothing of it is taken.
 */
final readonly class ProgrammeDocument
{
    public const FORMAT = 'ivory-pace-programme';

    public const VERSION = 1;

    public const MOST_BYTES = 500_000;

    private const KEYS = ['format', 'version', 'school', 'weeks', 'rated_symptom', 'goal', 'items'];

    /**
     * @param  int  $weeks  1–52
     * @param  list<Item>  $items
     */
    public function __construct(
        public School $school,
        public int $weeks,
        public string $ratedSymptom,
        public ?Goal $goal,
        public array $items,
    ) {
    }

    /** Canonical JSON: keys in one order, no patient, no lineages. */
    public function toJson(): string
    {
        return json_encode([
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'school' => $this->school->value,
            'weeks' => $this->weeks,
            'rated_symptom' => $this->ratedSymptom,
            'goal' => $this->goal?->write(),
            'items' => array_map(self::item(...), $this->items),
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
    }

    /** @return array{self|null, array<string, string>} the document, and errors by path: "/items/0/ratio" */
    public static function read(string $json): array
    {
        if (strlen($json) > self::MOST_BYTES) {
            return [
                null, ['/' => 'The file has '.number_format(strlen($json) / 1000).' kB; at most '.self::MOST_BYTES / 1000 .' kB are read.'],
            ];
        }
        try {
            $data = json_decode($json, true, 32, JSON_THROW_ON_ERROR);
        } catch (JsonException $problem) {
            return [null, ['/' => "This is not JSON: {$problem->getMessage()}."]];
        }
        if (! is_array($data) || array_is_list($data)) {
            return [null, ['/' => 'A programme is an object.']];
        }

        /** @var array<string, mixed> $data */
        return self::fromData($data);
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array{self|null, array<string, string>}
     */
    private static function fromData(array $data): array
    {
        $errors = [];
        if (($data['format'] ?? null) !== self::FORMAT || ($data['version'] ?? null) !== self::VERSION) {
            return [null, ['/format' => 'This is not a programme of version '.self::VERSION.' (format “'.self::FORMAT.'”).']];
        }
        foreach (array_diff(array_keys($data), self::KEYS) as $key) {
            $errors["/$key"] = 'A programme has no such part.';
        }
        $fields = new Fields($data);
        $school = $fields->attempt('school', fn () => $fields->choice(School::class, 'school'));
        $weeks = $fields->attempt('weeks', fn () => $fields->whole('weeks', 1, 52, 'weeks'));
        $symptom = $fields->attempt('rated_symptom', fn () => $fields->shortText('rated_symptom', 60, 'What is rated'));
        [$goal, $goalErrors] = Goal::read($fields->list('goal'));
        $items = array_values($fields->list('items'));
        $draft = ProgrammeDraft::read($items, $school?->value);
        foreach ($fields->errors() as $field => $message) {
            $errors["/$field"] = $message;
        }
        foreach ($goalErrors as $field => $message) {
            $errors["/goal/$field"] = $message;
        }
        if ($draft->error !== null) {
            $errors['/items'] = $draft->error;
        }
        foreach ($draft->drafts as $index => $each) {
            $errors += self::unknown($items[$index], "/items/$index");
            foreach ($each->errors as $field => $message) {
                $errors["/items/$index/".str_replace('.', '/', $field)] = $message;
            }
        }

        return $errors === [] && $school !== null && $weeks !== null
            ? [new self($school, $weeks, (string) $symptom, $goal, $draft->items()), []] : [null, $errors];
    }

    /** @return array<string, string> */
    private static function unknown(mixed $item, string $path): array
    {
        if (! is_array($item)) {
            return [$path => 'An exercise is an object.'];
        }
        $errors = [];
        foreach (array_diff(array_keys($item), self::fieldNames()) as $key) {
            $errors["$path/$key"] = 'An exercise has no such field.';
        }

        return $errors;
    }

    /** @return list<string> */
    private static function fieldNames(): array
    {
        return [
            'kind', 'routine_name', 'steps', 'technique', 'ratio', 'count_length', 'breaths', 'minutes', 'parameters', 'position', 'props',
            'route_in', 'route_out', 'effort', 'gaze', 'hands', 'own_prop', 'start', 'ending', 'bells_first', 'bells_last', 'counting',
            'cue_word', 'fade', 'fastest', 'slowest', 'own_name', 'own_right', 'own_in',
            'own_out',
            'short', 'ladder', 'why', 'checks', 'as_needed', 'use_when', 'daily_most', 'way', 'times_a_day', 'anchors',
        ];
    }

    /** @return array<string, mixed> what is set, without what only this application needs */
    private static function item(Item $item): array
    {
        $fields = self::set(ItemFields::write($item));
        unset($fields['school']);
        if (is_array($fields['steps'] ?? null)) {
            $fields['steps'] = array_map(fn (mixed $step) => is_array($step) ? self::set($step) : $step, $fields['steps']);
        }

        return $fields;
    }

    /**
     * @param  array<mixed>  $fields
     * @return array<mixed> without what is not set
     */
    private static function set(array $fields): array
    {
        return array_filter(
            $fields,
            fn (mixed $value, int|string $field) => $value !== null
                && ! (in_array($field, ['parameters', 'checks'], true) && $value === []),
            ARRAY_FILTER_USE_BOTH,
        );
    }
}
