import { deviceStore, parsed } from '../../shared/deviceStore';

/** A symptom that made somebody stop, and is asked about again. */
export interface SecondLook {
    /** Of the practice. */
    uuid: string;
    owner: string;
    symptom: string;
    /** Of the exercise. */
    exercise: string;
    stopped_at: string;
}

/**
 * What is asked again after a stop is asked until it is answered: it is written at once, so that neither Back nor a
 * reload nor a closed page loses it.
 */
const KEY = 'ivory-pace:second-looks';

let here: SecondLook[] | null = null;

function whole(): SecondLook[] {
    here ??= parsed<SecondLook[]>(deviceStore.read(KEY)) ?? [];
    return here;
}

function write(looks: SecondLook[]): void {
    here = looks;
    deviceStore.write(KEY, looks.length > 0 ? JSON.stringify(looks) : null);
}

export const secondLooks = {
    of: (owner: string): SecondLook[] => whole().filter((look) => look.owner === owner),
    ask: (look: SecondLook): void => write([...whole().filter((each) => each.uuid !== look.uuid), look]),
    answered: (uuid: string): void => write(whole().filter((look) => look.uuid !== uuid)),
    forget: (owner: string): void => write(whole().filter((look) => look.owner !== owner)),
};
