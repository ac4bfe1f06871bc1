<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Edf;

/** Something that is said of a moment of a recording: a cue, a beat, the true end. */
final readonly class EdfNote
{
    /**
     * @param  string  $at  s from the start of the file, with its sign, as it is written: "+12.5"
     * @param  string  $lasts  s, or nothing
     * @param  list<string>  $texts
     */
    public function __construct(public string $at, public string $lasts, public array $texts)
    {
    }

    public static function of(float $at, string $text, ?float $lasts = null): self
    {
        return new self(self::seconds($at), $lasts === null ? '' : ltrim(self::seconds($lasts), '+'), [$text]);
    }

    /** As EDF+ writes moments. */
    public static function seconds(float $at): string
    {
        $text = number_format(abs($at), 4, '.', '');

        return ($at < 0 ? '-' : '+').rtrim(rtrim($text, '0'), '.');
    }

    public function start(): float
    {
        return (float) $this->at;
    }

    public function bytes(): string
    {
        return $this->at.($this->lasts === '' ? '' : "\x15{$this->lasts}")."\x14".implode("\x14", $this->texts)."\x14\x00";
    }
}
