<?php

declare(strict_types=1);

/*
 * Tells the PDF writer which fonts there are and how wide their letters run, once, when they are laid down.
 *   php bin/lib/fonts.php FOLDER
 */
require __DIR__.'/../../vendor/autoload.php';

$folder = (string) realpath($argv[1] ?? '');
@unlink("$folder/installed-fonts.json");
$options = (new Dompdf\Options)->setFontDir($folder)->setFontCache($folder)->setChroot([$folder]);
$fonts = (new Dompdf\Dompdf($options))->getFontMetrics();
foreach (['figtree', 'literata'] as $family) {
    foreach (['latin' => $family, 'latin-ext' => "$family more"] as $letters => $name) {
        foreach ([400 => 'normal', 700 => 'bold'] as $weight => $word) {
            $style = ['family' => $name, 'weight' => $word, 'style' => 'normal'];
            if (! $fonts->registerFont($style, "file://$folder/$family-$letters-$weight.ttf")) {
                fwrite(STDERR, "The font $family-$letters-$weight could not be read.\n");
                exit(1);
            }
        }
    }
}

// The writer names some of them by their whole path: the folder may be moved.
$list = "$folder/installed-fonts.json";
file_put_contents($list, str_replace(trim((string) json_encode("$folder/"), '"'), '', (string) file_get_contents($list)));
