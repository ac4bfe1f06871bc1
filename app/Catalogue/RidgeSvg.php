<?php

declare(strict_types=1);

namespace App\Catalogue;

use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Numbers;

/** The ridge as a standing drawing, for paper. */
final class RidgeSvg
{
    public const WIDTH = 520;

    public const HEIGHT = 90;

    private const INK = '#24302f';

    private const TONES = [
        'inhale' => '#d5e4e1', 'top-up' => '#d5e4e1', 'hold' => '#efe3c4', 'retention' => '#efe3c4',
        'exhale' => '#ded9e8', 'hum' => '#ded9e8', 'release' => '#ded9e8',
    ];

    /** @param  array{minutes: float|null, cues: list<Cue>, count_s: float}  $ridge */
    public static function of(array $ridge): string
    {
        $body = $ridge['cues'] === [] ? self::minutes((float) $ridge['minutes']) : self::breath($ridge['cues'], $ridge['count_s']);

        return '<svg xmlns="http://www.w3.org/2000/svg" width="'.self::WIDTH.'" height="'.(self::HEIGHT + 48).'" viewBox="0 0 '.self::WIDTH
            .' '.(self::HEIGHT + 48).'">'.$body.'</svg>';
    }

    /** @param  list<Cue>  $cues */
    private static function breath(array $cues, float $countSeconds): string
    {
        $zero = $cues[0]->startMs;
        $total = $cues[count($cues) - 1]->endMs() - $zero;
        $levels = array_merge(...array_map(fn (Cue $cue) => [$cue->volumeFrom, $cue->volumeTo], $cues));
        $top = max([0.0, ...$levels]);
        $low = min([0.0, ...$levels]);
        $x = fn (float $ms) => round(($ms - $zero) / $total * self::WIDTH, 2);
        $y = fn (float $volume) => round(4 + ($top - $volume) / max(0.01, $top - $low) * (self::HEIGHT - 4), 2);
        $base = $y(0.0);
        $fills = $line = $ticks = $labels = '';
        foreach ($cues as $index => $cue) {
            [$x1, $y1, $x2, $y2] = $cue->kind->curve();
            $rise = $cue->volumeTo - $cue->volumeFrom;
            $curve = sprintf('C%s %s %s %s %s %s',
                $x($cue->startMs + $x1 * $cue->durationMs), $y($cue->volumeFrom + $y1 * $rise),
                $x($cue->startMs + $x2 * $cue->durationMs), $y($cue->volumeFrom + $y2 * $rise), $x($cue->endMs()), $y($cue->volumeTo));
            $fills .= sprintf(
                '<path d="M%s %sL%s %s%sL%s %sZ" fill="%s"/>', $x($cue->startMs), $base, $x($cue->startMs), $y($cue->volumeFrom), $curve,
                $x($cue->endMs()), $base, self::TONES[$cue->kind->value] ?? '#fffdf8',
            );
            $line .= $index === 0 ? "M{$x($cue->startMs)} {$y($cue->volumeFrom)}$curve" : $curve;
            foreach ($cue->beats as $beat) {
                $ticks .= "M{$x($beat->atMs)} {$base}v5";
            }
            $ticks .= "M{$x($cue->endMs())} {$base}v9";
            $label = self::label($cue, $countSeconds);
            // Labels of neighbours stand on two rows, so that short phases do not run into each other.
            $labels .= sprintf('<text x="%s" y="%s" font-size="18" text-anchor="middle" font-family="figtree" fill="%s">%s</text>',
                min(self::WIDTH - 32, max(32, ($x($cue->startMs) + $x($cue->endMs())) / 2)), self::HEIGHT + ($index % 2 === 0 ? 25 : 44),
                self::INK, e($label));
        }

        return $fills.self::stroke($line, 1.6).self::stroke("M0 {$base}H".self::WIDTH, 1.4).self::stroke($ticks, 1).$labels;
    }

    private static function minutes(float $minutes): string
    {
        $base = self::HEIGHT;
        $line = "M0 $base";
        $step = self::WIDTH / 10;
        for ($n = 0; $n < 10; $n++) {
            $at = $n * $step;
            $line .= sprintf(
                'C%s %s %s %s %s %sS%s %s %s %s', $at + $step * .18, $base, $at + $step * .22, $base - 45, $at + $step * .4, $base - 45,
                $at + $step * .7, $base, $at + $step, $base,
            );
        }

        return self::stroke($line, 1.4).self::stroke("M0 {$base}H".self::WIDTH, 1.4)
            .'<text x="'.(self::WIDTH / 2).'" y="'.($base + 27).'" font-size="18" text-anchor="middle" font-family="figtree" fill="'
                .self::INK.'">'.e((string) __('sheet.minutes', ['minutes' => Numbers::print($minutes, 1)])).'</text>';
    }

    private static function stroke(string $path, float $width): string
    {
        return "<path d=\"$path\" fill=\"none\" stroke=\"".self::INK."\" stroke-width=\"$width\"/>";
    }

    private static function label(Cue $cue, float $countSeconds): string
    {
        $seconds = $cue->durationMs / 1000;
        $name = (string) __("sheet.ridge.{$cue->kind->value}");

        return match (true) {
            $cue->isOpen() => (string) __('sheet.ridge.open', ['name' => $name]),
            $cue->beats === [] || $cue->kind === CueKind::Retention => (string) __(
                'sheet.ridge.seconds', ['name' => $name, 'seconds' => Numbers::print($seconds, 1)],
            ),
            default => (string) __('sheet.ridge.counts', ['name' => $name, 'counts' => Numbers::print($seconds / $countSeconds, 1)]),
        };
    }
}
