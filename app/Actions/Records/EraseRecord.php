<?php

declare(strict_types=1);

namespace App\Actions\Records;

use App\Guard\Door\EraseRoutine;
use App\Guard\ErasedList;
use App\Models\Erasure;
use App\Models\OutgoingMail;
use App\Models\Patient;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;

/** Everything of a person goes: the rows by the database's own door, messages to them, and then the record is put on the list. */
final class EraseRecord implements ShouldQueue
{
    use Queueable;

    public int $tries = 5;

    /** @var list<int> seconds */
    public array $backoff = [5, 30, 120, 600];

    public function __construct(private readonly int $erasure)
    {
    }

    public function handle(): void
    {
        DB::transaction(function (): void {
            $erasure = Erasure::query()->lockForUpdate()->find($this->erasure);
            if ($erasure?->patient_id === null || $erasure->done_at !== null || $erasure->outcome !== Erasure::ERASED) {
                return; // it was done before
            }
            $gone = Patient::query()->withoutGlobalScope(Patient::OWN)
                ->where(fn ($query) => $query->where('id', $erasure->patient_id)->orWhere('joined_into', $erasure->patient_id))->get();
            $addresses = array_values(array_filter($gone->map(fn (Patient $patient) => $patient->email())->all()));
            $this->forgetMails($addresses, $erasure->clinic_id);
            $this->forgetJobs([...$addresses, ...$gone->modelKeys()]);
            DB::statement('call '.EraseRoutine::NAME.'(?, ?)', [$erasure->patient_id, $erasure->id]);
        }, 3);
        ErasedList::keep();
    }

    /**
     * Messages that wait, and what could not be done.
     *
     * @param  list<string>  $words  addresses and ids
     */
    private function forgetJobs(array $words): void
    {
        foreach ($words as $word) {
            $word = addcslashes($word, '%_\\');
            foreach (['jobs', 'failed_jobs'] as $table) {
                DB::table($table)->where('payload', 'like', "%$word%")->delete();
            }
        }
    }

    /** @param  list<string>  $addresses */
    private function forgetMails(array $addresses, int $clinic): void
    {
        $addresses = array_map(mb_strtolower(...), $addresses);
        // Addresses are encrypted: each is read. They stay for a month only.
        foreach ($addresses === [] ? [] : OutgoingMail::query()->where('clinic_id', $clinic)->lazyById(200) as $mail) {
            if (in_array(mb_strtolower($mail->to), $addresses, true)) {
                $mail->delete();
            }
        }
    }
}
