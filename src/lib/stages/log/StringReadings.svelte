<script lang="ts">
  import { Checkbox } from 'flowbite-svelte';
  import { onMount } from 'svelte';
  import { SvelteDate } from 'svelte/reactivity';
  import type { SiteDesign } from '$core/design';
  import { fixed } from '$core/kernel/quantity';
  import { kindNamed } from '$core/proving/kinds';
  import { TOO_DARK_WM2, expectedReading } from '$core/proving/stringCauses';
  import type { PvString, SiteInverter } from '$core/site/parts';
  import { deviceId } from '$lib/client/device';
  import GateMark from '$lib/ui/GateMark.svelte';
  import EntryForm from '$lib/ui/record/EntryForm.svelte';
  import { named, when } from '$lib/ui/record/words';
  import Words from '$lib/ui/form/Words.svelte';
  import { lightAtHand } from './lightAtHand';
  import type { StringPick } from './stringPick.svelte';
  import { STRING_GATES, STRING_KINDS } from './stringPick.svelte';

  /** How often the age of a light is looked at, ms. */
  const LOOK_MS = 15_000;

  let { pick, design, unit, string }: { pick: StringPick; design: SiteDesign; unit: SiteInverter; string: PvString } =
    $props();

  /** The light that was read for the string before: offered by name, never filled in. */
  let useLight = $state(false);
  const now = new SvelteDate();
  onMount(() => {
    const looking = setInterval(() => now.setTime(Date.now()), LOOK_MS);
    return () => clearInterval(looking);
  });
  const light = $derived(lightAtHand(pick.log.entries, deviceId(), now.getTime()));

  function expectedFor({ cellC, irradianceWm2 }: Record<string, unknown>) {
    if (!pick.module || typeof cellC !== 'number' || typeof irradianceWm2 !== 'number' || irradianceWm2 < TOO_DARK_WM2)
      return null;
    return expectedReading(pick.module, { modules: string.modules, cellC, irradianceWm2 });
  }
  const tag = (evidence: string) =>
    pick.log.add({ kind: 'gate', subject: pick.subject, values: { gate: 'D-ID', result: 'pass', evidence } });
  const open = (kind: string) => (pick.correctingKind ? pick.correctingKind === kind : kind === 'string-test');
</script>

<section class="sheet p-3" aria-labelledby="measure">
  <h2 id="measure">
    {unit.tag} · tracker {string.place?.tracker} · input {string.place?.input} · string {string.number}
    <span class="font-normal text-dim">{string.modules} modules</span>
  </h2>
  <p class="mt-1 flex flex-wrap gap-x-4">
    {#each STRING_GATES as gate (gate)}<span>{gate} <GateMark state={pick.stateOf(gate, string.id)} /></span>{/each}
  </p>
  {#each STRING_GATES as gate (gate)}{@const why = pick.log.evidence.gate(gate, string.id)?.why}{#if why}<p
        class="text-sm text-dim"
      >
        {gate}: {named(why, design)}
      </p>{/if}{/each}
  {#if ['open', 'stale'].includes(pick.stateOf('D-ID', string.id)) && pick.log.evidence.closed('S-SAFE', 'site')}
    <button
      type="button"
      class="mt-2 border border-ink px-3 py-2"
      disabled={pick.log.busy}
      onclick={() => tag(`tag at both ends, ${string.modules} modules counted`)}
      >Tag at both ends, {string.modules} modules counted</button
    >
  {:else if !pick.log.evidence.closed('S-SAFE', 'site')}
    <p class="mt-2 text-dim">Waits for the safe start of the day (gate S-SAFE, on Energise).</p>
  {/if}
  {#if pick.correcting}
    <div class="mt-2 border-l-4 border-tight bg-paper px-3 py-2">
      <p>Correcting an entry: the old one stays on record, and the new one stands in its place and time.</p>
      <Words label="Why" bind:value={pick.reason} />
      <button type="button" class="underline" onclick={pick.done}>Do not correct</button>
    </div>
  {/if}
  {#each STRING_KINDS as name (name)}
    {@const kind = kindNamed(name)}
    {#if !pick.correctingKind || pick.correctingKind === name}
      <details class="mt-3 border-t border-rule pt-2" open={open(name)}>
        <summary class="cursor-pointer font-semibold">{kind.title}</summary>
        {#if name === 'string-test' && light && !pick.correcting}
          <Checkbox
            bind:checked={useLight}
            classes={{ div: 'my-2 min-h-8 text-base font-normal text-ink pointer-coarse:min-h-11' }}
            >The light of&nbsp;<span class="num">{when(light.at).slice(11)}</span>&nbsp;stands: {light.irradianceWm2} W/m²
            and {light.cellC}
            °C, read {light.ageMin} min ago</Checkbox
          >
        {/if}
        <EntryForm
          {kind}
          subject={pick.subject}
          reason={pick.reason}
          corrects={pick.correcting}
          label={pick.correcting
            ? 'Record the correction'
            : name === 'string-test'
              ? 'Record the reading'
              : `Record: ${kind.title.toLowerCase()}`}
          prefill={name === 'string-test' && useLight && light && !pick.correcting
            ? { cellC: light.cellC, irradianceWm2: light.irradianceWm2 }
            : {}}
          merge={(v) =>
            name === 'string-test' ? { ...v, lightAt: useLight && light && !pick.correcting ? light.at : null } : v}
          done={pick.done}
        >
          {#snippet extra(values)}
            {#if name === 'string-test'}
              {@const now = expectedFor(values)}
              <p class="text-sm">
                {now
                  ? `Expected ${fixed(now.stringV, 1)} V ± ${fixed(now.u95Percent, 1)} %, ${fixed(now.currentA, 2)} A`
                  : 'Expected voltage: enter cell temperature and irradiance (at least 100 W/m²).'}
              </p>
            {/if}
          {/snippet}
        </EntryForm>
      </details>
    {/if}
  {/each}
</section>
