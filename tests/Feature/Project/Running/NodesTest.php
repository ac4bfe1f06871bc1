<?php

declare(strict_types=1);

namespace Tests\Feature\Project\Running;

use App\Guard\Conflict;
use App\Guard\Nodes\Away;
use App\Guard\Nodes\FirstReady;
use App\Guard\Nodes\NodesConnection;
use App\Models\Device;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\Practitioner;
use Closure;
use Illuminate\Database\DeadlockException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use LogicException;
use PDO;
use PDOException;
use Tests\Feature\Scenario;
use Tests\TestCase;
use Throwable;

/** Where the database is several nodes, and what meets somebody else's change. */
final class NodesTest extends TestCase
{
    use RefreshDatabase, Scenario;

    /** Nobody listens there. */
    private const NOBODY = ['127.0.0.1:1', '127.0.0.1:2'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-20 07:00:00');
        $this->clinicWithPatient();
        array_map(Away::isBack(...), [...self::NOBODY, $this->real()]);
    }

    protected function tearDown(): void
    {
        array_map(Away::isBack(...), [...self::NOBODY, $this->real()]);
        parent::tearDown();
    }

    public function test_the_first_that_is_ready_is_spoken_to_and_who_was_away_is_asked_last(): void
    {
        [$one, $two] = self::NOBODY;
        $nodes = [$one, $this->real(), $two];
        self::assertSame($nodes, Away::last($nodes));
        self::assertSame('1', (string) $this->connect($nodes)->query('select 1')?->fetchColumn());
        self::assertSame([$this->real(), $two, $one], Away::last($nodes), 'Which was away is remembered, which was not asked is not.');
        self::assertSame($this->real(), Away::last(array_reverse($nodes))[1], 'The order is the list’s.');
        $this->connect($nodes);
        Away::isBack($one);
        self::assertSame($nodes, Away::last($nodes));

        // After a moment it is asked again.
        Away::note($one);
        touch(storage_path('framework/cache/away-'.hash('crc32b', $one)), time() - 6);
        self::assertSame($nodes, Away::last($nodes));
        Away::note($one);
        Away::note($two);
        Away::note($this->real());
        self::assertSame($nodes, Away::last($nodes), 'When all were away all are asked.');
    }

    public function test_where_none_is_ready_that_is_said(): void
    {
        try {
            $this->connect(self::NOBODY);
            self::fail();
        } catch (PDOException $problem) {
            self::assertStringContainsString('[2002]', $problem->getMessage());
        }
        $before = config()->array('database.connections.mariadb');
        config(['database.connections.mariadb' => ['nodes' => implode(', ', self::NOBODY)] + $before]);
        DB::purge('mariadb');
        $this->get('/sign-in')->assertStatus(503)->assertSee('Try again in a minute');
        config(['database.connections.mariadb' => $before]);
        DB::purge('mariadb');
    }

    public function test_without_a_list_there_is_one_server(): void
    {
        self::assertSame([], FirstReady::in(null));
        self::assertSame([], FirstReady::in(' , '));
        self::assertSame(['a:1', 'b'], FirstReady::in('a:1, b,'));
        self::assertSame('1', (string) $this->connect([])->query('select 1')?->fetchColumn());
    }

    public function test_where_there_are_several_whoever_decides_about_a_patient_writes_a_row_that_others_write_too(): void
    {
        $this->screen();
        $version = $this->issue();
        [, $credential] = $this->device();
        self::assertSame(0, DB::table('turns')->count());
        config(['database.connections.mariadb.nodes' => 'one,two']);
        $measure = fn (int $value) => $this->actingAs($this->practitioner, 'practitioner')
            ->postJson("/patients/{$this->patient->id}/measure", ['measure' => 'saturation', 'position' => 'seated', 'value' => (string) $value]);
        $measure(97)->assertCreated();
        $measure(96)->assertCreated();
        self::assertSame([2], DB::table('turns')->pluck('taken')->all());
        // What is refused takes none, and so does looking.
        $measure(-1)->assertUnprocessable();
        $this->get("/patients/{$this->patient->id}")->assertOk();
        self::assertSame([2], DB::table('turns')->pluck('taken')->all());
        $this->fromDevice($credential)->outbox('practice', $this->practiceLog($version))->assertStored();
        self::assertSame([3], DB::table('turns')->pluck('taken')->all());
    }

    /** A row that was read and changed before the conflict would think that it has been stored. */
    public function test_what_is_tried_again_is_stored(): void
    {
        $conflicts = $this->conflicts(2);
        Patient::updated($conflicts);
        $this->actingAs($this->practitioner, 'practitioner')
            ->put("/patients/{$this->patient->id}/details", ['name' => 'Odette Marsh', 'birth_date' => '1984-03-02', 'time_zone' => 'Europe/Lisbon', 'day_start' => '04:00'])
            ->assertSessionHasNoErrors()->assertRedirect();
        self::assertSame('Odette Marsh', Patient::query()->findOrFail($this->patient->id)->name);

        Practitioner::updated($this->conflicts(1));
        $this->put('/account/details', ['name' => 'Nora Anders', 'profession' => 'Physiotherapist', 'registration' => 'R 12'])->assertSessionHasNoErrors();
        self::assertSame('Nora Anders', $this->practitioner->fresh()?->name);
    }

