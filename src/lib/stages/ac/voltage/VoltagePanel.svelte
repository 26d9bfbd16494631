<script lang="ts">
  import { Label, Range } from 'flowbite-svelte';
  import type { VoltagePath } from '$core/ac/voltagePath/path';
  import type { Feeding } from '$core/ac/voltagePath/picture';
  import { pictureAt, restThatSurvives, shareUntilTrip } from '$core/ac/voltagePath/picture';
  import { fixed } from '$core/kernel/quantity';
  import Amount from '$lib/ui/form/Amount.svelte';
  import { LABEL } from '$lib/ui/form/control';
  import Choice from '$lib/ui/form/Choice.svelte';
  import PowerChart from './PowerChart.svelte';
  import RiseBars from './RiseBars.svelte';

  let { path }: { path: VoltagePath } = $props();
  let sharePercent = $state(100);
  let factorPercent = $state(100);
  let reactive = $state<Feeding['reactive']>('absorbs');
  /** What if the grid stood elsewhere; null: as the survey has it. */
  let restV = $state<number | null>(null);
  const asked = $derived(restV !== null && restV >= 200 && restV <= 1100 ? { ...path, restV } : path);
  const feeding = $derived<Feeding>({ share: sharePercent / 100, powerFactor: factorPercent / 100, reactive });
  const picture = $derived(pictureAt(asked, feeding));
  const share = $derived(shareUntilTrip(asked));
  const survives = $derived(restThatSurvives(path));
</script>

<section class="sheet space-y-2 p-3" aria-labelledby="picture">
  <header class="flex flex-wrap items-end gap-x-4 gap-y-1">
    <h2 id="picture" class="w-full">From the grid at rest to every unit</h2>
    <div>
      <Label for="v-share" class={LABEL}>Power <b class="num">{sharePercent} %</b></Label>
      <Range
        appearance="auto"
        id="v-share"
        min="0"
        max="100"
        bind:value={sharePercent}
        class="w-36 accent-primary-700"
      />
    </div>
    <div>
      <Label for="v-pf" class={LABEL}>Power factor <b class="num">{fixed(factorPercent / 100, 2)}</b></Label>
      <Range
        appearance="auto"
        id="v-pf"
        min="80"
        max="100"
        bind:value={factorPercent}
        class="w-36 accent-primary-700"
      />
    </div>
    <Choice label="Reactive power" choices={['absorbs', 'supplies'] as const} bind:value={reactive} />
    <Amount label="Grid at rest" unit="V" width="w-28" placeholder={String(path.restV)} bind:value={restV} />
  </header>
  {#if picture}
    <p>
      {#if picture.worst.marginPercent <= 0}<b class="text-stop">{picture.worst.tag} trips</b>:{:else}Highest at
        <b>{picture.worst.tag}</b>:{/if}
      <b class="num">{fixed(picture.worst.terminalV, 1)} V</b>, trip level {fixed(path.tripV, 1)} V,
      <span class="num">{fixed(picture.worst.marginPercent, 2)} %</span> left.
      {#if share === null}The grid at rest is past the level already.{:else if share < 1}At unity power factor the first
        unit trips from <b class="num">{fixed(100 * share, 1)} %</b> of full power.{:else}Nothing trips up to full
        power.{/if}
      {#if survives !== null}Full power is survived up to <b class="num">{fixed(survives, 1)} V</b> at rest.{/if}
    </p>
    <div class="space-y-3">
      <PowerChart path={asked} {feeding} />
      <RiseBars {picture} restV={asked.restV} tripV={asked.tripV} />
    </div>
  {:else}
    <p role="alert" class="font-semibold text-stop">The network cannot carry this power.</p>
  {/if}
</section>
