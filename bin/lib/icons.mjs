// Draws the icons of the installed app from public/icon.svg. Run by hand when the drawing changes.
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

const svg = readFileSync('public/icon.svg', 'utf8');
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage();
// A masked icon may be cut to a circle: the drawing keeps to the inner part.
for (const [name, size, share] of [
    ['plain-192', 192, 1],
    ['plain-512', 512, 1],
    ['masked-512', 512, 0.66],
    ['touch-180', 180, 0.84],
]) {
    await page.setViewportSize({ width: size, height: size });
    await page.setContent(
        `<body style="margin:0;background:#faf6ec;display:grid;place-items:center;height:100vh">${svg.replace('<svg ', `<svg width="${size * share}" height="${size * share}" `)}</body>`,
    );
    await page.screenshot({ path: `public/icons/${name}.png` });
}
await browser.close();
