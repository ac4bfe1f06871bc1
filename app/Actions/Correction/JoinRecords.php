<?php

declare(strict_types=1);

namespace App\Actions\Correction;

use App\Actions\Programme\RecheckProgramme;
use App\Guard\Door\JoinRoutine;
use App\Guard\Trail;
use App\Models\ChosenSymptom;
use App\Models\Device;
use App\Models\DiaryEntry;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\RecordJoin;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Two records of one person become one. The older keeps its name and number; every row of the younger moves to it by the
 * database's own door, and the younger's address leads to the older. What stood in both, symptoms of one name and days of the
 * diary, becomes one.
 */
final readonly class JoinRecords
{
    private const MOST_DAYS = 4000;

    private const EMPTY = ['ratings' => [], 'sleep' => null, 'text' => null];

    public function __construct(private Trail $trail, private RecheckProgramme $recheck)
    {
    }

    /**
     * @return Patient the one that is left
     *
     * @throws ValidationException when they are no pair, or something is under way in both
     */
    public function __invoke(Patient $one, Patient $other, Practitioner $by, string $reason): Patient
    {
        return DB::transaction(function () use ($one, $other, $by, $reason) {
            $ids = [$one->id, $other->id];
            $both = Patient::query()->whereKey($ids)->orderBy('id')->lockForUpdate()->get()
                ->sortBy(fn (Patient $each) => [$each->created_at->getTimestamp(), $each->id])->values();
            $older = $both->first();
            $younger = $both->last();
            $problem = self::problem($older, $younger);
            if ($older === null || $younger === null || $problem !== null) {
                throw ValidationException::withMessages(['other' => $problem]);
            }
            $this->bringTogether($older, $younger);
            $join = RecordJoin::query()->create([
                'older_id' => $older->id, 'younger_id' => $younger->id, 'practitioner_id' => $by->id, 'reason' => $reason, 'at' => now(),
            ]);
            $name = $younger->name;
            DB::statement('call '.JoinRoutine::NAME.'(?, ?, ?)', [$younger->id, $older->id, $join->id]);
            $this->trail->of($older);
            $this->trail->changed('record', "$name, added {$younger->created_at->format('j M Y')}", "joined into this one: $reason");
            $older = Patient::query()->findOrFail($older->id);
            ($this->recheck)($older);

            return $older;
        });
    }

    /** In words, why two records are not joined; null when they can be. */
    public static function problem(?Patient $one = null, ?Patient $other = null): ?string
    {
        if ($one === null || $other === null || $one->is($other)) {
            return 'Choose the other record of this person.';
        }
        $both = fn (string $of): bool => $one->{$of}()->exists() && $other->{$of}()->exists();

        return match (true) {
            $one->clinic_id !== $other->clinic_id => 'Choose the other record of this person.',
            ! $one->birth_date->equalTo($other->birth_date) => 'Their dates of birth differ. Correct the wrong one under Details first.',
            $both('openProgramme') => 'A programme is running in both. Close the one that is not to go on.',
            $both('openSession') => 'A session is open in both. Sign the note of one, or drop it.',
            default => null,
        };
    }

    private function bringTogether(Patient $older, Patient $younger): void
    {
        $names = ChosenSymptom::query()->where('patient_id', $older->id)->get()->keyBy('name');
        $same = [];
        foreach (ChosenSymptom::query()->where('patient_id', $younger->id)->get() as $symptom) {
            $known = $names->get($symptom->name);
            if ($known !== null) {
                $same[$symptom->id] = $known->id;
                if ($symptom->dropped_at === null) {
                    $known->update(['dropped_at' => null]);
                }
            }
        }
        $this->joinDiaries($older, $younger, $same);
        // What is stricter holds, until somebody says otherwise.
        $lowest = array_filter([$older->own_low_saturation, $younger->own_low_saturation], fn (?int $value) => $value !== null);
        $older->update([
            'contact' => $older->contact ?? $younger->contact, 'minutes_a_day' => $older->minutes_a_day ?? $younger->minutes_a_day,
            'own_low_saturation' => $lowest === [] ? null : max($lowest), 'archived_at' => null, 'archive_reason' => null,
        ]);
        Device::query()->where('patient_id', $younger->id)->whereNull('came_as')->update(['came_as' => $younger->id]);
    }

    /** @param  array<int, int>  $same  the older's symptom by that of the younger that has its name */
    private function joinDiaries(Patient $older, Patient $younger, array $same): void
    {
        $days = DiaryEntry::query()->where('patient_id', $older->id)->limit(self::MOST_DAYS)->get()
            ->keyBy(fn (DiaryEntry $entry) => $entry->day->format('Y-m-d'));
        foreach (DiaryEntry::query()->where('patient_id', $younger->id)->limit(self::MOST_DAYS)->get() as $entry) {
            // One that cannot be read has none of its parts.
            $content = [...self::EMPTY, ...$entry->content];
            $ratings = [];
            foreach ($content['ratings'] as $symptom => $rating) {
                $ratings[$same[(int) $symptom] ?? (int) $symptom] = $rating;
            }
            $content['ratings'] = $ratings;
            $there = $days->get($entry->day->format('Y-m-d'));
            if ($there === null) {
                $entry->update(['content' => $content]);

                continue;
            }
            // Of two words about one day both stand: what the older says of a symptom holds.
            $kept = [...self::EMPTY, ...$there->content];
            $texts = array_filter([$kept['text'], $content['text']]);
            $there->update(['content' => [
                'ratings' => $kept['ratings'] + $ratings, 'sleep' => $kept['sleep'] ?? $content['sleep'],
                'text' => $texts === [] ? null : implode("\n", array_unique($texts)),
            ]]);
            $entry->delete();
        }
    }
}
