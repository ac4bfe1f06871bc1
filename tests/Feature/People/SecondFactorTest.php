<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Actions\Account\SecondFactor;
use App\Guard\OneTimeCode;
use App\Models\Practitioner;
use App\Models\Role;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class SecondFactorTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const PASSWORD = 'a-long-password';

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(CarbonImmutable::parse('2026-11-25 09:00:05'));
        $this->clinicWithPatient();
    }

    /**
     * RFC 6238, appendix B (SHA-1; its eight digits end in these six); the secret is the ASCII text 12345678901234567890.
     *
     * @return iterable<string, array{int, string}>
     */
    public static function published(): iterable
    {
        yield '1970' => [59, '287082'];
        yield '2005' => [1_111_111_109, '081804'];
        yield '2005, a step later' => [1_111_111_111, '050471'];
        yield '2009' => [1_234_567_890, '005924'];
        yield '2033' => [2_000_000_000, '279037'];
        yield '2603' => [20_000_000_000, '353130'];
    }

    #[DataProvider('published')]
    public function test_the_published_codes_come_out(int $at, string $code): void
    {
        self::assertSame($code, OneTimeCode::at('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ', intdiv($at, OneTimeCode::STEP_S)));
    }

    /** Debian's oathtool is another implementation of the same paper. */
    public function test_another_program_shows_the_same_codes(): void
    {
        for ($case = 0; $case < 20; $case++) {
            $secret = OneTimeCode::newSecret();
            $at = random_int(0, 4_000_000_000);
            $other = new Process(['oathtool', '--totp', '--base32', "--now=@$at", $secret]);
            $other->mustRun();
            self::assertSame(trim($other->getOutput()), OneTimeCode::at($secret, intdiv($at, OneTimeCode::STEP_S)), "$secret at $at");
        }
    }

    public function test_it_is_set_up_with_the_password_and_a_code_and_then_asked_for(): void
    {
        $this->actingAs($this->practitioner, 'practitioner');
        $this->post('/account/second-factor', ['your_password' => 'wrong'])->assertSessionHasErrors('your_password');
        $this->post('/account/second-factor', ['your_password' => self::PASSWORD])->assertSessionHasNoErrors();
        $secret = (string) $this->practitioner->refresh()->second_factor;
        $this->get('/account')->assertInertia(fn (AssertableInertia $page) => $page->where('second_factor.secret', $secret)->where('second_factor.since', null));
        self::assertStringNotContainsString($secret, (string) json_encode(DB::table('practitioners')->get()));

        $this->put('/account/second-factor', ['code' => '000000'])->assertSessionHasErrors('code');
        $this->put('/account/second-factor', ['code' => ['1']])->assertSessionHasErrors('code');
        $this->put('/account/second-factor', ['code' => ' '.substr($this->code(), 0, 3).' '.substr($this->code(), 3)])->assertSessionHasNoErrors();
        $codes = session('recovery_codes');
        self::assertIsArray($codes);
        self::assertCount(10, array_unique($codes));
        $this->actingAs($this->practitioner->refresh(), 'practitioner');
        $this->get('/account')->assertInertia(fn (AssertableInertia $page) => $page->where('second_factor.secret', null)->where('second_factor.recovery_codes', $codes));
        $this->get('/account')->assertInertia(fn (AssertableInertia $page) => $page->where('second_factor.recovery_codes', null)->where('second_factor.recovery_left', 10));
        $this->post('/account/second-factor', ['your_password' => self::PASSWORD])->assertSessionHasErrors('your_password');
        $this->post('/sign-out');

        $this->password()->assertRedirect('/sign-in/code');
        $this->assertGuest('practitioner');
        $this->get('/')->assertRedirect('/sign-in');
        $this->get('/sign-in/code')->assertOk();
        // The code of the setting up was used.
        $this->post('/sign-in/code', ['code' => $this->code()])->assertSessionHasErrors('code');
        $this->travel(30)->seconds();
        $this->post('/sign-in/code', ['code' => $this->code()])->assertRedirect('/');
        $this->assertAuthenticatedAs($this->practitioner, 'practitioner');
        $this->post('/sign-out');

        // No code opens twice, and of the recovery codes each opens once.
        $this->password();
        $this->post('/sign-in/code', ['code' => $this->code()])->assertSessionHasErrors('code');
        $this->post('/sign-in/code', ['code' => strtolower($codes[3])])->assertRedirect('/')->assertSessionHas('flash');
        $this->post('/sign-out');
        $this->password();
        $this->post('/sign-in/code', ['code' => $codes[3]])->assertSessionHasErrors('code');
        self::assertCount(9, $this->practitioner->refresh()->recovery_codes ?? []);
    }

    public function test_guessing_codes_is_slowed_and_the_way_from_password_to_code_is_short(): void
    {
        $this->setUpFactor();
        $this->get('/sign-in/code')->assertRedirect('/sign-in');
        $this->password();
        for ($try = 0; $try < 10; $try++) {
            $this->post('/sign-in/code', ['code' => sprintf('%06d', $try)])->assertSessionHasErrors('code');
        }
        $this->travel(30)->seconds();
        $this->post('/sign-in/code', ['code' => $this->code()])->assertSessionHasErrors('code');
        $this->assertGuest('practitioner');
        $this->travel(16)->minutes();
        $this->post('/sign-in/code', ['code' => $this->code()])->assertRedirect('/sign-in')->assertSessionHasErrors('email');
        $this->password();
        $this->post('/sign-in/code', ['code' => $this->code()])->assertRedirect('/');
    }

    public function test_a_clinic_may_demand_it_and_its_lead_takes_off_one_that_is_lost(): void
    {
        $lead = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id, 'role' => Role::Lead]);
        $this->actingAs($this->practitioner, 'practitioner')->put('/clinic/second-factor', ['demanded' => true])->assertForbidden();
        $this->actingAs($lead, 'practitioner')->put('/clinic/second-factor', ['demanded' => true])->assertSessionHasNoErrors();
        $this->get('/')->assertRedirect('/account');
        $this->get('/account')->assertOk();

        $this->actingAs($this->practitioner->refresh(), 'practitioner');
        $this->get('/')->assertRedirect('/account');
        $this->postJson("/patients/{$this->patient->id}/measure", ['measure' => 'pulse', 'value' => 70, 'position' => 'seated'])->assertRedirect('/account');
        $this->setUpFactor();
        $this->actingAs($this->practitioner->refresh(), 'practitioner')->get('/')->assertOk();

        $lead->clinic->refresh()->update(['demands_second_factor' => false]);
        $this->actingAs($lead->refresh(), 'practitioner');
        $this->delete("/clinic/people/{$this->practitioner->id}/second-factor", ['your_password' => 'wrong'])->assertSessionHasErrors('your_password');
        $this->delete("/clinic/people/{$this->practitioner->id}/second-factor", ['your_password' => self::PASSWORD])->assertSessionHasNoErrors();
        self::assertFalse($this->practitioner->refresh()->hasSecondFactor());
        $this->delete('/clinic/people/'.Practitioner::factory()->create()->id.'/second-factor', ['your_password' => self::PASSWORD])->assertNotFound();
    }

    private function setUpFactor(): void
    {
        $factor = app(SecondFactor::class);
        $factor->begin($this->practitioner);
        $factor->confirm($this->practitioner, $this->code());
    }

    private function code(): string
    {
        return OneTimeCode::at((string) $this->practitioner->refresh()->second_factor, intdiv(now()->getTimestamp(), OneTimeCode::STEP_S));
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function password(): \Illuminate\Testing\TestResponse
    {
        return $this->post('/sign-in', ['email' => $this->practitioner->email, 'password' => self::PASSWORD]);
    }
}
