<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Exercise\Position;
use IvoryPace\Exercise\PrescriptionFields;
use IvoryPace\Exercise\Technique;
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
        $patients = array_map(fn (Flag $flag) => [$flag->label(), new PatientFacts([$flag])], Flag::asked());
        foreach (self::AGES as $age) {
            $patients[] = ['under '.($age + 1), new PatientFacts(age: $age)];
        }
        foreach ($patients as [$label, $patient]) {
            foreach (RuleBook::findings($item, $patient) as $finding) {
                if (! RuleBook::concernsTheWhole($finding->rule)) {
                    $found[$finding->rule] ??= ['rule' => $finding->rule, 'title' => $finding->title, 'level' => $finding->level, 'with' => []];
                    $found[$finding->rule]['with'][] = $label;
                }
            }
        }
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
            $about = $there === null ? [] : array_filter(RuleBook::findings($there, $patient), fn (Finding $finding) => $finding->field === 'position');

            return $there !== null && $about === [];
        }));
    }

    /** The gravest that the rules say of a technique for this patient; null when they say nothing. */
    public static function gravest(Technique $technique, PatientFacts $patient): ?Finding
    {
        $findings = array_filter(
            RuleBook::findings(self::item($technique), $patient), fn (Finding $finding) => ! RuleBook::concernsTheWhole($finding->rule),
        );

        return array_values($findings)[0] ?? null;
    }

    private static function item(Technique $technique): Item
    {
        return DraftReader::read(['technique' => $technique->key], 'x')->item
            ?? throw new LogicException("The defaults of {$technique->key} cannot be prescribed.");
    }
}
