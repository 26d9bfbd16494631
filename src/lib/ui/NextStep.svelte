<script lang="ts">
  import { page } from '$app/state';
  import type { Check } from '$core/kernel/check';
  import { useSite } from '$lib/client/siteState.svelte';
  import type { EnteredAt } from '$lib/stages/whereEntered';
  import { missingInputs, nextStep } from '$lib/stages/nextStep';

  let { checks }: { /** Of the stage on screen. */ checks: readonly Check[] } = $props();
  /** So many are named; the others are counted. */
  const NAMED = 5;
  const site = useSite();
  const released = $derived(page.data['releases']?.length > 0);
  const step = $derived(nextStep(site.design));
  const missing = $derived(missingInputs(checks));
  let all = $state(false);
  const named = $derived(all ? missing : missing.slice(0, NAMED));

  const hrefOf = ({ stage, field }: EnteredAt, partId?: string) => {
    if (stage === 'shelf') return '/shelf';
    const query = [...(partId ? [`at=${encodeURIComponent(partId)}`] : []), ...(field ? [`field=${field}`] : [])];
    return `/sites/${site.siteId}/${stage}${query.length ? `?${query.join('&')}` : ''}`;
  };
</script>

{#if missing.length || (!released && (step || site.design.strings.length))}
  <p
    class="no-print flex flex-wrap items-baseline gap-x-3 border-l-4 border-primary-600 bg-sheet px-3 py-1 text-sm"
    data-testid="next"
  >
    {#if !released}
      <span
        ><b>Next:</b>
        {#if step}<a class="underline" href={hrefOf(step.at)}>{step.words}</a>
          <span class="text-dim">step {step.number} of {step.of}</span>{:else}release the design, above{/if}</span
      >
    {/if}
    {#if missing.length}
      <span
        ><span class="num">{missing.length}</span>
        {missing.length === 1 ? 'input' : 'inputs'} missing:
        {#each named as m, i (m.name)}{#if m.at}<a class="underline" href={hrefOf(m.at, m.partId)}>{m.name}</a
            >{:else}{m.name}{/if}{#if m.checks > 1}<span class="num text-dim"> ×{m.checks}</span>{/if}{i <
          named.length - 1
            ? ', '
            : ''}{/each}{#if missing.length > NAMED}<button
            type="button"
            class="ml-2 underline"
            onclick={() => (all = !all)}>{all ? 'fewer' : `and ${missing.length - NAMED} more`}</button
          >{/if}</span
      >
    {/if}
  </p>
{/if}
