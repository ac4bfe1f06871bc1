import type { Segment, Timeline } from '../shared/timeline';
import { joiningFactor, retimed, type Joining } from './retiming';

/** How fast a timeline is led: eased from the patient's own breath, and slower or faster from a breath on. */
export class Pace {
    /** Lengths over the prescribed ones; over 1 is slower. */
    tempo = 1;

    /** From which breath on which tempo: the breath in which it was changed is finished as it was. */
    private readonly changes: { segment: number; after: number; factor: number }[] = [];

    /** How long each breath of a segment is while it eases from the patient's own pace. */
    private readonly easing: ((breath: number) => number) | null;

    constructor(timeline: Timeline, joining: Joining | null) {
        const set = timeline.segments.find((segment) => segment.role === 'exercise');
        this.easing = joining && set ? joiningFactor(set, joining) : null;
    }

    change(factor: number, segment: number, after: number): void {
        this.tempo = factor;
        this.changes.push({ segment, after, factor });
    }

    /** Open segments and those without breaths stay as they are. */
    of(prescribed: Segment[]): Segment[] {
        return prescribed.map((segment, index) =>
            segment.role === 'exercise' && !segment.open
                ? retimed(segment, (breath) => (this.easing?.(breath) ?? 1) * this.tempoOf(index, breath))
                : segment,
        );
    }

    private tempoOf(segment: number, breath: number): number {
        return (
            this.changes
                .filter((change) => change.segment < segment || (change.segment === segment && breath > change.after))
                .at(-1)?.factor ?? 1
        );
    }
}
