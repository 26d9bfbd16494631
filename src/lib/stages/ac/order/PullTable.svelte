<script lang="ts">
  import { z } from 'zod';
  import type { RunResult } from '$core/ac/results';
  import { runWay } from '$core/ac/results';
  import { pullChecks, pulledRun } from '$core/ac/schedule/pulledRun';
  import { fixed } from '$core/kernel/quantity';
  import { quantity } from '$core/kernel/schema';
  import { useSite } from '$lib/client/siteState.svelte';
  import FieldInput from '$lib/ui/form/FieldInput.svelte';
  import { fieldsOf } from '$lib/ui/form/fields';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { results }: { results: readonly RunResult[] } = $props();
  const site = useSite();
  const asked = z.object({
    friction: quantity(0.05, 1, '', 'Friction: rollers 0.2, greased duct 0.3, dry 0.5'),
    radiusM: quantity(0.1, 10, 'm', 'Radius of the bends'),
  });
  const fields = fieldsOf(asked, Object.keys(asked.shape));
  let values = $state<Record<string, unknown>>({ friction: null, radiusM: null });
  const parsed = $derived(asked.safeParse(values));
  const errors = (path: string) =>
    parsed.error?.issues.filter((i) => i.path[0] === path && values[path] !== null).map((i) => i.message) ?? [];

  const pulls = $derived.by(() => {
    if (!parsed.data) return [];
    const { friction, radiusM } = parsed.data;
    return results.map((r) => {
      const way = runWay(site.design.plan, r.inverter, site.design.board);
      const pulled = pulledRun(r, way?.points ?? null, friction, radiusM);
      const [sidewall, tension] = pullChecks(pulled);
      return { ...pulled, sidewall, tension };
    });
  });
  const kn = (n: number) => fixed(n / 1000, 2);
  const of = (n: number | null) => (n === null ? '–' : kn(n));
</script>

<section class="sheet overflow-x-auto p-3" aria-labelledby="pulls">
  <h2 id="pulls">Pulling the cables</h2>
  <div class="flex flex-wrap items-end gap-3">
    {#each fields as field (field.path)}
      <div class="w-80">
        <FieldInput
          {field}
          id="pull-{field.path}"
          bind:value={() => values[field.path], (next) => (values[field.path] = next === undefined ? null : next)}
          errors={errors(field.path)}
        />
      </div>
    {/each}
  </div>
  {#if parsed.success}
    <table class="grid-table mt-2">
      <thead>
        <tr>
          <th scope="col">Run</th>
          <th scope="col" class="fig">kg/m</th>
          <th scope="col" class="fig">Turns</th>
          <th scope="col">Pull from</th>
          <th scope="col" class="fig">From the other end</th>
          <th scope="col">Tension</th>
          <th scope="col">Sidewall</th>
        </tr>
      </thead>
      <tbody>
        {#each pulls as { tag, id, kgPerM, chosen, tension, sidewall } (id)}
          <tr>
            <th scope="row">{tag}</th>
            {#if chosen.value && tension && sidewall}
              {@const { from, otherN, turnsRad } = chosen.value}
              <td class="fig">{fixed(kgPerM.value ?? 0, 2)}</td>
              <td class="fig">{fixed((turnsRad * 180) / Math.PI, 0)}°</td>
              <td>the {from}</td>
              <td class="fig">{kn(otherN)} kN</td>
              {#each [tension, sidewall] as check (check.id)}
                <td class="whitespace-nowrap">
                  <VerdictMark verdict={check.verdict} />
                  <span class="num">{of(check.value)} of {of(check.limit)} k{check.unit}</span>
                </td>
              {/each}
            {:else}<td colspan="6" class="text-dim">Missing: {chosen.missing.join(', ')}</td>{/if}
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="mt-1 text-sm text-dim">
      Along the way on the plan, all cables of a run at once, pulled by their conductors: copper 50, aluminium 30 N/mm²
      on three lines. T = w·g·(μ·l + h), e<sup>μθ</sup> behind a bend. The maker’s figures win.
    </p>
  {:else}<p class="mt-1 text-sm text-dim">With friction and radius, the tension of every pull stands here.</p>{/if}
</section>
