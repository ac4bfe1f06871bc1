<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Numbers;

/** Something that is worse than before: a rated symptom, sleep or a questionnaire. */
final readonly class Worsening
{
    private function __construct(
        public string $what,
        public float $then,
        public float $now,
        private string $thenWords,
        private string $nowWords,
        private string $how = 'is reliably worse',
    ) {
    }

    /** @param  float  $then  0–10, as $now */
    public static function rating(string $symptom, float $then, float $now, WorseOver $over = WorseOver::Weeks): self
    {
        return new self(
            ucfirst($symptom), $then, $now, $over->thenInWords(), $over->nowInWords(),
            $over === WorseOver::Weeks ? 'is reliably worse' : 'is suddenly worse',
        );
    }

    public static function questionnaire(string $name, float $then, float $now): self
    {
        return new self($name, $then, $now, 'at first', 'now');
    }

    /** "3 to 6". */
    public function number(): string
    {
        return Numbers::print($this->then).' to '.Numbers::print($this->now);
    }

    /** "reliably worse", for the sentence of another. */
    public function how(): string
    {
        return $this->how;
    }

    /** Without a full stop. */
    public function sentence(): string
    {
        return "{$this->what} {$this->how}: ".Numbers::print($this->then)." {$this->thenWords}, ".Numbers::print($this->now)
            ." {$this->nowWords}";
    }
}
