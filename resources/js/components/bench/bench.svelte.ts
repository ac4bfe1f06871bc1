import { sendSignedIn } from '../../lib/send';
import { ON_THIS_PAGE, inWords } from '../../shared/http';
import { keeping } from '../../lib/keeping';
import type { BenchAnswer, DraftFields, ItemAnswer, RoutineChoice, TechniqueChoice } from '../../types/pages';
import type { RidgeShape } from '../../shared/timeline';
import { Past } from './past';

/** What is undone and redone, and kept over a reload. */
export interface Draft {
    items: DraftFields[];
    active: number;
    school: string;
}

const PAUSE_MS = 140;
/** What is typed without a longer pause is undone together. */
const STEP_MS = 700;

/** Fields that follow from others where they no longer fit. */
const FOLLOWING = ['hands', 'props', 'gaze', 'start', 'route_in'] as const;

/** What a decision changes of an exercise. */
const DECIDED = [
    'technique',
    'ratio',
    'breaths',
    'minutes',
    'position',
    'count_length',
    'times_a_day',
    'steps',
] as const;

function without<T>(record: Record<string, T>, keys: string[]): Record<string, T> {
    return Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key)));
}

/** The programme on the Bench: what is typed, and PHP's latest answer to it. */
export class Bench {
    items = $state<DraftFields[]>([]);
    active = $state(0);
    school = $state('gentle-control');
    answer = $state.raw() as BenchAnswer;
    /** What stands between typing and its answer. */
    state = $state<'answered' | 'asking' | 'unreachable'>('answered');
    trouble = $state('');
    /** What left and came when the position last changed. */
    carried = $state.raw<{ id: string; left: string[]; came: string[] } | null>(null);
    /** The drawing while one of its phases is dragged. */
    frozen = $state.raw<RidgeShape | null>(null);
    canUndo = $state(false);
    canRedo = $state(false);

    private timer: ReturnType<typeof setTimeout> | undefined;
    private stepTimer: ReturnType<typeof setTimeout> | undefined;
    private turn = 0;
    /** Ids of items that PHP is to complete with defaults, in place of what is typed, and with what. */
    private fresh: Record<string, Partial<DraftFields>> = {};
    private readonly url: string;
    private readonly kept;
    private readonly past: Past;

    /** @param isKeepUp what is to be kept up of a finished programme is a draft of its own */
    constructor(patientId: string, answer: BenchAnswer, isKeepUp = false) {
        this.url = `/patients/${patientId}/bench`;
        this.kept = keeping(`bench:${patientId}${isKeepUp ? ':keep-up' : ''}`);
        this.items = answer.items.map((each) => $state.snapshot(each.fields));
        this.school = answer.school;
        this.answer = answer;
        this.past = new Past(JSON.stringify(this.draft()));
    }

    /** The item that is worked on. */
    get fields(): DraftFields {
        return (this.items[this.active] ?? this.items[0]) as DraftFields;
    }

    /** PHP's answer to it. */
    get mine(): ItemAnswer {
        return (this.of(this.fields.id) ?? this.answer.items[0]) as ItemAnswer;
    }

    of(id: string): ItemAnswer | undefined {
        return this.answer.items.find((each) => each.id === id);
    }

    /** Something was typed: ask PHP when the typing pauses. */
    typed(): void {
        this.fresh = without(this.fresh, [this.fields.id]);
        this.changed();
    }

    changed(): void {
        this.state = 'asking';
        clearTimeout(this.timer);
        this.timer = setTimeout(() => void this.ask(), PAUSE_MS);
        clearTimeout(this.stepTimer);
        this.stepTimer = setTimeout(() => this.step(), STEP_MS);
    }

    /** A change may name another technique: then PHP completes it with what that technique needs. */
    set(changes: Partial<DraftFields>): void {
        const parameters =
            changes.technique === undefined || changes.technique === this.fields.technique
                ? this.fields.parameters
                : {};
        this.carried = null;
        Object.assign(this.fields, { parameters, ladder: null }, $state.snapshot(changes));
        this.typed();
        this.step();
    }

    /** Counts by phase, of which PHP makes the ratio. */
    setCounts(counts: Record<string, number>): void {
        this.fields.counts = counts;
        this.typed();
    }

    choose(technique: TechniqueChoice): void {
        this.carried = null;
        this.step();
        this.startAfresh(technique.defaults);
    }

