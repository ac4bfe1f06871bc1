<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\AccessLink;
use App\Models\Patient;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Twice is once. */
final class OnceOnlyTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->screen();
        $this->actingAs($this->practitioner, 'practitioner')->withCredentials()
            ->withCookie(config()->string('session.cookie'), Str::random(40));
    }

    public function test_the_same_sent_again_at_once_is_answered_the_same_and_done_once(): void
    {
        $make = fn () => $this->postJson("/patients/{$this->patient->id}/access")->assertCreated()->getContent();
        $first = $make();
        self::assertSame($first, $make());
        self::assertSame(1, AccessLink::query()->count());

        // With something else in between, or after a while, it is meant.
        $this->postJson("/patients/{$this->patient->id}/measure", ['measure' => 'saturation', 'position' => 'seated', 'value' => '97'])->assertCreated();
        self::assertNotSame($first, $second = $make());
        $this->travel(6)->seconds();
        self::assertNotSame($second, $make());
        self::assertSame(3, AccessLink::query()->count());
    }

    public function test_what_is_shown_once_is_shown_to_who_pressed_twice(): void
    {
        $this->post("/patients/{$this->patient->id}/access")->assertSessionHas('new_link');
        $shown = session('new_link');
        session()->forget('new_link');
        $this->post("/patients/{$this->patient->id}/access")->assertSessionHas('new_link', $shown);
        self::assertSame(1, AccessLink::query()->count());
        // A page opened anew: what is sent from it is meant anew.
        $this->get("/patients/{$this->patient->id}/access");
        $this->post("/patients/{$this->patient->id}/access");
        self::assertSame(2, AccessLink::query()->count());
    }

    public function test_what_was_refused_is_looked_at_again(): void
    {
        $name = ['name' => '', 'birth_date' => '1984-03-02'];
        $this->post('/patients', $name)->assertSessionHasErrors('name');
        $this->post('/patients', $name)->assertSessionHasErrors('name');
        self::assertSame(1, Patient::query()->count());
    }
}
