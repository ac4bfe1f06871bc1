<?php

declare(strict_types=1);

namespace App\Actions\Recording;

use App\Models\Recording;
use App\Models\RecordingKind;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use IvoryPace\Signal\Reading\SamplesKept;

/** What nobody ended ends by itself, and what came late is read before its samples go. */
final class CloseRecordings
{
    private const AT_ONCE = 50;

    private const MOST_DAYS = 4;

    public function __construct(private readonly ReadRecording $read)
    {
    }

    public function __invoke(CarbonImmutable $now): void
    {
        $room = fn () => Recording::query()->with('patient')->whereNotIn('kind', [RecordingKind::Practice, RecordingKind::File])
            ->where('created_at', '>=', $now->subDays(self::MOST_DAYS));
        $latest = $now->subMinutes(SamplesKept::LONGEST_MINUTES);
        foreach ($this->some($room()->whereNull('ended_at')->where('started_at', '<=', $latest)) as $open) {
            $open->update(['ended_at' => $open->endsAt()]);
            ($this->read)($open, $now);
        }
        foreach ($this->some($room()->where('samples_until', '<=', $now)) as $late) {
            if ($late->samples()->where('received_at', '>', $late->read_at)->exists()) {
                ($this->read)($late, $now);
            }
        }
    }

    /**
     * @param  Builder<Recording>  $which
     * @return iterable<Recording>
     */
    private function some(Builder $which): iterable
    {
        return $which->orderBy('id')->limit(self::AT_ONCE)->get();
    }
}
