/** The steps that can be undone and redone, as text. */
export class Past {
    private readonly undone: string[] = [];
    private readonly done: string[] = [];
    private static readonly MOST = 100;

    constructor(private present: string) {}

    get canUndo(): boolean {
        return this.done.length > 0;
    }

    get canRedo(): boolean {
        return this.undone.length > 0;
    }

    /** Keeps a new state as one step; what was undone before is gone then. */
    keep(text: string): void {
        if (text === this.present) return;
        this.done.push(this.present);
        if (this.done.length > Past.MOST) this.done.shift();
        this.undone.length = 0;
        this.present = text;
    }

    /** What was only completed by the answer belongs to the step before it. */
    amend(text: string): void {
        this.present = text;
    }

    undo(): string | null {
        const before = this.done.pop();
        if (before === undefined) return null;
        this.undone.push(this.present);
        this.present = before;
        return before;
    }

    redo(): string | null {
        const after = this.undone.pop();
        if (after === undefined) return null;
        this.done.push(this.present);
        this.present = after;
        return after;
    }
}
