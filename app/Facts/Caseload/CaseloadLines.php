<?php

declare(strict_types=1);

namespace App\Facts\Caseload;

use App\Facts\OnFile;
use App\Models\Clinic;
use App\Models\Patient;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use IvoryPace\Progress\ClinicOutcomes;
use stdClass;

/**
 * The clinic's patients by urgency, each with one sentence and its number. Lines are kept as they were computed and are
 * computed again when something was written about the patient, when their day turns or when a window closes. The scheduler
 * does that every minute; whoever opens the Caseload first waits for what was written, and for a few of those whose time has
 * just turned.
 *
 * @phpstan-import-type Figures from ClinicOutcomes
 */
final class CaseloadLines
{
    public const MOST_PATIENTS = 10_000;

    /** Raised whenever a line is made up in another way: then every kept one is made anew. */
    private const FORM = 8;

    private const AT_ONCE = 50;

    /** Where two write at the same moment, one of them begins again. */
    private const TRIES = 5;

    private const LONGEST_NAMES = 400;

    /** So long a line whose window has just closed may wait for the scheduler, when there are many. */
    private const WAITS_MINUTES = 5;

    /** @return list<array<string, mixed>> most urgent first */
    public static function of(Clinic $clinic, CarbonImmutable $now): array
    {
        return array_values(
            self::present($clinic, 'line', $now)
                ->map(fn (stdClass $row) => (array) json_decode(Crypt::decryptString((string) $row->line), true))->all(),
        );
    }

    /** Sees to it that every line of a clinic is present, as far as whoever opens the Caseload waits for it. */
    public static function refreshFor(Clinic $clinic, CarbonImmutable $now): void
    {
        $columns = ['patient_id', 'changes', 'made_of', 'form', 'holds_until'];
        $of = fn (): Builder => DB::table('caseload_lines')->where('clinic_id', $clinic->id)->select($columns);
        // Each by an index of its own: there may be thousands of lines, and hardly ever one that has run out.
        $gone = $of()->where('is_stale', true)->union($of()->where('form', '<', self::FORM))
            ->union($of()->where('holds_until', '<=', $now->utc()->format('Y-m-d H:i:s')))->get()->keyBy('patient_id');
        self::compute(self::awaited($gone, $now), $now);
    }

    /**
     * @param  Collection<array-key, stdClass>  $gone
     * @return list<mixed> patients whose line is made anew before it is read
     */
    private static function awaited(Collection $gone, CarbonImmutable $now): array
    {
        $turned = $gone->filter(fn (stdClass $row) => self::hasJustTurned($row, $now));

        return array_values($gone->diffKeys($turned->skip(self::AT_ONCE))->pluck('patient_id')->all());
    }

    /**
     * Each patient's part in the clinic's outcomes.
     *
     * @return list<Figures>
     */
    public static function figures(Clinic $clinic, CarbonImmutable $now): array
    {
        $figures = [];
        foreach (self::present($clinic, 'figures', $now) as $row) {
            /** @var Figures $read */
            $read = json_decode((string) $row->figures, true);
            $figures[] = $read;
        }

        return $figures;
    }

    /** @return Collection<int, stdClass> what is kept, computed anew where it has run out */
    private static function present(Clinic $clinic, string $column, CarbonImmutable $now): Collection
    {
        $rows = self::rows($clinic->id, $column);
        $stale = self::awaited($rows->reject(fn (stdClass $row) => self::holds($row, $now)), $now);
        if ($stale !== []) {
            self::compute($stale, $now);
            $rows = self::rows($clinic->id, $column);
        }

        // A patient may have been added between the two: whoever opens it next sees them.
        return $rows->filter(fn (stdClass $row) => $row->{$column} !== null);
    }

    /** Computes what has run out, in every clinic, so that nobody has to wait for it. */
    public static function refresh(CarbonImmutable $now): int
    {
        $computed = 0;
        DB::table('caseload_lines')->orderBy('patient_id')->chunkById(500, function (Collection $rows) use ($now, &$computed) {
            $stale = array_values($rows->filter(fn (stdClass $row) => ! self::holds($row, $now))->pluck('patient_id')->all());
            self::compute($stale, $now);
            $computed += count($stale);
        }, 'patient_id');

        return $computed;
    }

