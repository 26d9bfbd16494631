<script lang="ts">
  import { page } from '$app/state';
  import { acOf } from '$lib/stages/ac/acOf';
  import { useSite } from '$lib/client/siteState.svelte';
  import AcNav from '$lib/stages/ac/AcNav.svelte';
  import CandidatePanel from '$lib/stages/ac/cables/CandidatePanel.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  let { data } = $props();
  const site = useSite();
  const results = $derived(acOf(site).runs);
  let picked = $derived(page.url.searchParams.get('at') ?? '');
  const result = $derived(results.find((r) => r.inverter.id === picked) ?? results[0]);
  const checks = $derived(
    site.assessment.checks.filter((c) => c.id.startsWith('ac.') && c.subject.id === result?.inverter.id),
  );
</script>

<Stage {checks}>
  {#snippet caution()}What is cheapest is still laid by licensed workers and local code: PE, supports and fire sealing
    are theirs.{/snippet}
  {#snippet main()}
    <AcNav siteId={site.siteId} />
    {#if result}
      <CandidatePanel {result} {results} list={data.prices} onpick={(id) => (picked = id)} />
    {:else}
      <p class="sheet p-6 text-dim">
        Every cable that could lie for a run stands here, the cheapest first. No run yet: each inverter on the <a
          class="underline"
          href="/sites/{site.siteId}/survey">survey</a
        > gets one.
      </p>
    {/if}
  {/snippet}
  {#snippet side()}{#if result}<MarginLedger {checks} title="Margins: {result.inverter.tag} as it is" />{/if}{/snippet}
</Stage>
