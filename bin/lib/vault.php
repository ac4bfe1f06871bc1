<?php

declare(strict_types=1);

// Seals and opens backups:
//   php bin/lib/vault.php key | seal KEYFILE < … > … | open < … > … | key-of < … | superfluous FOLDER
// The passphrase comes from IVORY_PACE_PASSPHRASE.

use App\Guard\Backup\Rotation;
use App\Guard\Backup\Vault;
use App\Guard\Backup\VaultProblem;

foreach (['VaultProblem', 'Vault', 'Rotation'] as $part) {
    require_once __DIR__."/../../app/Guard/Backup/$part.php";
}

$passphrase = (string) getenv('IVORY_PACE_PASSPHRASE');
try {
    match ($argv[1] ?? '') {
        'key' => fwrite(STDOUT, Vault::key($passphrase)."\n"),
        'seal' => Vault::seal(STDIN, STDOUT, (string) file_get_contents($argv[2] ?? '')),
        'open' => Vault::open(STDIN, STDOUT, $passphrase),
        'key-of' => fwrite(STDOUT, Vault::keyOf(STDIN)."\n"),
        'superfluous' => fwrite(STDOUT, implode("\n", Rotation::superfluous(array_values(scandir($argv[2] ?? '.') ?: [])))."\n"),
        default => throw new VaultProblem('Usage: vault.php key | seal KEYFILE | open | key-of | superfluous FOLDER'),
    };
} catch (VaultProblem $problem) {
    fwrite(STDERR, $problem->getMessage()."\n");
    exit(1);
}