    /** The defaults of the present exercise in the school that is chosen now. */
    takeDefaults(technique: TechniqueChoice): void {
        this.choose(technique);
    }

    addExercise(technique: TechniqueChoice, with_: Partial<DraftFields> = {}): void {
        this.step();
        const id = this.newId();
        this.items.push(
            $state.snapshot({ ...technique.defaults, ...with_, id, kind: 'exercise', school: this.school }),
        );
        this.active = this.items.length - 1;
        if (Object.keys(with_).length === 0) this.startAfresh(technique.defaults, false);
        else this.changed();
    }

    addRoutine(routine: RoutineChoice, like: Omit<DraftFields, 'id'>): void {
        this.step();
        this.items.push(
            $state.snapshot({
                ...like,
                id: this.newId(),
                kind: 'routine',
                routine_name: routine.name,
                steps: routine.steps,
                times_a_day: 1,
                anchors: [],
                as_needed: false,
                why: null,
                ladder: null,
                short: null,
            }),
        );
        this.active = this.items.length - 1;
        this.changed();
    }

    duplicate(): void {
        this.step();
        this.items.splice(this.active + 1, 0, $state.snapshot({ ...this.fields, id: this.newId() }));
        this.active += 1;
        this.changed();
    }

    remove(): void {
        if (this.items.length < 2) return;
        this.step();
        this.items.splice(this.active, 1);
        this.active = Math.min(this.active, this.items.length - 1);
        this.changed();
    }

    move(from: number, to: number): void {
        if (to < 0 || to >= this.items.length || from === to) return;
        this.step();
        const [item] = this.items.splice(from, 1);
        if (item) this.items.splice(to, 0, item);
        this.active = to;
        this.changed();
    }

    /** Everything from elsewhere: a template, a file. PHP completes what it leaves out. */
    replace(items: Partial<DraftFields>[], school: string, techniques: TechniqueChoice[]): void {
        this.step();
        const taken = this.items.map((item) => item.id);
        this.fresh = {};
        this.items = items.map((item) => {
            const id = this.newId(taken);
            taken.push(id);
            const defaults =
                techniques.find((each) => each.key === item.technique)?.defaults ?? techniques[0]?.defaults;
            if (item.kind !== 'routine') this.fresh[id] = $state.snapshot({ ...item, id, school });
            return $state.snapshot({ ...defaults, ...item, id, school }) as DraftFields;
        });
        this.school = school;
        this.active = 0;
        this.changed();
    }

    /** Whether the draft is what somebody decided, as far as a decision says. */
    does(decided: BenchAnswer): boolean {
        const said = (fields: DraftFields): string =>
            JSON.stringify(DECIDED.map((field) => $state.snapshot(fields[field]) ?? null));
        return (
            decided.items.length === this.items.length &&
            decided.items.every((each) => {
                const mine = this.items.find((item) => item.id === each.id);
                return mine !== undefined && said(mine) === said(each.fields);
            })
        );
    }

    /** What somebody decided, done: one step, which can be undone. */
    beginWith(answer: BenchAnswer): void {
        this.items = answer.items.map((each) => $state.snapshot(each.fields));
        this.answer = answer;
        this.step();
    }

    undo(): void {
        this.step();
        this.restore(this.past.undo());
    }

    redo(): void {
        this.restore(this.past.redo());
    }

    draft(): Draft {
        return $state.snapshot({ items: this.items, active: this.active, school: this.school });
    }

    takeBack(draft: Draft): void {
        Object.assign(this, $state.snapshot(draft));
        this.changed();
    }

    read<T>(): T | null {
        return this.kept.read<T>();
    }

    keep(value: unknown): void {
        this.kept.write(value);
    }

    forget(): void {
        this.kept.forget();
    }

    /** Asks PHP something about the programme on the Bench. */
    async post<T>(path: string, more: Record<string, unknown> = {}): Promise<T> {
        return sendSignedIn<T>(`${this.url}/${path}`, 'POST', {
            items: $state.snapshot(this.items),
            school: this.school,
            ...more,
        });
    }

