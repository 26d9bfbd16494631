<script lang="ts">
  import type { GateState } from '$core/proving/gates/machine';
  import type { Verdict } from '$core/kernel/check';
  import VerdictMark from './VerdictMark.svelte';

  let { state, short = false }: { state: GateState; short?: boolean } = $props();
  const AS: Readonly<Record<GateState, Verdict>> = {
    passed: 'holds',
    accepted: 'tight',
    waived: 'tight',
    caution: 'tight',
    failed: 'stop',
    stale: 'stop',
    open: 'unknown',
    locked: 'unknown',
    'n/a': 'holds',
  };
</script>

<span class="inline-flex items-baseline gap-1 whitespace-nowrap"
  ><VerdictMark verdict={AS[state]} word={false} /><span
    class={short ? 'sr-only' : state === 'locked' ? 'text-dim' : 'font-semibold'}>{state}</span
  ></span
>
