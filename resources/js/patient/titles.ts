import { has, t } from './words';
import type { DeviceState } from './types';

/** Of what is seen before the screen is open. */
const BEFORE: Partial<Record<DeviceState['state'], string>> = {
    unknown: 'patient.enter.title',
    consent: 'patient.consent.title',
    pin: 'patient.pin.title',
    locked: 'patient.pin.unlock-title',
    'locked-out': 'patient.pin.unlock-title',
};

/** Of pages that are no tab. */
const OTHERS: Record<string, string> = {
    check: 'patient.check.title',
    settings: 'patient.settings.title',
    questions: 'patient.form.asked',
};

export function titleOf(practising: string | null, state: DeviceState['state'] | undefined, view: string): string {
    if (practising !== null) return t(practising);
    const before = state ? BEFORE[state] : undefined;
    if (before) return t(before);
    if (has(`patient.tabs.${view}`)) return t(`patient.tabs.${view}`);
    return t(OTHERS[view] ?? 'patient.today.tab');
}

/** Which page an address opens. A practice is begun on Today, and not by its address. */
export function viewOf(path: string): string {
    const view = path.startsWith('/my/') ? path.slice(4) : 'today';
    return view === 'practice' ? 'today' : view;
}
