<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Messages\TellPatient;
use App\Actions\Messages\TellPractitioner;
use App\Facts\Calendar\PracticesOfDay;
use App\Models\Appointment;
use App\Models\Patient;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use IvoryPace\Progress\CaseloadReason;

/** What is to be said now: appointments of tomorrow, practices whose time runs out, reviews that are due. Each once. */
final class SendReminders extends Command
{
    /** From this hour of the patient's clock on, the day before. */
    private const EVENING = 16;

    /** From this hour of the clinic's clock on. */
    private const MORNING = 7;

    private const AT_ONCE = 100;

    protected $signature = 'reminders:send';

    protected $description = 'Send the reminders that patients and practitioners wished for and whose time has come';

    public function handle(): int
    {
        $now = CarbonImmutable::now();
        $this->appointments($now);
        $this->practices($now);
        $this->reviews($now);

        return self::SUCCESS;
    }

    private function appointments(CarbonImmutable $now): void
    {
        Appointment::query()->whereNull('cancelled_at')->whereBetween('starts_at', [$now, $now->addHours(36)])
            ->whereHas('patient', fn (Builder $patient) => $patient->where('mails_appointments', true))
            ->with('patient.clinic', 'practitioner')->chunkById(self::AT_ONCE, function ($appointments) use ($now) {
                foreach ($appointments as $appointment) {
                    $here = $now->setTimezone($appointment->patient->time_zone);
                    $isTomorrow = $appointment->starts_at->setTimezone($here->timezone)->isSameDay($here->addDay());
                    if ($isTomorrow && $here->hour >= self::EVENING) {
                        TellPatient::ofAppointments('tomorrow', [$appointment]);
                    }
                }
            });
    }

    private function practices(CarbonImmutable $now): void
    {
        Patient::query()->where('mails_practice', true)->whereNull('archived_at')->whereHas('activeProgramme')
            ->with('clinic', 'activeProgramme.versions.items')->chunkById(self::AT_ONCE, function ($patients) use ($now) {
                foreach ($patients as $patient) {
                    foreach (PracticesOfDay::toRemindOf($patient, $now) as $slot) {
                        TellPatient::ofPractice($patient, $slot, $patient->dayOf($now)->date);
                    }
                }
            });
    }

    private function reviews(CarbonImmutable $now): void
    {
        $wishing = Practitioner::query()->where('mails_reviews', true)->whereNull('ended_at')->with('clinic');
        $wishing->chunkById(self::AT_ONCE, function ($people) use ($now) {
            foreach ($people as $who) {
                $here = $now->setTimezone($who->clinic->time_zone);
                $due = $here->hour < self::MORNING ? 0 : DB::table('caseload_lines')->where('clinic_id', $who->clinic_id)
                    ->where('responsible', $who->id)->where('reason', CaseloadReason::ReviewOverdue->value)->count();
                TellPractitioner::ofReviews($who, $due, $here->format('Y-m-d'));
            }
        });
    }
}
