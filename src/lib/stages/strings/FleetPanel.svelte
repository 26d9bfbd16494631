<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { onDestroy } from 'svelte';
  import type { InverterType } from '$core/equipment/inverterType';
  import { fixed } from '$core/kernel/quantity';
  import type { SiteDesign } from '$core/design';
  import type { FleetAnswer } from '$core/strings/layout/fleet';
  import { useSite } from '$lib/client/siteState.svelte';
  import type { LongWork } from '$lib/workers/stringsWork';
  import { startStringsWork } from '$lib/workers/stringsWork';
  import Amount from '$lib/ui/form/Amount.svelte';

  let { shelf }: { shelf: readonly InverterType[] } = $props();
  const site = useSite();
  let ratio = $state(120);
  let answers = $state.raw<FleetAnswer[] | null>(null);
  let worker = $state.raw<LongWork | null>(null);
  onDestroy(() => worker?.end());

  async function ask() {
    const own = startStringsWork();
    worker = own;
    try {
      answers = await own.work.fleets(site.design as SiteDesign, [...shelf], ratio / 100);
    } finally {
      own.end();
      worker = null;
    }
  }
  const words = (f: FleetAnswer) => f.units.map((u) => `${u.count} × ${u.type.name}`).join(' + ');
  async function take(f: FleetAnswer) {
    const units = f.units.map((u) => ({ type: u.type, count: u.count }));
    if (!(await site.apply({ kind: 'fleet', units }))) answers = null;
  }
</script>

<details class="mt-3">
  <summary class="cursor-pointer font-semibold">What would you hang here?</summary>
  <div class="mt-1 flex flex-wrap items-end gap-3 text-sm text-dim">
    <Amount label="Wanted DC/AC" unit="%" min={90} max={150} bind:value={ratio} />
    <Button size="xs" disabled={worker !== null || !(ratio >= 90 && ratio <= 150)} onclick={ask}
      >{worker ? 'Thinking …' : 'Rank fleets from the shelf'}</Button
    >
  </div>
  {#if answers}
    {#if answers.length === 0}
      <p class="mt-1 text-sm">
        Nothing on the shelf suits: enter planes, the line voltage and the design temperatures on the survey first, or
        put a type for this grid voltage on the shelf.
      </p>
    {/if}
    <ol class="mt-2 grid gap-3 md:grid-cols-3">
      {#each answers as f, i (words(f))}
        <li class="border border-rule bg-paper p-2">
          <h3>{i + 1}. {words(f)}</h3>
          <p class="num">{fixed(f.ratedW / 1000, 0)} kW AC, DC/AC {fixed(100 * f.ratio, 0)} %</p>
          <ul class="list-disc pl-4 text-sm">
            {#each f.why as w (w)}<li>{w}</li>{/each}
          </ul>
          <button type="button" class="mt-1 border border-ink bg-sheet px-2 py-1 text-sm" onclick={() => take(f)}
            >{site.design.inverters.length ? 'Put it in the place of the units drawn' : 'Hang this fleet'}</button
          >
        </li>
      {/each}
    </ol>
    {#if answers.length && site.design.inverters.length}
      <p class="text-sm text-dim">
        Taking one over removes the units drawn, their runs and their places in the chain; Undo brings them back.
      </p>
    {/if}
  {/if}
</details>
