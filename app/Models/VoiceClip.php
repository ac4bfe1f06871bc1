<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;

/**
 * A word or number in a practitioner's own voice, ready to be played.
 *
 * @property int $id
 * @property int $practitioner_id
 * @property string $line key of what is said
 * @property int $ms
 * @property float $loudness decibels below full scale
 * @property string $hash of the sound
 * @property string $wav base64
 * @property CarbonImmutable $recorded_at
 */
final class VoiceClip extends Row
{
    public $timestamps = false;

    protected $table = 'voice_clips';

    public function sound(): string
    {
        return (string) base64_decode($this->wav, true);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['loudness' => 'float', 'recorded_at' => 'immutable_datetime'];
    }
}
