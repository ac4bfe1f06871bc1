<script lang="ts">
    let { href }: { href: string } = $props();

    const papers = [
        ['large', 'in large print'],
        ['fold', 'to fold, half the size'],
    ] as const;
    const as = (paper: string): string => `${href}${href.includes('?') ? '&' : '?'}paper=${paper}`;
</script>

<a class="linklike" {href} target="_blank" rel="noopener">Sheet to print (PDF)</a
>{#each papers as [paper, words] (paper)}<span class="text-muted">,</span>
    <a class="linklike" href={as(paper)} target="_blank" rel="noopener">{words}</a>{/each}
