<script lang="ts">
  import type { Verdict } from '$core/kernel/check';
  import { VERDICT_COLOUR } from './verdictColour';
  import VerdictGlyph from './VerdictGlyph.svelte';

  let { verdict, word = true }: { verdict: Verdict; word?: boolean } = $props();
</script>

<span class="inline-flex items-baseline gap-1 whitespace-nowrap {VERDICT_COLOUR[verdict]}">
  <VerdictGlyph {verdict} named={!word} />
  {#if word}<span class="font-semibold">{verdict}</span>{/if}
</span>
