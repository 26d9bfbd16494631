<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import StringsNav from '$lib/stages/strings/StringsNav.svelte';
  import WeatherPanel from '$lib/stages/strings/WeatherPanel.svelte';
  import YearSummary from '$lib/stages/strings/YearSummary.svelte';
  import YearUnits from '$lib/stages/strings/YearUnits.svelte';
  import { YearState } from '$lib/stages/strings/yearState.svelte';

  let { data } = $props();
  const site = useSite();
  const year = untrack(() => new YearState(site, data));
  onDestroy(() => year.stop());
</script>

<div class="space-y-2">
  <StringsNav siteId={site.siteId} />
  <WeatherPanel {year} />
  {#if year.shown}
    <YearSummary {year} />
    <YearUnits result={year.shown.result} />
  {:else}
    <p class="sheet p-6 text-dim">
      The year stands here: energy, what is clipped and lost, by hour and by tracker. None has been computed for this
      site yet.
    </p>
  {/if}
</div>
