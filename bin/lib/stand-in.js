// Moves a phone that is not there: given to a browser before our page, it answers “breathe in” and the first breath that is led.
(() => {
    const samples = SAMPLES;
    const first = FIRST;
    const second = SECOND;
    const length = LENGTH;
    const STEP_MS = 40;
    const still = { from: 0, to: 0, since: 0 };
    let moving = still;
    const begin = (from, to, late = 0) => {
        moving = { from, to, since: performance.now() - late };
    };
    window.addEventListener('ivory-pace:inhale', () => begin(first, second));
    window.addEventListener('ivory-pace:breath', (event) => {
        // Sound may run slower than the clock of a page, or stall: each breath begins with the one that is led.
        const { breath, late } = event.detail;
        begin(first + breath * length, first + (breath + 1) * length, late);
    });
    setInterval(() => {
        const at = Math.min(moving.from + (performance.now() - moving.since) / 1000, moving.to);
        const [, x, y, z] = samples[Math.min(samples.length - 1, Math.round((at * 1000) / STEP_MS))] ?? samples[0];
        window.dispatchEvent(
            new DeviceMotionEvent('devicemotion', { accelerationIncludingGravity: { x, y, z }, interval: STEP_MS }),
        );
    }, STEP_MS);
})();
