<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Assessment;

use IvoryPace\Assessment\Form;
use IvoryPace\Assessment\FormQuestion;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FormTest extends TestCase
{
    private function form(): Form
    {
        $option = fn (string $label, ?float $weight): array => ['label' => $label, 'weight' => $weight];

        return new Form('T', '', [
            FormQuestion::choice('a', 'A?', [$option('never', 0.0), $option('often', 2.5), $option('cannot say', null)]),
            FormQuestion::choice('b', 'B?', [$option('bad', -1.0), $option('good', 3.0)]),
            FormQuestion::choice('c', 'C?', [$option('red', null), $option('blue', null)]),
            FormQuestion::whole('d', 'D?', 5, 9), FormQuestion::text('e', 'E?'),
        ]);
    }

    public function test_the_score_is_the_sum_of_what_was_chosen(): void
    {
        $form = $this->form();
        self::assertSame([-1.0, 5.5], [$form->lowest(), $form->highest()]);
        self::assertSame(5.5, $form->score(['a' => 1, 'b' => 1, 'c' => 0, 'd' => 5])->value);
        self::assertSame(-1.0, $form->score(['a' => 2, 'b' => 0])->value, 'Neither a colour nor a number counts.');
        self::assertNull($form->score(['a' => 1, 'c' => 1, 'd' => 7])->value, 'How a missing answer is made up for is not known.');
        self::assertSame(1, $form->score(['a' => 1, 'c' => 1, 'd' => 7])->missing);
        self::assertSame([0, 4], [$form->missing(['a' => 0, 'b' => 0, 'c' => 0, 'd' => 5]), $form->missing(['e' => 'x'])], 'Words may stay away.');
        $without = new Form('T', '', [FormQuestion::whole('d', 'D?', 5, 9)]);
        self::assertSame([null, null, null], [$without->lowest(), $without->highest(), $without->score(['d' => 6])->value]);
    }

    /** @return iterable<string, array{int, mixed, int|string|null}> place of the question, what is given, what is kept */
    public static function answers(): iterable
    {
        yield 'the first' => [0, 0, 0];
        yield 'the last' => [0, '2', 2];
        yield 'a yes' => [2, true, 1];
        yield 'a no' => [2, false, 0];
        yield 'none' => [0, null, null];
        yield 'nothing typed' => [3, '', null];
        yield 'the least' => [3, 5, 5];
        yield 'the most' => [3, '9', 9];
        yield 'words' => [4, "  two\nlines ", "two\nlines"];
        yield 'blanks' => [4, '   ', null];
        yield 'many words' => [4, str_repeat('ä', 1000), str_repeat('ä', 1000)];
    }

    #[DataProvider('answers')]
    public function test_an_answer_is_kept_as_it_was_meant(int $place, mixed $given, int|string|null $kept): void
    {
        self::assertSame($kept, $this->form()->questions[$place]->read($given));
    }

    /** @return iterable<string, array{int, mixed}> */
    public static function noAnswers(): iterable
    {
        yield 'one too many' => [0, 3];
        yield 'below' => [0, -1];
        yield 'a list' => [0, [0]];
        yield 'a word' => [0, 'never'];
        yield 'a half' => [0, 0.5];
        yield 'under the least' => [3, 4];
        yield 'over the most' => [3, 10];
        yield 'a number where words are' => [4, 7];
        yield 'too many words' => [4, str_repeat('x', 1001)];
    }

    #[DataProvider('noAnswers')]
    public function test_what_is_no_answer_is_refused(int $place, mixed $given): void
    {
        $this->expectException(InvalidValue::class);
        $this->form()->questions[$place]->read($given);
    }

    public function test_what_was_answered_is_said_in_words(): void
    {
        $questions = $this->form()->questions;
        self::assertSame(['often', '7', 'x'], [$questions[0]->said(1), $questions[3]->said(7), $questions[4]->said('x')]);
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>}> */
    public static function damages(): iterable
    {
        yield 'no title' => [fn (array $stored) => [...$stored, 'title' => '']];
        yield 'no questions' => [fn (array $stored) => [...$stored, 'questions' => []]];
        yield 'another kind' => [fn (array $stored) => array_replace_recursive($stored, ['questions' => [0 => ['kind' => 'date']]])];
        yield 'one answer' => [fn (array $stored) => array_replace($stored, ['questions' => [[...$stored['questions'][0], 'options' => [$stored['questions'][0]['options'][0]]]]])];
        yield 'more than is known' => [fn (array $stored) => [...$stored, 'more' => 1]];
        yield 'more points than can be kept' => [fn (array $stored) => array_replace_recursive($stored, ['questions' => [1 => ['options' => [0 => ['weight' => -10_000.0]]]]])];
        yield 'more questions than anybody answers' => [fn (array $stored) => [...$stored, 'questions' => array_fill(0, 101, $stored['questions'][4])]];
        yield 'no words' => [fn (array $stored) => array_replace_recursive($stored, ['questions' => [1 => ['text' => '']]])];
        yield 'limits in words' => [fn (array $stored) => array_replace_recursive($stored, ['questions' => [3 => ['least' => 'five']]])];
        yield 'an answer without words' => [fn (array $stored) => array_replace_recursive($stored, ['questions' => [0 => ['options' => [0 => ['label' => null]]]]])];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $damage */
    #[DataProvider('damages')]
    public function test_what_is_stored_reads_back_or_is_refused(callable $damage): void
    {
        $form = $this->form();
        self::assertEquals($form, Form::read($form->write()));
        $this->expectException(InvalidValue::class);
        Form::read($damage($form->write()));
    }

    public function test_the_same_questions_have_the_same_name_and_others_another(): void
    {
        self::assertSame($this->form()->key(), $this->form()->key());
        self::assertStringStartsWith(Form::PREFIX, $this->form()->key());
        self::assertNotSame($this->form()->key(), (new Form('T', 'x', $this->form()->questions))->key());
    }
}
