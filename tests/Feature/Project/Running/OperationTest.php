<?php

declare(strict_types=1);

namespace Tests\Feature\Project\Running;

use App\Guard\Wellbeing;
use App\Jobs\ForgetOldMails;
use App\Models\OutgoingMail;
use App\Models\Patient;
use Carbon\CarbonImmutable;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** What whoever runs an installation relies on. */
final class OperationTest extends TestCase
{
    use RefreshDatabase;

    public function test_up_says_which_part_is_not_well(): void
    {
        $this->getJson('/up')->assertOk()->assertExactJson(['database' => true, 'queue' => true, 'scheduler' => true, 'disk' => true]);

        Wellbeing::beat();
        $job = ['queue' => 'default', 'payload' => '{}', 'attempts' => 0, 'reserved_at' => null, 'available_at' => now()->getTimestamp(), 'created_at' => now()->getTimestamp()];
        DB::table('jobs')->insert($job);
        $this->travel(4)->minutes();
        $this->getJson('/up')->assertOk();
        $this->travel(2)->minutes();
        $this->getJson('/up')->assertStatus(503)->assertJson(['queue' => false, 'scheduler' => false, 'database' => true]);
        DB::table('jobs')->delete();
        Wellbeing::beat();
        $this->getJson('/up')->assertOk();

        $this->withoutDatabase(fn () => $this->getJson('/up')->assertStatus(503)->assertJson(['database' => false, 'disk' => true]));
    }

    public function test_the_patients_page_and_its_worker_come_without_the_database(): void
    {
        $public = sys_get_temp_dir().'/ivory-pace-public-'.getmypid();
        File::ensureDirectoryExists("$public/".config()->string('app.build_directory'));
        File::put("$public/".config()->string('app.build_directory').'/manifest.json', (string) json_encode([
            'resources/js/patient.ts' => ['file' => 'patient.js'], 'resources/js/worker.ts' => ['file' => 'worker.js'],
        ]));
        File::put("$public/".config()->string('app.build_directory').'/worker.js', '// The worker.');
        $this->app?->usePublicPath($public);
        $this->withoutDatabase(function (): void {
            $this->withCredentials()->withCookie('ivory_pace_device', 'a-credential')->get('/my')->assertOk();
            $this->get('/my/practice')->assertOk();
            $this->get('/enter')->assertOk();
            $this->get('/worker.js')->assertOk()->assertSee('// The worker.', false);
        });
        File::deleteDirectory($public);
    }

    public function test_values_of_statements_reach_no_log(): void
    {
        Log::spy();
        $patient = Patient::factory()->create(['name' => 'Ilse Wren']);
        try {
            DB::table('patients')->insert(['id' => $patient->id, 'name' => 'Secret Name']);
            self::fail('It is there already.');
        } catch (QueryException $problem) {
            report($problem);
        }
        Log::shouldHaveReceived('error')->once()->withArgs(function (string $message, array $context) use ($patient): bool {
            $text = $message.json_encode($context);

            return ! str_contains($text, 'Secret Name') && ! str_contains($text, $patient->id) && str_contains($text, 'insert into');
        });
    }

    public function test_logs_turn_every_day_and_are_for_nobody_else(): void
    {
        self::assertSame([14, 0640], [config('logging.channels.daily.days'), config('logging.channels.daily.permission')]);
    }

    public function test_what_dies_is_started_again_and_ends_when_it_is_told_to(): void
    {
        $file = sys_get_temp_dir().'/ivory-pace-supervised-'.getmypid();
        File::delete($file);
        $process = new Process(['bash', base_path('bin/lib/supervise.sh'), 'bash', '-c', "echo x >> $file; exit 3"]);
        $process->start();
        $deadline = microtime(true) + 15;
        while (microtime(true) < $deadline && substr_count((string) @file_get_contents($file), 'x') < 3) {
            usleep(100_000);
        }
        self::assertTrue($process->isRunning());
        self::assertGreaterThanOrEqual(3, substr_count((string) file_get_contents($file), 'x'));
        $process->stop(5);
        self::assertFalse($process->isRunning());
        $times = substr_count((string) file_get_contents($file), 'x');
        usleep(1_500_000);
        self::assertSame($times, substr_count((string) file_get_contents($file), 'x'));
        self::assertStringContainsString('it is started again', $process->getOutput());
        File::delete($file);
    }

    public function test_messages_of_the_outbox_are_forgotten_after_a_month(): void
    {
        foreach ([0, 29, 31] as $days) {
            OutgoingMail::query()->create(['to' => 'a@b.example', 'subject' => "$days days", 'text' => 'x', 'at' => CarbonImmutable::now()->subDays($days)]);
        }
        (new ForgetOldMails)->handle();
        self::assertSame(['0 days', '29 days'], OutgoingMail::query()->orderBy('id')->get()->map(fn (OutgoingMail $mail) => $mail->subject)->all());
    }

    public function test_the_session_store_is_encrypted(): void
    {
        self::assertTrue(config('session.encrypt'));
        self::assertTrue(config('session.http_only'));
        self::assertSame('lax', config('session.same_site'));
    }

    /** @param  callable(): mixed  $do */
    private function withoutDatabase(callable $do): void
    {
        config(['database.connections.mariadb.port' => 1]);
        DB::purge('mariadb');
        try {
            $do();
        } finally {
            config(['database.connections.mariadb.port' => env('DB_PORT')]);
            DB::purge('mariadb');
        }
    }
}
