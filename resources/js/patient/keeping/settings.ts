import { deviceStore, parsed } from '../../shared/deviceStore';
import { FULL, type Levels } from '../../player/tones';

/** How this device sounds, buzzes and looks; it stays here. */
export interface Settings extends Levels {
    vibration: boolean;
    contrast: boolean;
    large: boolean;
}

const KEY = 'ivory-pace:settings';
const PLAIN: Settings = { ...FULL, vibration: false, contrast: false, large: false };

export const settings = (): Settings => ({ ...PLAIN, ...parsed<Partial<Settings>>(deviceStore.read(KEY)) });

export function keepSettings(changed: Settings): void {
    deviceStore.write(KEY, JSON.stringify(changed));
    showSettings(changed);
}

export function showSettings(of: Settings): void {
    document.documentElement.toggleAttribute('data-contrast', of.contrast);
    document.documentElement.toggleAttribute('data-large', of.large);
}
