<?php

declare(strict_types=1);

namespace App\Pages\Week;

use App\Models\Absence;
use App\Models\Appointment;
use App\Models\Clinic;
use App\Models\Patient;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use IvoryPace\Calendar\AppointmentKind;

/** The clinic's days from a Monday to a Sunday, by person. Minutes are those of the wall clock of the clinic. */
final class WeekPage
{
    private const MOST = 600;

    /** More people than this would not fit: then one begins with one's own. */
    public const EVERYBODY = 6;

    private const DAY_MINUTES = 1440;

    /** @var Collection<int, Practitioner> who works here, and who did in this week */
    private readonly Collection $people;

    /** @var list<int> whose days are shown */
    private readonly array $shown;

    private function __construct(
        private readonly Clinic $clinic,
        private readonly CarbonImmutable $monday,
        private readonly CarbonImmutable $now,
        private readonly Practitioner $me,
        private readonly string $asked,
    ) {
        $this->people = Practitioner::query()->where('clinic_id', $clinic->id)->where(
            fn (Builder $there) => $there->whereNull('ended_at')->orWhereIn('id', $this->inWeek()->select('practitioner_id')),
        )->orderBy('name')->limit(self::MOST)->get();
        $this->shown = $this->whose() === 'everyone' ? $this->ids() : [(int) $this->whose()];
    }

    /**
     * @param  string  $week  any day of it, like 2026-12-02; what is no day is this week
     * @param  string  $whose  "everyone", or whose by number; else as fits the size of the clinic
     * @return array<string, mixed>
     */
    public static function of(Practitioner $me, string $week, string $whose, CarbonImmutable $now): array
    {
        $here = $now->setTimezone($me->clinic->time_zone);
        $day = preg_match('/^\d{4}-\d{2}-\d{2}$/D', $week) === 1 && checkdate(
            (int) substr($week, 5, 2), (int) substr($week, 8, 2), (int) substr($week, 0, 4),
        ) ? CarbonImmutable::parse($week, $here->timezone) : $here;

        return (new self($me->clinic, $day->startOfWeek(CarbonImmutable::MONDAY)->startOfDay(), $here, $me, $whose))->props();
    }

    /** @return array<string, mixed> */
    private function props(): array
    {
        return [
            'monday' => $this->monday->format('Y-m-d'), 'number' => (int) $this->monday->format('W'),
            'before' => $this->monday->subWeek()->format('Y-m-d'), 'after' => $this->monday->addWeek()->format('Y-m-d'),
            'is_now' => $this->monday->equalTo($this->now->startOfWeek(CarbonImmutable::MONDAY)->startOfDay()),
            'days' => array_map($this->day(...), range(0, 6)),
            'people' => array_values(
                $this->people->map(fn (Practitioner $each) => [
                    'id' => $each->id, 'name' => $each->name, 'works' => $each->ended_at === null,
                    'shown' => in_array($each->id, $this->shown, true),
                ])->all(),
            ),
            'whose' => $this->whose(), 'me' => $this->me->id,
            'appointments' => $this->appointments(), 'absences' => $this->absences(),
            'now' => ['day' => $this->now->format('Y-m-d'), 'minute' => $this->minute($this->now)],
            'kinds' => array_map(fn (AppointmentKind $kind) => [
                'value' => $kind->value, 'label' => $kind->label(), 'minutes' => $this->clinic->minutesOf($kind),
            ], AppointmentKind::cases()),
        ];
    }

    /** @return list<int> */
    private function ids(): array
    {
        return array_values($this->people->map(fn (Practitioner $each) => $each->id)->all());
    }

    private function whose(): string
    {
        return match (true) {
            $this->asked === 'everyone' => 'everyone',
            in_array($this->asked, array_map(strval(...), $this->ids()), true) => $this->asked,
            count($this->ids()) > self::EVERYBODY => (string) $this->me->id,
            default => 'everyone',
        };
    }

    /** @return array{date: string, name: string, day: string, is_today: bool} */
    private function day(int $at): array
    {
        $day = $this->monday->addDays($at);

        return [
            'date' => $day->format('Y-m-d'), 'name' => $day->format('D'), 'day' => $day->format('j M'),
            'is_today' => $day->isSameDay($this->now),
        ];
    }

    /** @return Builder<Appointment> */
    private function inWeek(): Builder
    {
        return Appointment::query()->whereNull('cancelled_at')->where('starts_at', '>=', $this->monday->utc())
            ->where('starts_at', '<', $this->monday->addWeek()->utc());
    }

    /** @return list<array<string, mixed>> by time */
    private function appointments(): array
    {
        $rows = $this->inWeek()->with('patient')->whereIn('practitioner_id', $this->shown)->orderBy('starts_at')
            ->orderBy('id')->limit(self::MOST)->get();
        $namesakes = $this->namesakes($rows);

        return array_values($rows->map(function (Appointment $each) use ($namesakes) {
            $at = $each->starts_at->setTimezone($this->monday->timezone);

            return [
                'id' => $each->id, 'patient' => $each->patient_id, 'name' => $each->patient->name,
                'born' => in_array($each->patient->name, $namesakes, true) ? $each->patient->birth_date->format('j M Y') : null,
                'day' => $at->format('Y-m-d'), 'time' => $at->format('H:i'), 'minute' => $this->minute($at),
                'minutes' => $each->minutes, 'kind' => $each->kind->value, 'practitioner' => $each->practitioner_id,
                'in_series' => $each->series !== null, 'is_over' => $each->starts_at <= $this->now,
            ];
        })->all());
    }

    /**
     * @param  Collection<int, Appointment>  $rows
     * @return list<string> names of these that more than one patient of the clinic has
     */
    private function namesakes(Collection $rows): array
    {
        $names = array_unique($rows->map(fn (Appointment $each) => $each->patient->name)->all());

        return array_values(Patient::query()->where('clinic_id', $this->clinic->id)->whereIn('name', $names)->whereNull('joined_into')
            ->groupBy('name')->havingRaw('count(*) > 1')->pluck('name')
            ->map(fn (mixed $name) => is_string($name) ? $name : '')->all());
    }

    /** @return list<array<string, mixed>> one for each day that it touches */
    private function absences(): array
    {
        $rows = Absence::query()->whereIn('practitioner_id', $this->shown)->where('starts_at', '<', $this->monday->addWeek()->utc())
            ->where('ends_at', '>', $this->monday->utc())->orderBy('starts_at')->limit(self::MOST)->get();
        $all = [];
        foreach ($rows as $each) {
            for ($at = 0; $at < 7; $at++) {
                $day = $this->monday->addDays($at);
                if ($each->starts_at < $day->addDay() && $each->ends_at > $day) {
                    $all[] = [
                        'id' => $each->id, 'practitioner' => $each->practitioner_id, 'day' => $day->format('Y-m-d'),
                        'from' => $each->starts_at <= $day ? 0 : $this->minute($each->starts_at),
                        'to' => $each->ends_at >= $day->addDay() ? self::DAY_MINUTES : $this->minute($each->ends_at),
                        'reason' => $each->reason,
                    ];
                }
            }
        }

        return $all;
    }

    private function minute(CarbonImmutable $at): int
    {
        $here = $at->setTimezone($this->monday->timezone);

        return $here->hour * 60 + $here->minute;
    }
}
