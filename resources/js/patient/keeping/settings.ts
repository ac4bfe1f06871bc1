import { deviceStore, parsed } from '../../shared/deviceStore';
import { sayPaper, type Paper } from '../../shared/nightPaper';
import { FULL, type Levels } from '../../player/tones';

/** How this device sounds, buzzes and looks; it stays here. */
export interface Settings extends Levels {
    vibration: boolean;
    contrast: boolean;
    large: boolean;
    paper: Paper;
}

const KEY = 'ivory-pace:settings';
const PLAIN: Settings = { ...FULL, vibration: false, contrast: false, large: false, paper: 'system' };

export const settings = (): Settings => ({ ...PLAIN, ...parsed<Partial<Settings>>(deviceStore.read(KEY)) });

export function keepSettings(changed: Settings): void {
    deviceStore.write(KEY, JSON.stringify(changed));
    showSettings(changed);
}

export function showSettings(of: Settings): void {
    sayPaper(of.paper);
    document.documentElement.toggleAttribute('data-contrast', of.contrast);
    document.documentElement.toggleAttribute('data-large', of.large);
}