    public function test_what_a_phone_sends_is_tried_again_for_itself(): void
    {
        $this->screen();
        $version = $this->issue();
        [$device, $credential] = $this->device();
        $device->update(['pin' => null]);
        $this->fromDevice($credential);
        Device::updating($this->conflicts(1));
        $this->postJson('/api/v1/pin', ['pin' => '480153'])->assertSuccessful();
        self::assertNotNull(Device::query()->sole()->pin);

        Practice::creating($this->conflicts(2));
        $this->outbox('practice', $this->practiceLog($version))->assertStored();
        self::assertSame(1, Practice::query()->count());

        // Three times is enough: the phone keeps it, and the next one is stored.
        Practice::creating($this->conflicts(3));
        $send = fn () => $this->postJson('/api/v1/outbox', ['sent_at' => now()->format('Y-m-d\TH:i:s.v\Z'), 'items' => array_map(
            fn (string $id) => ['id' => $id, 'kind' => 'practice', 'body' => $this->practiceLog($version)], ['a', 'b'],
        )])->assertOk()->json('answers.*.result');
        self::assertSame(['later', 'stored'], $send());
        self::assertSame(2, Practice::query()->count());
    }

    /** As a node does when a change of another wins, without saying so to the query that runs. */
    public function test_a_transaction_that_is_no_more_is_noticed_at_once(): void
    {
        $to = fn (string $nodes) => DB::connectUsing("nodes-{$nodes}", ['nodes' => $nodes] + config()->array('database.connections.mariadb'));
        $nodes = $to($this->real());
        self::assertInstanceOf(NodesConnection::class, $nodes);
        self::assertNotInstanceOf(NodesConnection::class, $to(''));
        self::assertSame(1, $nodes->scalar('select 1'));
        $mark = fn (string $as) => $nodes->insert('insert into cache (`key`, value, expiration) values (?, ?, 1)', [$as, 'x']);
        $kept = Conflict::settle(fn (int $before) => $nodes->transaction(function () use ($nodes, $mark, $before): int {
            $mark('first');
            if ($before === 0) {
                $nodes->getPdo()->exec('rollback');
            }
            $nodes->scalar('select 1');
            $mark('second');

            return $nodes->table('cache')->whereIn('key', ['first', 'second'])->count();
        }));
        self::assertSame([2, 0], [$kept, $nodes->transactionLevel()]);

        // One whose end was refused is put away before another begins.
        $nodes->getPdo()->beginTransaction();
        self::assertSame(2, $nodes->transaction(fn () => $nodes->table('cache')->whereIn('key', ['first', 'second'])->delete()));
        $nodes->disconnect();
    }

    public function test_only_a_conflict_is_settled(): void
    {
        $tried = [];
        $try = function (array $ends) use (&$tried): mixed {
            $tried = [];

            return Conflict::settle(function (int $before) use (&$tried, $ends): string {
                $tried[] = $before;

                return $ends[$before] instanceof Throwable ? throw $ends[$before] : $ends[$before];
            });
        };
        $met = new DeadlockException('SQLSTATE[40001]: Deadlock found when trying to get lock');
        self::assertSame('a', $try(['a']));
        self::assertSame('c', $try([$met, $met, 'c']));
        self::assertSame([0, 1, 2], $tried);
        foreach ([[[$met, $met, $met, 'd'], $met, 3], [[$met, $other = new LogicException('other')], $other, 2]] as [$ends, $problem, $times]) {
            try {
                $try($ends);
                self::fail();
            } catch (DeadlockException|LogicException $caught) {
                self::assertSame([$problem, $times], [$caught, count($tried)]);
            }
        }
        // Where the problem comes in an answer, the last answer is given.
        $answers = [];
        $last = Conflict::settle(fn (int $before) => $answers[] = $before, fn (int $before): Throwable => $met);
        self::assertSame(2, $last);
    }

    private function conflicts(int $many): Closure
    {
        return function () use (&$many): void {
            if ($many-- > 0) {
                throw new QueryException('mariadb', 'insert', [], new PDOException('SQLSTATE[40001]: Serialization failure: 1213 Deadlock found when trying to get lock'));
            }
        };
    }

    private function real(): string
    {
        return config()->string('database.connections.mariadb.host').':'.config()->string('database.connections.mariadb.port');
    }

    /** @param  list<string>  $nodes */
    private function connect(array $nodes): PDO
    {
        return (new FirstReady)->connect(['nodes' => implode(',', $nodes)] + config()->array('database.connections.mariadb'));
    }
}
