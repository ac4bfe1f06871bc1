// Prints the slowest ten tests of what was run, and whatever needed more than one try.
//   node bin/lib/slowest.mjs FOLDER     with *.xml of PHPUnit and Vitest, and browser.json of Playwright
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const folder = process.argv[2];
if (!folder) throw new Error('Usage: node bin/lib/slowest.mjs FOLDER');

const plain = (text) =>
    text
        .replaceAll('&quot;', '"')
        .replaceAll('&apos;', "'")
        .replaceAll('&lt;', '<')
        .replaceAll('&gt;', '>')
        .replaceAll('&amp;', '&');
const attribute = (tag, name) => plain(new RegExp(`\\s${name}="([^"]*)"`).exec(tag)?.[1] ?? '');

/** @type {{ name: string, seconds: number, tries: number }[]} */
const tests = [];
// Other things lie there too.
for (const file of readdirSync(folder).filter((name) => name.endsWith('.xml') || /^browser.*\.json$/.test(name))) {
    const text = readFileSync(join(folder, file), 'utf8');
    if (file.endsWith('.xml')) {
        for (const [tag] of text.matchAll(/<testcase\s[^>]*>/g)) {
            const of = attribute(tag, 'class') || attribute(tag, 'classname');
            tests.push({
                name: `${file.replace('.xml', '')}  ${of.split('\\').pop()}: ${attribute(tag, 'name')}`,
                seconds: Number(attribute(tag, 'time')),
                tries: 1,
            });
        }
    } else {
        const walk = (suite, path) => {
            for (const spec of suite.specs ?? []) {
                for (const test of spec.tests) {
                    const last = test.results.at(-1);
                    if (last)
                        tests.push({
                            name: `browser  ${path}: ${spec.title}`,
                            seconds: last.duration / 1000,
                            tries: test.results.length,
                        });
                }
            }
            for (const inner of suite.suites ?? []) walk(inner, path || inner.title);
        };
        for (const suite of JSON.parse(text).suites ?? []) walk(suite, suite.title);
    }
}

const line = ({ name, seconds }) => `  ${seconds.toFixed(1).padStart(6)} s  ${name.slice(0, 150)}`;
console.log(`\nThe slowest of ${tests.length} tests:`);
for (const test of tests.sort((a, b) => b.seconds - a.seconds).slice(0, 10)) console.log(line(test));
const again = tests.filter((test) => test.tries > 1);
console.log(again.length === 0 ? 'None needed a second try.' : 'Needed more than one try:');
for (const test of again) console.log(`  ${test.tries} tries  ${test.name.slice(0, 150)}`);
