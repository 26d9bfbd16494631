<script lang="ts">
  import type { CableTotals } from '$core/ac/schedule/cableList';
  import { fixed } from '$core/kernel/quantity';

  let { totals }: { totals: CableTotals } = $props();
</script>

<section class="sheet overflow-x-auto p-3" aria-labelledby="totals">
  <h2 id="totals">What the AC runs take</h2>
  {#if totals.kinds.length}
    <table class="grid-table">
      <thead
        ><tr
          ><th scope="col">Cable</th><th scope="col" class="fig">Pieces</th><th scope="col" class="fig">Length</th><th
            scope="col"
            class="fig">Metal</th
          ></tr
        ></thead
      >
      <tbody>
        {#each totals.kinds as k (k.name)}
          <tr
            ><th scope="row" class="num">{k.name}</th><td class="fig">{k.cuts.length}</td><td class="fig"
              >{fixed(k.metres, 1)} m</td
            ><td class="fig">{fixed(k.conductorKg, 0)} kg</td></tr
          >
        {/each}
      </tbody>
    </table>
    <p class="mt-1">
      Copper <b class="num">{fixed(totals.copperKg, 0)} kg</b>, aluminium
      <b class="num">{fixed(totals.aluminiumKg, 0)} kg</b>, <b class="num">{totals.lugs}</b> lugs at both ends,
      <b class="num">{totals.glands}</b> entries at the units.
    </p>
    <p class="text-sm text-dim">
      Lengths as entered; where none was, by the plan with 5 % of slack and what the ends take. Metal is that of the
      conductors alone.
    </p>
  {/if}
  {#if totals.without.length}
    <p role="status" class="border-l-4 border-tight px-2">
      Not in it: {totals.without.map((w) => `${w.tag} (${w.missing.join(', ')})`).join('; ')}.
    </p>
  {/if}
</section>
