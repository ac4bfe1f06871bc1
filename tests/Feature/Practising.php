<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Device;
use App\Models\ProgrammeVersion;

/** A patient with one exercise once a day, who practises. */
trait Practising
{
    use Scenario;

    protected ProgrammeVersion $version;

    protected Device $device;

    protected function patientWithAProgramme(): void
    {
        $this->travelTo('2026-11-01 06:00:00');
        $this->clinicWithPatient();
        $this->screen();
        $this->version = $this->issue(['times_a_day' => 1]);
        [$this->device] = $this->device();
    }

    /** @param  array<string, mixed>  $with */
    protected function practise(int $times, array $with = [], int $every = 1): void
    {
        for ($n = 0; $n < $times; $n++) {
            $this->travel($every)->days();
            $this->store($this->device, $this->practiceLog($this->version, $with));
        }
    }
}
