/** The patient's texts, by translation key, as the page brought them. */
const words = JSON.parse(document.getElementById('words')?.textContent ?? '{}') as Record<string, string>;

/** A text with its :values filled in. A missing key shows itself, so that it is noticed. */
export function t(key: string, values: Record<string, string | number> = {}): string {
    let text = words[key] ?? key;
    for (const [name, value] of Object.entries(values)) text = text.replaceAll(`:${name}`, String(value));
    return text;
}

/** Picks between the "{1} …|[2,*] …" forms of a text. */
export function tn(key: string, count: number, values: Record<string, string | number> = {}): string {
    const forms = (words[key] ?? key).split('|');
    const form = forms.find((each) => each.startsWith(`{${count}}`)) ?? forms[forms.length - 1] ?? key;
    let text = form.replace(/^(\{\d+\}|\[\d+,(?:\d+|\*)\])\s*/, '');
    for (const [name, value] of Object.entries({ count, ...values })) text = text.replaceAll(`:${name}`, String(value));
    return text;
}

export function has(key: string): boolean {
    return key in words;
}

/** "3 min 20", from seconds. */
export function lengthOf(seconds: number): string {
    return seconds < 60 ? `${seconds} s` : `${Math.floor(seconds / 60)} min${seconds % 60 ? ` ${seconds % 60}` : ''}`;
}
