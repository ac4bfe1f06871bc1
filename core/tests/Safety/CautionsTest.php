<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Safety;

use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Health\Flag;
use IvoryPace\Safety\Cautions;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use PHPUnit\Framework\TestCase;

final class CautionsTest extends TestCase
{
    public function test_rounds_with_a_retention_are_screened_most_strictly(): void
    {
        $cautions = Cautions::of(Catalogue::get('rounds-retention'));

        self::assertSame(['RETENTION', Level::NeedsReason], [$cautions[0]['rule'], $cautions[0]['level']]);
        foreach (Flag::againstHolding() as $flag) {
            self::assertContains($flag->label(), $cautions[0]['with']);
        }
        $most = array_map(fn (array $caution) => count($caution['with']), array_merge(...array_map(Cautions::of(...), array_values(Catalogue::all()))));
        self::assertSame(max($most), count($cautions[0]['with']));
    }

    public function test_what_concerns_the_whole_programme_is_no_caution_of_a_technique(): void
    {
        $rules = array_map(fn (array $caution) => $caution['rule'], Cautions::of(Catalogue::get('diaphragmatic')));

        self::assertNotContains('RECOVERY-MISSING', $rules);
        self::assertContains('LYING-FLAT', $rules);
    }

    public function test_positions_that_a_rule_speaks_against_are_not_possible(): void
    {
        $technique = Catalogue::get('diaphragmatic');
        $cannotLie = Cautions::possiblePositions($technique, new PatientFacts([Flag::CannotLieFlat, Flag::CannotReachFloor]));

        self::assertSame([Position::Reclined, Position::SideLying, Position::Seated, Position::Standing, Position::Walking], $cannotLie);
        self::assertSame($technique->positions, Cautions::possiblePositions($technique, new PatientFacts));
        self::assertSame([], Cautions::possiblePositions(Catalogue::get('prone'), new PatientFacts([Flag::NeckInjury])));
    }

    public function test_the_gravest_finding_for_a_patient(): void
    {
        self::assertSame('RETENTION', Cautions::gravest(Catalogue::get('rounds-retention'), new PatientFacts([Flag::Copd]))?->rule);
        self::assertNull(Cautions::gravest(Catalogue::get('double-exhale'), new PatientFacts([Flag::Copd])));
    }
}
