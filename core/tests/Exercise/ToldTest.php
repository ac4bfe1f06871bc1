<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exercise;

use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Exercise\Routine\RoutineFields;
use IvoryPace\Exercise\School;
use IvoryPace\Exercise\Told\ExerciseTold;
use IvoryPace\Exercise\Told\Part;
use IvoryPace\Exercise\Told\PlainName;
use IvoryPace\Exercise\Told\Sentence;
use IvoryPace\Exercise\Told\Spoken;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\Told\Instruction;
use LogicException;
use PHPUnit\Framework\TestCase;

final class ToldTest extends TestCase
{
    use Prescribing;

    public function test_hands_follow_the_position_and_what_they_feel_follows_the_hands(): void
    {
        $told = $this->told('diaphragmatic', ['position' => 'hands-and-knees']);
        self::assertContains('hands.on-the-floor', $told);
        self::assertNotContains('exercise.diaphragmatic.right.belly-first', $told, 'no hand lies on the belly');
        self::assertContains('exercise.diaphragmatic.right.belly-first-otherwise', $told);

        self::assertContains('exercise.diaphragmatic.right.belly-first', $this->told('diaphragmatic'));
        self::assertContains('exercise.diaphragmatic.right.chest-quiet-otherwise', $this->told('diaphragmatic', ['hands' => 'both-on-belly']));
        self::assertSame('swing', $this->prescription('walking', ['hands' => 'in-the-lap'])->hands->value, 'what does not fit falls back to what does');
        self::assertSame('forearms-on-wall', $this->prescription('forward-lean', ['position' => 'facing-wall'])->hands->value);
    }

    public function test_a_size_is_only_told_where_it_is_true(): void
    {
        self::assertContains('told.size.gentle', $this->told('extended-exhale'));
        self::assertContains('told.size.sip', $this->told('double-inhale'));
        self::assertContains('told.size.easy', $this->told('four-seven-eight'), 'all the air goes first');
        self::assertContains('told.size.complete', $this->told('full-exhale'));
        self::assertSame([], array_filter($this->told('body-scan'), fn (string $key) => str_starts_with($key, 'told.size')));
    }

    public function test_names_and_criteria_that_tell_numbers_follow_them(): void
    {
        $name = fn (string $key, array $fields = []) => PlainName::of($this->prescription($key, $fields));

        self::assertSame('exercise.four-seven-eight.name', $name('four-seven-eight', ['count_length' => 1.05]));
        self::assertSame('exercise.four-seven-eight.name', $name('four-seven-eight', ['ratio' => '2:3.5:4']));
        self::assertSame('exercise.four-seven-eight.name-otherwise', $name('four-seven-eight', ['ratio' => '4:6:5']));
        self::assertContains('exercise.four-seven-eight.right.proportions-otherwise', $this->told('four-seven-eight', ['ratio' => '4:6:5']));
        self::assertSame('exercise.square.name-otherwise', $name('square', ['ratio' => '4:4:4']));
        self::assertContains('exercise.square.right.equal-otherwise', $this->told('square', ['ratio' => '4:2:4:2']));
        self::assertSame('exercise.three-part.name-otherwise', $name('three-part', ['ratio' => '4:4:8']));
        self::assertSame('exercise.double-exhale.name', $name('double-exhale', ['ratio' => '3:6']));
        self::assertSame('exercise.even.name-otherwise', $name('even', ['ratio' => '3:4']));
        self::assertSame('exercise.extended-exhale.name-otherwise', $name('extended-exhale', ['ratio' => '4:4']));
        self::assertSame('Evening breath', $name('own', ['own_name' => 'Evening breath']));
    }

    public function test_a_weight_is_told_with_its_kilograms_and_what_else_is_needed_in_its_own_words(): void
    {
        $weight = $this->sentence('told.with.weight', $this->sentences('weight-on-belly', ['parameters' => ['weight' => 0.8]]));
        self::assertSame(['kg' => '0.8'], $weight->values);
        $own = $this->sentence('told.with.own', $this->sentences('even', ['own_prop' => 'the blue cushion']));
        self::assertSame(['what' => 'the blue cushion'], $own->values);
    }

