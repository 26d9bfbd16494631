<script lang="ts">
  import { page } from '$app/state';
  import { acOf } from '$lib/stages/ac/acOf';
  import { useSite } from '$lib/client/siteState.svelte';
  import AcNav from '$lib/stages/ac/AcNav.svelte';
  import BaySheet from '$lib/stages/ac/bay/BaySheet.svelte';
  import BoardForm from '$lib/stages/ac/BoardForm.svelte';
  import RunForm from '$lib/stages/ac/RunForm.svelte';
  import RunSchedule from '$lib/stages/ac/schedule/RunSchedule.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const site = useSite();
  const results = $derived(acOf(site).runs);
  const checks = $derived(site.assessment.checks.filter((c) => c.id.startsWith('ac.')));
  let picked = $derived(page.url.searchParams.get('at') ?? '');
  const result = $derived(results.find((r) => r.inverter.id === picked) ?? results[0]);
  let unsaved = $state(false);
  const own = $derived(checks.filter((c) => c.subject.id === result?.inverter.id));
</script>

<Stage {checks}>
  {#snippet caution()}Two sources: opening the inverter’s breaker leaves the grid side live. Lock off, prove dead on
    both sides, prove the tester before and after. Licensed electrical workers only; local code rules.{/snippet}
  {#snippet main()}
    <AcNav siteId={site.siteId} />
    {#if !result}
      <p class="sheet p-6 text-dim">
        The schedule of cables, breakers and lugs to the board stands here, and each unit’s AC bay to scale. No run yet:
        each inverter on the <a class="underline" href="/sites/{site.siteId}/survey">survey</a> gets one.
      </p>
    {:else}
      <RunSchedule {results} {checks} {unsaved} picked={result.inverter.id} onpick={(id) => (picked = id)} />
      <BaySheet {result} checks={own} />
      <RunForm {result} others={results.filter((r) => r !== result)} bind:unsaved />
    {/if}
    <BoardForm />
  {/snippet}
  {#snippet side()}
    {#if result}<MarginLedger checks={own} title="Margins: {result.inverter.tag}" />{/if}
    <MarginLedger
      checks={checks.filter((c) => c.subject.element === 'board' || c.id === 'ac.transformer-load')}
      title="Margins: board and grid"
    />
  {/snippet}
</Stage>
