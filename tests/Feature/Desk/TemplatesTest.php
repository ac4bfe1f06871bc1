<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\OwnTemplate;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class TemplatesTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    public function test_a_programme_is_kept_as_a_template_used_and_deleted(): void
    {
        $this->clinicWithPatient();
        $this->screen(['flag.copd']);
        $this->actingAs($this->practitioner, 'practitioner');
        $items = [['id' => 'new-0', 'technique' => 'square', 'breaths' => 6], ['id' => 'new-1', 'technique' => 'forward-lean']];
        $list = $this->postJson('/templates', ['name' => 'Quay start', 'items' => $items, 'school' => 'ratio-practice'])->assertCreated();

        self::assertSame(['Quay start', 6, 'ratio-practice'], [$list->json('templates.0.name'), $list->json('templates.0.items.0.breaths'), $list->json('templates.0.school')]);
        $this->get("/patients/{$this->patient->id}/bench")->assertInertia(fn (AssertableInertia $page) => $page->has('choices.templates', 6)->where('choices.templates.0.name', 'Quay start'));
        // A template is looked at for this patient when it is used.
        $answer = $this->postJson("/patients/{$this->patient->id}/bench/answer", ['items' => $list->json('templates.0.items'), 'school' => 'ratio-practice']);
        self::assertContains('HOLD-MODERATE', array_column($answer->json('items.0.findings'), 'rule'));

        $this->postJson('/templates', ['name' => 'quay START', 'items' => $items])->assertJsonValidationErrors('name');
        $this->postJson('/templates', ['name' => '', 'items' => $items])->assertJsonValidationErrors('name');
        $this->postJson('/templates', ['name' => 'Broken', 'items' => [['technique' => 'square', 'ratio' => 'x']]])->assertJsonValidationErrors('name');
        $this->postJson('/templates', ['name' => 'Empty', 'items' => []])->assertJsonValidationErrors('name');
        $this->deleteJson('/templates/'.OwnTemplate::query()->sole()->id)->assertOk()->assertJsonCount(5, 'templates');
    }
}
