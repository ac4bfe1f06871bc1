<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use IvoryPace\Assessment\ScreeningQuestions;
use IvoryPace\Health\Flag;

final class ScreeningRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'answers' => ['present', 'array'],
            'answers.*' => ['boolean'],
            'ends_on' => ['sometimes', 'array'],
            'ends_on.*' => ['nullable', 'date_format:Y-m-d', 'after:yesterday'],
            'happened_on' => ['sometimes', 'array'],
            'happened_on.*' => ['nullable', 'date_format:Y-m-d', 'before:tomorrow'],
            'with_gas' => ['sometimes', 'boolean'],
            'pregnancy_weeks' => ['nullable', 'integer', 'between:1,42'],
            'confirms' => ['nullable', 'string', 'max:26'],
            'remark' => ['nullable', 'string', 'max:2000'],
            'corrects' => ['nullable', 'integer'],
            'correction_reason' => ['required_with:corrects', 'nullable', 'string', 'min:3', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'ends_on.*.date_format' => 'This is not a date; write it like 31 Jan 2027.',
            'ends_on.*.after' => 'The end has passed already; answer no instead.',
            'happened_on.*.date_format' => 'This is not a date; write it like 31 Oct 2026.',
            'happened_on.*.before' => 'This day is still to come.',
            'correction_reason.required_with' => 'Say what was answered by mistake, in a few words.',
            'correction_reason.min' => 'Say what was answered by mistake, in a few words.',
            'pregnancy_weeks.between' => 'Between 1 and 42 weeks.',
            'pregnancy_weeks.integer' => 'Whole weeks, between 1 and 42.',
        ];
    }

    /** @return array<string, bool> by question, unknown questions left out */
    public function answers(): array
    {
        $answers = [];
        foreach (ScreeningQuestions::keys() as $question) {
            // Questions contain dots, which the request would read as a path.
            $answer = $this->array('answers')[$question] ?? null;
            if ($answer !== null) {
                $answers[$question] = filter_var($answer, FILTER_VALIDATE_BOOL);
            }
        }

        return $answers;
    }

    /** @return array<string, string> by question: the day of an operation, a birth, a heart attack */
    public function happened(): array
    {
        $days = [];
        foreach ($this->recent() as $question => $flag) {
            $day = $this->array('happened_on')[$question] ?? null;
            if (is_string($day) && $day !== '') {
                $days[$question] = $day;
            }
        }

        return $days;
    }

    /**
     * When each flag comes to its end: as typed, or so many weeks after the day it happened.
     *
     * @return array<string, string|null> by question
     *
     * @throws ValidationException when a day is missing, or is longer ago than it counts
     */
    public function endDates(string $today): array
    {
        $ends = array_map(fn ($date) => is_string($date) ? $date : null, $this->array('ends_on'));
        $problems = [];
        $happened = $this->happened();
        foreach ($this->recent() as $question => $flag) {
            $weeks = (int) $flag->recentWeeks($this->boolean('with_gas'));
            if (! isset($happened[$question])) {
                $problems += $flag->needsItsDay()
                    ? ["happened_on.$question" => "When was it? The day sets for how long it counts, here $weeks weeks."]
                    : [];

                continue;
            }
            $end = CarbonImmutable::parse($happened[$question])->addWeeks($weeks)->format('Y-m-d');
            if ($end < $today && ($ends[$question] ?? '') === '') {
                $problems["happened_on.$question"] = "That is more than $weeks weeks ago: answer no, or say until when it counts.";
            }
            $ends[$question] = ($ends[$question] ?? '') === '' ? $end : $ends[$question];
        }
        if ($problems !== []) {
            throw ValidationException::withMessages($problems);
        }

        return $ends;
    }

    /** @return array<string, Flag> by question: what was answered yes and counts for a time from its day on */
    private function recent(): array
    {
        $answers = $this->answers();
        $recent = [];
        foreach (Flag::asked() as $flag) {
            if ($flag->recentWeeks() !== null && ($answers[ScreeningQuestions::flagKey($flag)] ?? false)) {
                $recent[ScreeningQuestions::flagKey($flag)] = $flag;
            }
        }

        return $recent;
    }
}
