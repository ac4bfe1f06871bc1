<?php

declare(strict_types=1);

namespace App\Support\Course;

use App\Models\Patient;
use App\Models\Programme;
use App\Support\EvidenceOf;
use App\Support\OnFile;
use Carbon\CarbonImmutable;
use IvoryPace\Practice\PatientDay;
use LogicException;

/** What the parts of a Course are made from, read once and only when a part asks for it. */
final class Reading
{
    private ?OnFile $file = null;

    private ?EvidenceOf $evidence = null;

    private ?PracticeLines $lines = null;

    /** @param  array<string, mixed>  $compare  the two stretches that are compared, as asked for */
    public function __construct(public readonly Patient $patient, public readonly Programme $programme, public readonly CarbonImmutable $now, private readonly Span $span, public readonly array $compare)
    {
    }

    /** The first day that is shown. */
    public function from(): PatientDay
    {
        return $this->span->firstDay($this->programme->history()->firstDay(), $this->patient->dayOf($this->now));
    }

    public function file(): OnFile
    {
        return $this->file ??= OnFile::patient($this->patient, $this->now, $this->compare === [] ? $this->from() : null);
    }

    public function evidence(): EvidenceOf
    {
        return $this->evidence ??= EvidenceOf::on($this->file()) ?? throw new LogicException('A running programme has evidence.');
    }

    public function lines(): PracticeLines
    {
        return $this->lines ??= new PracticeLines($this->programme, $this->patient);
    }
}
