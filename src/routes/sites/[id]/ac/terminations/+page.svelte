<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { acOf } from '$lib/stages/ac/acOf';
  import { useSite } from '$lib/client/siteState.svelte';
  import AcNav from '$lib/stages/ac/AcNav.svelte';
  import Termination from '$lib/stages/ac/Termination.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const site = useSite();
  const results = $derived(acOf(site).runs);
  const checks = $derived(site.assessment.checks.filter((c) => c.subject.element === 'lug'));
</script>

<Stage {checks}>
  {#snippet caution()}Two sources: opening the inverter’s breaker leaves the grid side live. Prove dead on both sides.
    Licensed electrical workers only; local code rules.{/snippet}
  {#snippet main()}
    <AcNav siteId={site.siteId} />
    {#if results.length}
      <p class="no-print flex flex-wrap items-center gap-3">
        <Button size="sm" color="alternative" onclick={() => print()}>Print</Button>
        <a class="border border-ink px-3 py-1" href="/sites/{site.siteId}/ac/terminations.pdf" download
          >All as PDF, a page each</a
        >
      </p>
      {#each results as result (result.inverter.id)}<Termination {result} />{/each}
    {:else}
      <p class="sheet p-6 text-dim">
        A sheet for each unit stands here: strip, lug, die, crimps, heat-shrink, order of landing, torque. No run yet.
      </p>
    {/if}
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: AC bays" />{/snippet}
</Stage>
