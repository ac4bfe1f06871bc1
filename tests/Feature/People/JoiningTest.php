<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Actions\Account\InvitePerson;
use App\Mail\AccountMail;
use App\Models\Invitation;
use App\Models\OutgoingMail;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Role;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Mail;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** How somebody begins to work in a clinic, and how that ends. */
final class JoiningTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const NEW = 'four quiet unrelated herons';

    private Practitioner $lead;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->lead = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id, 'role' => Role::Lead]);
    }

    public function test_the_lead_invites_and_the_invited_person_opens_the_account(): void
    {
        config(['mail.default' => 'outbox']);
        $this->actingAs($this->lead, 'practitioner')->post('/clinic/invitations', ['email' => ' Maren@Quay.example ', 'role' => 'practitioner'])
            ->assertRedirect()->assertSessionHas('new_invitation');
        $address = (string) session('new_invitation');
        $token = explode('#', $address)[1];
        $mail = OutgoingMail::query()->sole();
        self::assertSame('maren@quay.example', $mail->to);
        self::assertStringContainsString($address, $mail->text);
        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page->where('new_invitation', $address)->where('invitations.0.email', 'maren@quay.example'));
        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page->where('new_invitation', null));
        $this->get('/clinic/outbox')->assertInertia(fn (AssertableInertia $page) => $page->where('mails.0.to', 'maren@quay.example')->where('stands_in', true));
        $this->post('/sign-out');

        $this->postJson('/join/look', ['token' => $token])->assertOk()->assertJson(['clinic' => $this->lead->clinic->name, 'email' => 'maren@quay.example']);
        $this->post('/join', ['token' => $token, 'name' => 'Maren Vole', 'profession' => 'counsellor', 'password' => self::NEW])->assertRedirect('/');
        $maren = Practitioner::query()->where('email', 'maren@quay.example')->sole();
        self::assertSame([$this->lead->clinic_id, Role::Practitioner, 'Maren Vole', null], [$maren->clinic_id, $maren->role, $maren->name, $maren->registration]);
        $this->assertAuthenticatedAs($maren, 'practitioner');
        $this->get('/')->assertOk();
        $this->post('/sign-out');

        // Once.
        $this->postJson('/join/look', ['token' => $token])->assertNotFound();
        $this->post('/join', ['token' => $token, 'name' => 'Maren Vole', 'profession' => 'counsellor', 'password' => self::NEW])->assertSessionHasErrors('token');
        self::assertStringNotContainsString($token, (string) json_encode(Invitation::query()->get()));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no name' => [['name' => ' '], 'name'];
        yield 'a list as a name' => [['name' => ['a']], 'name'];
        yield 'no profession' => [['profession' => ''], 'profession'];
        yield 'a short password' => [['password' => 'elevensigns'], 'password'];
        yield 'a password that is tried first' => [['password' => 'Qwerty123456'], 'password'];
        yield 'one with what everybody adds' => [['password' => 'lantern2026!!'], 'password'];
        yield 'one sign over and over' => [['password' => 'aaaaaaaaaaaaaa'], 'password'];
        yield 'the name' => [['password' => 'Maren Vole Rook', 'name' => 'Maren Vole-Rook'], 'password'];
        yield 'more than is read' => [['password' => str_repeat('four quiet herons ', 5)], 'password'];
        yield 'a made-up address' => [['token' => 'made-up'], 'token'];
    }

    /** @param  array<string, mixed>  $wrong */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_said_and_the_invitation_stays(array $wrong, string $field): void
    {
        $token = $this->invite();
        $right = ['token' => $token, 'name' => 'Maren Vole', 'profession' => 'counsellor', 'password' => self::NEW];
        $this->post('/join', [...$right, ...$wrong])->assertSessionHasErrors($field);
        self::assertSame(1, Invitation::open()->count());
        $this->post('/join', $right)->assertRedirect('/');
    }

    public function test_an_invitation_runs_out_is_withdrawn_and_is_replaced_by_a_newer_one(): void
    {
        $first = $this->invite();
        $second = $this->invite();
        $this->postJson('/join/look', ['token' => $first])->assertNotFound();
        $this->postJson('/join/look', ['token' => $second])->assertOk();
        $this->actingAs($this->lead, 'practitioner')->delete('/clinic/invitations/'.Invitation::open()->sole()->id)->assertRedirect();
        $this->delete('/clinic/invitations/1')->assertNotFound();
        $this->post('/sign-out');
        $this->postJson('/join/look', ['token' => $second])->assertNotFound();

        $third = $this->invite();
        $this->travel(Invitation::DAYS)->days();
        $this->travel(1)->minutes();
        $this->postJson('/join/look', ['token' => $third])->assertNotFound();
    }

    public function test_whoever_signs_in_already_is_not_invited_and_only_the_lead_invites(): void
    {
        $elsewhere = Practitioner::factory()->create();
        $this->actingAs($this->lead, 'practitioner');
        foreach ([$elsewhere->email, strtoupper($this->practitioner->email), 'not an address', ''] as $email) {
            $this->post('/clinic/invitations', ['email' => $email, 'role' => 'practitioner'])->assertSessionHasErrors('email');
        }
        $this->post('/clinic/invitations', ['email' => 'new@quay.example', 'role' => 'emperor'])->assertSessionHasErrors('role');
        $this->actingAs($this->practitioner, 'practitioner')->post('/clinic/invitations', ['email' => 'new@quay.example', 'role' => 'lead'])->assertForbidden();
        $this->get('/clinic/outbox')->assertForbidden();
        self::assertSame(0, Invitation::query()->count());
    }

    public function test_two_addresses_that_only_look_alike_are_two(): void
    {
        foreach (['strasse@quay.example', 'straße@quay.example'] as $email) {
            Practitioner::factory()->create(['email' => $email]);
        }
        self::assertSame(1, Practitioner::query()->where('email', 'strasse@quay.example')->count());
    }

    public function test_whoever_no_longer_works_here_is_out_at_once_and_the_patients_have_someone(): void
    {
        $heir = Practitioner::factory()->create(['clinic_id' => $this->lead->clinic_id]);
        $second = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
        $end = "/clinic/people/{$this->practitioner->id}/end";
        $this->actingAs($this->lead, 'practitioner');
        $this->post($end, ['to' => $heir->id])->assertSessionHasErrors('your_password');
        $this->post($end, ['to' => $heir->id, 'your_password' => 'not mine at all'])->assertSessionHasErrors('your_password');
        $this->post($end, ['your_password' => 'a-long-password'])->assertSessionHasErrors(['to' => 'Choose who takes over 2 patients.']);
        $this->post($end, ['to' => $this->practitioner->id, 'your_password' => 'a-long-password'])->assertSessionHasErrors('to');
        $this->post($end, ['to' => Practitioner::factory()->create()->id, 'your_password' => 'a-long-password'])->assertSessionHasErrors('to');
        $this->post($end, ['to' => $heir->id, 'your_password' => 'a-long-password'])->assertSessionHasNoErrors();
        self::assertSame([$heir->id, $heir->id], [$this->patient->refresh()->practitioner_id, $second->refresh()->practitioner_id]);
        self::assertSame(2, $heir->clinic->practitioners()->whereNull('ended_at')->count());
        self::assertSame('No longer works here.', $second->handovers()->sole()->reason);

        // What is open in a browser ends with its next request.
        $this->actingAs($this->practitioner->refresh(), 'practitioner')->get('/')->assertRedirect('/sign-in');
        $this->post('/sign-in', ['email' => $this->practitioner->email, 'password' => 'a-long-password'])->assertSessionHasErrors('email');
        $this->actingAs($this->lead, 'practitioner')->put("/clinic/people/{$this->practitioner->id}", ['role' => 'lead'])->assertNotFound();
        $this->post($this->handovers(), ['kind' => 'move', 'to' => $this->practitioner->id, 'reason' => 'Back again'])->assertSessionHasErrors('to');
        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page->where('people', fn ($people) => collect($people)->firstWhere('id', $this->practitioner->id)['ended_on'] !== null));

        // And comes back by an invitation to the same address, as the same person.
        $address = app(InvitePerson::class)($this->lead, $this->practitioner->email, Role::Practitioner);
        $this->post('/sign-out');
        $this->post('/join', ['token' => explode('#', $address)[1], 'name' => 'Back Again', 'profession' => 'counsellor', 'password' => self::NEW])->assertRedirect('/');
        self::assertSame('Back Again', $this->practitioner->refresh()->name);
        self::assertNull($this->practitioner->ended_at);
    }

    public function test_a_clinic_keeps_a_lead_and_nobody_ends_their_own_account_or_one_of_another_clinic(): void
    {
        $this->actingAs($this->lead, 'practitioner');
        $body = ['your_password' => 'a-long-password'];
        $this->post("/clinic/people/{$this->lead->id}/end", $body)->assertSessionHasErrors('person');
        $this->post('/clinic/people/'.Practitioner::factory()->create()->id.'/end', $body)->assertNotFound();
        $this->actingAs($this->practitioner, 'practitioner')->post("/clinic/people/{$this->lead->id}/end", $body)->assertForbidden();
        self::assertSame(0, Practitioner::query()->whereNotNull('ended_at')->count());
    }

    private function invite(): string
    {
        Mail::fake();
        $token = explode('#', app(InvitePerson::class)($this->lead, 'maren@quay.example', Role::Practitioner))[1];
        Mail::assertQueued(AccountMail::class);

        return $token;
    }

    private function handovers(): string
    {
        return "/patients/{$this->patient->id}/handovers";
    }
}
