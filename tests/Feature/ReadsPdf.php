<?php

declare(strict_types=1);

namespace Tests\Feature;

use Symfony\Component\Process\Process;

/** Paper as another program reads it: poppler. */
trait ReadsPdf
{
    protected function pages(string $pdf): int
    {
        return (int) preg_match_all('/\/Type \/Page\b(?!s)/', $pdf);
    }

    protected function text(string $pdf): string
    {
        return (string) preg_replace('/\s+/u', ' ', $this->read(['pdftotext', '-layout', '-', '-'], $pdf));
    }

    /** @param  list<string>  $command */
    protected function read(array $command, string $pdf): string
    {
        return (new Process($command, input: $pdf))->mustRun()->getOutput();
    }
}
