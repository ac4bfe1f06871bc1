<?php

declare(strict_types=1);

namespace App\Actions\Correction;

use App\Actions\Programme\IssueVersion;
use App\Guard\Trail;
use App\Models\HabitTick;
use App\Models\NewFinding;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practice;
use App\Models\Practitioner;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Safety\PauseRules;

/**
 * A version that was issued today can be withdrawn as long as nothing of it was practised: the one before is in force as if
 * nothing had been, and what the rules had found, and issuing it had settled, is open again.
 */
final readonly class WithdrawVersion
{
    public function __construct(private Trail $trail)
    {
    }

    /** @throws ValidationException with what is in the way */
    public function __invoke(Patient $patient, ProgrammeVersion $version, Practitioner $by, string $reason): void
    {
        DB::transaction(function () use ($patient, $version, $by, $reason) {
            $patient = Patient::query()->lockForUpdate()->findOrFail($patient->id);
            $version = ProgrammeVersion::query()->with('programme')->findOrFail($version->id);
            $obstacle = self::obstacle($patient, $version, CarbonImmutable::now());
            if ($obstacle !== null) {
                throw ValidationException::withMessages(['reason' => $obstacle]);
            }
            $version->update(['withdrawn_at' => now(), 'withdrawn_by' => $by->id, 'withdrawn_reason' => $reason]);
            $this->reopen($patient, $version);
            $this->trail->changed("version {$version->number}", 'issued today', "withdrawn: $reason");
        });
    }

    /** What keeps a version from being withdrawn; null when nothing does. */
    public static function obstacle(Patient $patient, ProgrammeVersion $version, CarbonImmutable $now): ?string
    {
        $latest = $version->programme->latestVersion();

        return match (true) {
            $version->withdrawn_at !== null => "Version {$version->number} was withdrawn already.",
            $version->programme->closed_on !== null => 'The programme is closed.',
            $latest !== null && $latest->id !== $version->id => "Version {$latest->number} was issued since: withdraw that one first.",
            ! $patient->dayOf($version->issued_at)->equals($patient->dayOf($now)) => "Version {$version->number} was not issued today. "
                .'Issue another one on the Bench instead.',
            Practice::query()->where('programme_version_id', $version->id)->exists(),
            HabitTick::query()->where('programme_version_id', $version->id)->exists() => "Version {$version->number} has been practised. "
                .'Issue another one on the Bench instead.',
            default => null,
        };
    }

    private function reopen(Patient $patient, ProgrammeVersion $version): void
    {
        $by = IssueVersion::settledBy($version->number);
        $findings = NewFinding::query()->where('patient_id', $patient->id)->where('settled_at', '>=', $version->issued_at)->get();
        foreach ($findings->where('looked_at', $by) as $finding) {
            $finding->update(['settled_at' => null, 'settled_by' => null, 'looked_at' => null]);
        }
        $pauses = Pause::query()->where('patient_id', $patient->id)->where('rule', PauseRules::NEW_FINDING)
            ->where('until_at', '>=', $version->issued_at)->get();
        foreach ($pauses->where('looked_at', $by) as $pause) {
            $pause->update(['until_at' => null, 'ended_by' => null, 'looked_at' => null]);
        }
    }
}
