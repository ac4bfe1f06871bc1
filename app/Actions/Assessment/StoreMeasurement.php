<?php

declare(strict_types=1);

namespace App\Actions\Assessment;

use App\Actions\Programme\RecheckProgramme;
use App\Facts\PatientFactsOf;
use App\Facts\TakenTogether;
use App\Models\ChosenSymptom;
use App\Models\Measurement;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Recording;
use App\Signals\Keepable;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Assessment\EarlyWarning;
use IvoryPace\Assessment\Measure;
use IvoryPace\Assessment\Taken;
use IvoryPace\Assessment\Taking;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Fields;
use IvoryPace\InvalidValue;
use IvoryPace\Numbers;
use IvoryPace\Safety\UrgentValues;

/**
 * Computes a value from what was tapped, tried or typed, and stores it with how it was measured. What is urgent, alone or
 * together with what else was taken in the same session, opens a red flag; what the rules look at is held against the
 * running programme.
 */
final class StoreMeasurement
{
    private const LEAST_EXPLANATION = 3;

    private const MOST_EXPLANATION = 200;

    /** The same value of the same measure so soon after is a second click. */
    private const TWICE_SECONDS = 20;

    public function __construct(private readonly RaiseRedFlag $raise, private readonly RecheckProgramme $recheck)
    {
    }

    /**
     * @param  array<string, mixed>  $input  measure; what was taken; position; sure; explanation
     *
     * @throws ValidationException with messages by field
     */
    public function __invoke(Patient $patient, Practitioner $by, array $input): Measurement
    {
        $fields = new Fields($input);
        $measure = $fields->attempt('measure', fn () => $fields->choice(Measure::class, 'measure'));
        $position = $fields->attempt('position', fn () => $fields->choice(Position::class, 'position'));
        $taken = $measure === null ? null : $fields->attempt('value', fn () => self::taken($patient, $measure, $fields));
        $explanation = $fields->attempt(
            'explanation', fn () => $fields->shortText('explanation', self::MOST_EXPLANATION, 'The explanation'),
        );
        if ($measure === null || $position === null || $taken === null || $explanation === null) {
            throw ValidationException::withMessages($fields->errors());
        }
        $symptom = $measure->how() === Taking::Rating ? $patient->symptoms()->whereKey($input['symptom'] ?? null)->first() : null;
        if ($measure->how() === Taking::Rating && $symptom === null) {
            throw ValidationException::withMessages(['value' => 'This symptom is not one of the patient’s.']);
        }
        $urgent = $this->urgent($patient, $measure, $taken->value);
        $this->ask($measure, $taken->value, $urgent, $explanation, $fields->isTrue('sure'));

        return DB::transaction(fn () => $this->store($patient, $by, $measure, $taken, $position, $symptom, $urgent, $explanation));
    }

    /**
     * What was tapped, tried or typed, or what a recording of this patient says.
     *
     * @throws InvalidValue
     */
    private static function taken(Patient $patient, Measure $measure, Fields $fields): Taken
    {
        if ($fields->text('recording') === '') {
            return Taken::read($measure, $fields);
        }
        $recording = Recording::query()->where('patient_id', $patient->id)->where('uuid', $fields->text('recording'))
            ->whereNull('set_aside_at')->first();

        return ($recording === null ? [] : Keepable::of($recording))[$measure->value]
            ?? throw InvalidValue::because("This recording says nothing of {$measure->label()}.");
    }

    private function urgent(Patient $patient, Measure $measure, float $value): UrgentValues
    {
        $patient->loadMissing('latestScreening.answers', 'activeProgramme.versions.items');
        $together = $measure->isAtRest() ? [...TakenTogether::by($patient, CarbonImmutable::now()), $measure->value => $value] : [];

        return UrgentValues::of(
            $together, PatientFactsOf::patient($patient, CarbonImmutable::now()),
            $patient->own_low_saturation === null ? null : (float) $patient->own_low_saturation, TakenTogether::bestFlow($patient),
        );
    }

    /** @throws ValidationException with what has to be said before it is kept */
    private function ask(Measure $measure, float $value, UrgentValues $urgent, string $explanation, bool $isSure): void
    {
        $shown = "{$measure->label()} of ".Numbers::print($value, 1)." {$measure->unit()}";
        $ask = match (true) {
            $urgent->redFlags !== [] => self::redFlagQuestion($shown, $urgent),
            $urgent->advice !== [] => "$shown: {$urgent->advice[0][0]->label()}. Kept, nothing is issued until you record "
                .'what was arranged. Sure?',
            $measure->isUnusual($value) => "$shown is unusual. Sure?",
            default => null,
        };
        if ($ask !== null && ! $isSure) {
            throw ValidationException::withMessages(['sure' => $ask]);
        }
        $isChild = in_array(UrgentValues::PAEDIATRIC, $urgent->notes, true) && $measure->isAtRest() && $measure !== Measure::PeakFlow
            && $measure !== Measure::Saturation;
        $wants = match (true) {
            $isChild => UrgentValues::PAEDIATRIC.' Say why it may go on.',
            EarlyWarning::wantsExplanation($measure, $value) && $urgent->redFlags === [] => "$shown is fast at rest. What explains it?",
            default => null,
        };
        if ($wants !== null && mb_strlen($explanation) < self::LEAST_EXPLANATION) {
            throw ValidationException::withMessages(['explanation' => $wants]);
        }
    }

    private static function redFlagQuestion(string $shown, UrgentValues $urgent): string
    {
        $with = $urgent->sum === null || count($urgent->redFlags) !== 1 || ! str_contains($urgent->redFlags[0][1], 'points together')
            ? ''
            : " ({$urgent->redFlags[0][1]})";

        return "$shown is urgent$with: kept, it opens a red flag. Everything but recovery is paused, and nothing is issued, until you "
            .'record what was done and that it may go on. Sure?';
    }

    private function store(
        Patient $patient,
        Practitioner $by,
        Measure $measure,
        Taken $taken,
        Position $position,
        ?ChosenSymptom $symptom,
        UrgentValues $urgent,
        string $explanation,
    ): Measurement {
        $patient = Patient::query()->lockForUpdate()->findOrFail($patient->id);
        $value = round($taken->value, 3);
        $same = Measurement::query()->where('patient_id', $patient->id)->where('measure', $measure)
            ->where('chosen_symptom_id', $symptom?->id)->where('practitioner_id', $by->id)
            ->where('position', $position)->where('measured_at', '>', now()->subSeconds(self::TWICE_SECONDS))->latest('id')->first();
        if ($same !== null && abs($same->value - $value) < 0.0005) {
            return $same;
        }
        foreach ([...$urgent->redFlags, ...$urgent->advice] as [$flag, $said]) {
            ($this->raise)($patient, $flag, 'measured', ucfirst($said));
        }
        $words = [
            ...array_filter([$taken->details['words'] ?? null, $explanation === '' ? null : $explanation]),
            ...($measure === Measure::PeakFlow ? $urgent->notes : []),
        ];
        $measurement = Measurement::query()->create([
            'patient_id' => $patient->id, 'practitioner_id' => $by->id, 'measure' => $measure, 'chosen_symptom_id' => $symptom?->id,
            'value' => $value,
            'details' => $words === [] ? $taken->details : [...($taken->details ?? []), 'words' => implode('; ', $words)],
            'position' => $position, 'method' => $taken->method, 'measured_at' => now(),
        ]);
        if (in_array($measure, Measure::ofRules(), true)) {
            ($this->recheck)($patient);
        }

        return $measurement;
    }
}
