<script lang="ts">
  import type { Verdict } from '$core/kernel/check';

  let { verdict }: { verdict: Verdict } = $props();
</script>

<svg viewBox="0 0 16 16" class="h-[0.95em] w-[0.95em] shrink-0 translate-y-[0.12em]" aria-hidden="true">
  {#if verdict === 'holds'}
    <path d="M8 1l6 3.5v7L8 15l-6-3.5v-7z" fill="currentColor" />
  {:else if verdict === 'tight'}
    <path d="M8 1l6 3.5v7L8 15l-6-3.5v-7z" fill="none" stroke="currentColor" stroke-width="2" />
    <path d="M8 1v14l-6-3.5v-7z" fill="currentColor" />
  {:else if verdict === 'stop'}
    <rect x="1" y="1" width="14" height="14" fill="currentColor" /><path
      d="M4 4l8 8M12 4l-8 8"
      stroke="#fff"
      stroke-width="2.4"
    />
  {:else}
    <path
      d="M8 1l6 3.5v7L8 15l-6-3.5v-7z"
      fill="none"
      stroke="currentColor"
      stroke-width="1.6"
      stroke-dasharray="2.4 2"
    />
  {/if}
</svg>
