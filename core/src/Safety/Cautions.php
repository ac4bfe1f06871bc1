<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\PrescriptionFields;
use IvoryPace\Exercise\Technique;
use IvoryPace\Health\Flag;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use LogicException;

/** What the rules would say of a technique as the catalogue prescribes it. */
final class Cautions
{
    /** Ages that stand for the flags which follow from the date of birth. */
    private const AGES = [11, 15];

    /**
     * For whom which rule speaks, gravest first. Rules that need measurements or a whole programme are left out.
     *
     * @return list<array{rule: string, title: string, level: Level, with: list<string>}> with: the flags' labels
     */
    public static function of(Technique $technique): array
    {
        $item = self::item($technique);
        $found = [];
        $anyone = [];
        foreach (self::said($item, new PatientFacts) as $finding) {
            $anyone[] = $key = "{$finding->rule} {$finding->level->value}";
            $found[$key] = ['rule' => $finding->rule, 'title' => $finding->title, 'level' => $finding->level, 'with' => ['anyone']];
        }
        foreach (self::patients() as [$label, $patient]) {
            foreach (self::said($item, $patient) as $finding) {
                $key = "{$finding->rule} {$finding->level->value}";
                if (in_array($key, $anyone, true)) {
                    continue;
                }
                $found[$key] ??= ['rule' => $finding->rule, 'title' => $finding->title, 'level' => $finding->level, 'with' => []];
                $found[$key]['with'][] = $label;
            }
        }
        $found = array_map(fn (array $each) => [...$each, 'with' => self::withoutLate($each['with'])], $found);
        usort($found, fn (array $a, array $b) => $b['level']->rank() <=> $a['level']->rank());

        return $found;
    }

    /**
     * The positions of a technique in which no rule about positions speaks for this patient.
     *
     * @return list<Position>
     */
    public static function possiblePositions(Technique $technique, PatientFacts $patient): array
    {
        $item = self::item($technique);
        $fields = PrescriptionFields::write($item->prescription);

        return array_values(array_filter($technique->positions, function (Position $position) use ($fields, $patient) {
            $there = DraftReader::read([...$fields, 'position' => $position->value], 'x')->item;
            $about = $there === null
                ? []
                : array_filter(
                    RuleBook::findings($there, $patient, [], false),
                    fn (Finding $finding) => $finding->field === 'position' && $finding->level !== Level::Note,
                );

            return $there !== null && $about === [];
        }));
    }

    /** The gravest that the rules say of a technique for this patient; null when they say nothing. */
    public static function gravest(Technique $technique, PatientFacts $patient): ?Finding
    {
        return self::said(self::item($technique), $patient)[0] ?? null;
    }

    /** @return list<array{string, PatientFacts}> one for each flag, with its label */
    private static function patients(): array
    {
        $patients = [
            [Flag::Pregnancy->label(), new PatientFacts([Flag::Pregnancy], pregnancyWeeks: 0)],
            [Flag::LatePregnancy->label(), new PatientFacts([Flag::Pregnancy], pregnancyWeeks: PatientFacts::LATE_WEEKS)],
        ];
        foreach (array_filter(Flag::asked(), fn (Flag $flag) => $flag !== Flag::Pregnancy) as $flag) {
            $patients[] = [$flag->label(), new PatientFacts([$flag])];
        }
        foreach (self::AGES as $age) {
            $patients[] = ['under '.($age + 1), new PatientFacts(age: $age)];
        }

        return $patients;
    }

    /** @return list<Finding> that do not concern the whole programme */
    private static function said(Item $item, PatientFacts $patient): array
    {
        return RuleBook::findings($item, $patient, [], false);
    }

    /**
     * What goes for every pregnancy goes for a late one.
     *
     * @param  list<string>  $labels
     * @return list<string>
     */
    private static function withoutLate(array $labels): array
    {
        return in_array(Flag::Pregnancy->label(), $labels, true)
            ? array_values(array_diff($labels, [Flag::LatePregnancy->label()]))
            : $labels;
    }

    private static function item(Technique $technique): Item
    {
        return DraftReader::read(['technique' => $technique->key], 'x')->item
            ?? throw new LogicException("The defaults of {$technique->key} cannot be prescribed.");
    }
}
