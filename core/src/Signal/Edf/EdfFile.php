<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Edf;

/**
 * A recording as an EDF or EDF+ file: Kemp et al., Electroencephalogr Clin Neurophysiol 1992;82:391–393, and Kemp and Olivan, Clin
 * Neurophysiol 2003;114:1755–1761. Texts of the head are kept as they are written, so that the same bytes come out again.
 */
final readonly class EdfFile
{
    public const PLAIN = '';

    public const CONTINUOUS = 'EDF+C';

    /** With gaps. */
    public const BROKEN = 'EDF+D';

    /**
     * @param  string  $patient  80 signs; EDF+: code, sex, birth date, name, each X when it is not told
     * @param  string  $recording  80 signs; EDF+: "Startdate 02-DEC-2026 …"
     * @param  string  $date  "02.12.26"
     * @param  string  $time  "09.30.00"
     * @param  string  $kind  the start of the reserved field
     * @param  string  $recordSeconds  s, as it is written
     * @param  list<EdfChannel>  $channels  without those of notes
     * @param  list<string>  $onsets  when each record starts, as it is written, "+0"; of a plain file none
     * @param  list<list<EdfNote>>  $notes  by record; of a plain file none
     * @param  int  $noteSamples  samples of each record that are for notes
     */
    public function __construct(
        public string $patient,
        public string $recording,
        public string $date,
        public string $time,
        public string $kind,
        public string $recordSeconds,
        public array $channels,
        public array $onsets,
        public array $notes,
        public int $noteSamples,
    ) {
    }

    public function records(): int
    {
        $first = $this->channels[0] ?? null;

        return $first === null ? count($this->onsets) : intdiv(count($first->values), $first->perRecord);
    }

    /** @return float s from the start of the file */
    public function startOf(int $record): float
    {
        return isset($this->onsets[$record]) ? (float) $this->onsets[$record] : $record * (float) $this->recordSeconds;
    }

    /** @return list<EdfNote> all, in the order of the file */
    public function allNotes(): array
    {
        return array_merge(...$this->notes ?: [[]]);
    }

    /**
     * What a channel measured, with the moment of each value.
     *
     * @param  positive-int  $together  so many values, as far as they stand in one record, go into one, their mean
     * @return list<array{float, float}> s from the start of the file, in the unit
     */
    public function samples(EdfChannel $channel, int $together = 1): array
    {
        $values = $channel->physical();
        $step = (float) $this->recordSeconds / $channel->perRecord;
        $samples = [];
        for ($record = 0, $n = 0, $count = $this->records(); $record < $count; $record++) {
            $start = $this->startOf($record);
            for ($in = 0; $in < $channel->perRecord; $in += $together) {
                $some = array_slice($values, $n + $in, min($together, $channel->perRecord - $in));
                $samples[] = [$start + ($in + (count($some) - 1) / 2) * $step, array_sum($some) / count($some)];
            }
            $n += $channel->perRecord;
        }

        return $samples;
    }
}
