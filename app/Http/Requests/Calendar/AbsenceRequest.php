<?php

declare(strict_types=1);

namespace App\Http\Requests\Calendar;

use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** From when until when somebody is away; without times, whole days and the last one included. Times are the clinic's. */
final class AbsenceRequest extends FormRequest
{
    private const MOST_DAYS = 400;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $works = Rule::exists('practitioners', 'id')->where('clinic_id', $this->user('practitioner')?->clinic_id)->whereNull('ended_at');

        return [
            'who' => ['required', 'integer', $works],
            'from_day' => ['required', 'date_format:Y-m-d'], 'from_time' => ['nullable', 'date_format:H:i'],
            'to_day' => ['required', 'date_format:Y-m-d'], 'to_time' => ['nullable', 'date_format:H:i'],
            'reason' => ['nullable', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'who' => 'Choose somebody who works here.', 'who.*' => 'Choose somebody who works here.',
            '*_day.required' => 'Choose a day.', '*_day.date_format' => 'This is not a date; write it like 31 Jan 2027.',
            '*_time.date_format' => 'Write the time like 10:30, or nothing for the whole day.',
            'reason.max' => 'At most 60 characters.',
        ];
    }

    public function who(): Practitioner
    {
        return Practitioner::query()->findOrFail($this->integer('who'));
    }

    public function reason(): ?string
    {
        return $this->string('reason')->trim()->value() ?: null;
    }

    /**
     * @return array{CarbonImmutable, CarbonImmutable} in UTC
     *
     * @throws ValidationException
     */
    public function fromTo(string $zone): array
    {
        $at = fn (string $end) => CarbonImmutable::parse(
            $this->string("{$end}_day")->value().' '.($this->string("{$end}_time")->value() ?: '00:00'), $zone,
        );
        $from = $at('from');
        $to = $this->filled('to_time') ? $at('to') : $at('to')->addDay();
        if ($to <= $from) {
            throw ValidationException::withMessages(['to_day' => 'The end has to come after the beginning.']);
        }
        if ($from->diffInDays($to) > self::MOST_DAYS || abs($from->diffInDays(now())) > self::MOST_DAYS) {
            throw ValidationException::withMessages(['to_day' => 'That is more than '.self::MOST_DAYS.' days.']);
        }

        return [$from->utc(), $to->utc()];
    }
}
