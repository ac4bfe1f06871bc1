<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\ProgrammeVersion;
use Illuminate\Foundation\Testing\RefreshDatabase;
use IvoryPace\Exchange\ProgrammeDocument;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\School;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Goal;
use IvoryPace\Programme\ProgrammeDraft;
use IvoryPace\Programme\Template;
use JsonSchema\Validator;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Programmes as files: against the published schema, round and round, and what is wrong by its path. */
final class ProgrammeDocumentTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    public function test_everything_that_can_be_prescribed_is_written_to_the_schema_and_reads_back_exactly(): void
    {
        foreach (Catalogue::all() as $technique) {
            $item = DraftReader::read(['technique' => $technique->key, 'why' => 'Für später – “gut”', 'fade' => 'sound', 'cue_word' => true], 'x')->item;
            self::assertNotNull($item);
            $this->assertRoundTrip(new ProgrammeDocument(School::GentleControl, 4, 'tension', null, [$item]));
        }
        [$goal] = Goal::read(['words' => 'Sleep', 'measure' => 'hours', 'target' => 6.5, 'direction' => 'at-least']);
        foreach (Template::shipped() as $template) {
            $this->assertRoundTrip(new ProgrammeDocument($template->school, 8, 'sleep', $goal, ProgrammeDraft::read($template->items, $template->school->value)->items()));
        }
        $edited = DraftReader::read(['technique' => 'square', 'short' => ['breaths' => 2], 'ladder' => [['set' => ['breaths' => 6], 'days' => 9]]], 'x')->item;
        self::assertNotNull($edited);
        $this->assertRoundTrip(new ProgrammeDocument(School::RatioPractice, 1, '', null, [DraftReader::read([...\IvoryPace\Programme\ItemFields::write($edited), 'school' => 'ratio-practice'], 'x')->item ?? $edited]));
    }

    public function test_a_version_is_written_and_read_onto_the_bench_of_another_patient(): void
    {
        $this->clinicWithPatient();
        $this->screen();
        $version = $this->issue(['breaths' => 9, 'times_a_day' => 2]);
        $this->actingAs($this->practitioner, 'practitioner');
        $file = $this->get("/patients/{$this->patient->id}/versions/{$version->number}/programme.json")->assertOk()
            ->assertHeader('Content-Disposition', 'attachment; filename="programme-version-1.json"')->getContent();
        self::assertStringNotContainsString($this->patient->name, (string) $file);
        self::assertStringNotContainsString((string) $version->items()->value('lineage'), (string) $file);

        $taken = $this->postJson("/patients/{$this->patient->id}/bench/import", ['text' => $file])->assertOk();
        self::assertSame([9, 4, 'tension'], [$taken->json('items.0.breaths'), $taken->json('weeks'), $taken->json('rated_symptom')]);
        self::assertSame(1, ProgrammeVersion::query()->count(), 'reading stores nothing');
        $this->get("/patients/{$this->patient->id}/versions/9/programme.json")->assertNotFound();
    }

    public function test_what_is_wrong_is_named_by_its_path_and_nothing_is_taken(): void
    {
        $this->clinicWithPatient();
        $this->actingAs($this->practitioner, 'practitioner');
        $good = ['format' => 'ivory-pace-programme', 'version' => 1, 'school' => 'gentle-control', 'weeks' => 4, 'rated_symptom' => 'tension', 'goal' => null, 'items' => [['kind' => 'exercise', 'technique' => 'square']]];
        $paths = function (mixed $data): array {
            $answer = $this->postJson("/patients/{$this->patient->id}/bench/import", ['text' => is_string($data) ? $data : json_encode($data)])->assertOk();
            self::assertNull($answer->json('items'));

            return array_column((array) $answer->json('problems'), 'path');
        };

        foreach (['', '{', '[]', '"x"', 'null', str_repeat('[', 100)] as $text) {
            self::assertSame(['/'], $paths($text), $text);
        }
        self::assertSame(['/'], $paths(str_repeat(' ', 500_001)));
        self::assertSame(['/format'], $paths(['format' => 'something-else'] + $good));
        self::assertSame(['/surprise', '/school', '/weeks'], $paths(['surprise' => 1, 'school' => 'none', 'weeks' => 99] + $good));
        self::assertSame(['/goal/measure', '/goal/target'], $paths(['goal' => ['words' => 'x', 'target' => 'y']] + $good));
        self::assertSame(['/items/0/mystery', '/items/0/ratio', '/items/1'], array_slice($paths(['items' => [['technique' => 'square', 'ratio' => '4:x', 'mystery' => 1], 'text']] + $good), 0, 3));
        self::assertSame(['/items/0/steps/1/breaths'], $paths(['items' => [['kind' => 'routine', 'routine_name' => 'x', 'steps' => [['kind' => 'return'], ['kind' => 'exercise', 'technique' => 'square', 'breaths' => 0]]]]] + $good));
        self::assertSame(['/items'], $paths(['items' => []] + $good));
        $this->postJson("/patients/{$this->patient->id}/bench/import", ['text' => ['x']])->assertOk()->assertJsonPath('problems.0.path', '/');
    }

    private function assertRoundTrip(ProgrammeDocument $document): void
    {
        $json = $document->toJson();
        $data = json_decode($json);
        $validator = new Validator;
        $validator->validate($data, (object) ['$ref' => 'file://'.base_path('docs/formats/programme.schema.json')]);
        self::assertSame([], array_map(fn (array $error) => "{$error['property']}: {$error['message']}", $validator->getErrors()), $json);
        [$again, $errors] = ProgrammeDocument::read($json);
        self::assertSame([], $errors, $json);
        self::assertSame($json, $again?->toJson());
    }
}
