<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Models\Practitioner;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

final class SignInTest extends TestCase
{
    use RefreshDatabase;

    public function test_signs_in_with_a_new_session_and_out_again(): void
    {
        $practitioner = Practitioner::factory()->create();
        $this->get('/sign-in')->assertOk();
        $before = session()->getId();

        $this->post('/sign-in', ['email' => $practitioner->email, 'password' => 'a-long-password'])->assertRedirect('/');
        $this->assertAuthenticatedAs($practitioner, 'practitioner');
        self::assertNotSame($before, session()->getId());

        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest('practitioner');
    }

    public function test_a_wrong_password_says_so_and_too_many_say_how_long_to_wait(): void
    {
        $practitioner = Practitioner::factory()->create();
        for ($try = 0; $try < 5; $try++) {
            $this->from('/sign-in')->post('/sign-in', ['email' => $practitioner->email, 'password' => 'wrong'])
                ->assertRedirect('/sign-in')->assertSessionHasErrors(['email' => 'E-mail and password do not match.']);
        }
        $this->post('/sign-in', ['email' => $practitioner->email, 'password' => 'a-long-password'])->assertSessionHasErrors('email');
        self::assertStringContainsString('Too many tries. Wait 5 min', session('errors')->first('email'));
        $this->assertGuest('practitioner');
    }

    public function test_an_unknown_address_is_answered_the_same(): void
    {
        $this->post('/sign-in', ['email' => 'nobody@clinic.example', 'password' => 'x'])->assertSessionHasErrors(['email' => 'E-mail and password do not match.']);
    }

    public function test_the_session_ends_after_half_an_hour_of_idling(): void
    {
        self::assertSame(30, config('session.lifetime'));
        self::assertTrue(config('session.expire_on_close'));
    }
}
