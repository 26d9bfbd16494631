<script lang="ts">
  import type { Verdict } from '$core/kernel/check';

  let {
    verdict,
    named = false,
  }: { verdict: Verdict; /** It stands alone: its word is told to whoever does not see it. */ named?: boolean } =
    $props();
</script>

<!-- Drawn an eighth lower to stand beside words, neither moved by a transform nor clipped: a board has thousands of them, each a layer of its own else. -->
<svg
  viewBox="0 -2 16 16"
  class="h-[0.95em] w-[0.95em] shrink-0 overflow-visible"
  role={named ? 'img' : undefined}
  aria-label={named ? verdict : undefined}
  aria-hidden={named ? undefined : 'true'}
>
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
