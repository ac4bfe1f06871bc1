<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Actions\Access\MakeAccessLink;
use App\Actions\Access\RegisterDevice;
use App\Actions\Assessment\ActOnRedFlag;
use App\Actions\Assessment\AnswerForm;
use App\Actions\Assessment\AskForm;
use App\Actions\Assessment\CompleteScreening;
use App\Actions\Assessment\StoreMeasurement;
use App\Actions\Calendar\BookAppointments;
use App\Actions\Practice\PutOff;
use App\Actions\Practice\StoreHomeCheck;
use App\Actions\Practice\StorePractice;
use App\Actions\Practice\WriteDiary;
use App\Actions\Programme\AnswerProposal;
use App\Actions\Programme\CloseProgramme;
use App\Actions\Programme\EndPause;
use App\Actions\Programme\IssueVersion;
use App\Actions\Session\BeginSession;
use App\Actions\Session\SignNote;
use App\Device\Outbox\KeepAside;
use App\Facts\MaintenanceOf;
use App\Facts\Sent;
use App\Language\ConsentText;
use App\Models\AskedForm;
use App\Models\ChosenSymptom;
use App\Models\Consent;
use App\Models\Device;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\RedFlagAction;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use IvoryPace\Assessment\Measure;
use IvoryPace\Assessment\ScreeningQuestions;
use IvoryPace\Calendar\AppointmentKind;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Health\RedFlag;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Practice\DuePractices;
use IvoryPace\Practice\DueSlot;
use IvoryPace\Practice\NotToday;
use IvoryPace\Programme\Outcome;
use IvoryPace\Programme\VersionOrder;
use IvoryPace\Progress\Maintenance;
use IvoryPace\Progress\Proposal\ProposalKind;
use LogicException;

/** One invented patient, played through the real rules: every step goes the way that it goes in the application. */
final class InventedPatient
{
    private Patient $patient;

    private ?Device $device = null;

    private int $issued = 0;

    /** @param  array<string, mixed>  $attributes */
    public function __construct(private readonly Practitioner $by, int $daysAgo, array $attributes)
    {
        $this->patient = $this->at($daysAgo, '10:00', fn () => Patient::query()->create([
            'clinic_id' => $by->clinic_id, 'practitioner_id' => $by->id, 'time_zone' => $by->clinic->time_zone, 'day_start' => '04:00',
            ...$attributes,
        ]));
    }

    /**
     * @param  list<string>  $yes  questions answered with yes
     * @param  array<string, string>  $endDates
     */
    public function screened(int $daysAgo, array $yes = [], ?int $weeks = null, array $endDates = []): self
    {
        $answers = array_fill_keys(ScreeningQuestions::keys(), false);
        foreach ($yes as $question) {
            $answers[$question] = true;
        }
        $this->at($daysAgo, '10:10', fn () => app(CompleteScreening::class)($this->patient, $this->by, $answers, $endDates, $weeks));

        return $this;
    }

