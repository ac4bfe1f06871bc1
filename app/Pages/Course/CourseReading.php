<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Facts\EvidenceOf;
use App\Facts\OnFile;
use App\Models\Patient;
use App\Models\Programme;
use Carbon\CarbonImmutable;
use IvoryPace\Calendar\PatientDay;
use LogicException;

/**
 * What the parts of a Course are made from, read once and only when a part asks for it. A closed programme is seen as it was at its end.
 */
final class CourseReading
{
    private ?OnFile $file = null;

    private ?EvidenceOf $evidence = null;

    private ?PracticeLines $lines = null;

    public readonly CarbonImmutable $now;

    /** @param  array<string, mixed>  $compare  the two stretches that are compared, as asked for */
    public function __construct(
        public readonly Patient $patient,
        public readonly Programme $programme,
        CarbonImmutable $now,
        private readonly Span $span,
        public readonly array $compare,
    ) {
        $this->now = $programme->closed_on === null ? $now
            : CarbonImmutable::instance($patient->clock()->endsAt(PatientDay::of($programme->closed_on->format('Y-m-d'))))->subSecond()
                ->min($now);
    }

    public function isClosed(): bool
    {
        return $this->programme->closed_on !== null;
    }

    /** The first day that is shown. */
    public function from(): PatientDay
    {
        return $this->span->firstDay($this->programme->history()->firstDay(), $this->patient->dayOf($this->now));
    }

    public function file(): OnFile
    {
        return $this->file ??= OnFile::patient(
            $this->patient, $this->now, $this->compare === [] ? $this->from() : null, $this->isClosed() ? $this->programme : null,
        );
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
