<script lang="ts">
    import type { ClinicProps } from '../../types/props';

    let { backup }: { backup: ClinicProps['backup'] } = $props();
</script>

<p>
    {#if backup.last}Last made <strong>{backup.last}</strong>.{:else}<strong>None has been made yet.</strong>{/if}
</p>
{#if backup.is_late}<p class="mt-1 border-l-4 border-clay bg-card px-4 py-2">
        {backup.last ? 'That is more than two days ago.' : 'Fire, theft or a broken disk would take everything.'}
        Whoever runs the server looks after it: <code>bin/backup</code>, as the running notes say.
    </p>{/if}