    public function redFlagActed(int $daysAgo, RedFlag $flag, string $action): self
    {
        $this->at($daysAgo, '10:15', function () use ($flag, $action) {
            $raised = $this->patient->openRedFlags()->where('flag', $flag)->firstOrFail();
            app(ActOnRedFlag::class)($this->patient, $raised, $this->by, $action, RedFlagAction::MAY_GO_ON, null);
        });

        return $this;
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  array<string, string>  $findingReasons
     * @param  list<array<string, mixed>>  $also  further exercises
     * @param  array<string, mixed>  $goal
     */
    public function issued(
        int $daysAgo,
        array $fields,
        int $weeks = 6,
        int $reviewAfter = 14,
        string $symptom = 'tension',
        ?string $reason = null,
        array $findingReasons = [],
        array $also = [],
        array $goal = [],
    ): self {
        $this->at($daysAgo, '10:40', function () use ($fields, $weeks, $reviewAfter, $symptom, $reason, $findingReasons, $also, $goal) {
            $today = $this->patient->dayOf(CarbonImmutable::now());
            app(IssueVersion::class)($this->patient, $this->by, new VersionOrder(
                items: [$fields, ...$also], weeks: $weeks, reviewOn: $today->plusDays($reviewAfter)->date,
                startsOn: $today->date, ratedSymptom: $symptom, reason: $reason, basedOn: $this->issued,
                findingReasons: $findingReasons === [] ? [] : [$findingReasons], goal: $goal,
            ));
            $this->issued++;
        });

        return $this;
    }

    /** @param  array<string, mixed>  $reading */
    public function measured(int $daysAgo, Measure $measure, array $reading, string $position = 'seated'): self
    {
        $this->at(
            $daysAgo, '10:20',
            fn () => app(StoreMeasurement::class)(
                $this->patient, $this->by, ['measure' => $measure->value, 'position' => $position, 'sure' => true, ...$reading],
            ),
        );

        return $this;
    }

    /** @param  list<int>  $answers  in order */
    public function answered(int $daysAgo, string $form, array $answers): self
    {
        $this->at($daysAgo, '10:30', function () use ($form, $answers) {
            $asked = app(AskForm::class)($this->patient, $this->by, $form, 'room');
            app(AnswerForm::class)($asked, array_combine(range(1, count($answers)), $answers), true);
        });

        return $this;
    }

    public function rates(int $daysAgo, string $symptom, int $value): self
    {
        $this->at($daysAgo, '10:25', function () use ($symptom, $value) {
            $chosen = ChosenSymptom::query()->firstOrCreate(['patient_id' => $this->patient->id, 'name' => $symptom]);
            app(StoreMeasurement::class)(
                $this->patient, $this->by,
                ['measure' => Measure::Symptom->value, 'symptom' => $chosen->id, 'value' => $value, 'position' => 'seated'],
            );
        });

        return $this;
    }

    public function sessionSigned(int $daysAgo, string $note): self
    {
        $session = $this->at($daysAgo, '10:05', fn () => app(BeginSession::class)($this->patient, $this->by));
        $this->at($daysAgo, '10:55', fn () => app(SignNote::class)($session, $this->by, $note));

        return $this;
    }

    /**
     * The patient sends the screening from home; nobody has confirmed it yet.
     *
     * @param  list<string>  $yes
     */
    public function answeredAtHome(int $daysAgo, array $yes): self
    {
        $this->at($daysAgo, '19:40', function () use ($yes) {
            $asked = app(AskForm::class)($this->patient, $this->by, AskedForm::SCREENING, 'device');
            app(AnswerForm::class)($asked, array_fill_keys($yes, 1) + array_fill_keys(ScreeningQuestions::keysForPatients(), 0), true);
        });

        return $this;
    }

    public function invited(int $daysAgo): self
    {
        $this->at($daysAgo, '10:50', fn () => (new MakeAccessLink)($this->patient, $this->by));

        return $this;
    }

    public function joined(int $daysAgo, string $device = 'Phone'): self
    {
        $this->at($daysAgo, '11:30', function () use ($device) {
            $link = (new MakeAccessLink)($this->patient, $this->by);
            [$made] = (app(RegisterDevice::class))('token_hash', hash('sha256', $link['token']), $device) ?? [null];
            $this->device = $made;
            Consent::query()->create([
                'patient_id' => $this->patient->id, 'device_id' => $made?->id, 'kind' => 'accepted',
                'version' => ConsentText::VERSION, 'text_hash' => ConsentText::hash($this->patient->clinic), 'given_at' => now(),
            ]);
            $made?->update(['pin' => (string) random_int(10_000_000, 99_999_999)]);
        });

        return $this;
    }

    /**
     * Practises day after day. The chance of doing a due practice, and the ratings, drift from start to end.
     *
     * @param  array{float, float}  $chance
     * @param  array{float, float}  $before  0–10, likewise effort
     * @param  array{float, float}  $effort
     * @param  array<int, string>  $remarks  by days ago
     * @param  bool  $smooth  every practice, and in full
     */
    public function practised(
        int $fromDaysAgo,
        int $toDaysAgo,
        array $chance = [0.9, 0.9],
        array $before = [6, 4],
        array $effort = [4, 2],
        array $remarks = [],
        bool $smooth = false,
    ): self {
        for ($daysAgo = $fromDaysAgo; $daysAgo >= $toDaysAgo; $daysAgo--) {
            $this->chanceOf('practice', $daysAgo);
            $share = $fromDaysAgo === $toDaysAgo ? 1.0 : ($fromDaysAgo - $daysAgo) / ($fromDaysAgo - $toDaysAgo);
            $mix = fn (array $range) => $range[0] + ($range[1] - $range[0]) * $share;
            foreach ($this->slots($daysAgo) as $slot) {
                if (mt_rand() / mt_getrandmax() >= $mix($chance) || $slot->closesAt > CarbonImmutable::now()) {
                    continue;
                }
                $rated = self::rating($mix($before) + mt_rand(-10, 10) / 10);
                $this->log($slot, [
                    'before' => $rated,
                    'after' => self::rating($rated - mt_rand(0, 25) / 10),
                    'effort' => self::rating($mix($effort) + mt_rand(-10, 10) / 10),
                    'smooth' => $smooth
                        ? 'yes'
                        : ['yes', 'yes', 'yes', 'yes', 'partly', 'no'][min(5, (int) (mt_rand(0, 50) / 10 * (1.2 - 0.6 * $share)))],
                    'remark' => $remarks[$daysAgo] ?? null,
                ], ! $smooth && mt_rand(0, 24) === 0 ? 0.5 : 1.0);
                unset($remarks[$daysAgo]);
            }
        }

        return $this;
    }

    /**
     * Writes in the diary on most days; ratings and sleep drift from start to end.
     *
     * @param  array{float, float}  $symptom  0–10, likewise sleep
     * @param  array{float, float}  $sleep
     * @param  array<int, string>  $lines  by days ago
     */
    public function wrote(int $fromDaysAgo, int $toDaysAgo, array $symptom, array $sleep, array $lines = []): self
    {
        $chosen = $this->patient->symptoms()->first();
        $device = $this->device ?? throw new LogicException('Only a patient who has joined writes.');
        for ($daysAgo = $fromDaysAgo; $daysAgo >= $toDaysAgo; $daysAgo--) {
            $this->chanceOf('diary', $daysAgo);
            if (mt_rand(0, 9) < 2 && ! isset($lines[$daysAgo])) {
                continue;
            }
            $share = ($fromDaysAgo - $daysAgo) / max(1, $fromDaysAgo - $toDaysAgo);
            $rating = fn (array $range): int => self::rating($range[0] + ($range[1] - $range[0]) * $share + mt_rand(-8, 8) / 10);
            $this->at($daysAgo, '06:00', fn () => app(WriteDiary::class)(
                $device, $this->patient->dayOf(CarbonImmutable::now())->date, $chosen === null ? [] : [$chosen->id => $rating($symptom)],
                $rating($sleep), $lines[$daysAgo] ?? null, CarbonImmutable::now(),
            ));
        }

        return $this;
    }

    /** Taps a minute at home at about this rate. */
    public function tapped(int $daysAgo, float $rate): self
    {
        $this->chanceOf('taps', $daysAgo);
        $taps = [0];
        while (end($taps) < 56_000) {
            $taps[] = (int) round(end($taps) + 60_000 / $rate * mt_rand(92, 108) / 100);
        }
        $this->at(
            $daysAgo, '08:30',
            fn () => $this->device === null
                ? null
                : app(StoreHomeCheck::class)($this->device, (string) Str::uuid(), $taps, CarbonImmutable::now()),
        );

        return $this;
    }

    /** Leans forward in a bad moment, until breath is back. */
    public function recovered(int $daysAgo, int $seconds): self
    {
        $this->at($daysAgo, '15:10', function () use ($seconds) {
            $now = CarbonImmutable::now();
            $version = $this->patient->activeProgramme()->with('versions.items')->first()?->versionOn($this->patient->dayOf($now));
            $row = $version?->items->first(fn ($item) => $item->item()->isRecovery());
            if ($this->device !== null && $version !== null && $row !== null) {
                app(StorePractice::class)($this->device, [
                    'uuid' => (string) Str::uuid(), 'version_id' => $version->id, 'lineage' => $row->lineage,
                    'started_at' => $now->subSeconds($seconds + 5)->toIso8601ZuluString(), 'ended_at' => $now->toIso8601ZuluString(),
                    'breaths_done' => 0, 'seconds_done' => $seconds, 'recovered_after_s' => $seconds,
                ], new Sent($now, $now));
            }
        });

        return $this;
    }

    /** Says "not today" to the last practice of a day. */
    public function putOff(int $daysAgo, NotToday $reason): self
    {
        $slots = $this->slots($daysAgo);
        $slot = end($slots);
        if ($slot !== false && $this->device !== null) {
            $device = $this->device;
            $this->at($daysAgo, '20:00', fn () => app(PutOff::class)($device, [
                'day' => $this->patient->dayOf(CarbonImmutable::now())->date, 'lineage' => $slot->lineage, 'anchor' => $slot->anchor->value,
                'reason' => $reason->value,
            ], CarbonImmutable::now()));
        }

        return $this;
    }

    public function stopped(int $daysAgo, StopSymptom $symptom, float $share, ?string $remark = null): self
    {
        $slots = $this->slots($daysAgo);
        $slot = end($slots);
        if ($slot !== false) {
            $this->log(
                $slot,
                ['before' => 6, 'remark' => $remark, 'stop_class' => $symptom->stopClass()->value, 'stop_symptom' => $symptom->value],
                $share,
            );
        }

        return $this;
    }

    public function lookedAt(int $daysAgo, string $found): self
    {
        $this->at($daysAgo, '12:00', function () use ($found) {
            foreach ($this->patient->pauses()->goingOn()->get() as $pause) {
                app(EndPause::class)($this->patient, $pause, $this->by, $found);
            }
        });

        return $this;
    }

    /** The programme is closed with its outcome. */
    public function ended(int $daysAgo, Outcome $outcome, ?string $note): self
    {
        $this->at($daysAgo, '11:00', fn () => app(CloseProgramme::class)($this->patient, $this->by, $outcome, $note));

        return $this;
    }

    /** What the closed programme reached is kept up, as the Bench suggests. */
    public function keptUp(int $daysAgo): self
    {
        $this->at($daysAgo, '11:10', function () {
            $now = CarbonImmutable::now();
            $closed = $this->patient->refresh()->lastClosedProgramme()->with('versions.items')->firstOrFail();
            $today = $this->patient->dayOf($now);
            app(IssueVersion::class)($this->patient, $this->by, new VersionOrder(
                items: MaintenanceOf::items($this->patient, $closed, $now), weeks: 0,
                reviewOn: $today->plusDays(Maintenance::REVIEW_DAYS)->date, startsOn: $today->date,
                ratedSymptom: $closed->latestVersion()->rated_symptom ?? 'tension', reason: null, basedOn: 0, maintenance: true,
            ));
            $this->issued = 1;
        });

        return $this;
    }

    /** What is proposed for the first exercise is declined. */
    public function declined(int $daysAgo, ProposalKind $kind, string $reason): self
    {
        $this->at($daysAgo, '23:50', function () use ($kind, $reason) {
            $latest = $this->patient->refresh()->activeProgramme()->with('versions.items')->firstOrFail()->latestVersion();
            app(AnswerProposal::class)->decline(
                $this->patient, $this->by, (string) $latest?->items->first()?->lineage, $kind, $latest->number ?? 0, $reason,
            );
        });

        return $this;
    }

    /** An appointment, so many days from now. */
    public function comes(int $inDays, string $time): self
    {
        $at = CarbonImmutable::now($this->by->clinic->time_zone)->addDays($inDays)->setTimeFromTimeString($time);
        app(BookAppointments::class)($this->patient, $this->by, [$at->utc()], AppointmentKind::Review, 45);

        return $this;
    }

    public function signedOut(int $daysAgo): self
    {
        $this->at($daysAgo, '12:00', fn () => $this->device?->update(['revoked_at' => now()]));

        return $this;
    }

    /** A signed-out device sends a practice that it still had. */
    public function sentAfterAll(int $daysAgo): self
    {
        $slots = $this->slots($daysAgo + 1);
        $version = $this->patient->activeProgramme?->latestVersion();
        if (isset($slots[0]) && $version !== null && $this->device !== null) {
            $device = $this->device;
            $start = CarbonImmutable::instance($slots[0]->opensAt)->addMinutes(20)->utc();
            $id = (string) Str::uuid();
            $this->at($daysAgo, '18:00', fn () => app(KeepAside::class)($device, $id, 'practice', [
                'uuid' => $id, 'version_id' => $version->id, 'lineage' => $slots[0]->lineage, 'anchor' => $slots[0]->anchor->value,
                'started_at' => $start->format('Y-m-d\TH:i:s.v\Z'),
                'ended_at' => $start->addMinutes(4)->format('Y-m-d\TH:i:s.v\Z'), 'breaths_done' => 0, 'seconds_done' => 240, 'before' => 4,
                'after' => 2,
            ], CarbonImmutable::now(), new Sent(CarbonImmutable::now(), CarbonImmutable::now())));
        }

        return $this;
    }

    /**
     * What chance brings on a day follows from whose day it is, and from nothing that came before: also not from the hour at which the demo
     * is played.
     */
    private function chanceOf(string $what, int $daysAgo): void
    {
        mt_srand(crc32("{$this->patient->name} $what $daysAgo"));
    }

    /** @return list<DueSlot> */
    private function slots(int $daysAgo): array
    {
        $today = $this->patient->dayOf(CarbonImmutable::now());
        $history = $this->patient->refresh()->activeProgramme?->load('versions.items')->history();

        return $history === null
            ? []
            : (new DuePractices($history, $this->patient->clock()))->on(PatientDay::of($today->plusDays(-$daysAgo)->date));
    }

    /** @param  array<string, mixed>  $ratings */
    private function log(DueSlot $slot, array $ratings, float $share): void
    {
        $start = CarbonImmutable::instance($slot->opensAt)->addSeconds(
            (int) (($slot->closesAt->getTimestamp() - $slot->opensAt->getTimestamp()) * mt_rand(10, 80) / 100),
        );
        $version = $this->patient->activeProgramme?->versionOn($this->patient->dayOf($start));
        $prescription = $version?->items->firstWhere('lineage', $slot->lineage)?->item()->prescription;
        if ($version === null || $prescription === null || $this->device === null) {
            return;
        }
        $seconds = (int) round($prescription->exerciseSeconds() * $share);
        $end = $start->addSeconds($seconds + 20);
        AtMoment::do($end, fn () => app(StorePractice::class)($this->device, [
            'uuid' => (string) Str::uuid(), 'version_id' => $version->id, 'lineage' => $slot->lineage, 'anchor' => $slot->anchor->value,
            'started_at' => $start->utc()->format('Y-m-d\TH:i:s\Z'), 'ended_at' => $end->utc()->format('Y-m-d\TH:i:s\Z'),
            'breaths_done' => (int) floor($prescription->totalBreaths() * $share), 'seconds_done' => $seconds, ...$ratings,
        ], new Sent($end, $end)));
    }

    /**
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    private function at(int $daysAgo, string $time, callable $do): mixed
    {
        $moment = CarbonImmutable::now($this->by->clinic->time_zone)->subDays($daysAgo)->setTimeFromTimeString($time)->utc();
        $moment = $moment->isFuture() ? CarbonImmutable::now()->subMinutes(5) : $moment;

        return AtMoment::do($moment, $do);
    }

    private static function rating(float $value): int
    {
        return (int) max(0, min(10, round($value)));
    }
}