    public function test_the_route_is_told_whatever_else_a_cue_says(): void
    {
        foreach (['pursed-lips', 'nose', 'soft-open-mouth'] as $out) {
            $timeline = $this->timeline('three-part', ['route_out' => $out]);
            self::assertContains([["cue.exhale.$out"], ['cue.how.let-sink']], array_map(Spoken::shown(...), $timeline->cues()));
        }
        self::assertContains('told.both.nose', $this->told('extended-exhale'));
        self::assertContains('told.out.pursed-lips', $this->told('extended-exhale', ['route_out' => 'pursed-lips']));
        self::assertContains('told.out.nose', $this->told('four-seven-eight', ['route_in' => 'mouth', 'route_out' => 'nose']));
    }

    public function test_a_breath_may_begin_with_an_exhale_or_empty(): void
    {
        $kinds = fn (string $start) => array_map(fn (Segment $segment) => "{$segment->role->value} {$segment->cues[0]->kind->value}", $this->timeline('extended-exhale', ['start' => $start])->segments);

        self::assertSame(['lead-in lead-in', 'lead-in exhale', 'exercise inhale'], array_slice($kinds('exhale'), 0, 3));
        self::assertSame(['lead-in lead-in', 'lead-in empty', 'exercise inhale'], array_slice($kinds('empty'), 0, 3));
        self::assertSame(12, $this->timeline('extended-exhale', ['start' => 'exhale'])->breaths(), 'the first exhale is no breath');
        self::assertSame(5000, $this->timeline('extended-exhale', ['start' => 'exhale'])->segments[1]->cues[0]->durationMs);
        self::assertSame('inhale', $this->prescription('walking', ['start' => 'exhale'])->start->value);
    }

    public function test_nobody_is_sent_to_sleep_where_they_could_fall_and_a_weight_is_taken_away_first(): void
    {
        $end = fn (array $fields) => array_map(
            fn (Sentence $sentence) => $sentence->key,
            array_values(array_filter(Instruction::of(DraftReader::read($fields, 'x')->item ?? throw new LogicException), fn (Sentence $sentence) => $sentence->part === Part::End)),
        );

        self::assertSame(['told.end.quiet'], $end(['technique' => 'walking', 'ending' => 'quiet']));
        self::assertSame(['told.end.quiet'], $end(['technique' => 'body-scan', 'position' => 'seated', 'ending' => 'quiet']));
        self::assertSame(['told.end.quiet', 'told.end.asleep'], $end(['technique' => 'body-scan', 'position' => 'side-lying', 'ending' => 'quiet']));
        self::assertSame(['told.end.weight', 'told.end.quiet', 'told.end.asleep'], $end(['technique' => 'weight-on-belly', 'ending' => 'quiet']));
        self::assertSame(['told.end.slow-lying', 'told.end.roll', 'told.end.sit-up'], $end(['technique' => 'prone', 'ending' => 'slow', 'gaze' => 'closed', 'times_a_day' => 1, 'anchors' => []]));

        $kinds = fn (string $position) => array_map(fn (Cue $cue) => $cue->kind, $this->timeline('in-hold-out', ['position' => $position])->cues());
        self::assertContains(CueKind::Move, $kinds('standing'));
        self::assertNotContains(CueKind::Move, $kinds('supine'), 'nobody rolls shoulders that they lie on');
    }

    public function test_a_step_says_what_is_put_aside_and_nothing_twice(): void
    {
        $steps = [
            ['technique' => 'neck-release', 'position' => 'supine', 'props' => ['pillow-under-head']],
            ['technique' => 'weight-on-belly', 'position' => 'supine', 'props' => []],
            ['technique' => 'body-scan', 'position' => 'supine', 'props' => ['pillow-under-head', 'blanket']],
            ['technique' => 'even', 'position' => 'seated', 'props' => ['chair-with-back']],
        ];
        $item = DraftReader::read(['kind' => 'routine', 'routine_name' => 'Four', 'steps' => array_map(fn (array $step) => ['kind' => 'exercise', 'minutes' => 1, ...$step], $steps)], 'x')->item ?? throw new LogicException;
        $with = array_map(fn (array $told) => array_values(array_map(
            fn (Sentence $sentence) => $sentence->key, array_filter($told, fn (Sentence $sentence) => $sentence->part === Part::With),
        )), Instruction::steps($item));

        self::assertSame([['told.with.pillow-under-head'], ['told.with.weight'], ['told.without.weight', 'told.with.blanket'], ['told.with.chair-with-back']], $with);
    }

