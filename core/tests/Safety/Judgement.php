<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

/**
 * A second opinion on how dangerous a prescription is, written apart from the rules: from the plain fields, by arithmetic
 * of its own, danger by danger. 0 nothing to speak of, 2 caution, 3 a reason is needed.
 */
final class Judgement
{
    /**
     * @param  array<string, mixed>  $f  all fields of an exercise
     * @param  list<string>  $flags
     * @param  array{days?: int, mmrc?: int, nijmegen?: int}  $patient
     */
    public static function of(array $f, array $flags, array $patient = []): int
    {
        $has = fn (string ...$some): bool => array_intersect($some, $flags) !== [];
        $p = $f['parameters'];
        $breaths = self::breaths($f);
        $slow = $f['slowest'] * $f['count_length'];
        $longest = fn (string $phase): float => max([0.0, ...array_map(fn (array $b) => $b[$phase] * $slow + ($b["soft-$phase"] ?? 0.0), $breaths)]);
        $pause = max($longest('hold'), $longest('rest'));
        $inhale = max([0.0, ...array_map(fn (array $b) => ($b['in'] + $b['top']) * $slow, $breaths)]);
        $open = (in_array($f['technique'], ['humming', 'rib-release'], true) && $p['hum'] < 1) || ($p['open'] ?? 1) > 1;
        $exhale = $open ? 0.0 : $longest('out');
        $retention = $p['retention'] ?? 0.0;
        $isBig = in_array($f['effort'], ['full', 'complete'], true);
        $topUp = array_filter($breaths, fn (array $b) => $b['top'] > 0) !== [];
        $upright = in_array($f['position'], ['standing', 'standing-at-wall', 'facing-wall', 'walking'], true);
        $heart = $has('heart-failure', 'heart-attack', 'arrhythmia');
        $noHolding = $heart || $has('pregnancy', 'epilepsy', 'fainting', 'pulmonary-hypertension', 'high-blood-pressure', 'stroke', 'eye', 'sickle-cell', 'bullae', 'copd', 'oxygen', 'panic', 'sedatives', 'under-16');
        $noAir = $heart || $has('pregnancy', 'epilepsy', 'sickle-cell', 'stroke', 'pulmonary-hypertension', 'panic', 'fainting', 'under-12');
        $worst = 0;
        $say = function (int $level, bool $when) use (&$worst): void {
            $worst = $when ? max($worst, $level) : $worst;
        };

        $say(3, $retention > 0 && ($noHolding || $has('asthma', 'trauma', 'psychosis')));
        $say($retention >= 60 ? 3 : 2, $retention >= 30);
        $say(3, $noHolding && $pause > 10.000001);
        $mild = array_diff($flags, ['arrhythmia', 'pregnancy', 'under-16']) === $flags ? [] : array_intersect($flags, ['arrhythmia', 'pregnancy', 'under-16']);
        $graver = array_diff(['pregnancy', 'epilepsy', 'fainting', 'heart-failure', 'heart-attack', 'pulmonary-hypertension', 'high-blood-pressure', 'stroke', 'eye', 'sickle-cell', 'bullae', 'copd', 'oxygen', 'panic', 'sedatives', 'late-pregnancy', 'under-12'], ['pregnancy']);
        $say(2, $noHolding && $pause > 2.000001 && ! ($pause <= 3.000001 && $mild !== [] && ! $has(...$graver)));
        $say($pause > 30.000001 ? 3 : 2, $pause > 15.000001);
        $say(2, $has('bullae') && ($isBig || $topUp) && $longest('hold') > 0);
        $say(3, in_array($f['effort'], ['active', 'complete'], true) && $has('rib-fracture', 'recent-chest-surgery', 'recent-abdominal-surgery', 'recent-eye-surgery', 'eye', 'bullae'));
        $say(2, $f['effort'] === 'active' && $has('hernia', 'pelvic-floor', 'recent-birth', 'pregnancy', 'stroke', 'recent-spinal-surgery', 'copd'));
        if ($f['effort'] === 'complete') {
            $say(3, $has('stroke'));
            $say(2, $heart || $has('copd', 'asthma', 'recent-birth', 'pelvic-floor', 'hernia', 'high-blood-pressure', 'reflux', 'pregnancy', 'pulmonary-hypertension', 'fainting', 'oxygen', 'recent-spinal-surgery', 'recent-ear-surgery'));
        }
        $say(2, $exhale > 10.000001 && $has('copd', 'asthma', 'oxygen', 'panic'));
        $say(2, $open && $has('copd', 'asthma', 'oxygen', 'panic', 'bullae'));
        $say(2, $f['route_out'] === 'hum' && $has('sinus-or-ear-infection', 'recent-ear-surgery'));
        self::position($f, $has, $say, self::seconds($f), $upright, $isBig, $topUp, $pause);
        $total = array_sum(array_map(fn (array $b) => $b['n'], $breaths));
        $inARow = $f['technique'] === 'rounds-retention' ? $f['breaths'] : $total;
        $isTimed = in_array($f['technique'], ['diaphragmatic', 'weight-on-belly', 'prone', 'ribs-down', 'noticing', 'neck-release', 'shoulder-rolls'], true);
        $say(2, $isBig && ($has('panic', 'fainting') || ($patient['nijmegen'] ?? 0) > 22) && ($isTimed || $inARow > 12));
        $say(2, $isBig && $isTimed && $f['minutes'] >= 1 && $noAir);
        $say($has('bullae') ? 3 : 2, $topUp && $has('bullae', 'recent-chest-surgery', 'rib-fracture'));
        $say(2, $topUp && $inARow > 6 && $has('panic', 'fainting', 'epilepsy'));
        $whole = $open ? 0.0 : max([0.0, ...array_map(fn (array $b) => self::length($b, $slow), $breaths)]);
        $say($whole > 30.000001 ? 3 : 2, $whole > 20.000001);
        $say(2, $inhale > 12.000001 || $exhale > 20.000001);
        $fast = $f['fastest'] * $f['count_length'];
        if ($breaths !== []) {
            $say(2, min(array_map(fn (array $b) => self::length($b, $fast), $breaths)) < 2 - 1e-9);
        }
        if (! $open) {
            $litres = $isBig ? 1.5 : ($topUp ? 1.2 : 0.5);
            $rounds = $f['technique'] === 'rounds-retention' ? $p['rounds'] : 1;
            $above = fn (float $limit, bool $inSeconds): float => $rounds * array_sum(array_map(fn (array $b) => ($litres - 0.15) * 60 / self::length($b, $fast) > $limit + 1e-9 ? $b['n'] * ($inSeconds ? self::length($b, $fast) : 1) : 0, $breaths));
            $say($above(12.6, true) >= 60 - 1e-6 ? 3 : 2, $above(8.4, true) >= 60 - 1e-6);
            $say(2, $noAir && $above(8.0, false) > 6);
        }
        $say(2, ($patient['days'] ?? 0) < 14 && $inhale > 3.000001 && ($has('copd') || ($has('asthma') && ($inhale > 5.000001 || ($patient['mmrc'] ?? 0) >= 2))));
        if (isset($p['weight'])) {
            $say(3, $has('pregnancy', 'recent-abdominal-surgery', 'hernia'));
            $say(2, $has('recent-birth', 'rib-fracture', 'recent-chest-surgery', 'recent-spinal-surgery', 'copd', 'oxygen', 'bullae', 'under-12'));
        }
        $say(2, in_array($f['hands'], ['press-lower-ribs', 'leading-ribs'], true) && $has('rib-fracture', 'recent-chest-surgery'));
        $say(2, $f['technique'] === 'alternate-nostril' && $has('blocked-nose', 'hand-trouble', 'sinus-or-ear-infection'));
        $moves = $f['technique'] === 'shoulder-rolls' || ($f['technique'] === 'in-hold-out' && $p['prelude'] < 2 && ! in_array($f['position'], ['supine', 'supine-knees-bent', 'side-lying', 'reclined'], true))
            || ($f['technique'] === 'neck-release' && ! ($f['position'] === 'seated' && in_array('chair-with-back', $f['props'], true)));
        $say(2, $moves && $has('neck-injury', 'vertigo', 'stroke', 'recent-spinal-surgery'));
        $say(2, $f['technique'] === 'tense-release' && $has('high-blood-pressure', 'heart-attack', 'stroke', 'eye', 'recent-eye-surgery', 'recent-chest-surgery', 'recent-abdominal-surgery', 'recent-spinal-surgery', 'rib-fracture', 'neck-injury'));
        $say(2, $f['technique'] === 'body-scan' && $has('trauma', 'psychosis') && ! ($f['gaze'] === 'on-a-point' && $p['list'] < 2 && $p['seconds'] <= 2));
        $lies = in_array($f['position'], ['supine', 'supine-knees-bent', 'prone', 'side-lying', 'reclined'], true);
        $atNight = ! $f['as_needed'] && in_array('lights-out', array_column($f['anchors'], 'anchor'), true);
        $sleeps = $lies && ($f['ending'] === 'quiet' || ($f['ending'] === null && $atNight));
        $say(2, $sleeps && $has('sleep-apnoea', 'sedatives') && ! in_array($f['position'], ['side-lying', 'reclined'], true));
        $say(2, $f['gaze'] === 'closed' && ($upright || $has('trauma', 'psychosis')));
        $isRatio478 = $breaths !== [] && $topUp === false && abs($breaths[0]['hold'] * 4 - $breaths[0]['in'] * 7) < 1e-6 && abs($breaths[0]['out'] * 4 - $breaths[0]['in'] * 8) < 1e-6 && $breaths[0]['rest'] < 1e-9;
        $say(2, ! in_array($f['technique'], ['stepped-even', 'humming', 'rib-release'], true) && $isRatio478 && $f['breaths'] > ($f['school'] === 'ratio-practice' ? 10 : 8));

        return $worst;
    }

