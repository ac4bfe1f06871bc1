// Reads a calendar with ical.js and says when each event takes place, in UTC: node tests/readers/ical.mjs < calendar.ics
import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';

/** More than any calendar of ours holds. */
const MOST = 20_000;

const calendar = new ICAL.Component(ICAL.parse(readFileSync(0, 'utf8')));
for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);

const lines = [];
for (const component of calendar.getAllSubcomponents('vevent')) {
    const event = new ICAL.Event(component);
    const say = (time) => {
        lines.push(`${time.toJSDate().toISOString().slice(0, 16)} ${event.summary}`);
    };
    if (!event.isRecurring()) say(event.startDate);
    else {
        const times = event.iterator();
        for (let time = times.next(), at = 0; time && at < MOST; time = times.next(), at++) say(time);
    }
}
process.stdout.write(JSON.stringify(lines.sort()));
