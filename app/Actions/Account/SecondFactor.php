<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Guard\AccessCode;
use App\Guard\OneTimeCode;
use App\Mail\AccountMail;
use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Validation\ValidationException;

/** Sets up, asks for and takes away the codes of a second factor. */
final class SecondFactor
{
    private const RECOVERY_CODES = 10;

    public const WRONG = 'This is not the present code. Wait for the next one, and see that the clock of your phone is right.';

    /** @return string the secret; it counts for nothing before a code of it has been typed */
    public function begin(Practitioner $who): string
    {
        $who->update(['second_factor' => OneTimeCode::newSecret(), 'second_factor_at' => null, 'second_factor_step' => null]);

        return (string) $who->second_factor;
    }

    /**
     * @return list<string> codes for the day the phone is lost: shown once, only their hashes are kept
     *
     * @throws ValidationException
     */
    public function confirm(Practitioner $who, string $code): array
    {
        return DB::transaction(function () use ($who, $code) {
            $who = Practitioner::query()->lockForUpdate()->findOrFail($who->id);
            $step = $who->second_factor === null || $who->hasSecondFactor()
                ? null : OneTimeCode::accepted($who->second_factor, self::digits($code), now()->getTimestamp(), null);
            if ($step === null) {
                throw ValidationException::withMessages(['code' => self::WRONG]);
            }
            $codes = array_map(fn () => AccessCode::random(), range(1, self::RECOVERY_CODES));
            $who->update([
                'second_factor_at' => now(), 'second_factor_step' => $step, 'recovery_codes' => array_map(AccessCode::hash(...), $codes),
            ]);
            $this->tell($who, 'Signing in asks for a code of your phone now.');

            return $codes;
        });
    }

    public function remove(Practitioner $who): void
    {
        $who->update(['second_factor' => null, 'second_factor_at' => null, 'second_factor_step' => null, 'recovery_codes' => null]);
        $this->tell($who, 'Signing in no longer asks for a code of your phone.');
    }

    /**
     * Each code opens once, also when it is sent twice at the same moment.
     *
     * @return int|null how many recovery codes are left when one was used; -1 when it was a code of the phone; null when wrong
     */
    public function accept(Practitioner $who, string $typed): ?int
    {
        return DB::transaction(function () use ($who, $typed) {
            $who = Practitioner::query()->lockForUpdate()->findOrFail($who->id);
            if ($who->second_factor === null || ! $who->hasSecondFactor()) {
                return null;
            }
            $step = OneTimeCode::accepted($who->second_factor, self::digits($typed), now()->getTimestamp(), $who->second_factor_step);
            if ($step !== null) {
                $who->update(['second_factor_step' => $step]);

                return -1;
            }
            $codes = $who->recovery_codes ?? [];
            $left = array_values(array_filter($codes, fn (string $hash) => ! hash_equals($hash, AccessCode::hash($typed))));
            if (count($left) === count($codes)) {
                return null;
            }
            $who->update(['recovery_codes' => $left]);

            return count($left);
        });
    }

    private static function digits(string $typed): string
    {
        return (string) preg_replace('/\s/', '', $typed);
    }

    private function tell(Practitioner $who, string $what): void
    {
        Mail::to($who->email)->queue(AccountMail::changed($who->clinic, $what));
    }
}