    /**
     * @param  array<string, mixed>  $f
     * @param  callable(string ...): bool  $has
     * @param  callable(int, bool): void  $say
     */
    private static function position(array $f, callable $has, callable $say, float $seconds, bool $upright, bool $isBig, bool $topUp, float $pause): void
    {
        $at = $f['position'];
        if ($at === 'prone') {
            $say(3, $has('pregnancy', 'rib-fracture', 'recent-eye-surgery', 'recent-chest-surgery', 'recent-abdominal-surgery', 'recent-spinal-surgery', 'recent-ear-surgery'));
            $say(2, $has('neck-injury', 'reflux', 'eye', 'hernia', 'copd', 'oxygen', 'cannot-reach-floor', 'recent-birth', 'stroke', 'heart-attack'));
        }
        if (in_array($at, ['supine', 'supine-knees-bent', 'prone'], true)) {
            $say(2, $has('heart-failure', 'cannot-lie-flat', 'vertigo', 'late-pregnancy') || ($has('reflux') && $seconds > 300.000001));
        }
        $say(2, in_array($at, ['kneeling', 'hands-and-knees', 'folded-forward', 'childs-pose'], true) && $has('cannot-reach-floor', 'vertigo', 'eye'));
        $say(2, $at === 'cross-legged' && $has('cannot-reach-floor', 'vertigo'));
        if ($at === 'folded-forward' || $at === 'childs-pose') {
            $say(3, $has('recent-eye-surgery'));
            $say(2, $has('stroke', 'high-blood-pressure', 'heart-failure', 'heart-attack', 'fainting', 'sinus-or-ear-infection', 'recent-ear-surgery', 'recent-abdominal-surgery', 'recent-spinal-surgery', 'reflux', 'hernia', 'late-pregnancy'));
        }
        if ($upright) {
            $say(2, $has('fainting', 'vertigo'));
            $say(2, ($pause > 2.000001 || $isBig || $topUp) && $has('sedatives', 'epilepsy', 'arrhythmia', 'heart-attack', 'pregnancy'));
        }
        $say(2, $at === 'walking' && $has('heart-attack', 'heart-failure', 'oxygen', 'pulmonary-hypertension', 'sight-loss', 'epilepsy'));
    }

