<script lang="ts">
  import { fixed, formatQuantity } from '$core/kernel/quantity';
  import type { HandOverSummary } from '$lib/schemas/handOver';
  import { useSite } from '$lib/client/siteState.svelte';

  let { summary: s }: { summary: HandOverSummary } = $props();
  const site = useSite();
  const figures = $derived([
    ['Units on grid', `${s.onGrid} of ${s.units}`],
    ['Strings proved', `${s.stringsProved} of ${s.strings}`],
    ['DC power', `${fixed(s.dcKw, 1)} kWp`],
    ['AC power', `${fixed(s.acKw, 0)} kW`],
    ['Lowest insulation', formatQuantity(s.lowestInsulationMohm, 'MΩ')],
    ['Worst string voltage', s.worstVoltagePercent === null ? '–' : `${fixed(s.worstVoltagePercent, 2)} %`],
    ['Open points', String(s.openPoints)],
    ['Entries on record', String(s.entries)],
  ]);
</script>

<section class="sheet p-4" aria-labelledby="pack">
  <h2 id="pack">Hand-over of {s.name}</h2>
  <p class="text-dim">
    {s.place || 'place not known yet'} · {s.release ? `release ${s.release}` : 'design not released'}
  </p>
  <dl class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
    {#each figures as [term, value] (term)}
      <div class="border-t-2 border-ink pt-1">
        <dt class="text-sm text-dim">{term}</dt>
        <dd class="num text-xl">{value}</dd>
      </div>
    {/each}
  </dl>
  <div class="mt-4 flex flex-wrap gap-3">
    <a
      class="bg-primary-700 px-4 py-2 font-semibold text-white"
      href="/sites/{site.siteId}/handover/pack.pdf"
      data-sveltekit-reload>Print the pack (PDF)</a
    >
    <a class="border border-ink px-4 py-2" href="/api/v1/sites/{site.siteId}/project" download data-sveltekit-reload
      >Project file (JSON)</a
    >
  </div>
  <p class="mt-3 max-w-prose text-sm text-dim">
    The pack is built from the released design and the live record: site, string map, AC schedule, torque targets, test
    results, open points and the limits of the document. Work by licensed electrical workers; local code rules.
  </p>
</section>
