<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exercise;

use IvoryPace\Breath\Timeline\Beat;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Effort;
use IvoryPace\Exercise\Ladder\Climb;
use IvoryPace\Exercise\Parameter;
use IvoryPace\Exercise\Route;
use IvoryPace\Exercise\Routine\Shipped;
use IvoryPace\Exercise\School;
use IvoryPace\Exercise\Technique;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\Template;
use IvoryPace\Tests\Snapshot;
use PHPUnit\Framework\TestCase;

/** Every technique, as it is played, climbed and written, by default and at the ends of its parameters. */
final class AsReadTest extends TestCase
{
    use Snapshot;

    public function test_timelines(): void
    {
        $lines = [];
        foreach (Catalogue::all() as $technique) {
            $least = array_map(fn (Parameter $parameter) => $parameter->min, $technique->parameters);
            $most = array_map(fn (Parameter $parameter) => $parameter->max, $technique->parameters);
            foreach (['default' => [], 'least' => $least, 'most' => $most] as $which => $parameters) {
                if ($which !== 'default' && $parameters === []) {
                    continue;
                }
                $item = $this->item(['technique' => $technique->key, 'parameters' => $parameters]);
                $lines[] = "== {$technique->key}, $which: {$item->summary()}";
                array_push($lines, ...$this->played($item->timeline()));
                $short = $item->shortVersion();
                $lines[] = '   short: '.($short === null ? 'none' : $short->summary().', '.round($short->exerciseSeconds(), 2).' s');
            }
        }
        self::assertAsRead('timelines', $lines);
    }

    /** What the player is handed. */
    public function test_timelines_as_json(): void
    {
        $lines = [];
        foreach (['extended-exhale' => ['breaths' => 2], 'alternate-nostril' => ['breaths' => 1], 'body-scan' => [], 'forward-lean' => [], 'humming' => ['breaths' => 1]] as $key => $fields) {
            $lines[] = "== $key";
            array_push($lines, ...explode("\n", (string) json_encode($this->item(['technique' => $key, ...$fields])->timeline(), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)));
        }
        self::assertAsRead('timelines-json', $lines);
    }

    public function test_ladders(): void
    {
        $lines = [];
        foreach (Catalogue::all() as $technique) {
            foreach (School::cases() as $school) {
                $item = $this->item(['technique' => $technique->key, 'school' => $school->value]);
                $rungs = $item->ladder()->rungs ?? [];
                $lines[] = "== {$technique->key}, {$school->value}";
                foreach ($rungs as $rung) {
                    $lines[] = "   {$rung->change()} | {$rung->axis?->label()} | {$rung->days} days | ".round($rung->rate() ?? 0, 2).' a minute | '.round($rung->minutes(), 2).' min';
                }
                $lines[] = '   caps: '.implode(', ', array_map(fn (Climb $climb) => $climb->capLabel(), $technique->climbs($school)));
            }
        }
        self::assertAsRead('ladders', $lines);
    }

    public function test_techniques_as_they_are_written(): void
    {
        $lines = array_map(fn (Technique $technique) => "{$technique->key}: ".implode(', ', [
            ...array_map(fn (Position $position) => $position->value, $technique->positions), ...array_map(fn (Route $route) => $route->value, $technique->routesOut),
            ...array_map(fn (Parameter $parameter) => "{$parameter->name} {$parameter->min} to {$parameter->max} by {$parameter->step}", $technique->parameters),
        ]), array_values(Catalogue::all()));
        foreach (Position::cases() as $position) {
            $lines[] = "{$position->value}: {$position->label()}".($position->isUpright() ? ', upright' : '').($position->isHeadDown() ? ', head down' : '')
                .'; easier '.implode(', ', array_map(fn (Position $each) => $each->value, $position->easier(false))).'; never flatter '.implode(', ', array_map(fn (Position $each) => $each->value, $position->easier(true)));
        }
        foreach (Effort::cases() as $effort) {
            $lines[] = "{$effort->value}: {$effort->label()}, {$effort->bottom()} to {$effort->top()}";
        }
        foreach (Prop::cases() as $prop) {
            $lines[] = "{$prop->value}: {$prop->label()}";
        }
        self::assertAsRead('techniques', $lines);
    }

    public function test_routines_and_templates(): void
    {
        $lines = [];
        foreach (Shipped::routines() as $routine) {
            $lines[] = "== {$routine->name}";
            array_push($lines, ...$this->played($routine->timeline()));
        }
        foreach (Template::shipped() as $template) {
            $lines[] = "== {$template->name}, {$template->school->value}";
            foreach ($template->items as $fields) {
                $item = $this->item(['school' => $template->school->value, ...$fields]);
                $plan = $item->plan;
                $lines[] = "   {$item->name()}: {$item->summary()}".($item->asNeeded === null ? '' : ", when {$item->asNeeded->useWhen}, at most {$item->asNeeded->dailyMost}")
                    .($plan === null ? '' : ', minutes '.implode(' ', array_map(fn (float $minutes) => (string) round($minutes, 2), $item->minutesByWeekday()))).'. '.$item->why;
            }
        }
        self::assertAsRead('routines-and-templates', $lines);
    }

    public function test_a_routine_has_no_short_version_of_its_first_step(): void
    {
        $item = $this->item(['kind' => 'routine', 'routine_name' => 'Mine', 'steps' => [
            ['kind' => 'exercise', 'technique' => 'extended-exhale', 'position' => 'seated', 'breaths' => 12], ['kind' => 'free', 'seconds' => 30],
        ]]);
        self::assertNull($item->shortVersion());
    }

    /** @return list<string> first, second and last of what is alike */
    private function played(Timeline $timeline): array
    {
        $lines = ["   {$timeline->exerciseMs()} of {$timeline->totalMs()} ms, {$timeline->breaths()} breaths, {$timeline->rounds()} rounds, {$timeline->sets()} sets, ".($timeline->isAbout() ? 'about' : 'exact').', joins '.json_encode($timeline->joinsOver()).', portrait '.count($timeline->portrait())];
        foreach ($timeline->segments as $place => $segment) {
            $count = count($segment->cues);
            foreach ($segment->cues as $index => $cue) {
                if ($index < 8 || $index >= $count - 4) {
                    $lines[] = "   $place.$index {$segment->role->value} ".$this->cue($cue);
                }
            }
        }

        return $lines;
    }

    private function cue(Cue $cue): string
    {
        $beats = implode(' ', array_map(fn (Beat $beat) => "$beat->atMs:".($beat->word ?? $beat->number), array_slice($cue->beats, 0, 12)));

        return trim("{$cue->kind->value} {$cue->startMs}+{$cue->durationMs} {$cue->instruction}".($cue->how === null ? '' : "+$cue->how").' '.round($cue->volumeFrom, 3).'→'.round($cue->volumeTo, 3)
            ." {$cue->side->value} b{$cue->place->breath}/{$cue->place->ofBreaths} r{$cue->place->round}".($cue->isSoft ? ' soft' : '').($cue->announcesLast ? ' last' : '')
            .' '.json_encode($cue->greatestMs).' '.round($cue->sight, 2).' '.round($cue->sound, 2).' | '.$beats);
    }

    /** @param  array<string, mixed>  $fields */
    private function item(array $fields): Item
    {
        $draft = DraftReader::read($fields, 'x');
        self::assertNotNull($draft->item, json_encode([$fields, $draft->errors]) ?: '');

        return $draft->item;
    }
}
