import { deviceStore, parsed } from '../../shared/deviceStore';
import type { PracticeLog } from '../types';

/**
 * Recovery that was used before the PIN: nobody knows whose it was until somebody has entered their PIN and says so. It
 * stays on this device, and is asked about for a day.
 */
const KEY = 'ivory-pace:unclaimed';
const MOST = 10;
const ASKED_FOR_MS = 24 * 3_600_000;

let here: PracticeLog[] | null = null;

function whole(): PracticeLog[] {
    here ??= parsed<PracticeLog[]>(deviceStore.read(KEY)) ?? [];
    return here;
}

function write(logs: PracticeLog[]): void {
    here = logs.slice(-MOST);
    deviceStore.write(KEY, here.length > 0 ? JSON.stringify(here) : null);
}

export const unclaimed = {
    lately: (): PracticeLog[] =>
        whole().filter((log) => Math.abs(Date.now() - Date.parse(log.started_at)) < ASKED_FOR_MS),
    keep: (log: PracticeLog): void => write([...whole().filter((each) => each.uuid !== log.uuid), log]),
    drop: (uuid: string): void => write(whole().filter((log) => log.uuid !== uuid)),
};
