<?php

declare(strict_types=1);

namespace App\Language\Survey;

use App\Language\Told;
use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Demand;
use IvoryPace\Exercise\Effort;
use IvoryPace\Exercise\Ending;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Route;
use IvoryPace\Exercise\Start;
use IvoryPace\Exercise\Told\Part;
use IvoryPace\Exercise\Told\Sentence;
use IvoryPace\Exercise\Told\Spoken;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\Told\Instruction;

/** What must hold of everything that a patient is told, whatever is prescribed. Written from the words, not from how they are made. */
final class ToldRules
{
    public const MOST_WORDS = 14;

    private const ROUTES = [
        'nose' => '/\bnose\b/', 'mouth' => '/\bby the mouth\b|, mouth\b/', 'pursed-lips' => '/\bpursed lips\b/',
        'soft-open-mouth' => '/soft, open mouth|soft mouth/', 'hum' => '/\bhum/i',
    ];

    /** @return list<string> what does not hold; empty when everything does */
    public static function broken(Item $item): array
    {
        $told = Instruction::of($item);
        $ready = array_map(Told::say(...), $told);
        $cues = array_map(Told::shown(...), $item->timeline()->cues());
        $prescription = $item->prescription;

        return [
            ...self::contradictions($prescription, $item, implode("\n", $ready), implode("\n", [...$ready, ...$cues])),
            ...self::once($item, $prescription, $told, $ready),
            ...self::byEar($item),
            ...self::language($told, [...$ready, ...$cues]),
            ...self::sleep($item),
        ];
    }

    /** @return list<string> */
    private static function contradictions(Prescription $prescription, Item $item, string $ready, string $all): array
    {
        $position = $prescription->position;
        $hands = $prescription->hands;
        $says = fn (string $pattern, string $in): bool => preg_match($pattern, $in) === 1;
        $isBigger = $prescription->hasTopUp() || $prescription->start === Start::Empty || $prescription->effort === Effort::Complete;
        $upright = preg_replace('/Eyes closed, or open[^\n]*/', '', $all);

        return array_keys(array_filter([
            'no bigger than at rest, beside a bigger breath' => $isBigger && $says('/no bigger than at rest/', $ready),
            'lying for someone who does not lie' => ! $position->isLying()
                && $says('/\bLie\b|lie down|lie on|Roll to one side|into the bed/', $all),
            'sitting up for someone who does not lie' => ! $position->isLying() && $says('/sit up slowly/i', $all),
            'standing for someone who does not stand' => ! $position->isUpright() && $says('/\bStand\b/', $ready),
            'walking for someone who does not walk' => $position !== Position::Walking && $says('/\bWalk\b/', $ready),
            'closed eyes while walking' => $position === Position::Walking && $says('/close your eyes|eyes closed/i', $all),
            'eyes off the way while walking' => $position === Position::Walking && $says('/lower your eyes|look at a point/i', $all),
            'closed eyes on one’s feet without “or open”' => $position->isUpright()
                && $says('/close your eyes|eyes closed/i', (string) $upright),
            'a hand on the belly that is not there' => ! $hands->feelTheBelly()
                && $says('/belly hand|hand on your belly|hands on your belly/', $all),
            'a hand on the chest that is not there' => ! $hands->feelTheChest()
                && $says('/chest hand|upper hand|both hands\.|hand on your upper chest/', $all)
                && ! $says('/ribs lightly with both hands/', $all),
            'hands on ribs that are not there' => ! $hands->feelTheRibs() && $says('/into your hands/', $all),
            'elbows pressed down without anything under them' => ! $position->isLying() && $says('/press your elbows down/', $all),
            'a sound through the nose' => ! $prescription->routeOut->isByMouth() && $says('/with a sound/', $all),
            'another route' => self::hasOtherRoute($prescription, $ready),
            'the wrong name' => $says('/four, seven, eight/i', $all) && $prescription->pattern?->toString() !== '4:7:8'
                && ! self::isScaled478($prescription),
        ]));
    }

    private static function isScaled478(Prescription $prescription): bool
    {
        $counts = $prescription->pattern;

        return $counts !== null && abs($counts->hold->toFloat() * 4 - $counts->inhale->toFloat() * 7) < 1e-6
            && abs($counts->exhale->toFloat() * 4 - $counts->inhale->toFloat() * 8) < 1e-6 && $counts->rest->isZero();
    }

