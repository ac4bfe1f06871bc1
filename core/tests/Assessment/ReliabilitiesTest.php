<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Assessment;

use IvoryPace\Assessment\ChangeClass;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Assessment\Reliabilities;
use PHPUnit\Framework\TestCase;

final class ReliabilitiesTest extends TestCase
{
    public function test_nothing_is_claimed_until_a_clinic_says_what_it_goes_by(): void
    {
        $nijmegen = Questionnaire::nijmegen();
        [$none, $errors] = Reliabilities::read([]);
        self::assertSame([[], null, []], [$errors, $none->of($nijmegen), $none->write()]);
        self::assertSame(['nijmegen', 'mmrc'], array_column($none->lines(), 'key'), 'what is shipped with a reliable change is not asked for');

        [$known, $errors] = Reliabilities::read(['nijmegen' => ['sd' => '7.5', 'reliability' => ' 0.8 '], 'gad-7' => ['sd' => '1', 'reliability' => '0.9']]);
        self::assertSame([], $errors);
        self::assertSame(['nijmegen' => ['sd' => 7.5, 'reliability' => 0.8]], $known->write());
        self::assertEquals($known, Reliabilities::read($known->write())[0], 'what is stored reads as it was');
        // Sdiff = √2 · 7.5 · √0.2 = 4.74; reliable from 1.96 · 4.74 = 9.3 points on (Jacobson & Truax 1991).
        $classes = fn (float ...$after) => array_map(fn (float $each) => $nijmegen->change(40, $each, $known->of($nijmegen)), $after);
        self::assertSame([ChangeClass::Improved, ChangeClass::Unchanged, ChangeClass::Unchanged, ChangeClass::Worse], $classes(30.0, 31.0, 49.0, 50.0));
        self::assertSame(ChangeClass::NotClaimed, Questionnaire::mmrc()->change(4, 0, $known->of(Questionnaire::mmrc())));
        self::assertSame(ChangeClass::Recovered, Questionnaire::gad7()->change(12, 7, $known->of($nijmegen)), 'what is shipped goes before');
    }

    public function test_what_is_wrong_is_said_at_its_own_field(): void
    {
        $errors = fn (string $sd, string $reliability): array => Reliabilities::read(['nijmegen' => ['sd' => $sd, 'reliability' => $reliability]])[1];

        self::assertSame(['nijmegen.sd'], array_keys($errors('', '0.8')));
        self::assertSame(['nijmegen.reliability'], array_keys($errors('7', '')));
        self::assertSame(['nijmegen.sd' => '0 points of spread is outside 0.01 to 64.', 'nijmegen.reliability' => '1 reliability is outside 0 to 0.99.'], $errors('0', '1'));
        self::assertSame(['nijmegen.sd', 'nijmegen.reliability'], array_keys($errors('seven', '0,8')));
        self::assertSame([], $errors('64', '0.99'));
        self::assertSame([], $errors('0.01', '0'));
        self::assertSame([], Reliabilities::read(['nijmegen' => 'x', 'mmrc' => [['x']], 7 => 8])[1]);
    }
}
