<?php

declare(strict_types=1);

namespace App\Console\Commands;

use IvoryPace\InvalidValue;

/** For commands that compute: JSON on standard output, or one line on standard error and exit code 2. */
trait AnswersInJson
{
    private const BAD_INPUT = 2;

    /** @param  callable(): array<string, mixed>  $compute */
    private function answer(callable $compute): int
    {
        try {
            $flags = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR | (
                $this->option('json') ? 0 : JSON_PRETTY_PRINT
            );
            $this->line(json_encode($compute(), $flags));

            return self::SUCCESS;
        } catch (InvalidValue $problem) {
            $this->getOutput()->getErrorStyle()->writeln($problem->getMessage());

            return self::BAD_INPUT;
        }
    }

    private function stringArgument(string $name): string
    {
        $value = $this->argument($name);

        return is_string($value) ? $value : '';
    }
}
