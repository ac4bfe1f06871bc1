<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use App\Models\Casts\SealedList;
use Carbon\CarbonImmutable;
use Database\Factories\PatientFactory;
use DateTimeImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;

/**
 * @property string $id
 * @property int $clinic_id
 * @property int $practitioner_id
 * @property string $name
 * @property CarbonImmutable $birth_date
 * @property string $time_zone
 * @property string $locale in which the patient is spoken to
 * @property string $day_start
 * @property string|null $contact
 * @property bool $mails_appointments wishes messages about appointments
 * @property bool $mails_practice and to be reminded of practising
 * @property int|null $minutes_a_day
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable|null $archived_at
 * @property string|null $archive_reason
 * @property string|null $joined_into the record that took its rows
 * @property Clinic $clinic
 * @property Practitioner $practitioner
 * @property Screening|null $latestScreening
 * @property int|null $own_low_saturation lower end of the patient's own normal range, %
 * @property Collection<int, RaisedRedFlag> $openRedFlags
 * @property Collection<int, NewFinding> $newFindings
 * @property array<mixed>|null $checked_facts what the rules last knew; null until they have looked
 * @property Programme|null $activeProgramme
 * @property Programme|null $lastClosedProgramme
 */
final class Patient extends Row
{
    /** @use HasFactory<PatientFactory> */
    use HasFactory, HasUlids;

    protected $table = 'patients';

    protected $attributes = [
        'mails_appointments' => false, 'mails_practice' => false, 'archived_at' => null, 'archive_reason' => null, 'joined_into' => null,
    ];

    /** Scope that leaves out what was joined into another record. */
    public const OWN = 'own';

    protected static function booted(): void
    {
        self::addGlobalScope(self::OWN, fn (Builder $patients) => $patients->whereNull($patients->qualifyColumn('joined_into')));
    }

    /** An address of a record that was joined into another leads on. */
    public function resolveRouteBinding($value, $field = null): ?self
    {
        $found = self::query()->withoutGlobalScope(self::OWN)->where($field ?? 'id', $value)->first();

        return $found?->joined_into === null ? $found : self::query()->find($found->joined_into);
    }