    private static function hasOtherRoute(Prescription $prescription, string $ready): bool
    {
        $hasItsOwn = $prescription->demandsThat(Demand::ClosesNostril) || $prescription->routeOut === Route::Hum;
        if ($prescription->technique->hasFreeBreath || $hasItsOwn) {
            return false;
        }
        $breath = implode("\n", array_filter(
            explode("\n", $ready), fn (string $line) => preg_match('/^(Breathe|Then breathe)/', $line) === 1,
        ));
        foreach (self::ROUTES as $route => $pattern) {
            $isTheirs = in_array($route, [$prescription->routeIn->value, $prescription->routeOut->value], true);
            if (! $isTheirs && preg_match($pattern, $breath) === 1) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Sentence>  $told
     * @param  list<string>  $ready
     * @return list<string>
     */
    private static function once(Item $item, Prescription $prescription, array $told, array $ready): array
    {
        $keys = array_count_values(array_map(fn (Sentence $sentence) => $sentence->key, $told));
        $in = fn (Part $part): int => count(array_filter($told, fn (Sentence $sentence) => $sentence->part === $part));
        $like = fn (string $start): int => array_sum(
            array_filter($keys, fn (string $key) => str_starts_with($key, $start), ARRAY_FILTER_USE_KEY),
        );
        $isFree = $prescription->technique->hasFreeBreath;
        $things = count($prescription->props) + ($prescription->hasWeight() ? 1 : 0) + ($prescription->ownProp === '' ? 0 : 1);
        $hasTempo = $prescription->guidance->tempo->canChange() && $prescription->totalBreaths() > 0 && ! $isFree;
        $wanted = [
            'position' => [$in(Part::Position), 1], 'hands' => [$in(Part::Hands), 1], 'things' => [$in(Part::With), $things],
            'eyes' => [$in(Part::Eyes), 1], 'size' => [$like('told.size.'), $isFree ? 0 : 1],
            'tempo' => [$like('told.tempo.'), $hasTempo ? 1 : 0],
            'start' => [$like('told.start.'), $isFree || $prescription->start === Start::Inhale ? 0 : 1],
            'length' => [$in(Part::Length), $item->isTicked() ? 0 : 1],
            'anchors' => [$like('told.when.slot'), $item->asNeeded === null ? count($item->plan->slots ?? []) : 0],
            'when to use it' => [$like('told.when.needed') + $like('told.when.habit'), $item->asNeeded === null ? 0 : 1],
            'the short version' => [
                $like('told.least.counts'), $item->shortTimeline() === null || $item->isOpen() || $item->isTicked() ? 0 : 1,
            ],
        ];
        $broken = array_map(
            fn (string $what, array $counts) => "$what {$counts[0]} times, not {$counts[1]}",
            array_keys($wanted), $wanted,
        );
        $wrong = array_values(array_filter(array_combine($broken, array_values($wanted)), fn (array $counts) => $counts[0] !== $counts[1]));
        $twice = array_keys(array_filter(array_count_values($ready), fn (int $times) => $times > 1));

        return [
            ...array_keys(array_filter(array_combine($broken, array_values($wanted)), fn (array $counts) => $counts[0] !== $counts[1])),
            ...array_map(fn (int|string $text) => "twice: $text", $wrong === [] ? $twice : []),
            ...self::routes($prescription, $like),
        ];
    }

    /**
     * @param  callable(string): int  $like
     * @return list<string>
     */
    private static function routes(Prescription $prescription, callable $like): array
    {
        if ($prescription->technique->hasFreeBreath || $prescription->technique->isRecovery) {
            return [];
        }
        $both = $like('told.both.') + $like('told.route.nostrils-back');
        $in = $like('told.in.') + $both;
        $out = $like('told.out.') - $like('told.out.hum-the-rest') + $both;

        return [...($in === 1 ? [] : ["the way in $in times"]), ...($out === 1 ? [] : ["the way out $out times"])];
    }

    /** @return list<string> */
    private static function byEar(Item $item): array
    {
        $broken = [];
        foreach ($item->timeline()->cues() as $cue) {
            $shown = Told::shown($cue);
            $spoken = Told::spoken($cue);
            // A bell rings for itself; only what it means is said.
            $isSilent = $spoken === '' && $cue->kind !== CueKind::Bell;
            $isUnsaid = preg_match('/\b(cue|exercise|told)\./', "$shown $spoken") === 1;
            if ($isSilent || $shown === '' || Spoken::buzz($cue->kind) === [] || $isUnsaid) {
                $broken[] = "nothing is said of {$cue->kind->value} “{$cue->instruction}”";
            }
        }

        return array_values(array_unique($broken));
    }

    /**
     * @param  list<Sentence>  $told
     * @param  list<string>  $texts
     * @return list<string>
     */
    private static function language(array $told, array $texts): array
    {
        $broken = [];
        foreach (array_unique($texts) as $text) {
            if (preg_match('/\b1 (breaths|rounds|times)\b|\d\.\d{3,}|:[a-z]+\b|!/', $text) === 1) {
                $broken[] = "reads wrongly: $text";
            }
        }
        foreach ($told as $sentence) {
            foreach (preg_split('/(?<=[.?])\s+/', Told::say($sentence)) ?: [] as $one) {
                $words = count(preg_split('/\s+/', trim($one)) ?: []);
                if ($words > self::MOST_WORDS && $sentence->key !== Sentence::OWN_WORDS) {
                    $broken[] = "$words words: $one";
                }
            }
        }

        return $broken;
    }

    /** @return list<string> what ends in sleep stays silent after its last cue, and what does not lies down no one */
    private static function sleep(Item $item): array
    {
        $segments = $item->timeline()->segments;
        $last = $segments[count($segments) - 1];
        $night = $item->nightEnding();
        $isQuiet = $item->prescription->ending === Ending::Quiet || ($item->endsInSleep() && $night === null);
        $sounds = fn (array $cues): bool => array_filter(
            $cues, fn (Cue $cue) => $cue->kind === CueKind::Bell || $cue->kind === CueKind::Return,
        ) !== [];

        return array_keys(array_filter([
            'a bell after what ends in sleep' => $isQuiet && $last->role !== SegmentRole::Exercise && $sounds($last->cues),
            'sleep is offered to somebody who could fall' => ! $item->prescription->position->isLying()
                && array_filter(Instruction::of($item), fn (Sentence $sentence) => str_contains($sentence->key, 'asleep')) !== [],
            'a weight stays where it is' => $item->prescription->hasWeight() && ! in_array(
                'cue.return.weight', array_map(fn (Cue $cue) => $cue->instruction, $item->timeline()->cues()), true,
            ),
            'a bell at night' => $night !== null
                && $sounds(array_merge([], ...array_map(fn ($segment) => $segment->cues, $night['segments']))),
            'no way back from lying' => ! $isQuiet && $item->prescription->position->isLying() && $last->role !== SegmentRole::Return,
        ]));
    }
}
