<?php

declare(strict_types=1);

namespace IvoryPace\Exchange;

use IvoryPace\Assessment\Form;
use IvoryPace\Assessment\FormQuestion;
use IvoryPace\InvalidValue;
use JsonException;

/**
 * A questionnaire as an HL7 FHIR R4 “Questionnaire” (hl7.org/fhir/R4/questionnaire.html). It is read only when all of it can be
 * asked: what would be left out, or asked of somebody who should not be asked, is named by its path instead.
 */
final class QuestionnaireReader
{
    public const MOST_BYTES = 200_000;

    private const MOST_DEPTH = 8;

    private const NOT_HERE = ['enableWhen' => 'is asked only under a condition', 'answerValueSet' => 'takes its answers from elsewhere'];

    /** A whole number without limits of its own. */
    private const USUAL_MOST = 1000;

    private const FARTHEST = 1_000_000;

    /** @var list<FormQuestion> */
    private array $questions = [];

    /** @var array<string, string> */
    private array $errors = [];

    /** @var array<array-key, true> */
    private array $keys = [];

    /** What was said between two questions; it stands before the next. */
    private string $said = '';

    private function __construct()
    {
    }

    /** @return array{Form|null, array<string, string>} the questionnaire, and what is wrong by path: "/item/0/answerOption" */
    public static function read(string $json): array
    {
        if (strlen($json) > self::MOST_BYTES) {
            return [null, ['/' => 'A questionnaire has at most '.self::MOST_BYTES / 1000 .' kB.']];
        }
        try {
            $data = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $problem) {
            return [null, ['/' => "This is not JSON: {$problem->getMessage()}."]];
        }
        if (! is_array($data) || ($data['resourceType'] ?? null) !== 'Questionnaire') {
            return [null, ['/resourceType' => 'This is no FHIR Questionnaire: “resourceType” must be “Questionnaire”.']];
        }

        return (new self)->whole($data);
    }

    /**
     * @param  array<array-key, mixed>  $data
     * @return array{Form|null, array<string, string>}
     */
    private function whole(array $data): array
    {
        $title = $this->text($data['title'] ?? $data['name'] ?? null, '/title', Form::MOST_TITLE, 'The questionnaire needs a title');
        $intro = is_string($data['description'] ?? null) ? trim($data['description']) : '';
        if (mb_strlen($intro) > Form::MOST_WORDS) {
            $this->errors['/description'] = 'What is said first has at most '.Form::MOST_WORDS.' characters.';
        }
        $this->items($data['item'] ?? null, '', '', 0);
        if ($this->questions === [] && $this->errors === []) {
            $this->errors['/item'] = 'There is no question in it.';
        }
        if (count($this->questions) > Form::MOST_QUESTIONS) {
            $this->errors['/item'] = 'A questionnaire has at most '.Form::MOST_QUESTIONS.' questions.';
        }

        $form = new Form($title, $intro, $this->questions);
        if ($this->errors === [] && ! $form->canBeKept()) {
            $this->errors['/item'] = 'Its answers count more than '.Form::MOST_POINTS.' points in all.';
        }

        return $this->errors === [] ? [$form, []] : [null, $this->errors];
    }

    private function items(mixed $items, string $path, string $under, int $depth): void
    {
        if ($items === null && $depth > 0) {
            return;
        }
        if (! is_array($items) || $depth > self::MOST_DEPTH) {
            $this->errors["$path/item"] = $depth > self::MOST_DEPTH
                ? 'The groups lie too deep within each other.' : 'A list of questions is missing.';

            return;
        }
        foreach (array_values($items) as $index => $item) {
            if (is_array($item)) {
                $this->item($item, "$path/item/$index", $under, $depth);
            } else {
                $this->errors["$path/item/$index"] = 'A question is an object.';
            }
        }
    }

    /** @param  array<array-key, mixed>  $item */
    private function item(array $item, string $path, string $under, int $depth): void
    {
        $type = is_string($item['type'] ?? null) ? $item['type'] : '';
        foreach (self::NOT_HERE as $part => $what) {
            if (! empty($item[$part])) {
                $this->errors["$path/$part"] = "This $what, which is not done here. Ask it always, with its answers in answerOption.";
            }
        }
        if (($item['repeats'] ?? false) === true) {
            $this->errors["$path/repeats"] = 'This takes several answers; here a question has one.';
        }
        $words = is_string($item['text'] ?? null) ? trim($item['text']) : '';
        if ($type === 'group') {
            $this->items($item['item'] ?? null, $path, self::joined($under, $words), $depth + 1);

            return;
        }
        if ($type === 'display') {
            $this->said = self::joined($this->said, $words);

            return;
        }
        if (! empty($item['item'])) {
            $this->errors["$path/item"] = 'Questions under a question are not asked here; put them into a group.';
        }
        $text = $this->text(self::joined($under, $this->said, $words), "$path/text", Form::MOST_WORDS, 'A question needs its words');
        $this->said = '';
        $question = $this->question($item, $type, $this->key($item['linkId'] ?? null, $path), $text, $path);
        if ($question !== null) {
            $this->questions[] = $question;
        }
    }

