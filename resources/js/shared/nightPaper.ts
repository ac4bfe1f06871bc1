/** On which paper this device reads: as the system does, or as it was said here. */
export type Paper = 'system' | 'always' | 'never';

const DARK = '(prefers-color-scheme: dark)';
const COLOURS = { day: '#FAF6EC', night: '#1C1915' };

let said: Paper = 'system';
let isLightsOut = false;

function show(): void {
    const isNight = said === 'always' || (said === 'system' && (isLightsOut || matchMedia(DARK).matches));
    document.documentElement.toggleAttribute('data-night', isNight);
    document.querySelector('meta[name="theme-color"]')?.setAttribute('content', isNight ? COLOURS.night : COLOURS.day);
}

export function followTheSystem(): void {
    matchMedia(DARK).addEventListener('change', show);
    show();
}

export function sayPaper(paper: Paper): void {
    said = paper;
    show();
}

/** What is practised when the lights are out is read on dark, unless this device never does. */
export function atLightsOut(is: boolean): void {
    isLightsOut = is;
    show();
}
