import { execFileSync } from 'node:child_process';

/** All texts of the first language by key, as PHP has them. */
const SCRIPT = `
$all = [];
$walk = function (array $texts, string $at) use (&$walk, &$all): void {
    foreach ($texts as $name => $text) {
        is_array($text) ? $walk($text, "$at.$name") : $all["$at.$name"] = $text;
    }
};
foreach (glob('lang/en/*.php') as $file) {
    $walk(require $file, basename($file, '.php'));
}
echo json_encode($all);
`;

export const texts = JSON.parse(execFileSync('php', ['-r', SCRIPT], { encoding: 'utf8' })) as Record<string, string>;

export const EVERY_TEXT = Object.keys(texts);
