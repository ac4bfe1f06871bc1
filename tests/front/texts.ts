import { execFileSync } from 'node:child_process';

/** Keys of all texts of the first language, as PHP has them. */
const SCRIPT = `
$keys = [];
$walk = function (array $texts, string $at) use (&$walk, &$keys): void {
    foreach ($texts as $name => $text) {
        is_array($text) ? $walk($text, "$at.$name") : $keys[] = "$at.$name";
    }
};
foreach (glob('lang/en/*.php') as $file) {
    $walk(require $file, basename($file, '.php'));
}
echo json_encode($keys);
`;

export const EVERY_TEXT = JSON.parse(execFileSync('php', ['-r', SCRIPT], { encoding: 'utf8' })) as string[];
