<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Mail\AccountMail;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Mail\Mailable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class AccountTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const NEW = 'four quiet unrelated herons';

    protected function setUp(): void
    {
        parent::setUp();
        Mail::fake();
        $this->clinicWithPatient();
    }

    public function test_the_owner_changes_the_password_and_is_signed_out_everywhere_else(): void
    {
        $this->actingAs($this->practitioner, 'practitioner');
        $here = (string) session()->getId();
        $this->session(['a' => 'b']);
        $elsewhere = $this->sessionOf($this->practitioner);
        $others = $this->sessionOf(Practitioner::factory()->create());

        $this->put('/account/password', ['your_password' => 'wrong', 'password' => self::NEW])->assertSessionHasErrors('your_password');
        $this->put('/account/password', ['your_password' => 'a-long-password', 'password' => 'short'])->assertSessionHasErrors('password');
        $this->put('/account/password', ['your_password' => 'a-long-password', 'password' => self::NEW])->assertSessionHasNoErrors();
        self::assertTrue(Hash::check(self::NEW, $this->practitioner->refresh()->password));
        self::assertSame([$others], DB::table('sessions')->where('id', '<>', $here)->pluck('id')->all());
        self::assertNotSame($elsewhere, $others);
        Mail::assertQueued(AccountMail::class, fn (AccountMail $mail) => $mail->hasTo($this->practitioner->email));
        self::assertTrue($this->sentences()->contains(fn (string $line) => str_contains($line, 'password was changed')));
    }

    public function test_guessing_at_an_open_session_ends_soon(): void
    {
        $this->actingAs($this->practitioner, 'practitioner');
        for ($try = 0; $try < 5; $try++) {
            $this->put('/account/password', ['your_password' => "guess $try", 'password' => self::NEW])->assertSessionHasErrors('your_password');
        }
        $this->put('/account/password', ['your_password' => 'a-long-password', 'password' => self::NEW])->assertSessionHasErrors('your_password');
        $this->travel(6)->minutes();
        $this->put('/account/password', ['your_password' => 'a-long-password', 'password' => self::NEW])->assertSessionHasNoErrors();
    }

    public function test_sign_ins_are_listed_and_ended_one_or_all(): void
    {
        $this->actingAs($this->practitioner, 'practitioner');
        $first = $this->sessionOf($this->practitioner, 'Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0');
        $second = $this->sessionOf($this->practitioner);
        $others = $this->sessionOf(Practitioner::factory()->create());
        $this->get('/account')->assertInertia(
            fn (AssertableInertia $page) => $page->has('sessions', 2)
                ->where('sessions', fn ($sessions) => collect($sessions)->pluck('program')->contains('Firefox on Linux'))
                ->where('sessions', fn ($sessions) => ! str_contains((string) json_encode($sessions), $first)),
        );
        $key = fn (string $id) => substr(hash('sha256', $id), 0, 16);
        $this->delete('/account/sessions/'.$key($others))->assertNotFound();
        $this->delete('/account/sessions/'.$key($first))->assertSessionHasNoErrors();
        $this->delete('/account/sessions/'.$key($first))->assertNotFound();
        self::assertSame([$second], DB::table('sessions')->where('user_id', $this->practitioner->id)->pluck('id')->all());
        $this->delete('/account/sessions')->assertSessionHasNoErrors();
        self::assertSame([$others], DB::table('sessions')->pluck('id')->all());
    }

    public function test_a_sign_in_lasts_twelve_hours_at_most(): void
    {
        config(['session.most_hours' => 12]);
        $this->travelTo(CarbonImmutable::parse('2026-11-25 07:00'));
        $this->post('/sign-in', ['email' => $this->practitioner->email, 'password' => 'a-long-password'])->assertRedirect('/');
        $this->get('/')->assertOk();
        $this->travel(12)->hours();
        $this->get('/')->assertOk();
        $this->travel(1)->seconds();
        $this->get('/')->assertRedirect('/sign-in');
        $this->assertGuest('practitioner');
    }

    public function test_who_one_is_can_be_corrected_and_only_by_oneself(): void
    {
        $this->actingAs($this->practitioner, 'practitioner');
        $this->put('/account/details', ['name' => '', 'profession' => 'x'])->assertSessionHasErrors(['name', 'profession']);
        $this->put('/account/details', ['name' => 'Nele Ash', 'profession' => 'counsellor', 'registration' => 'HQ 1201'])->assertSessionHasNoErrors();
        self::assertSame(['Nele Ash', 'HQ 1201'], [$this->practitioner->refresh()->name, $this->practitioner->registration]);
    }

    public function test_a_forgotten_password_is_replaced_by_a_link_that_works_once_for_half_an_hour(): void
    {
        $this->post('/forgotten', ['email' => strtoupper($this->practitioner->email)])->assertRedirect('/forgotten')->assertSessionHas('flash');
        $said = session('flash');
        [$token, $email] = $this->link();
        $this->sessionOf($this->practitioner);
        $body = ['token' => $token, 'email' => $email, 'password' => self::NEW];
        $this->post('/new-password', [...$body, 'password' => 'short'])->assertSessionHasErrors('password');
        $this->post('/new-password', [...$body, 'token' => 'made-up'])->assertSessionHasErrors('token');
        $this->post('/new-password', [...$body, 'email' => Practitioner::factory()->create()->email])->assertSessionHasErrors('token');
        $this->post('/new-password', $body)->assertRedirect('/sign-in');
        $this->post('/new-password', $body)->assertSessionHasErrors('token');
        self::assertSame(0, DB::table('sessions')->where('user_id', $this->practitioner->id)->count());
        $this->post('/sign-in', ['email' => $email, 'password' => self::NEW])->assertRedirect('/');
        $this->post('/sign-out');

        // The same answer for everyone else, and no message.
        Mail::fake();
        $this->post('/forgotten', ['email' => 'nobody@quay.example'])->assertRedirect('/forgotten');
        self::assertSame($said, session('flash'));
        $this->practitioner->update(['ended_at' => now()]);
        $this->travel(2)->minutes();
        $this->post('/forgotten', ['email' => $this->practitioner->email]);
        Mail::assertNothingQueued();
        $this->post('/forgotten', ['email' => ['a']])->assertSessionHasErrors('email');
    }

    public function test_a_link_for_a_new_password_runs_out(): void
    {
        $this->post('/forgotten', ['email' => $this->practitioner->email]);
        [$token, $email] = $this->link();
        $this->travel(31)->minutes();
        $this->post('/new-password', ['token' => $token, 'email' => $email, 'password' => self::NEW])->assertSessionHasErrors('token');
    }

    public function test_known_and_unknown_addresses_take_the_same_time(): void
    {
        $took = function (string $path, array $body): float {
            $this->app?->make('cache')->flush();
            $begin = hrtime(true);
            $this->post($path, $body);

            return (hrtime(true) - $begin) / 1e6;
        };
        $this->post('/sign-in', ['email' => 'warm@quay.example', 'password' => 'up']);
        foreach ([$this->practitioner->email, 'nobody@quay.example'] as $email) {
            // The answer waits until it is time: what is done before never takes as long.
            self::assertGreaterThan(790, $took('/forgotten', ['email' => $email]));
        }
        // Signing in checks a password either way; with the cost of the tests a check is some ms.
        config(['hashing.bcrypt.rounds' => 11]);
        $this->app?->forgetInstance('hash');
        $this->practitioner->update(['password' => 'a-long-password']);
        $nobody = fn () => $took('/sign-in', ['email' => Str::random(8).'@quay.example', 'password' => 'wrong']);
        $nobody();
        $known = min(array_map(fn () => $took('/sign-in', ['email' => $this->practitioner->email, 'password' => 'wrong']), range(1, 3)));
        $unknown = min(array_map($nobody, range(1, 3)));
        self::assertLessThan(3, max($known, $unknown) / min($known, $unknown));
    }

    /** @return array{string, string} */
    private function link(): array
    {
        $line = (string) $this->sentences()->first(fn (string $line) => str_contains($line, '/new-password#'));
        [$token, $email] = explode('~', explode('#', $line)[1]);

        return [$token, rawurldecode($email)];
    }

    /** @return \Illuminate\Support\Collection<int, string> */
    private function sentences(): \Illuminate\Support\Collection
    {
        return Mail::queued(AccountMail::class)->flatMap(fn (Mailable $mail) => $mail instanceof AccountMail ? $mail->lines : []);
    }

    private function sessionOf(Practitioner $who, string $agent = 'Some browser'): string
    {
        $id = Str::random(40);
        DB::table('sessions')->insert([
            'id' => $id, 'user_id' => $who->id, 'ip_address' => '127.0.0.1', 'user_agent' => $agent, 'payload' => '', 'last_activity' => now()->getTimestamp(),
        ]);

        return $id;
    }
}
