<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exchange;

use IvoryPace\Assessment\Form;
use IvoryPace\Assessment\FormQuestion;
use IvoryPace\Assessment\Measure;
use IvoryPace\Exchange\MeasureCode;
use IvoryPace\Exchange\QuestionnaireDocument;
use IvoryPace\Exchange\QuestionnaireReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class QuestionnaireTest extends TestCase
{
    private const ORDINAL = 'http://hl7.org/fhir/StructureDefinition/ordinalValue';

    public function test_questions_are_asked_as_they_stand_in_groups_and_between_words(): void
    {
        $form = $this->read(['title' => 'T', 'description' => ' Before. ', 'item' => [
            ['linkId' => 'd', 'type' => 'display', 'text' => 'Think of last week.'],
            ['linkId' => 'g', 'type' => 'group', 'text' => 'At night:', 'item' => [
                ['linkId' => 'a', 'type' => 'choice', 'text' => 'Awake?', 'answerOption' => [
                    ['valueCoding' => ['code' => 'n', 'display' => 'No', 'extension' => [['url' => self::ORDINAL, 'valueDecimal' => 0]]]],
                    ['valueString' => 'Yes', 'extension' => [['url' => 'http://hl7.org/fhir/StructureDefinition/itemWeight', 'valueDecimal' => 2.5]]],
                    ['valueInteger' => 3], ['valueCoding' => ['code' => 'often']],
                ]],
                ['linkId' => 'inner', 'type' => 'group', 'item' => [['linkId' => 'b', 'type' => 'boolean', 'text' => 'Cold?']]],
            ]],
            ['linkId' => 'c', 'type' => 'integer', 'text' => 'How often?', 'extension' => [
                ['url' => 'http://hl7.org/fhir/StructureDefinition/minValue', 'valueInteger' => -3], ['url' => 'http://hl7.org/fhir/StructureDefinition/maxValue', 'valueInteger' => 7],
            ]],
            ['linkId' => 'e', 'type' => 'string', 'text' => 'And?'], ['linkId' => 'f', 'type' => 'integer', 'text' => 'More?'],
        ]]);
        self::assertSame('Before.', $form->intro);
        self::assertSame(
            ['At night: Think of last week. Awake?', 'At night: Cold?', 'How often?', 'And?', 'More?'],
            array_map(fn (FormQuestion $question) => $question->text, $form->questions),
        );
        self::assertSame(
            [['label' => 'No', 'weight' => 0.0], ['label' => 'Yes', 'weight' => 2.5], ['label' => '3', 'weight' => null], ['label' => 'often', 'weight' => null]],
            $form->questions[0]->options,
        );
        self::assertSame(['No', 'Yes'], array_column($form->questions[1]->options, 'label'));
        self::assertSame([-3, 7, 0, 1000], [$form->questions[2]->least, $form->questions[2]->most, $form->questions[4]->least, $form->questions[4]->most]);
        self::assertSame([0.0, 2.5], [$form->lowest(), $form->highest()]);
    }

    /** @return iterable<string, array{mixed, string, string}> what is wrong, where, and how it is said */
    public static function wrong(): iterable
    {
        $with = fn (array $item): array => ['title' => 'T', 'item' => [['linkId' => 'a', 'text' => 'A?', 'type' => 'string', ...$item]]];
        $two = [['valueString' => 'x'], ['valueString' => 'y']];
        yield 'no JSON' => ['{', '/', 'This is not JSON'];
        yield 'another resource' => [['resourceType' => 'Patient'], '/resourceType', 'This is no FHIR Questionnaire'];
        yield 'a number' => ['7', '/resourceType', 'This is no FHIR Questionnaire'];
        yield 'too large' => [json_encode(str_repeat('x', 200_001)), '/', 'at most 200 kB'];
        yield 'no title' => [['item' => []], '/title', 'needs a title'];
        yield 'a title that is a list' => [['title' => ['x'], 'item' => []], '/title', 'needs a title'];
        yield 'a long title' => [['title' => str_repeat('x', 121), 'item' => []], '/title', 'at most 120 characters'];
        yield 'a long beginning' => [[...$with([]), 'description' => str_repeat('x', 501)], '/description', 'at most 500 characters'];
        yield 'no items' => [['title' => 'T'], '/item', 'A list of questions is missing.'];
        yield 'only words' => [['title' => 'T', 'item' => [['linkId' => 'a', 'type' => 'display', 'text' => 'x']]], '/item', 'There is no question in it.'];
        yield 'no object' => [['title' => 'T', 'item' => ['x']], '/item/0', 'A question is an object.'];
        yield 'no words' => [$with(['text' => ' ']), '/item/0/text', 'A question needs its words.'];
        yield 'long words' => [$with(['text' => str_repeat('x', 501)]), '/item/0/text', 'at most 500 characters'];
        yield 'no linkId' => [$with(['linkId' => null]), '/item/0/linkId', 'A question needs a linkId.'];
        yield 'a date' => [$with(['type' => 'date']), '/item/0/type', '“date” is not asked here: it is choice, boolean, integer, string or text.'];
        yield 'no kind' => [$with(['type' => null]), '/item/0/type', 'The kind of a question is missing'];
        yield 'a condition' => [$with(['enableWhen' => [['question' => 'b']]]), '/item/0/enableWhen', 'is asked only under a condition'];
        yield 'answers elsewhere' => [$with(['type' => 'choice', 'answerOption' => $two, 'answerValueSet' => 'http://x']), '/item/0/answerValueSet', 'takes its answers from elsewhere'];
        yield 'several answers' => [$with(['repeats' => true]), '/item/0/repeats', 'several answers'];
        yield 'a question under a question' => [$with(['item' => [['linkId' => 'b', 'type' => 'string', 'text' => 'B?']]]), '/item/0/item', 'put them into a group'];
        yield 'no answers' => [$with(['type' => 'choice']), '/item/0/answerOption', '2 to 30 answers'];
        yield 'one answer' => [$with(['type' => 'choice', 'answerOption' => [['valueString' => 'x']]]), '/item/0/answerOption', '2 to 30 answers'];
        yield 'an answer without words' => [$with(['type' => 'choice', 'answerOption' => [['valueString' => 'x'], []]]), '/item/0/answerOption/1', 'An answer needs its words.'];
        yield 'an answer that is a word' => [$with(['type' => 'choice', 'answerOption' => ['x', 'y']]), '/item/0/answerOption/0', 'An answer needs its words.'];
        yield 'the same words twice' => [$with(['type' => 'choice', 'answerOption' => [...$two, ['valueString' => 'x']]]), '/item/0/answerOption', 'Two answers have the same words.'];
        yield 'a weight in words' => [$with(['type' => 'choice', 'answerOption' => [...$two, ['valueString' => 'z', 'extension' => [['url' => self::ORDINAL, 'valueDecimal' => '3']]]]]), '/item/0/answerOption/2/extension', 'is a number within 1000'];
        yield 'an endless weight' => ['{"resourceType":"Questionnaire","title":"T","item":[{"linkId":"a","text":"A?","type":"choice","answerOption":[{"valueString":"x"},{"valueString":"y","extension":[{"url":"'.self::ORDINAL.'","valueDecimal":1e308}]}]}]}', '/item/0/answerOption/1/extension', 'is a number within 1000'];
        yield 'a weight that is finer than a score' => [$with(['type' => 'choice', 'answerOption' => [...$two, ['valueString' => 'z', 'extension' => [['url' => self::ORDINAL, 'valueDecimal' => 0.333]]]]]), '/item/0/answerOption/2/extension', 'at most 2 decimals'];
        yield 'more points than can be kept' => [['title' => 'T', 'item' => array_map(fn (int $index) => ['linkId' => "q$index", 'text' => 'Q?', 'type' => 'choice', 'answerOption' => [['valueString' => 'x'], ['valueString' => 'y', 'extension' => [['url' => self::ORDINAL, 'valueDecimal' => -1000]]]]], range(1, 10))], '/item', 'more than 9999 points in all'];
        yield 'limits the wrong way round' => [$with(['type' => 'integer', 'extension' => [['url' => 'http://hl7.org/fhir/StructureDefinition/minValue', 'valueInteger' => 5], ['url' => 'http://hl7.org/fhir/StructureDefinition/maxValue', 'valueInteger' => 5]]]), '/item/0/extension', 'must be greater'];
        yield 'the same linkId twice' => [['title' => 'T', 'item' => [['linkId' => 'a', 'text' => 'A?', 'type' => 'string'], ['linkId' => 'a', 'text' => 'B?', 'type' => 'string']]], '/item/1/linkId', 'Two questions have this linkId.'];
        yield 'too many' => [['title' => 'T', 'item' => array_map(fn (int $index) => ['linkId' => "q$index", 'text' => 'Q?', 'type' => 'string'], range(1, 101))], '/item', 'at most 100 questions'];
        $deep = ['linkId' => 'a', 'text' => 'A?', 'type' => 'string'];
        foreach (range(1, 9) as $level) {
            $deep = ['linkId' => "g$level", 'type' => 'group', 'item' => [$deep]];
        }
        yield 'groups within groups' => [['title' => 'T', 'item' => [$deep]], '/item/0/item/0/item/0/item/0/item/0/item/0/item/0/item/0/item/0/item', 'too deep'];
    }

    #[DataProvider('wrong')]
    public function test_what_cannot_be_asked_is_named_by_its_place(mixed $what, string $path, string $message): void
    {
        $json = is_string($what) ? $what : (string) json_encode(['resourceType' => 'Questionnaire', ...(array) $what]);
        [$form, $errors] = QuestionnaireReader::read($json);
        self::assertNull($form);
        self::assertArrayHasKey($path, $errors, (string) json_encode($errors));
        self::assertStringContainsString($message, $errors[$path]);
    }

    public function test_what_is_written_reads_back_the_same_and_keeps_its_name(): void
    {
        $chance = new Randomizer(new Mt19937(41));
        for ($round = 0; $round < 200; $round++) {
            $questions = [];
            foreach (range(0, $chance->getInt(0, 12)) as $number) {
                $text = "Question $number ".bin2hex($chance->getBytes(3)).' ä“”';
                $questions[] = match ($chance->getInt(0, 2)) {
                    0 => FormQuestion::choice("k$number", $text, array_map(fn (int $option) => [
                        'label' => "Answer $option", 'weight' => $chance->getInt(0, 3) === 0 ? null : $chance->getInt(-40, 40) / 4,
                    ], range(0, $chance->getInt(1, 6)))),
                    1 => FormQuestion::whole((string) $number, $text, $chance->getInt(-20, 0), $chance->getInt(1, 500)),
                    default => FormQuestion::text("t.$number", $text),
                };
            }
            $form = new Form("Title $round", $round % 3 === 0 ? '' : 'Intro', $questions);
            $back = $this->read(QuestionnaireDocument::write($form));
            self::assertEquals($form, $back);
            self::assertSame($form->key(), $back->key());
            self::assertSame(20, strlen($form->key()));
            $stored = json_decode((string) json_encode($form->write()), true);
            self::assertIsArray($stored);
            self::assertSame($form->key(), Form::read($stored)->key(), 'also as it lies in a database');
        }
    }

    public function test_answers_are_written_by_what_was_chosen(): void
    {
        $form = new Form('T', '', [
            FormQuestion::choice('1', 'A?', [['label' => 'No', 'weight' => 0.0], ['label' => 'Yes', 'weight' => 2.0]]),
            FormQuestion::whole('2', 'B?', 0, 9), FormQuestion::text('3', 'C?'), FormQuestion::text('4', 'D?'),
        ]);
        self::assertSame([
            ['linkId' => '1', 'answer' => [['valueCoding' => ['extension' => [['url' => self::ORDINAL, 'valueDecimal' => 2.0]], 'code' => '1', 'display' => 'Yes']]]],
            ['linkId' => '2', 'answer' => [['valueInteger' => 0]]], ['linkId' => '3', 'answer' => [['valueString' => 'c']]],
        ], QuestionnaireDocument::answers($form, [1 => 1, 2 => 0, '3' => 'c']));
    }

    public function test_only_codes_that_are_certain_stand_beside_a_measure_and_its_unit_is_one_of_ucum(): void
    {
        foreach (Measure::cases() as $measure) {
            $code = MeasureCode::of($measure);
            if ($code->ucum !== null) {
                self::assertContains($code->ucum, ['/min', 's', '%', 'cm', 'deg', 'mm[Hg]', 'L/min']);
            }
        }
        self::assertSame('9279-1', (string) array_key_first(MeasureCode::of(Measure::RestingRate)->loinc));
        self::assertSame('8867-4', (string) array_key_first(MeasureCode::of(Measure::Pulse)->loinc));
        self::assertSame(['2708-6', '59408-5'], array_map(strval(...), array_keys(MeasureCode::of(Measure::Saturation)->loinc)));
        self::assertSame('8480-6', (string) array_key_first(MeasureCode::of(Measure::Systolic)->loinc));
        self::assertSame('8462-4', (string) array_key_first(MeasureCode::of(Measure::Diastolic)->loinc));
        self::assertSame([], MeasureCode::of(Measure::SaturationFall)->loinc, 'The lowest during a hold is none of a vital sign.');
        self::assertSame([], MeasureCode::ofScore('nijmegen')->loinc);
        self::assertSame('70274-6', (string) array_key_first(MeasureCode::ofScore('gad-7')->loinc));
        self::assertSame('69737-5', (string) array_key_first(MeasureCode::ofQuestionnaire('gad-7')->loinc));
    }

    /** @param  array<string, mixed>  $of */
    private function read(array $of): Form
    {
        [$form, $errors] = QuestionnaireReader::read((string) json_encode(['resourceType' => 'Questionnaire', ...$of]));
        self::assertSame([], $errors);

        return $form ?? self::fail('It is read.');
    }
}
