<?php

declare(strict_types=1);

namespace App\Device;

use App\Catalogue\Figures;
use App\Catalogue\RidgeSvg;
use App\Facts\PatientFactsOf;
use App\Language\PatientLanguage;
use App\Language\PlainWords;
use App\Language\Told;
use App\Models\Patient;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use App\Paper\Paper;
use App\Paper\Press;
use Carbon\CarbonImmutable;
use IvoryPace\Exercise\Told\Part;
use IvoryPace\Health\Flag;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\Told\Instruction;

/** A programme on paper, for the patient: A4, the breath drawn, the dose, cautions, and a grid to tally on. */
final class PatientSheet
{
    /** Days of the grid; a longer programme gets a new sheet at its review. */
    private const DAYS = 14;

    /** What stands under the drawn breath; how it is done stands beside it. */
    private const PLACE = [Part::Why->value, Part::Position->value, Part::Hands->value, Part::With->value, Part::Eyes->value];

    public static function pdf(ProgrammeVersion $version, Patient $patient, Paper $paper = Paper::A4): string
    {
        return Press::pdf(self::html($version, $patient, $paper), $paper);
    }

    /** @return array<string, string> the sheet of what is practised now, as it lies in a file with the whole record */
    public static function files(Patient $patient): array
    {
        $version = $patient->loadMissing('clinic', 'activeProgramme.versions.items')->activeProgramme?->latestVersion();

        return $version === null ? [] : ['sheets/1.pdf' => self::pdf($version, $patient)];
    }

    /** As it is printed. A practitioner prints it too: it speaks to the patient all the same. */
    public static function html(ProgrammeVersion $version, Patient $patient, Paper $paper = Paper::A4): string
    {
        return PatientLanguage::of(
            $patient, fn () => view('sheet', [...self::data($version, $patient), 'paper' => $paper])->render(),
        );
    }

    /** @return array<string, mixed> the same, to be shown on the patient's device */
    public static function forDevice(ProgrammeVersion $version, Patient $patient): array
    {
        $data = self::data($version, $patient);
        unset($data['days'], $data['patient']);
        $forPaper = ['slots' => 0, 'anchors' => 0, 'columns' => 0];
        $data['items'] = array_map(fn (array $item) => array_diff_key($item, $forPaper), $data['items']);
        $data['cautions'] = [
            __('sheet.stop-title').' '.__('sheet.stop'), __('sheet.help-title').' '.__('sheet.help')." {$data['emergency']}",
            $data['slight'],
            __('patient.practice.never').' '.__('patient.today.nobody').' '.__('sheet.licence'),
        ];

        return $data;
    }

    /** @return array<string, mixed> */
    private static function data(ProgrammeVersion $version, Patient $patient): array
    {
        $first = CarbonImmutable::parse($version->in_force_from->format('Y-m-d'));
        $isCareful = PatientFactsOf::screened(
            $patient->loadMissing('latestScreening.answers'), CarbonImmutable::now(),
        )->which(Flag::lightHeadednessMatters()) !== [];

        return [
            'patient' => $patient->name,
            'clinic' => $patient->clinic->name,
            'emergency' => $patient->clinic->emergency_wording,
            'number' => $version->number,
            'from' => $first->isoFormat('D MMMM YYYY'),
            'review' => $version->review_on->isoFormat('D MMMM YYYY'),
            'symptom' => $version->rated_symptom,
            'slight' => (string) __($isCareful ? 'sheet.slight-careful' : 'sheet.slight'),
            'goal' => $version->goal['words'] ?? '',
            'note' => $version->patient_note,
            'days' => array_map(fn (int $day) => $first->addDays($day), range(0, self::DAYS - 1)),
            'items' => $version->items->map(fn (ProgrammeItem $row) => self::item($row->item(), $isCareful))->all(),
            'needs' => PlainWords::needs(array_values($version->items->map(fn (ProgrammeItem $row) => $row->item())->all())),
        ];
    }

    /** @return array<string, mixed> */
    private static function item(Item $item, bool $isCareful): array
    {
        $told = Told::parts(Instruction::of($item, $isCareful));
        // Its grid says when.
        $onPaper = array_filter($told, fn (array $part) => $part['part'] !== Part::When->value || $item->plan === null);
        $isPlace = fn (array $part): bool => in_array($part['part'], self::PLACE, true);

        return [
            'name' => PlainWords::name($item),
            'needed' => $item->asNeeded !== null,
            'ridge' => 'data:image/svg+xml;base64,'.base64_encode(RidgeSvg::of(Figures::ridge($item))),
            'minutes' => $item->isTicked() ? '' : PlainWords::minutes($item->seconds() / 60),
            'about' => ! $item->isTicked() && $item->timeline()->isAbout(),
            'breaths' => $item->isTicked() ? 0 : $item->countedBreaths(),
            'told' => $told,
            'columns' => [
                array_values(array_filter($onPaper, $isPlace)),
                array_values(array_filter($onPaper, fn (array $part) => ! $isPlace($part))),
            ],
            'taught' => array_map(
                fn (array $told) => implode(' ', array_map(Told::say(...), $told)), Instruction::steps($item),
            ),
            'anchors' => array_map(PlainWords::anchor(...), $item->plan->slots ?? []),
            'slots' => $item->plan->slots ?? [],
        ];
    }
}
