import { expect, type Page } from '@playwright/test';

/*
 * What many tests begin with, sent as the pages send it but without opening them: that the pages can do it is shown by
 * those tests that are about it. Half of the time of this suite went into screening one more patient.
 */

interface PageData {
    props: {
        questions: { questions: { key: string; text: string }[] }[];
        draft: Record<string, unknown>;
        answer: { items: { id: string; fields: Record<string, unknown> }[] };
    };
}

async function send(page: Page, path: string, data: object): Promise<string> {
    const cookies = await page.context().cookies();
    const token = cookies.find((cookie) => cookie.name === 'XSRF-TOKEN')?.value ?? '';
    const answer = await page.request.post(path, {
        data,
        maxRedirects: 0,
        headers: { Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(token) },
    });
    expect(answer.status(), `${path}: ${await answer.text()}`).toBeLessThan(400);
    return answer.headers().location ?? (await answer.text());
}

/** What a page is opened with. */
async function opened(page: Page, path: string): Promise<PageData['props']> {
    const html = await (await page.request.get(path)).text();
    const json = /<script[^>]*data-page[^>]*>(.*?)<\/script>/s.exec(html)?.[1];
    return (JSON.parse(json ?? '') as PageData).props;
}

export async function quickSignIn(page: Page, email = 'nora@harrowquay.example'): Promise<void> {
    await page.request.get('/sign-in');
    await send(page, '/sign-in', { email, password: 'lantern-over-quay' });
}

interface Known {
    /** Words with which a question begins that is answered with yes. */
    yes?: string[];
    minutes?: string;
    position?: string;
    /** s */
    count?: number;
}

/** A patient who is screened, with a no to every other question. */
export async function screened(page: Page, name: string, { yes = [], minutes }: Known = {}): Promise<string> {
    const added = await send(page, '/patients', {
        name,
        birth_date: '1984-03-02',
        time_zone: 'Europe/Lisbon',
        day_start: '04:00',
        ...(minutes === undefined ? {} : { minutes_a_day: minutes }),
    });
    const record = new URL(added, 'http://here').pathname.replace(/\/screening$/, '');
    const questions = (await opened(page, `${record}/screening`)).questions.flatMap((group) => group.questions);
    const isYes = (text: string): boolean => yes.some((words) => text.startsWith(words));
    expect(questions.filter(({ text }) => isYes(text)).length).toBe(yes.length);
    await send(page, `${record}/screening`, {
        answers: Object.fromEntries(questions.map(({ key, text }) => [key, isYes(text)])),
    });
    return record;
}

/** One who has a short, fast programme as well: 4:0:5:1 at 0.4 s a count. */
export async function prescribed(page: Page, name: string, breaths = '2', known: Known = {}): Promise<string> {
    const record = await screened(page, name, known);
    const { draft, answer } = await opened(page, `${record}/bench`);
    await send(page, `${record}/versions`, {
        ...draft,
        based_on: 0,
        items: answer.items.map(({ fields }) => ({
            ...fields,
            position: known.position ?? 'seated',
            props: [],
            count_length: known.count ?? 0.4,
            breaths: Number(breaths),
        })),
    });
    return record;
}

let links = 0;

export async function quickLink(page: Page, record: string): Promise<string> {
    // The same asked twice within seconds is answered as it was: this is another one.
    return (JSON.parse(await send(page, `${record}/access`, { another: links++ })) as { address: string }).address;
}
