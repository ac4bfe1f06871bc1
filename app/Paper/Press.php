<?php

declare(strict_types=1);

namespace App\Paper;

use Dompdf\Dompdf;
use Dompdf\Options;
use setasign\Fpdi\Fpdi;
use setasign\Fpdi\PdfParser\StreamReader;

/** Makes a PDF of a page. */
final class Press
{
    /** Width of half an A4 in mm. */
    private const HALF = 148.5;

    public static function pdf(string $html, Paper $paper): string
    {
        $dompdf = new Dompdf(self::options());
        $dompdf->setPaper($paper->pageSize());
        $dompdf->loadHtml($html, 'UTF-8');
        $dompdf->render();
        $pdf = (string) $dompdf->output();

        return $paper === Paper::Fold ? self::folded($pdf) : $pdf;
    }

    private static function options(): Options
    {
        $options = new Options;
        // Nothing is fetched: drawings are part of the page, and the product's own fonts were laid down when it was installed.
        $options->setIsRemoteEnabled(false);
        // Its letters stand in for those that our own fonts do not have.
        $options->setDefaultFont('DejaVu Sans');
        $options->setTempDir(storage_path('framework/cache'));
        $options->setFontCache(storage_path('framework/cache'));
        if (is_file(storage_path('fonts/installed-fonts.json'))) {
            $options->setFontDir(storage_path('fonts'));
        }

        return $options;
    }

    private static function folded(string $pdf): string
    {
        $sheet = new Fpdi('L', 'mm', 'A4');
        $count = $sheet->setSourceFile(StreamReader::createByString($pdf));
        foreach (FoldedPages::of($count) as $side) {
            $sheet->AddPage();
            foreach ($side as $index => $page) {
                if ($page !== null) {
                    $sheet->useTemplate($sheet->importPage($page), $index * self::HALF, 0, self::HALF);
                }
            }
        }

        return $sheet->Output('S');
    }
}
