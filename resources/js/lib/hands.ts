import type { BodyChoices, Choice, TechniqueChoice } from '../types/pages';

/** Hands that a technique and a position leave room for, as the core allows them. */
export function handsIn(body: BodyChoices, technique: TechniqueChoice | undefined, position: string): Choice[] {
    const there = body.hands.filter((each) => each.positions.includes(position));
    const only = technique?.only_hands ?? [];
    const more = technique?.more_hands ?? [];
    const usual = there.filter((each) => !each.is_special || more.includes(each.value));
    const own = there.filter((each) => only.includes(each.value));
    return only.length > 0 && own.length > 0 ? own : usual;
}
