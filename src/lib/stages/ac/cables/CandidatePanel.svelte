<script lang="ts">
  import type { PriceList } from '$core/ac/candidates/priceList';
  import type { Candidate } from '$core/ac/candidates/candidates';
  import { candidates } from '$core/ac/candidates/candidates';
  import { oneSectionUp, winners } from '$core/ac/candidates/winners';
  import { WEIGHED, lossKwhPerYear, worthOfSaved } from '$core/ac/candidates/cableCost';
  import { lineWords } from '$core/ac/cableWords';
  import type { RunResult } from '$core/ac/results';
  import { fixed } from '$core/kernel/quantity';
  import { useSite } from '$lib/client/siteState.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import FieldInput from '$lib/ui/form/FieldInput.svelte';
  import { fieldsOf } from '$lib/ui/form/fields';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import CandidateTable from './CandidateTable.svelte';
  import { pricesSchema } from './prices';

  let {
    result,
    results,
    list,
    onpick,
  }: {
    result: RunResult;
    results: readonly RunResult[];
    /** The company's prices; null while it has none. */
    list: PriceList | null;
    onpick: (id: string) => void;
  } = $props();
  const site = useSite();
  const fields = fieldsOf(pricesSchema, Object.keys(pricesSchema.shape));
  let values = $state<Record<string, unknown>>(Object.fromEntries(fields.map((f) => [f.path, null])));
  const parsed = $derived(pricesSchema.safeParse(values));
  const prices = $derived(parsed.data ?? null);
  const errors = (path: string) =>
    parsed.error?.issues.filter((i) => i.path[0] === path && values[path] !== null).map((i) => i.message) ?? [];
  const found = $derived(
    candidates(result, { Cu: prices?.copperPerKg ?? null, Al: prices?.aluminiumPerKg ?? null, list }),
  );
  const best = $derived(found.value ? winners(found.value.accepted) : null);
  const up = $derived(best?.cost && found.value ? oneSectionUp(best.cost, found.value.accepted) : null);
  const named = (c: Pick<Candidate, 'run'>) =>
    `${lineWords({ run: c.run, school: result.school })}, ${c.run.cores}, on ${c.run.breakerA} A`;

  /** What one section more saves a year and over the years it is weighed by, against what it costs more. */
  const saved = $derived.by(() => {
    if (!best?.cost || !up || prices?.fullLoadHours == null) return null;
    const kwh = lossKwhPerYear(best.cost.lossW - up.lossW, prices.fullLoadHours);
    const worth = prices.perKwh == null ? null : worthOfSaved(kwh, prices.perKwh);
    return { kwh, worth };
  });
  const take = (c: Candidate) => site.apply({ kind: 'run', run: c.run });
</script>

<section class="sheet space-y-3 p-3" aria-labelledby="cables">
  <header class="flex flex-wrap items-end gap-3">
    <h2 id="cables" class="mr-auto">Cables that could lie for {result.inverter.tag}</h2>
    <Choice
      label="Run"
      choices={results.map((r) => ({ value: r.inverter.id, name: r.inverter.tag }))}
      value={result.inverter.id}
      onchoose={onpick}
    />
  </header>
  <div class="grid grid-cols-2 gap-2 sm:grid-cols-4">
    {#each fields as field (field.path)}
      <FieldInput
        {field}
        id="price-{field.path}"
        bind:value={
          () => values[field.path], (next) => (values[field.path] = next === undefined || next === '' ? null : next)
        }
        errors={errors(field.path)}
      />
    {/each}
  </div>
  {#if !found.value}
    <p role="alert">Missing: {found.missing.join(', ')}.</p>
  {:else}
    {#if found.value.aside.length}
      <p class="text-sm text-dim">
        Not for the cable to mend: {found.value.aside.map((c) => `${c.title} (${c.verdict})`).join('; ')}.
      </p>
    {/if}
    {#if found.value.accepted.length}
      <CandidateTable accepted={found.value.accepted} {best} school={result.school} ontake={take} />
      {#if best?.cost && up}
        <p>
          One section up from <b>{named(best.cost)}</b>: {named(up)}
          {#if up.cost !== null && best.cost.cost !== null}costs <span class="num"
              >{fixed(up.cost.amount - best.cost.cost.amount, 0)}</span
            > more and{/if} loses <span class="num">{fixed(best.cost.lossW - up.lossW, 0)} W</span> less at full power{saved
            ? `, ${fixed(saved.kwh, 0)} kWh a year`
            : ''}{saved?.worth != null
            ? `, worth ${fixed(saved.worth, 0)} over ${WEIGHED.years} years (${100 * WEIGHED.interest} %, prices rising ${100 * WEIGHED.growth} %)`
            : ''}.
        </p>
      {/if}
    {:else}
      <p class="font-semibold">
        No cable is accepted on every rule. What is nearest stands below, with the rule in its way.
      </p>
    {/if}
    {#if found.value.nearMisses.length}
      <h3>One rule in the way</h3>
      <ul class="space-y-1">
        {#each found.value.nearMisses.slice(0, 12) as c (named(c))}
          {@const [rule] = c.broken}
          <li>
            <b class="num">{named(c)}</b>
            {#if rule}<VerdictMark verdict={rule.verdict} />
              {rule.title}: <span class="num text-sm text-dim">{rule.working.at(-1)}</span>{/if}
          </li>
        {/each}
      </ul>
    {/if}
    <details>
      <summary class="cursor-pointer font-semibold"
        >{found.value.rejected.length} with more than one rule in the way</summary
      >
      <table class="grid-table text-sm">
        <thead
          ><tr
            ><th scope="col">Cable</th><th scope="col">First rule it breaks</th><th scope="col" class="fig"
              >Rules, at least</th
            ></tr
          ></thead
        >
        <tbody>
          {#each found.value.rejected as c (named(c))}
            <tr><td class="num">{named(c)}</td><td>{c.broken[0]?.title}</td><td class="fig">{c.broken.length}</td></tr>
          {/each}
        </tbody>
      </table>
    </details>
    <p class="text-sm text-dim">
      Cost{list ? ` in ${list.currency}, by the company’s prices${list.invented ? ', which are invented' : ''}` : ''}:
      cable by the metre with lugs where the list has both; else, marked ≈, mass of the metal × its price × 1.6 for the
      cable, and lugs (common practice; a quotation wins). A price of a metal typed above goes before the list’s.
      {found.value.unpricedA.length
        ? `Without the breaker: ${found.value.unpricedA.map((a) => `${a} A`).join(', ')} ${found.value.unpricedA.length === 1 ? 'has' : 'have'} no price.`
        : 'The breaker is in it.'}
      Singles, and multicore of four or five cores; by the NEC school a run stays of its kind.
    </p>
  {/if}
</section>
