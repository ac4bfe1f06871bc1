<script lang="ts">
    import { percent, short } from '../../shared/format';
    import type { CourseProps } from '../../types/course';

    let { anchors }: { anchors: NonNullable<CourseProps['anchors']> } = $props();
</script>

<ul>
    {#each anchors as anchor (anchor.name)}
        <li class="border-t border-rule py-1 text-[0.925rem]">
            <strong>{anchor.share === null ? '–' : percent(anchor.share)}</strong>
            {anchor.name.toLowerCase()} <span class="text-muted">· {short(anchor.credit, 1)} of {anchor.due}</span>
        </li>
    {/each}
</ul>
