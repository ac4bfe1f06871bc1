<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Numbers;

/** Something that is reliably worse than at first: a rated symptom or a questionnaire. */
final readonly class Worsening
{
    private function __construct(public string $what, public float $then, public float $now, private string $thenWords, private string $nowWords)
    {
    }

    /** @param  float  $then  median 0–10 of the first seven rated days, as $now is of the last */
    public static function rating(string $symptom, float $then, float $now): self
    {
        return new self(ucfirst($symptom), $then, $now, 'in the first rated week', 'in the last');
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

    /** Without a full stop. */
    public function sentence(): string
    {
        return "{$this->what} is reliably worse: ".Numbers::print($this->then)." {$this->thenWords}, ".Numbers::print($this->now)." {$this->nowWords}";
    }
}
