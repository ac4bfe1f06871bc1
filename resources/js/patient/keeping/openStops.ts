import { deviceStore, parsed } from '../../shared/deviceStore';
import * as outbox from './outbox';
import { secondLooks } from './secondLooks';
import type { PracticeLog } from '../types';

/** A practice that was stopped, of which nobody has yet said why. */
export interface OpenStop {
    log: PracticeLog;
    owner: string;
    /** Of the exercise. */
    exercise: string;
}

/** What made somebody stop is asked until it is answered: neither Back nor a reload makes “nothing wrong” of it. */
const KEY = 'ivory-pace:open-stops';

const whole = (): OpenStop[] => parsed<OpenStop[]>(deviceStore.read(KEY)) ?? [];

function write(stops: OpenStop[]): void {
    deviceStore.write(KEY, stops.length > 0 ? JSON.stringify(stops) : null);
}

export const openStops = {
    of: (owner: string): OpenStop | null => whole().find((stop) => stop.owner === owner) ?? null,
    has: (uuid: string): boolean => whole().some((stop) => stop.log.uuid === uuid),
    ask: (stop: OpenStop): void => write([...whole().filter((each) => each.log.uuid !== stop.log.uuid), stop]),
    answered: (uuid: string): void => write(whole().filter((stop) => stop.log.uuid !== uuid)),
    forget: (owner: string): void => write(whole().filter((stop) => stop.owner !== owner)),
};

/** The symptom is kept at once, and what is asked about it again: neither Back nor a reload loses it. */
export function fileStop(stop: OpenStop): void {
    const { log, owner, exercise } = stop;
    openStops.answered(log.uuid);
    void outbox.enqueue('practice', log.uuid, { ...log });
    if (log.stop_class === 'made-me-stop' && log.stop_symptom !== null)
        secondLooks.ask({ uuid: log.uuid, owner, symptom: log.stop_symptom, exercise, stopped_at: log.ended_at });
}

export function fileSecondLook(uuid: string, settled: boolean): void {
    secondLooks.answered(uuid);
    void outbox.enqueue('second-look', `second-look:${uuid}`, { uuid, settled, at: new Date().toISOString() });
}
