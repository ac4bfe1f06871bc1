/** Whether it could be copied: a browser may forbid it, or have none on an address that is not secure. */
export async function isCopied(text: string): Promise<boolean> {
    try {
        await navigator.clipboard.writeText(text);
        return true;
    } catch {
        return false;
    }
}
