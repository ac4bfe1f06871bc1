<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\AccessLink;
use App\Models\Patient;
use App\Models\TrailEntry;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use PDOException;
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

    public function test_what_meets_somebody_elses_change_is_tried_again_and_is_there_once(): void
    {
        $conflicts = 2;
        AccessLink::creating(function () use (&$conflicts) {
            if ($conflicts-- > 0) {
                throw new QueryException('mariadb', 'insert', [], new PDOException('SQLSTATE[40001]: Serialization failure: 1213 Deadlock found when trying to get lock'));
            }
        });
        $lines = TrailEntry::query()->count();
        $this->postJson("/patients/{$this->patient->id}/access")->assertCreated();
        self::assertSame(1, AccessLink::query()->count());
        self::assertSame($lines + 1, TrailEntry::query()->count());

        // Three times is enough: then it is said, and nothing is kept.
        $conflicts = 3;
        $this->travel(6)->seconds();
        $this->postJson("/patients/{$this->patient->id}/access")->assertStatus(500);
        self::assertSame(0, $conflicts);
        self::assertSame(1, AccessLink::query()->where('expires_at', '>', now())->count());
        self::assertSame($lines + 1, TrailEntry::query()->count());
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
