// Lays down the product's fonts where PDF pages are made: dompdf reads TrueType, the packages hold WOFF2.
//   node bin/lib/fonts.mjs FOLDER
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { decompress } from 'wawoff2';

const folder = process.argv[2];
if (!folder) throw new Error('Usage: node bin/lib/fonts.mjs FOLDER');
mkdirSync(folder, { recursive: true });
for (const family of ['figtree', 'literata']) {
    for (const letters of ['latin', 'latin-ext']) {
        for (const weight of [400, 700]) {
            const file = `node_modules/@fontsource/${family}/files/${family}-${letters}-${weight}-normal.woff2`;
            writeFileSync(join(folder, `${family}-${letters}-${weight}.ttf`), await decompress(readFileSync(file)));
        }
    }
}
