<script lang="ts">
  import { fixed } from '$core/kernel/quantity';
  import { meterSheet, readingMeans } from '$core/links/line/meterSheet';
  import type { ChainResult } from '$core/links/results';
  import FieldInput from '$lib/ui/form/FieldInput.svelte';

  let { results }: { results: ChainResult } = $props();
  const id = $derived(`meter-sheet-${results.segment ?? 1}`);
  const sheet = $derived(meterSheet(results));
  const ohm = (r: number | null) => (r === null ? 'open' : `${fixed(r, 1)} Ω`);
  const field = {
    path: 'readOhm',
    label: 'Read at the first device, both plugs in',
    unit: 'Ω',
    kind: 'number',
    nullable: true,
    choices: [],
    items: [],
  } as const;
  let read = $state<number | null>(null);
</script>

<section class="sheet p-3" aria-labelledby={id}>
  <h2 {id}>What the meter must read{results.segment === null ? '' : `, segment ${results.segment}`}</h2>
  {#if sheet.value}
    {@const s = sheet.value}
    <p class="text-sm text-dim">
      Across D1 and D0. Ohms: everything off, the bias out, at 20 °C. Volts: everything on, nobody sending, D1 over D0.
    </p>
    <div class="my-2 flex flex-wrap items-end gap-4">
      <div class="w-72">
        <FieldInput
          {field}
          id="read-ohm-{id}"
          bind:value={() => read, (next) => (read = Number.isFinite(next) ? (next as number) : null)}
        />
      </div>
      <p aria-live="polite" class="pb-1">
        {#if read !== null && read >= 0 && s.rows.length > 1}<b>{readingMeans(s, read)}</b>
        {:else if read !== null}A resistance is 0 Ω or more.
        {:else}<span class="text-dim">What a reading says of the pair stands here. Nothing is kept.</span>{/if}
      </p>
    </div>
    <div class="overflow-x-auto">
      <table class="grid-table w-full">
        <thead>
          <tr>
            <th scope="col">At</th>
            <th scope="col" class="fig">Both plugs in</th>
            <th scope="col" class="fig">Plug to the next out</th>
            <th scope="col" class="fig">Plug from the one before out</th>
            <th scope="col" class="fig">Idle D1 − D0</th>
          </tr>
        </thead>
        <tbody>
          {#each s.rows as row, i (row.device.id)}
            <tr>
              <th scope="row" class="whitespace-nowrap">{row.device.label}</th>
              <td class="fig">{ohm(row.bothOhm)}</td>
              <td class="fig">{i === s.rows.length - 1 ? '' : ohm(row.backOhm)}</td>
              <td class="fig">{i === 0 ? '' : ohm(row.onOhm)}</td>
              <td class="fig">{row.idleMv === null ? '' : `${fixed(row.idleMv, 0)} mV`}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {:else}
    <p class="mt-1 text-dim">Missing: {sheet.missing.join(', ')}.</p>
  {/if}
</section>