    public function test_bells_ring_as_often_as_is_prescribed_and_a_slow_end_wakes_slowly(): void
    {
        $cues = fn (array $fields) => array_map(fn (Cue $cue) => $cue->instruction, $this->timeline('stepped-even', $fields)->cues());

        self::assertSame(['cue.bell.ring', 'cue.bell.ring', 'cue.bell.begin'], array_slice($cues(['bells_first' => 3]), 0, 3), 'only the last one is said');
        self::assertSame(0, count(array_keys($cues(['bells_last' => 0]), 'cue.bell.end', true)));
        self::assertSame(['cue.end.notice', 'cue.end.open-eyes', 'cue.end.lift-head', 'cue.bell.end'], array_slice($cues(['ending' => 'slow']), -4));
        self::assertNotContains('cue.bell.end', $cues(['ending' => 'quiet']));
        self::assertArrayHasKey('bells_last', DraftReader::read(['technique' => 'even', 'bells_last' => 4], 'x')->errors);
    }

    public function test_what_lies_at_lights_out_ends_quietly_unless_something_else_is_prescribed(): void
    {
        $anchor = fn (string $anchor) => ['anchor' => $anchor, 'from' => '06:00', 'to' => '08:00', 'days' => [1]];
        $item = fn (array $fields) => DraftReader::read($fields, 'x')->item ?? self::fail('cannot be read');
        $last = fn (Item $item) => array_slice($item->timeline()->cues(), -1)[0]->instruction;

        $night = $item(['technique' => 'three-part', 'times_a_day' => 1, 'anchors' => [$anchor('lights-out')]]);
        self::assertSame('cue.exhale.nose', $last($night));
        self::assertNull($night->nightEnding(), 'night and day are one');
        self::assertTrue($night->endsInSleep());

        $both = $item(['technique' => 'three-part', 'times_a_day' => 2, 'anchors' => [$anchor('waking'), $anchor('lights-out')]]);
        self::assertSame('cue.return.sit-up', $last($both), 'in the morning one gets up slowly');
        self::assertSame(['drop' => 2, 'segments' => []], $both->nightEnding());

        self::assertSame('cue.return.sit-up', $last($item(['technique' => 'three-part', 'ending' => 'bell', 'times_a_day' => 1, 'anchors' => [$anchor('lights-out')]])));
        self::assertSame('cue.bell.end', $last($item(['technique' => 'three-part', 'position' => 'seated', 'times_a_day' => 1, 'anchors' => [$anchor('lights-out')]])));
        $scan = $item(['technique' => 'body-scan', 'times_a_day' => 2, 'anchors' => [$anchor('evening'), $anchor('lights-out')]])->nightEnding();
        self::assertSame([3, 'cue.end.sleep-welcome'], [$scan['drop'] ?? 0, $scan['segments'][0]->cues[0]->instruction ?? '']);
    }