    /** @param  list<string>  $patients */
    public static function anew(array $patients, CarbonImmutable $now): void
    {
        self::compute($patients, $now);
    }

    /**
     * @param  list<mixed>  $ids
     */
    private static function compute(array $ids, CarbonImmutable $now): void
    {
        foreach (array_chunk($ids, self::AT_ONCE) as $some) {
            // Read first: what is written while this computes makes the line run out at once.
            $changes = DB::table('caseload_lines')->whereIn('patient_id', $some)->pluck('changes', 'patient_id');
            $patients = Patient::query()->whereIn('id', $some)->limit(self::AT_ONCE)->get();
            $rows = [];
            foreach (OnFile::many($patients, $now) as $id => $file) {
                $made = CaseloadLineOf::on($file);
                $rows[] = [
                    'patient_id' => $id, 'made_of' => $changes[$id] ?? 0, 'form' => self::FORM,
                    'holds_until' => $made['holds_until']->format('Y-m-d H:i:s'),
                    'urgency' => $made['urgency'], 'reason' => $made['line']['reason'],
                    'names' => mb_substr(CaseloadFilter::names("{$made['line']['name']} {$made['line']['born']}"), 0, self::LONGEST_NAMES),
                    'prescribed' => CaseloadFilter::plain($made['line']['prescribed'] ?? ''),
                    'flags' => $made['flags'],
                    'since' => $made['since']?->format('Y-m-d H:i:s'),
                    'line' => Crypt::encryptString(json_encode($made['line'], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)),
                    'figures' => json_encode($made['figures'], JSON_THROW_ON_ERROR),
                ];
            }
            self::write($rows);
        }
    }

    /**
     * One statement that finds each line by its key. An insert that updates would lock the gaps between lines as well, and whoever
     * writes about a patient at that moment would stand in its way.
     *
     * @param  list<array<string, mixed>>  $rows
     */
    private static function write(array $rows): void
    {
        if ($rows === []) {
            return;
        }
        usort($rows, fn (array $a, array $b) => $a['patient_id'] <=> $b['patient_id']);
        $columns = array_keys($rows[0]);
        $values = implode(
            ' union all ', array_fill(0, count($rows), 'select '.implode(', ', array_map(fn (string $name) => "? as `$name`", $columns))),
        );
        $set = implode(', ', array_map(fn (string $name) => "l.`$name` = v.`$name`", array_diff($columns, ['patient_id'])));
        DB::transaction(fn () => DB::update(
            "update caseload_lines l join ($values) v on v.patient_id = l.patient_id set $set",
            array_merge(...array_map(array_values(...), $rows)),
        ), attempts: self::TRIES);
    }

    /** @return Collection<int, stdClass> */
    private static function rows(int $clinic, string $column): Collection
    {
        return DB::table('patients')->join('caseload_lines', 'caseload_lines.patient_id', '=', 'patients.id')
            ->where('patients.clinic_id', $clinic)
            ->orderBy('caseload_lines.urgency')->orderByDesc('caseload_lines.since')->orderBy('patients.name')->orderBy('patients.id')
            ->limit(self::MOST_PATIENTS)
            ->get(['caseload_lines.patient_id', 'changes', 'made_of', 'form', 'holds_until', $column]);
    }

    private static function holds(stdClass $row, CarbonImmutable $now): bool
    {
        return self::isOfWhatIsWritten($row) && (string) $row->holds_until > $now->utc()->format('Y-m-d H:i:s');
    }

    /** Nothing was written since: only time has gone on, a moment ago. */
    private static function hasJustTurned(stdClass $row, CarbonImmutable $now): bool
    {
        return self::isOfWhatIsWritten($row)
            && (string) $row->holds_until > $now->utc()->subMinutes(self::WAITS_MINUTES)->format('Y-m-d H:i:s');
    }

    private static function isOfWhatIsWritten(stdClass $row): bool
    {
        return $row->made_of !== null && $row->form === self::FORM && $row->made_of === $row->changes;
    }
}
