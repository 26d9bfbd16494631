<script lang="ts">
  import { RUN_ENDS_M, RUN_SLACK } from '$core/ac/results';
  import type { PlanLength } from '$core/design/lengths';
  import { fixed } from '$core/kernel/quantity';
  import { HOP_SLACK } from '$core/links/chain';
  import type { CableKind } from '$core/site/plan';
  import { CABLE_KINDS, CABLE_WORDS } from '$core/site/plan';
  import { HOME_RUN_SLACK } from '$core/strings/homeRun';
  import Find from '$lib/ui/form/Find.svelte';
  import type { PlanState } from './planState.svelte';

  let { plan }: { plan: PlanState } = $props();
  const percent = (share: number) => `${fixed(100 * share, 0)} %`;
  let find = $state('');
  /** Kinds that were opened or closed by hand. */
  const opened = $state<Partial<Record<CableKind, boolean>>>({});
  /** Rows drawn at once: whoever looks for one of two thousand types its name. */
  const MOST = 60;
  const TRAYS = $derived(new Map(plan.design.plan.trays.map((t) => [t.id, t.label])));
  const found = $derived(
    plan.lengths.filter((l) => `${l.from} ${l.to}`.toLowerCase().includes(find.trim().toLowerCase())),
  );
  const groups = $derived(
    CABLE_KINDS.map((kind) => {
      const of = plan.lengths.filter((l) => l.kind === kind);
      const rows = found.filter((l) => l.kind === kind);
      const known = of.flatMap((l) => (l.lengthM === null ? [] : [l.lengthM]));
      return { kind, of, rows, totalM: known.reduce((a, b) => a + b, 0), unknown: of.length - known.length };
    }),
  );
  const same = (a: PlanLength | null, b: PlanLength) => a?.kind === b.kind && a.id === b.id;
  const origin = (l: PlanLength) =>
    l.measured
      ? 'measured'
      : l.way === null
        ? 'one end is nowhere'
        : l.way.trays.length
          ? `by ${l.way.trays.map((t) => TRAYS.get(t) ?? t).join(', ')}`
          : 'straight, square corners';
</script>

<section class="sheet p-3" aria-labelledby="lengths">
  <header class="mb-1 flex flex-wrap items-center gap-3">
    <h2 id="lengths">Lengths</h2>
    <Find label="Find a length" placeholder="INV-07 or string 112" bind:value={find} />
  </header>
  {#each groups as { kind, of, rows, totalM, unknown } (kind)}
    <details bind:open={() => opened[kind] ?? (find !== '' && rows.length > 0), (open) => (opened[kind] = open)}>
      <summary class="cursor-pointer">
        <b>{CABLE_WORDS[kind]}</b>: <span class="num">{of.length}</span>{#if of.length}, together
          <span class="num">{fixed(totalM, 0)} m</span>{kind === 'dc' ? ' one way' : ''}{#if unknown}, <b
              class="num text-tight">{unknown}</b
            > not known{/if}{/if}
      </summary>
      {#if rows.length}
        <table class="grid-table">
          <thead
            ><tr
              ><th scope="col">From</th><th scope="col">To</th><th scope="col" class="fig">Length</th><th scope="col"
                >Where it is from</th
              ><th scope="col"><span class="sr-only">Show its way</span></th></tr
            ></thead
          >
          <tbody>
            {#each rows.slice(0, MOST) as l (l.id)}
              <tr class={same(plan.touched, l) ? 'bg-primary-50' : ''}>
                <th scope="row">{l.from}</th>
                <td>{l.to}</td>
                <td class="fig">{l.lengthM === null ? 'not known' : `${fixed(l.lengthM, 1)} m`}</td>
                <td>{origin(l)}</td>
                <td class="text-right"
                  >{#if l.way}<button
                      type="button"
                      class="underline"
                      aria-pressed={same(plan.touched, l)}
                      onclick={() => (plan.touched = same(plan.touched, l) ? null : l)}>way</button
                    >{/if}</td
                >
              </tr>
            {/each}
          </tbody>
        </table>
        {#if rows.length > MOST}<p class="text-sm text-dim">
            {MOST} of {rows.length} are shown: type a unit or a string above.
          </p>{/if}
      {:else}<p class="text-sm text-dim">{of.length ? 'None is called like that.' : 'None yet.'}</p>{/if}
    </details>
  {/each}
  <p class="mt-1 text-sm text-dim">
    Home runs with {percent(HOME_RUN_SLACK - 1)} slack over their way, AC runs with {percent(RUN_SLACK - 1)} and {fixed(
      RUN_ENDS_M,
      1,
    )} m inside unit and board, hops of the bus with {percent(HOP_SLACK)} and what both landed ends take (common practice).
    A measured length goes before the plan.
  </p>
</section>