    public function test_a_short_version_ends_as_its_own_last_step_does(): void
    {
        $steps = [
            ['technique' => 'even', 'position' => 'seated', 'breaths' => 4], ['technique' => 'diaphragmatic', 'position' => 'supine', 'minutes' => 1],
        ];
        $read = fn (array $fields): Item => DraftReader::read([
            'kind' => 'routine', 'routine_name' => 'Two', 'steps' => array_map(fn (array $step) => ['kind' => 'exercise', ...$step], $steps),
            'short' => ['steps' => [0]], ...$fields,
        ], 'x')->item ?? throw new LogicException;
        $slot = fn (string $anchor) => ['anchor' => $anchor, 'from' => '08:00', 'to' => '23:00', 'days' => [1, 2, 3, 4, 5, 6, 7]];

        $both = $read(['times_a_day' => 2, 'anchors' => [$slot('waking'), $slot('lights-out')]]);
        self::assertSame(2, $both->nightEnding()['drop'] ?? null);
        self::assertNull($both->nightEnding(short: true), 'who sits has no way back to leave out');
        self::assertTrue($both->endsInSleep());
        self::assertFalse($both->endsInSleep(short: true));

        $night = $read(['times_a_day' => 1, 'anchors' => [$slot('lights-out')]]);
        self::assertNull($night->nightEnding());
        $cues = $night->shortTimeline()?->cues() ?? [];
        self::assertSame('cue.bell.end', end($cues)->instruction ?? '', 'what ends sitting rings');
    }

    public function test_how_a_scan_once_ended_is_still_read(): void
    {
        self::assertSame('quiet', $this->prescription('body-scan', ['parameters' => ['end' => 2, 'list' => 1]])->ending?->value);
        self::assertSame('bell', $this->prescription('body-scan', ['parameters' => ['end' => 1]])->ending?->value);
        self::assertNull($this->prescription('body-scan')->ending);
    }

    public function test_a_growing_set_has_its_own_breaths_at_each_length_and_a_muscle_group_its_own_times(): void
    {
        $even = $this->exercise($this->timeline('even', ['breaths' => 5, 'parameters' => ['steps' => 7, 'breaths-2' => 3]]));
        self::assertSame([5, 3, 5, 5, 5, 5, 5], array_map(fn (Segment $set) => count(array_unique(array_map(fn (Cue $cue) => $cue->place->breath, $set->cues))), $even));
        self::assertSame('5, 3, 5, 5, 5, 5, 5', $this->sentence('told.length.list', $this->whole('even', ['parameters' => ['steps' => 7, 'breaths-2' => 3]]))->values['list']);
        $tensed = $this->exercise($this->timeline('tense-release', ['parameters' => ['times' => 2, 'times-2' => 3, 'times-3' => 3]]));
        self::assertSame([2, 3, 3], array_map(fn (Segment $group) => count(array_filter($group->cues, fn (Cue $cue) => $cue->kind->value === 'tense')), $tensed));
    }

    public function test_a_complete_exhale_and_a_retention_may_end_with_a_tap(): void
    {
        $open = $this->exercise($this->timeline('full-exhale', ['parameters' => ['open' => 2]]));
        self::assertSame([true, true, true], array_map(fn (Segment $segment) => $segment->isOpen(), $open));
        self::assertSame('An exhale that a tap ends has no counted rest after it; leave the fourth number out.', DraftReader::read(['technique' => 'full-exhale', 'ratio' => '4:0:8:2', 'parameters' => ['open' => 2]], 'x')->errors['ratio'] ?? '');
        $rounds = $this->exercise($this->timeline('rounds-retention', ['parameters' => ['retention-ends' => 2, 'retention' => 30]]));
        self::assertTrue($rounds[1]->isOpen());
        self::assertSame(30_000, $rounds[1]->cues[2]->greatestMs, 'no longer than is prescribed');
        self::assertSame('release', $rounds[2]->cues[0]->kind->value);
    }

    public function test_every_cue_has_a_line_a_label_and_a_buzz(): void
    {
        $scan = $this->timeline('body-scan', ['parameters' => ['list' => 3, 'let-go' => 2]])->cues();
        $thumb = array_values(array_filter($scan, fn (Cue $cue) => $cue->instruction === 'cue.region.thumb'));
        self::assertSame([['cue.side.right', 'cue.region.thumb'], ['cue.how.let-go']], Spoken::shown($thumb[0]));
        self::assertSame(['right', 'left'], array_map(fn (Cue $cue) => $cue->side->value, $thumb), 'in pairs');
        self::assertSame([[['number.119']]], Spoken::lines($this->exercise($this->timeline('reverse-count', ['parameters' => ['from' => 120]]))[0]->cues[1]));

        $cues = $this->exercise($this->timeline('double-inhale', ['breaths' => 4]))[0]->cues;
        self::assertSame([['cue.inhale.nose']], Spoken::lines($cues[0])[0]);
        self::assertSame([[['cue.short.inhale']]], Spoken::lines($cues[8]), 'after two breaths the short word is enough');
        self::assertSame([['cue.last'], ['cue.inhale.nose']], Spoken::lines($cues[12])[0]);
        self::assertFalse($cues[13]->announcesLast, 'the catch announces nothing');
    }

