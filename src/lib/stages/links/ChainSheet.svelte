<script lang="ts">
  import { chainName, chainSheet } from '$core/links/line/chainSheet';
  import type { ChainDevice } from '$core/links/part';
  import type { ChainResult } from '$core/links/results';

  let {
    results,
    all,
    site,
    marksOf,
  }: {
    results: ChainResult;
    all: readonly ChainResult[];
    site: string;
    marksOf: (device: ChainDevice) => string;
  } = $props();
  const sheet = $derived(chainSheet(results, marksOf));
  const key = $derived(`${results.bus}-${results.segment ?? 1}`);
</script>

<section class="sheet p-3" aria-labelledby="chain-sheet-{key}">
  <h2 id="chain-sheet-{key}">{chainName(results, all)} of {site}</h2>
  <dl class="my-2 grid grid-cols-[auto_1fr] gap-x-4 sm:grid-cols-[auto_1fr_auto_1fr]">
    {#each sheet.facts as [label, value] (label)}
      <dt class="text-dim">{label}</dt>
      <dd class="num">{value}</dd>
    {/each}
  </dl>
  <ol class="mb-2 list-decimal pl-5 text-sm">
    {#each sheet.steps as step (step)}<li>{step}</li>{/each}
  </ol>
  <div class="overflow-x-auto">
    <table class="grid-table w-full">
      <thead>
        <tr>
          <th scope="col" class="fig"><span class="sr-only">Place</span></th>
          <th scope="col">Device</th>
          <th scope="col" class="fig">Address</th>
          <th scope="col">Serial</th>
          <th scope="col">120 Ω</th>
          <th scope="col" class="fig">Cable to it</th>
          <th scope="col" class="fig">Ohms</th>
          <th scope="col" class="fig">Idle</th>
          <th scope="col">Marks D1 / D0</th>
          <th scope="col">D1 / D0 colour</th>
          <th scope="col">Landed by</th>
        </tr>
      </thead>
      <tbody>
        {#each sheet.rows as r (r.id)}
          <tr>
            <td class="fig">{r.place}</td>
            <th scope="row">{r.device}</th>
            <td class="fig">{r.address}</td>
            <td class="num">{r.serial}</td>
            <td>{r.terminator}</td>
            <td class="fig">{r.cable}</td>
            <td class="fig">{r.ohms}</td>
            <td class="fig">{r.idle}</td>
            <td>{r.marks}</td>
            <td></td>
            <td></td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</section>