    /** @param  array<array-key, mixed>  $item */
    private function question(array $item, string $type, string $key, string $text, string $path): ?FormQuestion
    {
        switch ($type) {
            case 'choice':
                return FormQuestion::choice($key, $text, $this->options($item['answerOption'] ?? null, $path));
            case 'boolean':
                return FormQuestion::choice($key, $text, [['label' => 'No', 'weight' => null], ['label' => 'Yes', 'weight' => null]]);
            case 'integer':
                $least = $this->limit($item, QuestionnaireDocument::LEAST, 0);
                $most = $this->limit($item, QuestionnaireDocument::MOST, max(self::USUAL_MOST, $least));
                if ($most <= $least || abs($least) > self::FARTHEST || $most > self::FARTHEST) {
                    $this->errors["$path/extension"] = 'The largest number must be greater than the smallest, and both within a million.';
                }

                return FormQuestion::whole($key, $text, $least, $most);
            case 'string':
            case 'text':
                return FormQuestion::text($key, $text);
            default:
                $this->errors["$path/type"] = ($type === '' ? 'The kind of a question is missing'
                    : InvalidValue::quoted($type).' is not asked here').': it is choice, boolean, integer, string or text.';

                return null;
        }
    }

    /** @return list<array{label: string, weight: float|null}> */
    private function options(mixed $options, string $path): array
    {
        if (! is_array($options) || count($options) < 2 || count($options) > Form::MOST_OPTIONS) {
            $this->errors["$path/answerOption"] = 'A choice has 2 to '.Form::MOST_OPTIONS.' answers in answerOption.';

            return [];
        }
        $read = [];
        foreach (array_values($options) as $index => $option) {
            $coding = is_array($option) ? $option['valueCoding'] ?? [] : [];
            $coding = is_array($coding) ? $coding : [];
            $option = is_array($option) ? $option : [];
            $label = $coding['display'] ?? $coding['code'] ?? $option['valueString'] ?? $option['valueInteger'] ?? null;
            $at = "$path/answerOption/$index";
            $read[] = [
                'label' => $this->text(is_int($label) ? (string) $label : $label, $at, Form::MOST_WORDS, 'An answer needs its words'),
                'weight' => $this->weight([...self::extensions($option), ...self::extensions($coding)], $at),
            ];
        }
        $labels = array_column($read, 'label');
        if (count(array_unique($labels)) < count($labels)) {
            $this->errors["$path/answerOption"] ??= 'Two answers have the same words.';
        }

        return $read;
    }

    /** @param  list<array<array-key, mixed>>  $extensions */
    private function weight(array $extensions, string $path): ?float
    {
        foreach ($extensions as $extension) {
            if (in_array($extension['url'] ?? null, QuestionnaireDocument::WEIGHTS, true)) {
                $value = $extension['valueDecimal'] ?? null;
                $isNumber = (is_int($value) || is_float($value)) && abs($value) <= self::USUAL_MOST;
                if ($isNumber && round($value, FormQuestion::DECIMALS) === (float) $value) {
                    return (float) $value;
                }
                $this->errors["$path/extension"] = 'What an answer counts is a number within '.self::USUAL_MOST.', of at most '
                    .FormQuestion::DECIMALS.' decimals (valueDecimal).';
            }
        }

        return null;
    }

    /** @param  array<array-key, mixed>  $item */
    private function limit(array $item, string $url, int $usual): int
    {
        foreach (self::extensions($item) as $extension) {
            if (($extension['url'] ?? null) === $url && is_int($extension['valueInteger'] ?? null)) {
                return $extension['valueInteger'];
            }
        }

        return $usual;
    }

    /** @return list<array<array-key, mixed>> */
    private static function extensions(mixed $of): array
    {
        $all = is_array($of) ? $of['extension'] ?? [] : [];

        return is_array($all) ? array_values(array_filter($all, is_array(...))) : [];
    }

    private function key(mixed $key, string $path): string
    {
        $key = $this->text($key, "$path/linkId", 255, 'A question needs a linkId');
        if ($key !== '' && isset($this->keys[$key])) {
            $this->errors["$path/linkId"] = 'Two questions have this linkId.';
        }
        $this->keys[$key] = true;

        return $key;
    }

    private static function joined(string ...$parts): string
    {
        return implode(' ', array_filter($parts, fn (string $part) => $part !== ''));
    }

    private function text(mixed $text, string $path, int $most, string $missing): string
    {
        if (! is_string($text) || trim($text) === '') {
            $this->errors[$path] ??= "$missing.";

            return '';
        }
        if (mb_strlen(trim($text)) > $most) {
            $this->errors[$path] ??= "This has at most $most characters.";
        }

        return trim($text);
    }
}
