<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Check } from '$core/kernel/check';
  import NextStep from './NextStep.svelte';
  import Caution from './Caution.svelte';

  let {
    main,
    side,
    caution,
    checks = [],
  }: {
    main: Snippet;
    side: Snippet;
    /** What can hurt someone here: beside the work where there is room, above it where there is not. */
    caution?: Snippet;
    /** Of the stage: what they lack is said above the work, with where to enter it. */
    checks?: readonly Check[];
  } = $props();
</script>

<div class="grid grid-cols-1 gap-3 lg:grid-cols-[minmax(0,1fr)_21rem] lg:grid-rows-[auto_1fr]">
  {#if caution}<div class="lg:col-start-2"><Caution>{@render caution()}</Caution></div>{/if}
  <div class="min-w-0 space-y-2 lg:col-start-1 lg:row-span-2 lg:row-start-1"><NextStep {checks} />{@render main()}</div>
  <aside class="no-print min-w-0 space-y-4 lg:col-start-2">{@render side()}</aside>
</div>
