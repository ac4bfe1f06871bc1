<?php

declare(strict_types=1);

namespace Tests\Feature\Messages;

use App\Actions\Messages\Once;
use App\Actions\Practice\PutOff;
use App\Actions\Programme\PauseByPractitioner;
use App\Facts\Caseload\CaseloadLines;
use App\Guard\StopLink;
use App\Mail\PatientMail;
use App\Models\Appointment;
use App\Models\OutgoingMail;
use App\Models\Patient;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Mail\SendQueuedMailable;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Messages: only to whom wished for them, each once, in their hours, and nothing of what they come for. */
final class MessagesTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        config(['mail.default' => 'outbox', 'app.url' => 'https://quay.example']);
        $this->travelTo(CarbonImmutable::parse('2026-12-01 10:00'));
        $this->clinicWithPatient();
        $this->practitioner->clinic->update(['name' => 'Quay Rooms', 'time_zone' => 'Europe/Lisbon', 'telephone' => '0200 555 010']);
        $this->practitioner->update(['name' => 'Nora Ashgrove']);
        $this->patient->update(['time_zone' => 'Europe/Lisbon', 'contact' => 'rosa@fell.example', 'mails_appointments' => true, 'mails_practice' => true]);
        $this->actingAs($this->practitioner->refresh(), 'practitioner');
    }

    public function test_an_appointment_is_told_when_it_is_made_moved_and_cancelled_and_the_day_before(): void
    {
        $this->book(['day' => '2026-12-09', 'time' => '10:30', 'every' => 1, 'times' => 2]);
        $first = Appointment::query()->orderBy('starts_at')->firstOrFail();
        $this->put("/patients/{$this->patient->id}/appointments/{$first->id}", ['day' => '2026-12-09', 'time' => '11:00']);
        // The same once more changes nothing, and nothing is sent.
        $this->put("/patients/{$this->patient->id}/appointments/{$first->id}", ['day' => '2026-12-09', 'time' => '11:00']);
        $this->delete("/patients/{$this->patient->id}/appointments/{$first->id}", ['later' => true]);
        $mails = $this->mails();
        self::assertSame([
            'An appointment at Quay Rooms', 'Your appointment at Quay Rooms is at another time', 'Your appointment at Quay Rooms does not take place',
        ], array_column($mails, 'subject'));
        self::assertSame(['rosa@fell.example'], array_unique(array_column($mails, 'to')));
        self::assertStringContainsString("With Nora Ashgrove:\n\nWednesday 9 December 2026, 10:30\nWednesday 16 December 2026, 10:30\n\nIf that does not suit you, call 0200 555 010.", $mails[0]['text']);
        self::assertStringContainsString("With Nora Ashgrove:\n\nWednesday 9 December 2026, 11:00\n\nIf", $mails[1]['text']);
        foreach ($mails as $mail) {
            self::assertDoesNotMatchRegularExpression('/breath|symptom|tension|exhale|screen/i', $mail['subject'].$mail['text']);
            self::assertStringContainsString('No more messages like this: '.StopLink::of($this->patient), $mail['text']);
        }

        // The evening before, once, however often it is looked; and again when it was moved to another day.
        $this->book(['day' => '2026-12-03', 'time' => '09:00']);
        $before = count($this->mails());
        foreach (['2026-12-01 17:00', '2026-12-02 15:59', '2026-12-02 16:00', '2026-12-02 16:05', '2026-12-02 23:00', '2026-12-03 08:00'] as $time) {
            $this->remindAt($time);
        }
        self::assertSame(['Tomorrow: your appointment at Quay Rooms'], array_slice(array_column($this->mails(), 'subject'), $before));
    }

    public function test_what_is_told_is_what_changed_and_a_change_back_is_told_as_well(): void
    {
        $this->book(['day' => '2026-12-09', 'time' => '10:30']);
        $appointment = Appointment::query()->sole();
        $change = fn (array $to) => $this->put("/patients/{$this->patient->id}/appointments/{$appointment->id}", ['day' => '2026-12-09', 'time' => '10:30', ...$to])->assertSessionHasNoErrors();
        $colleague = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id, 'name' => 'Idris Penwarden']);
        $change(['minutes' => 20, 'kind' => 'remote']);
        $change(['with' => $colleague->id]);
        $change(['time' => '11:00']);
        $change([]);
        $change(['time' => '11:00']);
        $mails = array_slice($this->mails(), 1);
        self::assertSame(['with somebody else', 'at another time', 'at another time', 'at another time'], array_map(fn (array $mail) => trim(substr($mail['subject'], strlen('Your appointment at Quay Rooms is'))), $mails));
        self::assertStringContainsString('With Idris Penwarden:', $mails[0]['text']);
        self::assertSame(['11:00', '10:30', '11:00'], array_map(fn (array $mail) => preg_match('/2026, (\d\d:\d\d)/', $mail['text'], $at) === 1 ? $at[1] : '', array_slice($mails, 1)));

        // A reminder of tomorrow once for each time, whatever else changes.
        $this->remindAt('2026-12-08 17:00');
        $change(['time' => '11:00', 'minutes' => 60]);
        $this->remindAt('2026-12-08 18:00');
        $change(['time' => '15:00']);
        $this->remindAt('2026-12-08 19:00');
        self::assertCount(2, array_filter($this->mails(), fn (array $mail) => str_starts_with($mail['subject'], 'Tomorrow')));
    }

    public function test_what_cannot_wait_for_the_morning_does_not(): void
    {
        $this->book(['day' => '2026-12-02', 'time' => '10:30']);
        $this->travelTo(CarbonImmutable::parse('2026-12-01 22:30'));
        Queue::fake();
        // The mailer that has already sent something holds the queue of before.
        $this->app?->make('mail.manager')->forgetMailers();
        $this->delete("/patients/{$this->patient->id}/appointments/".Appointment::query()->sole()->id)->assertSessionHas('flash', 'The appointment is taken back.');
        Queue::assertPushed(fn (SendQueuedMailable $job) => $job->delay instanceof CarbonImmutable && $job->delay->utc()->format('Y-m-d H:i') === '2026-12-01 22:30');
    }

    public function test_nobody_gets_what_they_did_not_wish_for(): void
    {
        $this->screen();
        $this->issue(['times_a_day' => 3]);
        foreach ([
            ['mails_appointments' => false, 'mails_practice' => false], ['contact' => 'telephone only'], ['contact' => null], ['archived_at' => now()],
        ] as $without) {
            $this->patient->update(['mails_appointments' => true, 'mails_practice' => true, 'contact' => 'rosa@fell.example', 'archived_at' => null, ...$without]);
            Appointment::query()->delete();
            $this->book(['day' => '2026-12-03', 'time' => '09:00']);
            foreach (range(0, 23) as $hour) {
                $this->remindAt("2026-12-02 $hour:30");
            }
            $this->travelTo(CarbonImmutable::parse('2026-12-01 10:00'));
            self::assertSame([], $this->mails(), (string) json_encode($without));
        }
    }

    public function test_at_night_a_message_waits_for_the_morning_of_the_patient(): void
    {
        $this->patient->update(['time_zone' => 'Australia/Sydney']);
        Queue::fake();
        // 10:00 in Lisbon is 21:00 in Sydney.
        $this->book(['day' => '2026-12-09', 'time' => '10:30']);
        Queue::assertPushed(fn (SendQueuedMailable $job) => $job->delay instanceof CarbonImmutable
            && $job->delay->utc()->format('Y-m-d H:i') === '2026-12-01 21:00');
    }

    public function test_practice_is_reminded_of_once_unless_it_is_done_put_off_or_paused(): void
    {
        $this->screen();
        $version = $this->issue(['times_a_day' => 1, 'anchors' => [['anchor' => 'lunch', 'from' => '11:30', 'to' => '14:00', 'days' => [1, 2, 3, 4, 5, 6, 7]]]]);
        $lineage = $version->items->firstOrFail()->lineage;
        foreach (['12:40', '12:45', '12:50', '13:55', '14:00', '20:00'] as $time) {
            $this->remindAt("2026-12-01 $time");
        }
        self::assertSame(['Practice: Before lunch'], array_column($this->mails(), 'subject'));
        self::assertStringContainsString("https://quay.example/my\n", $this->mails()[0]['text']);
        self::assertStringNotContainsString('exhale', $this->mails()[0]['text']);

        $this->travelTo(CarbonImmutable::parse('2026-12-02 11:40'));
        [$device] = $this->device();
        app(PutOff::class)($device, ['day' => '2026-12-02', 'lineage' => $lineage, 'anchor' => 'lunch', 'reason' => 'busy'], now()->toImmutable());
        $this->remindAt('2026-12-02 13:00');
        self::assertCount(1, $this->mails(), 'put off');
        $this->travelTo(CarbonImmutable::parse('2026-12-03 11:40'));
        $pause = app(PauseByPractitioner::class)($this->patient->refresh(), $this->practitioner, $lineage, 'Rest a little.');
        $this->remindAt('2026-12-03 13:00');
        self::assertCount(1, $this->mails(), 'paused');
        $pause->update(['until_at' => now(), 'ended_by' => $this->practitioner->id]);
        $this->remindAt('2026-12-04 13:00');
        self::assertCount(2, $this->mails(), 'and on the next day again');
    }

    public function test_two_workers_at_the_same_moment_send_one(): void
    {
        self::assertSame([true, false, true], [Once::first('a'), Once::first('a'), Once::first('b')]);
        $this->travel(61)->days();
        Once::forget();
        self::assertTrue(Once::first('a'));
    }

    public function test_one_tap_ends_them_and_opening_the_address_does_not(): void
    {
        $path = (string) parse_url(StopLink::of($this->patient), PHP_URL_PATH);
        $this->app?->make('auth')->forgetGuards();
        $this->get($path)->assertOk()->assertSee('No more messages?')->assertSee('Quay Rooms')->assertDontSee($this->patient->name);
        self::assertTrue($this->patient->refresh()->mails_practice);
        // As mail programs do by themselves.
        $this->post($path, ['List-Unsubscribe' => 'One-Click'])->assertOk()->assertSee('You get no more messages.');
        self::assertSame([false, false], [$this->patient->refresh()->mails_appointments, $this->patient->mails_practice]);
        $other = Patient::factory()->create(['mails_practice' => true]);
        foreach ([str_replace($this->patient->id, $other->id, $path), substr($path, 0, -1).'0', '/messages/x'] as $guess) {
            if ($guess !== $path) {
                $this->post($guess)->assertNotFound();
            }
        }
        self::assertTrue($other->refresh()->mails_practice);
    }

    public function test_a_patient_chooses_and_the_practitioner_sees_it(): void
    {
        [, $credential] = $this->device();
        $this->app?->make('auth')->forgetGuards();
        $this->fromDevice($credential)->unlock();
        $this->getJson('/api/v1/messages')->assertExactJson(['email' => 'rosa@fell.example', 'appointments' => true, 'practice' => true]);
        $this->putJson('/api/v1/messages', ['appointments' => false, 'practice' => 'maybe'])->assertUnprocessable();
        $this->putJson('/api/v1/messages', ['appointments' => false, 'practice' => true])->assertJsonPath('appointments', false);
        $this->app?->make('auth')->forgetGuards();
        $record = fn () => $this->actingAs($this->practitioner, 'practitioner')->get("/patients/{$this->patient->id}/record")->viewData('page')['props']['details'];
        self::assertFalse($record()['mails_appointments']);
        $this->put("/patients/{$this->patient->id}/details", [...$record(), 'mails_appointments' => true])->assertSessionHasNoErrors();
        self::assertTrue($record()['mails_appointments']);
    }

    public function test_a_practitioner_who_wishes_is_told_in_the_morning_how_many_reviews_are_due(): void
    {
        $this->practitioner->update(['email' => 'nora@quay.example']);
        $this->screen();
        $this->issue();
        $this->travelTo(CarbonImmutable::parse('2026-12-28 05:00'));
        CaseloadLines::refreshFor($this->practitioner->clinic, now()->toImmutable());
        DB::table('caseload_lines')->where('patient_id', $this->patient->id)->update(['reason' => 'review-overdue']);
        $this->patient->update(['mails_practice' => false]);
        $this->remindAt('2026-12-28 08:00');
        self::assertSame([], $this->mails());
        $this->put('/account/details', ['name' => 'Nora Ashgrove', 'profession' => 'physiotherapist', 'registration' => '', 'mails_reviews' => true])->assertSessionHasNoErrors();
        foreach (['06:59', '07:00', '12:00'] as $time) {
            $this->remindAt("2026-12-28 $time");
        }
        $mails = $this->mails();
        self::assertSame([['nora@quay.example', 'A review is due']], array_map(fn (array $mail) => [$mail['to'], $mail['subject']], $mails));
        self::assertStringNotContainsString($this->patient->name, $mails[0]['text']);
        self::assertNotSame([], Practitioner::query()->where('mails_reviews', true)->get()->all());
    }

    public function test_a_mail_server_gets_it_as_it_is_meant_and_one_that_is_busy_is_tried_again(): void
    {
        $port = 20_000 + random_int(0, 9_999);
        config(['mail.default' => 'smtp', 'mail.mailers.smtp.port' => $port, 'mail.mailers.smtp.host' => '127.0.0.1', 'mail.from.address' => 'rooms@quay.example']);
        $this->practitioner->update(['name' => 'Zoë Ørland']);
        $sink = Process::path(base_path())->start(['node', 'tests/readers/smtp.mjs', (string) $port]);
        $sink->waitUntil(fn (string $type, string $output) => str_contains($output, 'ready'));
        $this->book(['day' => '2026-12-09', 'time' => '10:30', 'with' => $this->practitioner->id])->assertSessionHasNoErrors();
        $got = $sink->wait()->output();
        $stop = StopLink::of($this->patient);
        foreach ([
            'MAIL FROM:<rooms@quay.example>', 'RCPT TO:<rosa@fell.example>', 'Subject: An appointment at Quay Rooms', "List-Unsubscribe: <{$stop}>",
            'List-Unsubscribe-Post: List-Unsubscribe=One-Click', 'Content-Type: text/plain; charset=utf-8',
        ] as $line) {
            self::assertStringContainsString($line, str_replace("\r\n ", ' ', $got));
        }
        $body = quoted_printable_decode($got);
        self::assertStringContainsString('With Zoë Ørland:', $body);
        self::assertStringContainsString('Wednesday 9 December 2026, 10:30', $body);

        $busy = Process::path(base_path())->start(['node', 'tests/readers/smtp.mjs', (string) ($port + 1), 'refuse']);
        $busy->waitUntil(fn (string $type, string $output) => str_contains($output, 'ready'));
        config(['mail.mailers.smtp.port' => $port + 1]);
        $this->app?->make('mail.manager')->forgetMailers();
        $mail = PatientMail::practice($this->practitioner->clinic, 'Before lunch', $stop);
        self::assertSame([5, [10, 60, 300, 900]], [$mail->tries, $mail->backoff]);
        $this->expectException(TransportExceptionInterface::class);
        Mail::to('rosa@fell.example')->sendNow($mail);
    }

    /** @param  array<string, mixed>  $at */
    private function book(array $at): TestResponse
    {
        return $this->from('/week')->post("/patients/{$this->patient->id}/appointments", $at);
    }

    private function remindAt(string $time): void
    {
        $this->travelTo(CarbonImmutable::parse($time));
        Artisan::call('reminders:send');
    }

    /** @return list<array{to: string, subject: string, text: string}> */
    private function mails(): array
    {
        return array_values(OutgoingMail::query()->orderBy('id')->get()->map(fn (OutgoingMail $mail) => ['to' => $mail->to, 'subject' => $mail->subject, 'text' => $mail->text])->all());
    }
}
