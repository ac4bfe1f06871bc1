<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Guard\ErasedList;
use Illuminate\Console\Command;

/** For the list that lies beside the archives. */
final class ListErased extends Command
{
    protected $signature = 'records:erased';

    protected $description = 'Prints the marks of records that were erased';

    public function handle(): int
    {
        ErasedList::keep();
        foreach (ErasedList::read(ErasedList::path()) as $mark) {
            $this->line($mark);
        }

        return self::SUCCESS;
    }
}
