<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\Feature\Practising;
use Tests\TestCase;

/** The line that says what was done is read by the page that follows, and by nothing that is answered in between. */
final class WhatWasDoneIsSaidTest extends TestCase
{
    use Practising, RefreshDatabase;

    public function test_what_reads_along_or_computes_does_not_take_it_away(): void
    {
        $this->patientWithAProgramme();
        $this->actingAs($this->practitioner, 'practitioner');
        $url = "/patients/{$this->patient->id}";
        $version = (string) $this->get($url)->viewData('page')['version'];
        $this->post("$url/appointments", ['day' => '2026-11-02', 'time' => '10:00'])->assertSessionHasNoErrors();

        // What stands below the Course, asked for before and answered after.
        $this->get($url, ['X-Inertia' => 'true', 'X-Inertia-Version' => $version, 'X-Inertia-Partial-Component' => 'Course', 'X-Inertia-Partial-Data' => 'stops,trends'])->assertOk()->assertJsonStructure(['props' => ['stops']]);
        $this->postJson("$url/bench/answer", ['items' => [['technique' => 'square']]])->assertOk();
        self::assertSame("Appointment: Mon 2 Nov, 10:00 with {$this->practitioner->name}.", $this->props($this->get($url))['flash']);
        self::assertNull($this->props($this->get($url))['flash'], 'once is enough');
    }
}
