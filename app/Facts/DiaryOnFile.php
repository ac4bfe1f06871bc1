<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Casts\SealedList;
use App\Models\ChosenSymptom;
use IvoryPace\Calendar\PatientDay;
use stdClass;

/** What a patient rated on one day, read from its row without a model around it. */
final readonly class DiaryOnFile
{
    /** @param  array<array-key, int>  $ratings  0–10, by id of the chosen symptom */
    private function __construct(public PatientDay $day, private array $ratings, public ?int $sleep)
    {
    }

    public static function read(stdClass $row): self
    {
        /** @var array{ratings?: array<array-key, int>, sleep?: int|null} $content */
        $content = SealedList::open((string) $row->content);

        return new self(PatientDay::of((string) $row->day), $content['ratings'] ?? [], $content['sleep'] ?? null);
    }

    /** 0–10; null when it was not rated that day. */
    public function rating(ChosenSymptom $symptom): ?int
    {
        return $this->ratings[$symptom->id] ?? null;
    }
}
