<script lang="ts">
    import QRCode from 'qrcode';

    let { text, label }: { text: string; label: string } = $props();

    const QUIET = 4;
    const code = $derived(QRCode.create(text, { errorCorrectionLevel: 'M' }).modules);
    const path = $derived.by(() => {
        let d = '';
        for (let row = 0; row < code.size; row++) {
            for (let column = 0; column < code.size; column++) {
                if (code.get(row, column)) d += `M${column + QUIET} ${row + QUIET}h1v1h-1z`;
            }
        }
        return d;
    });
</script>

<svg
    width="190"
    height="190"
    viewBox="0 0 {code.size + 2 * QUIET} {code.size + 2 * QUIET}"
    role="img"
    aria-label={label}
    shape-rendering="crispEdges"
>
    <rect width="100%" height="100%" fill="#fff" />
    <path d={path} fill="#000" />
</svg>
