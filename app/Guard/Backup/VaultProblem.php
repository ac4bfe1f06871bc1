<?php

declare(strict_types=1);

namespace App\Guard\Backup;

use RuntimeException;

/** Why an archive cannot be sealed or opened, in words. */
final class VaultProblem extends RuntimeException
{
}
