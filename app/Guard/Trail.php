<?php

declare(strict_types=1);

namespace App\Guard;

use App\Models\Device;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\TrailEntry;
use App\Models\TrailKind;
use BackedEnum;
use DateTimeInterface;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Crypt;

/**
 * Who opened, changed, sent out or was refused what. One a request: what an action says of its change stands in the line of
 * the request that asked for it, in the same transaction.
 */
class Trail
{
    /** Longer values are cut, so that a line stays a line. */
    private const LONGEST = 300;

    /** Never written down, not even that they are new. */
    private const SECRET = [
        'password', 'remember_token', 'second_factor', 'second_factor_step', 'recovery_codes', 'updated_at', 'created_at',
        // What the rules last knew: nobody changed it.
        'checked_facts',
    ];

    private ?Patient $patient = null;

    /** @var array<string, array{mixed, mixed}> old and new by name */
    private array $changes = [];

    /** What was said before a request belongs to none. */
    public function begin(): void
    {
        $this->changes = [];
        $this->patient = null;
    }

    /** Call it after filling and before saving. */
    public function changing(Model $model): void
    {
        foreach (array_keys($model->getDirty()) as $field) {
            if (! in_array($field, self::SECRET, true)) {
                $this->changed($field, $model->getOriginal($field), $model->getAttribute($field));
            }
        }
    }

    public function changed(string $name, mixed $old, mixed $new): void
    {
        $this->changes[$name] = [self::plain($old), self::plain($new)];
    }

    /** Where the address does not name the patient, because there is none yet. */
    public function of(Patient $patient): void
    {
        $this->patient = $patient;
    }

    /** What a practitioner did; a second look at the same within a minute is the same line. */
    public function practitioner(Practitioner $who, TrailKind $kind, string $what, ?Patient $patient = null): void
    {
        $patient ??= $this->patient;
        $once = $kind === TrailKind::Read
            ? md5(implode('|', [$who->id, $patient?->id, $what, now()->startOfMinute()->getTimestamp()])) : null;
        $this->write([
            'clinic_id' => $who->clinic_id, 'patient_id' => $patient?->id, 'practitioner_id' => $who->id, 'kind' => $kind->value,
            'what' => $what, 'once' => $once, 'at' => $once === null ? now() : now()->startOfMinute(),
        ]);
    }

    public function device(Device $device, string $what, TrailKind $kind = TrailKind::Write): void
    {
        $this->write([
            'clinic_id' => $device->patient->clinic_id, 'patient_id' => $device->patient_id, 'device_id' => $device->id,
            'kind' => $kind->value, 'what' => $what, 'at' => now(),
        ]);
    }

    /** @param  array<string, mixed>  $line */
    private function write(array $line): void
    {
        $line['what'] = mb_substr((string) $line['what'], 0, 80);
        $line['detail'] = $this->changes === [] ? null : Crypt::encryptString((string) json_encode($this->changes));
        $this->begin();
        TrailEntry::query()->insertOrIgnore($line);
    }

    private static function plain(mixed $value): mixed
    {
        return match (true) {
            $value instanceof BackedEnum => $value->value,
            $value instanceof DateTimeInterface => $value->format('Y-m-d H:i'),
            is_array($value) => mb_substr((string) json_encode($value, JSON_UNESCAPED_UNICODE), 0, self::LONGEST),
            is_string($value) => mb_substr($value, 0, self::LONGEST),
            default => $value,
        };
    }
}
