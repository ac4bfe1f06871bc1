<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Models\Clinic;
use App\Models\Founding;
use App\Models\Practitioner;
use App\Models\Role;
use App\Models\TrailEntry;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Artisan;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class FoundingTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const PASSWORD = 'heron-basalt-oatmeal-quay';

    /** @return array<string, string> */
    private static function typed(string $token): array
    {
        return [
            'token' => $token, 'clinic_name' => ' Slipway Breathing Rooms ', 'time_zone' => 'Europe/Lisbon',
            'emergency_wording' => 'Call 112 now, or have someone call.', 'crisis_number' => '0800 555 0100, the listening line',
            'telephone' => '0200 555 010', 'name' => 'Wren Tollard', 'profession' => 'physiotherapist', 'registration' => '',
            'email' => ' Wren@Slipway.example ', 'password' => self::PASSWORD,
        ];
    }

    public function test_an_empty_server_says_where_a_clinic_is_founded_and_it_is_once(): void
    {
        $this->get('/sign-in')->assertInertia(fn (AssertableInertia $page) => $page->component('SignIn')->where('is_founded', false));
        Artisan::call('clinic:found', ['--first' => true]);
        self::assertSame(1, preg_match('~/found#(\S+)~', Artisan::output(), $found));
        $token = $found[1];
        $this->get('/found')->assertOk()->assertInertia(fn (AssertableInertia $page) => $page->component('Found')->has('time_zones'));
        $this->postJson('/found/look', ['token' => $token])->assertOk();

        $this->post('/found', self::typed($token))->assertRedirect('/')->assertSessionHasNoErrors();
        $lead = Practitioner::query()->sole();
        $clinic = Clinic::query()->sole();
        self::assertSame('Slipway Breathing Rooms', $clinic->name);
        self::assertSame('0800 555 0100, the listening line', $clinic->crisis_number);
        self::assertSame(Role::Lead, $lead->role);
        self::assertNull($lead->registration);
        self::assertSame($clinic->id, Founding::query()->sole()->clinic_id);
        self::assertSame(1, TrailEntry::query()->where('what', 'clinic/founded')->where('practitioner_id', $lead->id)->count());
        $this->assertAuthenticatedAs($lead, 'practitioner');
        $this->get('/')->assertOk();
        $this->get('/clinic')->assertOk();
        $this->get('/exercises')->assertOk();

        $this->post('/sign-out');
        // However the address was typed, it signs in.
        $this->post('/sign-in', ['email' => 'wren@slipway.example', 'password' => self::PASSWORD])->assertRedirect('/');
        $this->assertAuthenticatedAs($lead, 'practitioner');
        $this->post('/sign-out');
        $this->postJson('/found/look', ['token' => $token])->assertNotFound();
        $this->post('/found', ['email' => 'second@slipway.example'] + self::typed($token))->assertSessionHasErrors('token');
        self::assertSame(1, Clinic::query()->count());

        // A second one is founded by whoever runs the server, and not with --first.
        Artisan::call('clinic:found', ['--first' => true]);
        self::assertStringNotContainsString('/found#', Artisan::output());
        Artisan::call('clinic:found');
        self::assertStringContainsString('/found#', Artisan::output());
    }

    public function test_without_the_address_nobody_founds_anything_and_guesses_are_counted(): void
    {
        foreach ([['token' => ''], ['token' => 'guessed'], ['token' => ['x']]] as $with) {
            $this->post('/found', $with + self::typed(''))->assertSessionHasErrors();
        }
        $late = Founding::begin();
        $this->travel(Founding::DAYS)->days();
        $this->travel(1)->minutes();
        $this->postJson('/found/look', ['token' => $late])->assertNotFound();
        $this->post('/found', self::typed($late))->assertSessionHasErrors('token');
        // Another address ends the one before.
        $first = Founding::begin();
        Founding::begin();
        $this->postJson('/found/look', ['token' => $first])->assertNotFound();
        for ($n = 0; $n < 20; $n++) {
            $this->post('/found', self::typed("guess $n"));
        }
        $this->post('/found', self::typed(Founding::begin()))->assertSessionHasErrors('token');
        self::assertSame(0, Clinic::query()->count());
    }

    public function test_what_is_missing_or_wrong_is_said_at_its_field_and_the_address_stays_good(): void
    {
        $token = Founding::begin();
        foreach ([
            ['clinic_name' => ''], ['time_zone' => 'Quay/Harrow'], ['emergency_wording' => 'Call.'], ['crisis_number' => 'somebody'],
            ['telephone' => 'ring us'], ['name' => ''], ['profession' => ''], ['email' => 'wren'], ['password' => 'short'],
            ['password' => 'password12345'], ['password' => ''],
        ] as $wrong) {
            $this->post('/found', $wrong + self::typed($token))->assertSessionHasErrors([key($wrong)]);
        }
        self::assertSame(0, Clinic::query()->count());
        self::assertSame(0, Practitioner::query()->count());
        $this->post('/found', self::typed($token))->assertRedirect('/')->assertSessionHasNoErrors();
    }

    public function test_who_signs_in_elsewhere_already_takes_another_address(): void
    {
        $this->clinicWithPatient();
        $token = Founding::begin();
        $this->post('/found', ['email' => $this->practitioner->email] + self::typed($token))->assertSessionHasErrors('email');
        $this->post('/found', self::typed($token))->assertSessionHasNoErrors();
        self::assertSame(2, Clinic::query()->count());
        $this->get("/patients/{$this->patient->id}")->assertNotFound();
    }
}
