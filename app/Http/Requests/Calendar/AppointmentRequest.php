<?php

declare(strict_types=1);

namespace App\Http\Requests\Calendar;

use App\Models\Appointment;
use App\Models\Patient;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use IvoryPace\Calendar\AppointmentKind;
use IvoryPace\Calendar\ClockTime;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Series;
use IvoryPace\Calendar\Slot;

/** When somebody comes: times are the clinic's. What is not said is as it was, or as it is usual in this clinic. */
final class AppointmentRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'day' => ['required', 'date_format:Y-m-d'],
            'time' => ['required', 'date_format:H:i'],
            'kind' => ['nullable', Rule::enum(AppointmentKind::class)],
            'minutes' => ['nullable', 'integer', 'between:'.Slot::SHORTEST.','.Slot::LONGEST],
            'with' => ['nullable', 'integer', Rule::in($this->people())],
            'every' => ['nullable', 'integer', 'between:1,'.Series::MOST_WEEKS],
            'times' => ['nullable', 'integer', 'between:1,'.Series::MOST_TIMES],
            'later' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $minutes = 'Write '.Slot::SHORTEST.' to '.Slot::LONGEST.' minutes.';
        $weeks = 'Write a number of weeks, 1 to '.Series::MOST_WEEKS.'.';
        $times = 'Write how many there are, 1 to '.Series::MOST_TIMES.'.';

        return [
            'day.required' => 'Choose a day.',
            'day.date_format' => 'This is not a date; write it like 31 Jan 2027.',
            'time.required' => 'Choose a time.',
            'time.date_format' => 'Write the time like 10:30.',
            'kind' => 'Choose one of the list.',
            'with' => 'Choose somebody who works here.',
            'minutes' => $minutes, 'minutes.integer' => $minutes, 'minutes.between' => $minutes,
            'every' => $weeks, 'every.integer' => $weeks, 'every.between' => $weeks,
            'times' => $times, 'times.integer' => $times, 'times.between' => $times,
        ];
    }

    public function kind(AppointmentKind $else): AppointmentKind
    {
        return $this->enum('kind', AppointmentKind::class) ?? $else;
    }

    public function minutes(int $else): int
    {
        return $this->filled('minutes') ? $this->integer('minutes') : $else;
    }

    public function practitioner(Practitioner $else): Practitioner
    {
        return $this->filled('with') ? Practitioner::query()->findOrFail($this->integer('with')) : $else;
    }

    public function withLater(): bool
    {
        return $this->boolean('later');
    }

    /**
     * @return non-empty-list<CarbonImmutable> in UTC
     *
     * @throws ValidationException
     */
    public function starts(string $zone): array
    {
        $series = Series::of(
            PatientDay::of($this->string('day')->value()), ClockTime::parse($this->string('time')->value()),
            $this->filled('every') ? $this->integer('every') : 1, $this->filled('times') ? $this->integer('times') : 1,
        );
        $starts = array_map(
            fn ($at) => CarbonImmutable::instance($at)->utc(), $series->starts(CarbonImmutable::now($zone)->getTimezone()),
        );
        if ($starts[0]->isPast()) {
            throw ValidationException::withMessages(['day' => 'That time is over.']);
        }
        if ($starts[0]->isAfter(now()->addYear())) {
            throw ValidationException::withMessages(['day' => 'That is more than a year away.']);
        }

        return $starts;
    }

    /** @throws ValidationException */
    public function checkRoomFor(Patient $patient, int $more): void
    {
        if ($patient->archived_at !== null) {
            throw ValidationException::withMessages(['day' => 'This record is put away; bring it back first.']);
        }
        $ahead = Appointment::ahead()->where('patient_id', $patient->id)->count();
        if ($ahead + $more > Appointment::MOST_AHEAD) {
            throw ValidationException::withMessages(
                ['times' => "{$ahead} appointments are ahead already; a patient has at most ".Appointment::MOST_AHEAD.'.'],
            );
        }
    }

    /** @return list<int> who works here */
    private function people(): array
    {
        $clinic = $this->user('practitioner')?->clinic_id;

        return array_values(Practitioner::query()->where('clinic_id', $clinic)->whereNull('ended_at')->pluck('id')->map(
            fn (mixed $id) => is_numeric($id) ? (int) $id : 0,
        )->all());
    }
}
