<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\ClinicFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use IvoryPace\Assessment\Reliabilities;
use IvoryPace\Calendar\AppointmentKind;
use IvoryPace\Calendar\Keeping;
use IvoryPace\Exercise\School;
use IvoryPace\Progress\Proposal\Thresholds;

/**
 * @property int $id
 * @property string $name
 * @property string $time_zone
 * @property string $emergency_wording
 * @property string|null $crisis_number whom to call with thoughts of suicide; nobody is screened before it is entered
 * @property array<string, mixed>|null $thresholds as typed
 * @property array<string, mixed>|null $reliabilities of questionnaires
 * @property string|null $telephone that patients tap
 * @property array<string, int>|null $appointment_minutes by kind, where they are not the usual ones
 * @property bool $calendar_initials of patients stand in calendars outside; else only that somebody comes
 * @property string|null $letter_head name and address as they stand above a letter; the clinic's name where there is none
 * @property string|null $letter_foot what stands under every letter
 * @property list<array{name: string, text: string}>|null $letter_blocks sentences for letters that are used again and again
 * @property int|null $keep_years after they were archived
 * @property int|null $keep_minors_until years of age
 * @property bool $demands_second_factor of everybody who works here
 * @property School $school with which a new programme begins
 */
final class Clinic extends Row
{
    /** @use HasFactory<ClinicFactory> */
    use HasFactory;

    protected $table = 'clinics';

    protected $attributes = ['demands_second_factor' => false, 'telephone' => null, 'keep_years' => null,
        'keep_minors_until' => null, 'calendar_initials' => true];

    /** @return HasMany<Practitioner, $this> */
    public function practitioners(): HasMany
    {
        return $this->hasMany(Practitioner::class);
    }

    /** From which numbers on something is proposed here. */
    public function thresholds(): Thresholds
    {
        return Thresholds::read($this->thresholds ?? [])[0] ?? new Thresholds;
    }

    /** What a change in a questionnaire is judged by here, where nothing is shipped. */
    public function reliabilities(): Reliabilities
    {
        return Reliabilities::read($this->reliabilities ?? [])[0];
    }

    /** How long records are kept; null while nobody has said it. */
    public function keeping(): ?Keeping
    {
        return $this->keep_years === null || $this->keep_minors_until === null
            ? null : Keeping::of($this->keep_years, $this->keep_minors_until);
    }

    /** How long an appointment takes here when nothing else is said. */
    public function minutesOf(AppointmentKind $kind): int
    {
        return $this->appointment_minutes[$kind->value] ?? $kind->usualMinutes();
    }

    /** @return list<array{name: string, text: string}> */
    public function letterBlocks(): array
    {
        return $this->letter_blocks ?? [];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'thresholds' => 'array', 'reliabilities' => 'array', 'appointment_minutes' => 'array', 'calendar_initials' => 'boolean',
            'letter_blocks' => 'array',
            'demands_second_factor' => 'boolean',
            'school' => School::class,
        ];
    }
}
