// Plays timelines that PHP compiled through the player into sound, in Chromium and faster than time, and finds in the
// rendered samples when each tone begins.
import { execFileSync } from 'node:child_process';
import { build } from 'vite';

/** The timeline of every technique, from the core. */
export function timelines() {
    return JSON.parse(execFileSync('php', ['bin/lib/timelines.php'], { maxBuffer: 1 << 28 }).toString());
}

async function playerCode() {
    const [{ output }] = await build({
        configFile: false,
        logLevel: 'error',
        build: {
            write: false,
            minify: false,
            lib: { entry: 'resources/js/player/engine.ts', formats: ['es'], fileName: 'engine' },
        },
    });
    return `${output[0].code.replace(/export\s*{[^}]*};?\s*$/, '')}\nwindow.PlayerEngine = PlayerEngine;`;
}

/**
 * @param page a page of its own; it is left on an empty document
 * @param only names of techniques; all when missing
 */
export async function render(page, only = undefined) {
    await page.goto('about:blank');
    await page.addScriptTag({ content: await playerCode(), type: 'module' });
    await page.waitForFunction(() => 'PlayerEngine' in window);
    const results = [];
    for (const [technique, timeline] of Object.entries(timelines())) {
        if (technique === 'ten-minutes' || (only && !only.includes(technique))) continue;
        results.push({ technique, ...(await page.evaluate(renderInPage, timeline)) });
    }
    return results;
}

/* Runs in the page. Every tone gets one of several channels in turn, so that one that still rings hides no onset. */
async function renderInPage(timeline) {
    const RATE = 8000,
        CHANNELS = 16,
        LONGEST_S = 600,
        LEAD_S = 0.25,
        THRESHOLD = 1e-7;
    const SIDES = { left: [0.22], right: [0.22, 0.36], none: [] };
    const total = { seconds: 0, tones: 0, worst: 0, missing: 0, inOrder: true };
    // After an open cue the next part begins with a tap: each part has a zero of its own.
    const parts = [[]];
    for (const segment of timeline.segments) {
        parts.at(-1).push(segment);
        if (segment.open) parts.push([]);
    }
    for (const segments of parts.filter((each) => each.length > 0)) {
        const seconds = Math.min(LONGEST_S, segments.reduce((sum, segment) => sum + segment.ms, 0) / 1000 + 4);
        const context = new OfflineAudioContext(CHANNELS, Math.ceil(seconds * RATE), RATE);
        const merger = context.createChannelMerger(CHANNELS);
        merger.connect(context.destination);
        const put = [];
        const connect = AudioNode.prototype.connect;
        const start = OscillatorNode.prototype.start;
        AudioNode.prototype.connect = function (target, ...rest) {
            if (this instanceof OscillatorNode) {
                target.tone = put.length;
                this.tone = put.length;
                put.push(0);
                return connect.call(this, target, ...rest);
            }
            return this.tone === undefined
                ? connect.call(this, target, ...rest)
                : connect.call(this, merger, 0, this.tone % CHANNELS);
        };
        OscillatorNode.prototype.start = function (when) {
            put[this.tone] = when;
            return start.call(this, when);
        };
        const engine = new window.PlayerEngine({ ...timeline, segments }, context, { ahead: Infinity });
        engine.start();
        AudioNode.prototype.connect = connect;
        OscillatorNode.prototype.start = start;
        const sound = await context.startRendering();
        const data = Array.from({ length: CHANNELS }, (_, channel) => sound.getChannelData(channel));

        // What the plan says, from PHP alone.
        const plan = [];
        let zero = LEAD_S;
        for (const segment of segments) {
            for (const cue of segment.cues) {
                plan.push({
                    at: zero + cue.at / 1000,
                    isCue: (cue.sound ?? 1) > 0 && cue.kind !== 'settle' && cue.kind !== 'lead-in',
                });
                for (const beat of cue.beats) plan.push({ at: zero + beat.at / 1000, isCue: false });
                for (const after of SIDES[cue.side]) plan.push({ at: zero + cue.at / 1000 + after, isCue: false });
            }
            zero += segment.ms / 1000;
        }
        const within = plan.filter((each) => each.at < seconds - 1);
        const heard = [];
        for (const [index, when] of put.entries()) {
            if (when >= seconds - 1) continue;
            const samples = data[index % CHANNELS];
            const from = Math.max(0, Math.floor((when - 0.02) * RATE));
            let at = from;
            while (at < samples.length && Math.abs(samples[at]) <= THRESHOLD) at++;
            // The first sample of a sine is 0.
            heard.push((at - 1) / RATE);
        }
        const nearest = (value, of) => of.reduce((least, other) => Math.min(least, Math.abs(other - value)), Infinity);
        const times = within.map((each) => each.at);
        for (const at of heard) total.worst = Math.max(total.worst, nearest(at, times) * 1000);
        for (const each of within) if (each.isCue && nearest(each.at, heard) > 0.001) total.missing++;
        total.inOrder &&= put.every((when, index) => index === 0 || when >= (put[index - 1] ?? 0) - 0.37);
        total.tones += heard.length;
        total.seconds += seconds;
    }
    return total;
}
