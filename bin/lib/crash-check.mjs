// Compares what was acknowledged with what the database holds.
//   crash-check.mjs FOLDER [SECONDS] [undisturbed]     how long nobody may have waited for an answer; whether nothing was killed
import { readFileSync } from 'node:fs';

const [folder, seconds = 'Infinity', calm] = process.argv.slice(2);
const read = (name) => readFileSync(`${folder}/${name}`, 'utf8');
const number = (name) => Number(read(`${name}.txt`).trim());
const { practices, measurements, invitations, retries, longest } = JSON.parse(read('acknowledged.json'));
const stored = new Map(
    read('practices.txt')
        .trim()
        .split('\n')
        .map((line) => line.split(' '))
        .map(([uuid, times]) => [uuid, Number(times)]),
);
const problems = [
    [practices.filter((uuid) => !stored.has(uuid)).length, 'acknowledged practices are lost'],
    [[...stored.values()].filter((times) => times !== 1).length, 'practices are there more than once'],
    [new Set(practices).size === practices.length ? 0 : 1, 'a practice was acknowledged twice'],
    [Math.max(0, measurements - number('measurements')), 'acknowledged measurements are lost'],
    [Math.max(0, number('measurements') - number('lines')), 'measurements have no line in the trail'],
    // What was sent again after it had been stored is known, and has a line of its own.
    [Math.max(0, number('lines') - number('measurements') - retries), 'lines in the trail belong to no measurement'],
    [Math.max(0, invitations - number('invitations')), 'acknowledged invitations are lost'],
    [Math.max(0, number('invitations') - number('mails')), 'messages were never sent'],
    [number('failed'), 'jobs failed for good'],
    [longest > Number(seconds) * 1000 ? 1 : 0, `wait was longer than ${seconds} s`],
    [retries > 0 || calm ? 0 : 1, 'nothing was ever in the way, so nothing was tried'],
].filter(([many]) => many > 0);
console.log(
    `${practices.length} practices, ${measurements} measurements and ${invitations} invitations were acknowledged; ` +
        `${retries} requests had to be sent again; the longest wait was ${(longest / 1000).toFixed(1)} s.`,
);
for (const [many, what] of problems) console.error(`${many} ${what}`);
if (problems.length > 0) process.exit(1);
console.log('Every one is there, once, and every change has its line.');