    /** @param  array<string, float>  $breath */
    private static function length(array $breath, float $count): float
    {
        return ($breath['in'] + $breath['top'] + $breath['hold'] + $breath['out'] + $breath['rest']) * $count + ($breath['soft-hold'] ?? 0.0) + ($breath['soft-rest'] ?? 0.0);
    }

    /**
     * The breaths that are paced, with how many there are of each.
     *
     * @param  array<string, mixed>  $f
     * @return list<array<string, float>>
     */
    private static function breaths(array $f): array
    {
        $p = $f['parameters'];
        if ($f['technique'] === 'stepped-even') {
            $all = [];
            for ($counts = $p['start']; $counts <= max($p['start'], $p['top']); $counts++) {
                $all[] = ['in' => $counts, 'top' => 0.0, 'hold' => 0.0, 'out' => $counts, 'rest' => 0.0, 'soft-hold' => $p['pause'], 'soft-rest' => $p['pause'], 'n' => $all === [] ? 3 : 2];
            }

            return $all;
        }
        if ($f['technique'] === 'humming') {
            return [['in' => $p['inhale'], 'top' => 0.0, 'hold' => 0.0, 'out' => $p['hum'] < 1 ? 8.0 : $p['hum'], 'rest' => 0.0, 'n' => $f['breaths']]];
        }
        if ($f['technique'] === 'rib-release') {
            return [['in' => $p['inhale'], 'top' => 0.0, 'hold' => 0.0, 'out' => 3 + ($p['hum'] < 1 ? 4.0 : $p['hum']), 'rest' => 0.0, 'n' => $f['breaths']]];
        }
        if (! is_string($f['ratio'])) {
            return [];
        }
        $parts = explode(':', $f['ratio']);
        [$in, $top] = [...explode('+', $parts[0]), '0'];
        $breath = ['in' => (float) $in, 'top' => (float) $top] + match (count($parts)) {
            2 => ['hold' => 0.0, 'out' => (float) $parts[1], 'rest' => 0.0],
            3 => ['hold' => (float) $parts[1], 'out' => (float) $parts[2], 'rest' => 0.0],
            default => ['hold' => (float) $parts[1], 'out' => (float) $parts[2], 'rest' => (float) $parts[3]],
        };
        if ($f['technique'] === 'even') {
            return array_map(fn (int $step) => [...$breath, 'in' => $breath['in'] + $step, 'out' => $breath['out'] + $step, 'n' => $step > 0 && $p['breaths-'.($step + 1)] > 0 ? $p['breaths-'.($step + 1)] : $f['breaths']], range(0, (int) $p['steps'] - 1));
        }

        return [[...$breath, 'n' => $f['technique'] === 'alternate-nostril' ? 2 * $f['breaths'] : $f['breaths']]];
    }

    /**
     * The exercise itself, as it is prescribed.
     *
     * @param  array<string, mixed>  $f
     */
    private static function seconds(array $f): float
    {
        $p = $f['parameters'];
        $count = $f['count_length'];
        $breaths = self::breaths($f);
        $paced = array_sum(array_map(fn (array $b) => $b['n'] * self::length($b, $count), $breaths));

        return match ($f['technique']) {
            'rounds-retention' => $p['rounds'] * ($paced + 2 * ($breaths[0]['in'] + $breaths[0]['top']) * $count + $p['retention']),
            'long-exhale' => $paced + 60 * $p['free'],
            'tense-release' => array_sum(array_map(fn (int $group) => 3 * ($group > 1 && $p["times-$group"] > 0 ? $p["times-$group"] : $p['times']) * $p['tense'] * $count + 12, range(1, (int) $p['groups']))),
            'body-scan' => $p['seconds'] * [1 => 4 * 22, 90, 90, 54][(int) $p['list']],
            'reverse-count' => ($p['from'] + 1) * $count,
            'forward-lean' => 129.0,
            default => $breaths === [] ? 60 * (float) $f['minutes'] : $paced,
        };
    }
}
