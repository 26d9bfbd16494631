<script lang="ts">
  import { fixed, formatQuantity } from '$core/kernel/quantity';
  import { OPEN_POINT } from '$core/proving/kinds/openPoint';
  import { invalidateAll } from '$app/navigation';
  import { useLogOf } from '$lib/client/logState.svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import EntryForm from '$lib/ui/record/EntryForm.svelte';
  import LogStatus from '$lib/ui/record/LogStatus.svelte';
  import { lineOfEntry, named, partName, when } from '$lib/ui/record/words';
  import MarginLedger from '$lib/ui/MarginLedger.svelte';
  import SignOnCard from '$lib/ui/SignOnCard.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  let { data } = $props();
  const site = useSite();
  const log = useLogOf(() => data);
  const design = $derived(log.current?.design ?? site.design);
  const s = $derived(data.summary);
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

<Stage>
  {#snippet main()}
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
        The pack is built from the released design and the live record: site, string map, AC schedule, torque targets,
        test results, open points and the limits of the document. Work by licensed electrical workers; local code rules.
      </p>
    </section>
    <section class="sheet p-4" aria-labelledby="points">
      <h2 id="points">Open points</h2>
      {#if data.openPoints.length === 0}<p>None.</p>{:else}
        <table class="grid-table">
          <thead
            ><tr
              ><th scope="col">What</th><th scope="col">Severity</th><th scope="col">Owner</th><th scope="col">Due</th
              ></tr
            ></thead
          >
          <tbody
            >{#each data.openPoints as p (p.text)}<tr
                ><td>{p.text}</td><td class={p.severity === 'safety' ? 'font-semibold text-stop' : ''}>{p.severity}</td
                ><td>{p.owner}</td><td class="num">{p.due ?? '–'}</td></tr
              >{/each}</tbody
          >
        </table>
      {/if}
      {#if s.release}
        <details class="mt-3">
          <summary class="cursor-pointer font-semibold">Write an open point</summary>
          <div class="mt-2 space-y-3">
            <SignOnCard />
            <EntryForm
              kind={OPEN_POINT}
              subject={{ scope: 'site', id: 'site' }}
              label="Put it on record"
              done={() => void invalidateAll()}
            />
            <LogStatus />
          </div>
        </details>
      {/if}
    </section>
    <section class="sheet p-4" aria-labelledby="waivers">
      <h2 id="waivers">Waivers and accepted cautions</h2>
      {#if data.waivers.length === 0}<p>None.</p>{/if}
      <ul>
        {#each data.waivers as w (w.id)}<li class="border-t border-rule py-1">
            {w.values['gate']} · {partName(w.subject.id, design)} · {lineOfEntry(w)} · {w.reason} · {w.by}, {w.doneAt.slice(
              0,
              10,
            )}
          </li>{/each}
      </ul>
    </section>
    <section class="sheet p-4" aria-labelledby="chain">
      <h2 id="chain">The record as it was written</h2>
      {#if data.chain.broken.length}
        <p class="font-semibold text-stop" role="alert">The chain of hashes is broken:</p>
        <ul>
          {#each data.chain.broken as b (b)}<li class="border-t border-rule py-1 text-stop">{b}</li>{/each}
        </ul>
      {:else}<p>
          <span class="num">{data.chain.entries}</span> entries, each chained to the one before (SHA-256): none altered,
          removed or moved.{#if data.chain.unchained}
            <span class="num">{data.chain.unchained}</span> of them are older than the chain.{/if}
        </p>{/if}
    </section>
    {#if data.uncounted.length}
      <section class="sheet p-4" aria-labelledby="uncounted">
        <h2 id="uncounted">Entries that prove nothing</h2>
        <ul>
          {#each data.uncounted as { record, why } (record.id)}<li class="border-t border-rule py-1">
              {partName(record.subject.id, design)} · {lineOfEntry(record)} · {record.by}, {record.role}, {when(
                record.doneAt,
              )}
              <span class="block text-sm text-stop">{named(why, design)}</span>
            </li>{/each}
        </ul>
      </section>
    {/if}
  {/snippet}
  {#snippet side()}<MarginLedger checks={site.assessment.checks} title="Margins: whole site" />{/snippet}
</Stage>
