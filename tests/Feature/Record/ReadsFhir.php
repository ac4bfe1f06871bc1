<?php

declare(strict_types=1);

namespace Tests\Feature\Record;

use Symfony\Component\Process\Process;

/** Looks at bundles with programs that are not ours. */
trait ReadsFhir
{
    /**
     * @param  list<string>  $bundles  as JSON
     * @return array<string, list<string>> what is wrong, by file; none when all are right
     */
    protected function validated(array $bundles): array
    {
        $files = array_map(function (string $bundle): string {
            $path = (string) tempnam(sys_get_temp_dir(), 'fhir');
            file_put_contents($path, $bundle);

            return $path;
        }, $bundles);
        try {
            $found = (new Process(['node', base_path('tests/readers/fhir.mjs'), ...$files], base_path(), null, null, 300))->mustRun()->getOutput();

            return (array) json_decode($found, true, 16, JSON_THROW_ON_ERROR);
        } finally {
            array_map(unlink(...), $files);
        }
    }

    /** Without what another clinic has otherwise: names of resources in the order in which they come, and the clinic's own. */
    protected function comparable(string $bundle): string
    {
        preg_match_all('/[0-9a-f]{8}-[0-9a-f]{4}-5[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}/', $bundle, $ids);
        $ids = array_values(array_unique($ids[0]));

        return (string) preg_replace(
            '/("resourceType": "Organization",\s+"id": "[^"]+",\s+"name": )"[^"]*"/', '$1"…"', str_replace($ids, array_map(fn (int $at) => "#$at#", array_keys($ids)), $bundle),
        );
    }
}
