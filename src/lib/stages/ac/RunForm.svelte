<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { AcRun } from '$core/ac/part';
  import { acRunSchema } from '$core/ac/part';
  import type { RunResult } from '$core/ac/results';
  import { ARRANGEMENTS_IN_AIR, SPACINGS_IN_GROUND } from '$core/conductor/laid';
  import { runGroups, sectionChoices } from './runGroups';
  import { useSite } from '$lib/client/siteState.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';

  let {
    result,
    others,
    unsaved = $bindable(false),
  }: { result: RunResult; /** All other runs. */ others: readonly RunResult[]; unsaved?: boolean } = $props();
  const site = useSite();
  const runForm = acRunSchema.omit({ inverterId: true });
  const groups = $derived(runGroups(result.school.name));
  /** The arrangements of the method by the site's school; where that has no table yet, all there are. */
  const arrangements = $derived.by(() => {
    const { method } = result.run;
    const own = (method && result.school.arrangements(method)) || [];
    return own.length ? own : [...ARRANGEMENTS_IN_AIR, ...SPACINGS_IN_GROUND];
  });

  /** Copies what is alike along the tray to all other runs; lengths and measured parts stay their own. */
  async function spread() {
    const {
      inverterId: _i,
      lengthM: _l,
      cableDiameterMm: _c,
      palmWidthMm: _w,
      palmThicknessMm: _t,
      printMinNm: _p,
      printMaxNm: _q,
      lugMinNm: _m,
      lugMaxNm: _n,
      torqueBy: _b,
      ...shared
    } = result.run;
    for (const other of others) await site.apply({ kind: 'run', run: { ...other.run, ...shared } });
  }
</script>

<section class="sheet p-3" aria-labelledby="run">
  <header class="mb-2 flex flex-wrap items-center gap-3">
    <h2 id="run">Run of {result.inverter.tag}</h2>
    <Button
      size="xs"
      color="alternative"
      disabled={unsaved}
      onclick={() => site.apply({ kind: 'suggest-run', inverterId: result.inverter.id })}>Size this run</Button
    >
    <Button size="xs" color="alternative" disabled={unsaved} onclick={spread}>Same route and cable for all</Button>
    <Button
      size="xs"
      color="alternative"
      disabled={unsaved}
      onclick={() => site.apply({ kind: 'segments-of-plan', inverterId: result.inverter.id })}
      >Pieces of the way from the plan</Button
    >
    {#if unsaved}<span role="status" class="text-sm text-dim"
        >Save the run first: sizing begins from what is saved.</span
      >{/if}
  </header>
  {#key result.run}
    <EditForm
      schema={runForm}
      value={result.run}
      {groups}
      bind:unsaved
      prefix="run-{result.inverter.id}"
      label="Save the run"
      choices={{ arrangement: arrangements.map((value) => ({ value, name: value })), ...sectionChoices(result.school) }}
      save={(value) =>
        site.apply({
          kind: 'run',
          run: { ...(value as Omit<AcRun, 'inverterId'>), inverterId: result.inverter.id },
        })}
    />
  {/key}
</section>
