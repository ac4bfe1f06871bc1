<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Casts\Sealed;
use DateTimeImmutable;
use DateTimeZone;
use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Health\StopClass;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Practice\Doubt;
use IvoryPace\Practice\PracticeRecord;
use IvoryPace\Programme\Anchor;
use IvoryPace\Progress\Felt;
use stdClass;

/** A practice as it is counted. There are hundreds in a year, so it is read from its row without a model around it. */
final readonly class PracticeOnFile
{
    public const COLUMNS = [
        'id', 'patient_id', 'lineage', 'anchor', 'started_at', 'received_at', 'breaths_done', 'breaths_prescribed', 'seconds_done',
        'seconds_prescribed',
        'before', 'after', 'effort', 'smooth', 'slight_symptom', 'stop_class', 'stop_symptom', 'remark', 'doubt',
    ];

    private function __construct(
        public int $id,
        public PatientDay $day,
        public PracticeRecord $record,
        public string $receivedAt,
        public ?int $before,
        public ?int $after,
        public ?int $effort,
        public ?string $smooth,
        public bool $slight,
        public ?StopClass $stopClass,
        public ?StopSymptom $stopSymptom,
        private ?string $sealedRemark,
        public ?Felt $felt,
    ) {
    }

    /** @param  stdClass|null  $measured  what a device felt of it: followed, seen, prescribed, lag_ms, ratio_kept */
    public static function read(stdClass $row, PatientClock $clock, ?stdClass $measured = null): self
    {
        static $utc = new DateTimeZone('UTC');
        $startedAt = new DateTimeImmutable((string) $row->started_at, $utc);
        $stopClass = $row->stop_class === null ? null : StopClass::from((string) $row->stop_class);

        return new self(
            (int) $row->id,
            $clock->dayOf($startedAt),
            PracticeRecord::of(
                (string) $row->lineage, $startedAt, (int) $row->breaths_done, (int) $row->breaths_prescribed, (int) $row->seconds_done,
                (int) $row->seconds_prescribed, $stopClass, $row->anchor === null ? null : Anchor::from((string) $row->anchor),
                $row->doubt === null ? null : Doubt::from((string) $row->doubt),
            ),
            (string) $row->received_at,
            self::whole($row->before), self::whole($row->after), self::whole($row->effort),
            $row->smooth === null ? null : (string) $row->smooth, (bool) $row->slight_symptom,
            $stopClass, $row->stop_symptom === null ? null : StopSymptom::from((string) $row->stop_symptom),
            $row->remark === null ? null : (string) $row->remark,
            self::felt($measured),
        );
    }

    public function isStoppedForSymptom(): bool
    {
        return $this->record->stoppedForSymptom;
    }

    public function remark(): string
    {
        return $this->sealedRemark === null ? '' : trim(Sealed::open($this->sealedRemark) ?? Sealed::UNREADABLE);
    }

    private static function felt(?stdClass $measured): ?Felt
    {
        return $measured === null ? null : Felt::of(
            self::whole($measured->followed), self::whole($measured->seen), self::whole($measured->prescribed),
            is_numeric($measured->lag_ms) ? $measured->lag_ms / 1000 : null,
            is_numeric($measured->ratio_kept) ? (float) $measured->ratio_kept : null,
        );
    }

    private static function whole(mixed $value): ?int
    {
        return is_numeric($value) ? (int) $value : null;
    }
}
