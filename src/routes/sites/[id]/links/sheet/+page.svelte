<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { busMarks } from '$core/links/line/chainSheet';
  import { linksResults } from '$core/links/results';
  import { useSite } from '$lib/client/siteState.svelte';
  import ChainLabels from '$lib/stages/links/ChainLabels.svelte';
  import ChainSheet from '$lib/stages/links/ChainSheet.svelte';
  import LinksNav from '$lib/stages/links/LinksNav.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const site = useSite();
  const all = $derived(linksResults(site.design).flatMap((bus) => bus.segments));
  const checks = $derived(site.assessment.checks.filter((c) => c.subject.element === 'chain'));
</script>

<Stage {checks}>
  {#snippet caution()}Open bays only with AC and DC isolated. Data cable in a power bay needs insulation for the highest
    voltage there, or a sleeve.{/snippet}
  {#snippet main()}
    <LinksNav />
    {#if site.design.chain.devices.length}
      <p class="no-print flex flex-wrap items-center gap-3">
        <Button size="sm" color="alternative" onclick={() => print()}>Print</Button>
        <a class="border border-ink px-3 py-1" href="/sites/{site.siteId}/links/sheet.pdf" download>As PDF</a>
      </p>
      {#each all as results (`${results.bus}|${results.segment}`)}
        <ChainSheet {results} {all} site={site.design.survey.name} marksOf={busMarks(site.design)} />
        <ChainLabels {results} {all} />
      {/each}
    {:else}
      <p class="sheet p-6 text-dim">
        The sheet to land the chain by stands here: order, addresses, terminators, what the meter must read. No device
        on it yet.
      </p>
    {/if}
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: chain" />{/snippet}
</Stage>
