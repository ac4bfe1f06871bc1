<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Language\Survey\ToldCases;
use App\Language\Survey\ToldRules;
use Illuminate\Console\Command;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Programme\DraftReader;

final class SurveyTold extends Command
{
    protected $signature = 'told:survey {key? : of one technique} {--whole : the whole product of all axes, in place of all pairs}';

    protected $description = 'Composes what patients are told along seven axes, and says where a rule of the words is broken';

    public function handle(): int
    {
        $only = $this->argument('key');
        $cases = new ToldCases(1);
        $count = $broken = 0;
        foreach (Catalogue::all() as $technique) {
            if (is_string($only) && $only !== $technique->key) {
                continue;
            }
            foreach ($this->option('whole') === true ? $cases->all($technique) : $cases->pairs($technique) as $fields) {
                $count++;
                $item = DraftReader::read($fields, 'x')->item;
                foreach ($item === null ? ['cannot be prescribed'] : ToldRules::broken($item) as $problem) {
                    $broken++;
                    $this->line("{$technique->key}: $problem  ".json_encode($fields, JSON_UNESCAPED_SLASHES));
                }
            }
        }
        $this->info("$count prescriptions, $broken broken");

        return $broken === 0 ? self::SUCCESS : self::FAILURE;
    }
}
