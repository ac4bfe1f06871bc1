<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Records\AskErasure;
use App\Guard\ErasedList;
use App\Models\Erasure;
use App\Models\Patient;
use Illuminate\Console\Command;

/** What was erased and came back with an archive goes once more. */
final class EraseAgain extends Command
{
    protected $signature = 'records:erase-again {lists?* : files with marks of what was erased, beside this installation’s own; - reads '
        .'them as they come in}';

    protected $description = 'Erases records again that an archive has brought back';

    public function handle(AskErasure $ask): int
    {
        $lists = $this->argument('lists');
        $marks = ErasedList::read(ErasedList::path());
        foreach ($lists as $list) {
            array_push($marks, ...ErasedList::read($list === '-' ? ErasedList::STDIN : $list));
        }
        $marks = array_values(array_unique($marks));
        config(['queue.default' => 'sync']);
        $again = 0;
        foreach ($marks === [] ? [] : Patient::query()->withoutGlobalScope(Patient::OWN)->lazyById(200) as $patient) {
            if (ErasedList::names($marks, $patient->id)) {
                $ask($patient, null, Erasure::RESTORE);
                $again++;
            }
        }
        $this->info($again === 1 ? 'One record that was erased is erased again.' : "$again records that were erased are erased again.");

        return self::SUCCESS;
    }
}