    public function test_each_step_of_a_routine_is_taught_before_it_is_led(): void
    {
        [$routine] = RoutineFields::read(['name' => 'Evening', 'steps' => [
            ['kind' => 'exercise', 'technique' => 'shoulder-rolls', 'position' => 'standing'],
            ['kind' => 'exercise', 'technique' => 'in-hold-out', 'position' => 'standing', 'hands' => 'belly'],
            ['kind' => 'exercise', 'technique' => 'weight-on-belly', 'parameters' => ['weight' => 0.8]],
            ['kind' => 'exercise', 'technique' => 'square', 'position' => 'seated'],
        ]]);
        $timeline = $routine?->timeline() ?? self::fail('cannot be read');
        $taught = array_values(array_filter($timeline->segments, fn (Segment $segment) => $segment->role === SegmentRole::Teach));
        $keys = array_map(fn (Segment $segment) => array_map(fn (Cue $cue) => $cue->instruction, $segment->cues), $taught);

        self::assertCount(4, $taught);
        self::assertSame([1, 2, 3, 4], array_map(fn (Segment $segment) => $segment->cues[0]->place->step, $taught));
        self::assertNotContains('position.standing', $keys[1], 'it stays as it was');
        self::assertContains('hands.belly', $keys[1]);
        self::assertContains('told.with.weight', $keys[2]);
        self::assertSame(2.0, $routine->exercises()[1]->parameter('prelude'), 'the shoulders were rolled before');
        self::assertSame(1, count(array_filter($timeline->segments, fn (Segment $segment) => $segment->role === SegmentRole::Return)), 'from lying to sitting, the way back');
        self::assertSame($timeline->totalMs(), array_sum(array_map(fn (Segment $segment) => $segment->durationMs(), $timeline->segments)));
        self::assertSame($timeline->exerciseMs(), array_sum(array_map(fn (Segment $segment) => $segment->role === SegmentRole::Exercise ? $segment->durationMs() : 0, $timeline->segments)), 'teaching is counted apart');
    }

    public function test_every_part_of_a_prescription_is_told_once(): void
    {
        $parts = array_map(fn (Sentence $sentence) => $sentence->part, $this->whole('three-part', ['why' => 'To fall asleep', 'own_prop' => 'a scarf']));

        foreach (array_diff(array_map(fn (Part $part) => $part->value, Part::cases()), ['steps']) as $part) {
            self::assertContains(Part::from($part), $parts);
        }
        $keys = array_map(fn (Sentence $sentence) => $sentence->key, $this->whole('three-part'));
        self::assertSame(array_values(array_unique($keys)), $keys);
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return list<Sentence>
     */
    private function sentences(string $key, array $fields = []): array
    {
        return ExerciseTold::all($this->prescription($key, $fields), School::GentleControl);
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return list<string>
     */
    private function told(string $key, array $fields = []): array
    {
        return array_map(fn (Sentence $sentence) => $sentence->key, $this->sentences($key, $fields));
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return list<Sentence>
     */
    private function whole(string $key, array $fields = []): array
    {
        return Instruction::of(DraftReader::read(['technique' => $key, ...$fields], 'x')->item ?? self::fail('cannot be read'));
    }

    /** @param  list<Sentence>  $among */
    private function sentence(string $key, array $among): Sentence
    {
        return array_values(array_filter($among, fn (Sentence $sentence) => $sentence->key === $key))[0] ?? self::fail("nothing says $key");
    }
}
