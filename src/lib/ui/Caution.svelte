<script lang="ts">
  import type { Snippet } from 'svelte';

  let { children }: { children: Snippet } = $props();
</script>

<p class="flex gap-2 border-l-4 border-stop bg-[#fdf0e6] px-2.5 py-1.5 text-sm text-ink" role="note">
  <svg viewBox="0 0 20 20" class="mt-0.5 h-5 w-5 shrink-0 text-stop" aria-hidden="true"
    ><path d="M10 1.5L19 18H1z" fill="currentColor" /><path d="M10 7v5M10 14v2" stroke="#fff" stroke-width="2" /></svg
  >
  <span>{@render children()}</span>
</p>
