<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\PractitionerFactory;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int $id
 * @property int $clinic_id
 * @property string $name
 * @property string $profession
 * @property string|null $registration
 * @property Role $role
 * @property string $email in small letters; compared by bytes
 * @property string $password
 * @property bool $mails_reviews wishes a message on days on which reviews are due
 * @property CarbonImmutable|null $ended_at since when this person no longer works here
 * @property string|null $second_factor the secret of the codes
 * @property CarbonImmutable|null $second_factor_at since when it is asked for; null while it is only being set up
 * @property int|null $second_factor_step the last one used
 * @property list<string>|null $recovery_codes hashes of those that are left
 * @property Clinic $clinic
 */
final class Practitioner extends Authenticatable
{
    /** @use HasFactory<PractitionerFactory> */
    use HasFactory;

    protected $table = 'practitioners';

    protected $guarded = [];

    /** Ends the address of whoever is only a name, from a record that came from elsewhere: nobody signs in with it. */
    public const NOBODY = '@record.invalid';

    /** What is not there yet when an account begins. */
    protected $attributes = [
        'mails_reviews' => false, 'registration' => null, 'ended_at' => null, 'second_factor' => null, 'second_factor_at' => null,
        'second_factor_step' => null, 'recovery_codes' => null, 'remember_token' => null,
    ];

    protected $hidden = ['password', 'remember_token', 'second_factor', 'recovery_codes'];

    /** @return BelongsTo<Clinic, $this> */
    public function clinic(): BelongsTo
    {
        return $this->belongsTo(Clinic::class);
    }

    /** What is typed and kept in a browser is bound to it; it tells nothing by itself. */
    public function keyOfDrafts(): string
    {
        return substr(hash_hmac('sha256', "drafts of {$this->id}", config()->string('app.mark_key')), 0, 16);
    }

    public function hasSecondFactor(): bool
    {
        return $this->second_factor_at !== null;
    }

    /** However it was typed. */
    public static function addressOf(string $typed): string
    {
        return mb_strtolower(trim($typed));
    }

    /** @return Attribute<string, string> */
    protected function email(): Attribute
    {
        return Attribute::set(fn (string $typed): string => self::addressOf($typed));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed', 'role' => Role::class, 'ended_at' => 'immutable_datetime', 'second_factor' => 'encrypted',
            'second_factor_at' => 'immutable_datetime', 'recovery_codes' => 'encrypted:array', 'mails_reviews' => 'boolean',
        ];
    }
}