    /** Anchors that stay keep their windows and weekdays; the rest comes from PHP, as the school has it. */
    private startAfresh(defaults: Omit<DraftFields, 'id'>, keepsAnchors = true): void {
        const { id } = this.fields;
        const anchors = keepsAnchors ? $state.snapshot(this.fields.anchors) : [];
        this.items[this.active] = $state.snapshot({ ...defaults, id, kind: 'exercise', school: this.school, anchors });
        const { technique, own_name, own_right, own_in, own_out } = defaults;
        this.fresh[id] = {
            id,
            kind: 'exercise',
            technique,
            school: this.school,
            anchors,
            ...(own_name === null ? {} : $state.snapshot({ ...defaults, id, school: this.school, anchors })),
            own_name,
            own_right,
            own_in,
            own_out,
        };
        this.changed();
    }

    private newId(taken = this.items.map((item) => item.id)): string {
        let n = taken.length;
        while (taken.includes(`new-${n}`)) n++;
        return `new-${n}`;
    }

    /** Closes what is typed so far as one step of undoing. */
    private step(): void {
        clearTimeout(this.stepTimer);
        this.stepTimer = undefined;
        this.past.keep(JSON.stringify(this.draft()));
        this.canUndo = this.past.canUndo;
        this.canRedo = this.past.canRedo;
    }

    private restore(text: string | null): void {
        if (text !== null) {
            this.fresh = {};
            Object.assign(this, JSON.parse(text) as Draft);
            this.state = 'asking';
            void this.ask();
        }
        this.canUndo = this.past.canUndo;
        this.canRedo = this.past.canRedo;
    }

    /** Takes over what the technique needs and was not there. */
    private complete(mine: DraftFields, theirs: DraftFields): void {
        if (mine.kind === 'routine') return;
        mine.ratio ??= theirs.ratio;
        mine.breaths ??= theirs.breaths;
        mine.minutes ??= theirs.minutes;
        mine.parameters = { ...theirs.parameters, ...mine.parameters };
    }

    private async ask(): Promise<void> {
        const turn = ++this.turn;
        const sent = { ...this.fresh };
        try {
            const items = $state.snapshot(this.items).map((item) => sent[item.id] ?? item);
            const asked = Object.fromEntries(items.map((item) => [item.id ?? '', item]));
            const answer = await sendSignedIn<BenchAnswer>(`${this.url}/answer`, 'POST', {
                items,
                school: this.school,
            });
            if (turn !== this.turn) return;
            this.answer = answer;
            // What was typed while the answer was under way is not overwritten by the defaults.
            for (const each of answer.items) this.adopt(each, each.id in sent && each.id in this.fresh, asked[each.id]);
            this.fresh = without(this.fresh, Object.keys(sent));
            if (!this.stepTimer) this.past.amend(JSON.stringify(this.draft()));
            this.state = 'answered';
        } catch (problem) {
            if (turn !== this.turn) return;
            this.state = 'unreachable';
            this.trouble = inWords(problem, ON_THIS_PAGE);
        }
    }

    /** @param asked as it was sent: what was changed further meanwhile waits for its own answer */
    private adopt(answer: ItemAnswer, isFresh: boolean, asked: Partial<DraftFields> | undefined): void {
        const at = this.items.findIndex((item) => item.id === answer.id);
        const item = this.items[at];
        if (!item) return;
        if (isFresh) this.items[at] = $state.snapshot(answer.fields);
        else {
            const isAsAsked = JSON.stringify(item.anchors) === JSON.stringify(asked?.anchors);
            const takesAnchors = isAsAsked && !answer.errors.times_a_day && !item.as_needed;
            if (takesAnchors) item.anchors = $state.snapshot(answer.fields.anchors);
            if (item.counts && JSON.stringify(item.counts) === JSON.stringify(asked?.counts)) {
                item.ratio = answer.fields.ratio;
                delete item.counts;
            }
            this.complete(item, answer.fields);
            if (asked) this.follow(item, answer.fields, asked);
        }
    }

    /** What goes with the position or the technique is as PHP took it, and it is said what left and came. */
    private follow(mine: DraftFields, theirs: DraftFields, asked: Partial<DraftFields>): void {
        if (mine.kind === 'routine') return;
        const { props } = mine;
        for (const field of FOLLOWING) {
            if (JSON.stringify(mine[field]) !== JSON.stringify(asked[field]) || theirs[field] === undefined) continue;
            Object.assign(mine, { [field]: $state.snapshot(theirs[field]) });
        }
        const left = props.filter((each) => !mine.props.includes(each));
        const came = mine.props.filter((each) => !props.includes(each));
        if (left.length + came.length > 0) this.carried = { id: mine.id, left, came };
    }
}
