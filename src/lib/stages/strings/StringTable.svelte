<script lang="ts">
  import { formatQuantity } from '$core/kernel/quantity';
  import { lineOf } from '$core/site/line';
  import type { PvString } from '$core/site/parts';
  import { homeRunLengths } from '$core/strings/homeRun';
  import { useSite } from '$lib/client/siteState.svelte';
  import { stringMeasuresForm, stringMeasuresToForm, stringWithMeasures } from '$lib/schemas/forms';
  import EditForm from '$lib/ui/form/EditForm.svelte';

  const site = useSite();
  const design = $derived(site.design);
  const line = $derived(lineOf(design));
  const lengths = $derived(homeRunLengths(design));
  let open = $state(false);
  let measuring = $state('');
  const isMeasured = (s: PvString) => s.lengthM !== null && s.lengthToId === (s.place?.inverterId ?? '');
</script>

{#if design.strings.length}
  <details class="sheet p-3" bind:open>
    <summary class="cursor-pointer font-semibold">All strings as a table</summary>
    {#if open}<table class="grid-table mt-2">
        <thead
          ><tr
            ><th scope="col" class="fig">String</th><th scope="col">Plane</th><th scope="col" class="fig">Modules</th
            ><th scope="col">Inverter</th><th scope="col" class="fig">Tracker</th><th scope="col" class="fig">Input</th
            ><th scope="col" class="fig">Home run</th><th scope="col"></th></tr
          ></thead
        >
        <tbody>
          {#each design.strings as s (s.id)}
            <tr
              ><th scope="row" class="fig">{s.number}</th><td>{line.planeLabel(s.planeId)}</td><td class="fig"
                >{s.modules}</td
              >
              <td>{s.place ? line.tag(s.place.inverterId) : '–'}</td><td class="fig">{s.place?.tracker ?? '–'}</td><td
                class="fig">{s.place ? `${s.place.input}${s.place.branch === 2 ? ' Y' : ''}` : '–'}</td
              >
              <td class="fig">{formatQuantity(lengths.get(s.id), 'm')}{isMeasured(s) ? ', measured' : ''}</td>
              <td class="text-right whitespace-nowrap"
                ><button
                  type="button"
                  class="mr-3 underline"
                  aria-expanded={measuring === s.id}
                  onclick={() => (measuring = measuring === s.id ? '' : s.id)}>measures</button
                ><button
                  type="button"
                  class="underline"
                  onclick={() => site.apply({ kind: 'remove-string', stringId: s.id })}>remove</button
                ></td
              ></tr
            >
            {#if measuring === s.id}
              <tr
                ><td colspan="8" class="bg-paper">
                  <EditForm
                    schema={stringMeasuresForm}
                    value={stringMeasuresToForm(s)}
                    groups={[{ title: '', paths: ['lengthM', 'leadsM', ...(s.place?.branch === 2 ? ['yM'] : [])] }]}
                    prefix="measures-{s.id}"
                    label="Save the measures of string {s.number}"
                    save={(value) =>
                      site.apply({ kind: 'string', string: stringWithMeasures(s, stringMeasuresForm.parse(value)) })}
                  />
                </td></tr
              >
            {/if}
          {/each}
        </tbody>
      </table>{/if}
  </details>
{/if}