    /** @return BelongsTo<Clinic, $this> */
    public function clinic(): BelongsTo
    {
        return $this->belongsTo(Clinic::class);
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return HasMany<Screening, $this> */
    public function screenings(): HasMany
    {
        return $this->hasMany(Screening::class);
    }

    /** @return HasOne<Screening, $this> */
    public function latestScreening(): HasOne
    {
        return $this->hasOne(Screening::class)->latestOfMany();
    }

    /** @return HasOne<Programme, $this> */
    public function activeProgramme(): HasOne
    {
        return $this->hasOne(Programme::class)->whereNull('closed_on')->whereHas('versions');
    }

    /** @return HasMany<Programme, $this> that is not closed, with or without a version that stands */
    public function openProgramme(): HasMany
    {
        return $this->programmes()->whereNull('closed_on')->whereHas('versions');
    }

    /** @return HasMany<CareSession, $this> */
    public function openSession(): HasMany
    {
        return $this->careSessions()->whereNull('closed_at');
    }

    /** @return HasMany<Programme, $this> */
    public function programmes(): HasMany
    {
        return $this->hasMany(Programme::class);
    }

    /** @return HasOne<Programme, $this> */
    public function lastClosedProgramme(): HasOne
    {
        return $this->hasOne(Programme::class)->whereNotNull('closed_on')->orderByDesc('closed_on')->orderByDesc('id');
    }

    /** @return HasMany<Practice, $this> */
    public function practices(): HasMany
    {
        return $this->hasMany(Practice::class);
    }

    /** @return HasMany<Pause, $this> */
    public function pauses(): HasMany
    {
        return $this->hasMany(Pause::class);
    }

    /** @return HasMany<Device, $this> */
    public function devices(): HasMany
    {
        return $this->hasMany(Device::class);
    }

    /** @return HasMany<AccessLink, $this> */
    public function accessLinks(): HasMany
    {
        return $this->hasMany(AccessLink::class);
    }

    /** @return HasMany<RaisedRedFlag, $this> of which nobody has said that it may go on */
    public function openRedFlags(): HasMany
    {
        return $this->redFlags()->whereDoesntHave('actions', fn ($actions) => $actions->where('outcome', RedFlagAction::MAY_GO_ON));
    }

    /** @return HasMany<RaisedRedFlag, $this> */
    public function redFlags(): HasMany
    {
        return $this->hasMany(RaisedRedFlag::class)->orderBy('id');
    }

    /** @return HasMany<AskedForm, $this> */
    public function askedForms(): HasMany
    {
        return $this->hasMany(AskedForm::class);
    }

    /** @return HasMany<NewFinding, $this> that nobody has looked at */
    public function newFindings(): HasMany
    {
        return $this->hasMany(NewFinding::class)->whereNull('settled_at')->orderBy('id');
    }

    /** @return HasMany<CareSession, $this> also those that were dropped */
    public function everySession(): HasMany
    {
        return $this->hasMany(CareSession::class);
    }

    /** @return HasMany<CareSession, $this> */
    public function careSessions(): HasMany
    {
        return $this->everySession()->whereNull('dropped_at');
    }

    /** @return HasMany<ChosenSymptom, $this> */
    public function symptoms(): HasMany
    {
        return $this->hasMany(ChosenSymptom::class)->whereNull('dropped_at')->orderBy('id');
    }

    /** @return HasMany<DiaryEntry, $this> */
    public function diary(): HasMany
    {
        return $this->hasMany(DiaryEntry::class);
    }

    /** @return HasMany<HabitTick, $this> */
    public function ticks(): HasMany
    {
        return $this->hasMany(HabitTick::class);
    }

    /** @return HasMany<PutOffPractice, $this> */
    public function putOffs(): HasMany
    {
        return $this->hasMany(PutOffPractice::class);
    }

    /** @return HasMany<HomeCheck, $this> */
    public function homeChecks(): HasMany
    {
        return $this->hasMany(HomeCheck::class);
    }

    /** @return HasMany<KeptAside, $this> */
    public function keptAside(): HasMany
    {
        return $this->hasMany(KeptAside::class)->whereNull('settled_at');
    }

    /** @return HasMany<Handover, $this> */
    public function handovers(): HasMany
    {
        return $this->hasMany(Handover::class);
    }

    /** @return HasMany<Letter, $this> that were signed */
    public function letters(): HasMany
    {
        return $this->hasMany(Letter::class);
    }

    /** @return HasMany<LetterDraft, $this> */
    public function letterDrafts(): HasMany
    {
        return $this->hasMany(LetterDraft::class);
    }

    public function clock(): PatientClock
    {
        return PatientClock::in($this->time_zone, $this->day_start);
    }

    /** The first e-mail address that stands under contact; null where there is none. */
    public function email(): ?string
    {
        foreach (preg_split('/[\s,;<>]+/', (string) $this->contact) ?: [] as $word) {
            if (filter_var($word, FILTER_VALIDATE_EMAIL) !== false) {
                return $word;
            }
        }

        return null;
    }

    public function dayOf(DateTimeImmutable $instant): PatientDay
    {
        return $this->clock()->dayOf($instant);
    }

    public function ageOn(PatientDay $day): int
    {
        return (int) $this->birth_date->diffInYears(CarbonImmutable::parse($day->date));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'birth_date' => 'immutable_date', 'contact' => Sealed::class, 'checked_facts' => SealedList::class,
            'created_at' => 'immutable_datetime', 'mails_appointments' => 'boolean', 'mails_practice' => 'boolean',
            'archived_at' => 'immutable_datetime', 'archive_reason' => Sealed::class,
        ];
    }
}
