<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Caseload\CaseloadPage;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** The Caseload is searched, filtered and cut by the database. */
final class CaseloadSearchTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-02 09:00:00');
        $this->practitioner = Practitioner::factory()->create();
        $this->patient = $this->add('Edda Korhönen');
        $this->screen(['flag.panic']);
        $this->issue(['ratio' => '4:0:6:1']);
        $colleague = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id]);
        $this->screen(['flag.copd'], $this->add('Bram Fenwick', $colleague));
        $this->add('Anne-Marie Fenn');
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_patients_are_found_by_the_beginning_of_any_word_of_the_name_and_by_what_is_prescribed(): void
    {
        self::assertSame(['Edda Korhönen'], $this->found('search=korhon'));
        self::assertSame(['Anne-Marie Fenn', 'Bram Fenwick'], $this->found('search=fen'));
        self::assertSame(['Anne-Marie Fenn'], $this->found('search=marie+fenn'));
        self::assertSame(['Anne-Marie Fenn'], $this->found('search=anne-marie'));
        self::assertSame(['Edda Korhönen'], $this->found('search=4:0:6'));
        self::assertSame(['Edda Korhönen'], $this->found('search=KORHÖNEN'));
        foreach (['enwick', '%', '_', '\\', "'", 'f%n'] as $nobody) {
            self::assertSame([], $this->found('search='.urlencode($nobody)), $nobody);
        }
    }

    public function test_two_of_one_name_are_told_apart_and_found_by_their_date_of_birth(): void
    {
        foreach (['1951-03-04', '1987-11-30'] as $born) {
            $this->add('Ilse Wren')->update(['birth_date' => $born]);
        }
        self::assertSame(['Ilse Wren', 'Ilse Wren'], $this->found('search=ilse'));
        foreach (['1951-03-04', '04.03.1951', 'ilse 1951', '03/1951'] as $typed) {
            self::assertSame(['Ilse Wren'], $this->found('search='.urlencode($typed)), $typed);
        }
        self::assertSame([], $this->found('search=1951-03-05'));
        $this->get('/?search=1951')->assertInertia(
            fn (AssertableInertia $page) => $page->where('names_that_meet', ['Ilse Wren'])->where('lines.0.born', '1951-03-04'),
        );
        // Another clinic's namesakes are nobody's business.
        Patient::factory()->create(['name' => 'Bram Fenwick']);
        $this->get('/')->assertInertia(fn (AssertableInertia $page) => $page->where('names_that_meet', ['Ilse Wren']));
    }

    public function test_names_of_any_script_are_found_as_they_are_written_and_in_latin_letters(): void
    {
        foreach (['Ольга Вернер', 'Łukasz Ødegård', '李 明'] as $name) {
            $this->add($name);
            self::assertSame([$name], $this->found('search='.urlencode($name)));
        }
        self::assertSame(['Łukasz Ødegård'], $this->found('search=lukasz'));
    }

    public function test_whose_reason_and_flag_go_together(): void
    {
        self::assertSame(['Anne-Marie Fenn', 'Edda Korhönen'], $this->found('whose=mine'));
        self::assertSame(['Bram Fenwick'], $this->found('flag=COPD'));
        self::assertSame([], $this->found('flag=COPD&whose=mine'));
        $props = $this->pageProps('/');
        self::assertSame([3, 3], [$props['counts']['total'], $props['counts']['fitting']]);
        foreach ((array) $props['counts']['by_reason'] as $reason => $patients) {
            self::assertCount($patients, $this->found("reason=$reason"));
        }
        self::assertEqualsCanonicalizing(array_keys((array) $props['counts']['by_reason']), array_column($props['counts']['reasons'], 'value'));
        self::assertSame(['COPD', 'panic disorder'], $props['counts']['flags']);
    }

    public function test_sixty_come_at_once_and_the_others_after_them_each_once(): void
    {
        $few = $this->queries();
        Patient::factory()->count(2 * CaseloadPage::LINES)
            ->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
        $ids = [];
        foreach ([1, 2, 3, 4] as $page) {
            $props = $this->pageProps("/?page=$page");
            array_push($ids, ...array_column(json_decode((string) json_encode($props['lines']), true), 'id'));
            self::assertSame(123, $props['counts']['total']);
            self::assertCount([60, 120, 123, 123][$page - 1], $ids);
        }
        self::assertCount(123, array_unique($ids));
        self::assertSame($few, $this->queries(), 'as many queries for 123 patients as for three');
    }

    public function test_whatever_stands_in_the_address_is_answered(): void
    {
        foreach (['page=0', 'page=-1', 'page=x', 'page=99999', 'page[]=1', 'search[]=x', 'whose=other', 'reason=none', 'flag[x]=1', 'search='.str_repeat('a', 5000)] as $query) {
            $this->get("/?$query")->assertOk();
        }
        self::assertSame('clinic', $this->pageProps('/?whose=other')['filter']['whose']);
        $this->get('/?search=%FF%FE')->assertStatus(422)->assertSee('Could not be read');
    }

    public function test_another_clinic_finds_none_of_them_and_strangers_and_patients_nothing(): void
    {
        [, $credential] = $this->device();
        $this->actingAs(Practitioner::factory()->create(), 'practitioner');
        self::assertSame([], $this->found('search=fen'));
        self::assertSame(0, $this->pageProps('/')['counts']['total']);
        $this->app?->make('auth')->forgetGuards();
        $this->get('/?search=fen')->assertRedirect('/sign-in');
        $this->fromDevice($credential)->get('/?search=fen')->assertRedirect('/my');
    }

    private function queries(): int
    {
        $this->get('/')->assertOk();
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->get('/')->assertOk();

        return count(DB::getQueryLog());
    }

    private function add(string $name, ?Practitioner $of = null): Patient
    {
        $of ??= $this->practitioner;

        return Patient::factory()->create(['practitioner_id' => $of->id, 'clinic_id' => $of->clinic_id, 'name' => $name]);
    }

    /** @return list<string> sorted names */
    private function found(string $query): array
    {
        $names = array_column(json_decode((string) json_encode($this->pageProps("/?$query")['lines']), true), 'name');
        sort($names);

        return $names;
    }

    /** @return array<string, mixed> */
    private function pageProps(string $address): array
    {
        return $this->get($address)->assertOk()->viewData('page')['props'];
    }
}
