export interface Point {
    date: string;
    value: number;
    late: boolean;
}

const DAY_MS = 86_400_000;
const at = (date: string): number => Date.parse(`${date}T12:00:00Z`);

/** A line through daily ratings from 0 to 10. Days without a rating break it: nothing is made up between them. */
export function line(
    points: Point[],
    from: string,
    to: string,
    width: number,
    height: number,
): { path: string; dots: { date: string; x: number; y: number; late: boolean }[]; x: (date: string) => number } {
    const days = Math.max(1, Math.round((at(to) - at(from)) / DAY_MS));
    const x = (date: string): number => Math.round(((at(date) - at(from)) / DAY_MS / days) * width * 10) / 10;
    const y = (value: number): number => Math.round((height - (value / 10) * height) * 10) / 10;
    let path = '';
    let before: Point | null = null;
    for (const point of points) {
        const follows = before !== null && Math.round((at(point.date) - at(before.date)) / DAY_MS) === 1;
        path += `${follows ? 'L' : 'M'}${x(point.date)} ${y(point.value)}`;
        before = point;
    }
    return {
        path,
        dots: points.map((point) => ({ date: point.date, x: x(point.date), y: y(point.value), late: point.late })),
        x,
    };
}
