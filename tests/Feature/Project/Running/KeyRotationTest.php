<?php

declare(strict_types=1);

namespace Tests\Feature\Project\Running;

use App\Facts\Caseload\NoteWords;
use App\Guard\DeviceGuard;
use App\Guard\Door\Door;
use App\Guard\Keys\Rotation;
use App\Guard\StopLink;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\SessionNote;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Cookie\CookieValuePrefix;
use Illuminate\Database\QueryException;
use Illuminate\Encryption\Encrypter;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Feature\AtTheQuay;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** The key of the application is replaced while everything goes on, and nothing is lost, wherever it is interrupted. */
final class KeyRotationTest extends TestCase
{
    use AtTheQuay, RefreshDatabase, Scenario;

    private const NEW = 'base64:AAECAwQFBgcICQoLDA0ODxAREhMUFRYXGBkaGxwdHh8=';

    public function test_everything_stands_under_the_new_key_after_as_many_tries_as_it_takes(): void
    {
        $this->atTheQuay();
        Practitioner::query()->where('email', 'nora@harrowquay.example')->sole()->update(['second_factor' => 'SECRET', 'recovery_codes' => ['a', 'b']]);
        $note = SessionNote::query()->firstOrFail();
        DB::table('outgoing_mails')->insert(['to' => 'no cell of ours', 'subject' => Crypt::encryptString('s'), 'text' => Crypt::encryptString('t'), 'at' => now()]);
        $before = $this->plain();
        self::assertGreaterThan(300, count($before));
        $old = config()->string('app.key');
        $words = $this->found('extended');
        self::assertNotSame([], $words);
        $stop = StopLink::of($note->careSession->patient);

        $this->artisan('key:rotate')->expectsOutput('There is no earlier key: nothing is to be done.')->assertSuccessful();
        $this->keys(self::NEW, [$old]);
        self::assertSame($before, $this->plain(), 'Everything can be read before anything is done,');
        $this->artisan('key:rotate', ['--most' => '150'])->expectsOutputToContain('cells are left. Run it again; what is done is done.')->assertExitCode(2);
        self::assertSame($before, $this->plain(), 'in the middle of it,');
        $left = (new Rotation)->left();
        self::assertSame(150, count($before) - $left - 1, 'Just so many were done; one opens with no key.');
        // Somebody goes on writing meanwhile.
        $note->careSession->patient->update(['contact' => 'new']);
        $before = $this->plain();
        $this->artisan('key:rotate')->expectsOutput('1 cells open with none of the keys; they stay as they are.')->expectsOutput('Everything stands under the present key.')->assertSuccessful();
        self::assertSame(0, (new Rotation)->left());
        $this->keys(self::NEW, []);
        self::assertSame($before, $this->plain(), 'and with the earlier key put away.');
        $this->keys($old, []);
        self::assertSame([], array_filter($this->plain(), fn (?string $plain) => $plain !== null), 'The earlier key opens nothing any more.');
        $this->keys(self::NEW, []);

        // What goes by marks is as it was, and history stands.
        self::assertSame($words, $this->found('extended'));
        self::assertSame($stop, StopLink::of($note->careSession->patient));
        self::assertSame(0, DB::table(Door::TABLE)->count());
        try {
            DB::table('session_notes')->where('id', $note->id)->update(['text' => 'x']);
            self::fail('A signed note was changed.');
        } catch (QueryException $refusal) {
            self::assertStringContainsString('cannot be changed', $refusal->getMessage());
        }
        $this->actingAs(Practitioner::query()->where('email', 'nora@harrowquay.example')->sole(), 'practitioner');
        $shown = collect($this->props($this->get("/patients/{$note->careSession->patient_id}/record"))['sessions'])->pluck('note');
        self::assertContains(SessionNote::query()->findOrFail($note->id)->text, $shown);
        self::assertNotContains('(cannot be read)', $shown);
    }

    public function test_a_phone_gets_its_cookie_under_the_new_key_while_both_are_there(): void
    {
        $this->clinicWithPatient();
        [, $credential] = $this->device();
        $old = config()->string('app.key');
        $sealed = $this->cookieUnder($old, $credential);
        $given = fn (string $cookie) => $this->withCredentials()->disableCookieEncryption()
            ->withHeader('X-Ivory-Pace', '1')->withUnencryptedCookie(DeviceGuard::COOKIE, $cookie)->getJson('/api/v1/me')->assertOk()
            ->getCookie(DeviceGuard::COOKIE, false)?->getValue();
        self::assertNull($given($sealed), 'Nothing is to be renewed.');
        $this->keys(self::NEW, [$old]);
        $renewed = (string) $given($sealed);
        self::assertNotSame('', $renewed);
        self::assertNotSame($sealed, $renewed);
        // What is under the present key is left alone: a late answer to one who was here before gives nobody back.
        self::assertNull($given($renewed));
        $this->encryptCookies = true;
        // Who signs out is signed out.
        $this->fromDevice($credential);
        $this->unlock();
    }

    private function cookieUnder(string $key, string $credential): string
    {
        $plain = (string) base64_decode(Str::after($key, 'base64:'));

        return (new Encrypter($plain, config()->string('app.cipher')))
            ->encrypt(CookieValuePrefix::create(DeviceGuard::COOKIE, $plain).$credential, false);
    }

    /** @param  list<string>  $previous */
    private function keys(string $key, array $previous): void
    {
        config(['app.key' => $key, 'app.previous_keys' => $previous]);
        $this->app?->forgetInstance('encrypter');
        Crypt::clearResolvedInstances();
    }

    /** @return array<string, string|null> what each encrypted cell says, by place */
    private function plain(): array
    {
        $plain = [];
        foreach (Rotation::columns() as $table => $columns) {
            foreach (DB::table($table)->get() as $row) {
                foreach ($columns as $column) {
                    if (is_string($row->{$column})) {
                        $plain["$table.$column.".($row->id ?? $row->patient_id)] = $this->open($row->{$column});
                    }
                }
            }
        }

        return $plain;
    }

    private function open(string $sealed): ?string
    {
        try {
            return Crypt::decryptString($sealed);
        } catch (DecryptException) {
            return null;
        }
    }

    /** @return list<string> patients in whose notes the word stands */
    private function found(string $word): array
    {
        $clinic = (int) Practitioner::query()->where('email', 'nora@harrowquay.example')->value('clinic_id');

        return array_values(Patient::query()->whereIn('id', fn ($query) => NoteWords::patients($query, $word, $clinic))->orderBy('id')->pluck('id')->all());
    }
}
