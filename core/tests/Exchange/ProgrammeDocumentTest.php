<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exchange;

use IvoryPace\Exchange\ProgrammeDocument;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\School;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Goal;
use IvoryPace\Programme\ProgrammeDraft;
use IvoryPace\Programme\Template;
use PHPUnit\Framework\TestCase;

final class ProgrammeDocumentTest extends TestCase
{
    private const GOOD = ['format' => 'ivory-pace-programme', 'version' => 1, 'school' => 'gentle-control', 'weeks' => 4, 'rated_symptom' => 'tension', 'goal' => null, 'items' => [['kind' => 'exercise', 'technique' => 'square']]];

    public function test_what_is_written_reads_back_exactly(): void
    {
        [$goal] = Goal::read(['words' => 'Sleep', 'measure' => 'hours', 'target' => 6.5, 'direction' => 'at-least']);
        foreach (Template::shipped() as $template) {
            $this->assertRoundTrip(new ProgrammeDocument($template->school, 8, 'sleep', $goal, ProgrammeDraft::read($template->items, $template->school->value)->items()));
        }
        foreach (Catalogue::all() as $technique) {
            $item = DraftReader::read(['technique' => $technique->key, 'why' => 'Für später / “gut”'], 'x')->item;
            self::assertNotNull($item);
            $json = $this->assertRoundTrip(new ProgrammeDocument(School::GentleControl, 52, '', null, [$item]));
            self::assertStringContainsString('Für später / “gut”', $json, 'as it was typed');
            self::assertStringNotContainsString('null', str_replace('"goal": null', '', $json), 'what is not set is left out');
            self::assertStringEndsWith("}\n", $json);
        }
    }

    public function test_a_file_says_what_it_is_and_whose_it_is_not(): void
    {
        [$document, $errors] = ProgrammeDocument::read((string) json_encode(self::GOOD));
        self::assertSame([], $errors);
        self::assertNotNull($document);
        self::assertSame([School::GentleControl, 4, 'tension', null, 1], [$document->school, $document->weeks, $document->ratedSymptom, $document->goal, count($document->items)]);
        $written = json_decode($document->toJson(), true);
        self::assertSame(['format', 'version', 'school', 'weeks', 'rated_symptom', 'goal', 'items'], array_keys((array) $written));
        self::assertArrayNotHasKey('school', $written['items'][0]);
        self::assertArrayNotHasKey('lineage', $written['items'][0]);
        self::assertArrayNotHasKey('parameters', $written['items'][0], 'none are left out');
        [$bare] = ProgrammeDocument::read((string) json_encode(['items' => [['kind' => 'exercise', 'technique' => 'square', 'props' => []]]] + self::GOOD));
        self::assertSame([], json_decode((string) $bare?->toJson(), true)['items'][0]['props'] ?? null, 'nothing that supports the body is something that is said');
    }

    public function test_what_is_wrong_is_named_by_its_path_and_nothing_is_taken(): void
    {
        self::assertSame(['/' => 'The file has 500 kB; at most 500 kB are read.'], $this->errors(str_repeat(' ', 500_001)));
        self::assertSame(['/' => 'This is not JSON: Syntax error.'], $this->errors(str_repeat(' ', 500_000)));
        foreach (['[]', '"x"', 'null', '[1]'] as $text) {
            self::assertSame(['/' => 'A programme is an object.'], $this->errors($text), $text);
        }
        self::assertSame(['/' => 'This is not JSON: Maximum stack depth exceeded.'], $this->errors('{"a":'.str_repeat('[', 40).str_repeat(']', 40).'}'));
        $wrong = 'This is not a programme of version 1 (format “ivory-pace-programme”).';
        self::assertSame(['/format' => $wrong], $this->errors(['format' => 'x'] + self::GOOD));
        self::assertSame(['/format' => $wrong], $this->errors(['version' => 2] + self::GOOD));
        self::assertSame(['/surprise' => 'A programme has no such part.'], $this->errors(['surprise' => 1] + self::GOOD));
        self::assertSame(['/school', '/weeks'], array_keys($this->errors(['school' => 'none', 'weeks' => 53] + self::GOOD)));
        self::assertSame(['/weeks'], array_keys($this->errors(['weeks' => 0] + self::GOOD)));
        self::assertSame(['/rated_symptom'], array_keys($this->errors(['rated_symptom' => str_repeat('x', 61)] + self::GOOD)));
        self::assertSame([], $this->errors(['rated_symptom' => str_repeat('x', 60), 'weeks' => 1] + self::GOOD));
        self::assertSame(['/goal/measure', '/goal/target'], array_keys($this->errors(['goal' => ['words' => 'x', 'target' => 'y']] + self::GOOD)));
        self::assertSame(['/items'], array_keys($this->errors(['items' => []] + self::GOOD)));
        self::assertSame(['/items/0/mystery' => 'An exercise has no such field.', '/items/1' => 'An exercise is an object.'], array_intersect_key(
            $this->errors(['items' => [['technique' => 'square', 'mystery' => 1], 'text']] + self::GOOD), ['/items/0/mystery' => 1, '/items/1' => 1],
        ));
        self::assertSame(['/items/0/steps/1/breaths'], array_keys($this->errors(['items' => [['kind' => 'routine', 'routine_name' => 'x', 'steps' => [['kind' => 'return'], ['kind' => 'exercise', 'technique' => 'square', 'breaths' => 0]]]]] + self::GOOD)));
        // A long programme and one that could not be practised are two things: here the file is whole.
        self::assertSame(['/items/0/ratio'], array_keys($this->errors(['items' => [['technique' => 'square', 'ratio' => '4:x']]] + self::GOOD)));
    }

    /** @return array<string, string> */
    private function errors(mixed $data): array
    {
        [$document, $errors] = ProgrammeDocument::read(is_string($data) ? $data : (string) json_encode($data));
        self::assertSame($errors !== [], $document === null);

        return $errors;
    }

    private function assertRoundTrip(ProgrammeDocument $document): string
    {
        $json = $document->toJson();
        [$again, $errors] = ProgrammeDocument::read($json);
        self::assertSame([], $errors, $json);
        self::assertSame($json, $again?->toJson());

        return $json;
    }
}
