<script lang="ts">
  import { z } from 'zod';
  import type { RunResult } from '$core/ac/results';
  import { runWay } from '$core/ac/results';
  import { SIDEWALL_MOST_N_PER_M, legsOf, pullMostN, pullOf, pulledKgPerM, reversed } from '$core/ac/schedule/pull';
  import { CONDUCTORS } from '$core/ac/wiring';
  import { fixed } from '$core/kernel/quantity';
  import { quantity } from '$core/kernel/schema';
  import { useSite } from '$lib/client/siteState.svelte';
  import FieldInput from '$lib/ui/form/FieldInput.svelte';
  import { fieldsOf } from '$lib/ui/form/fields';

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

  const pulls = $derived(
    results.map((r) => {
      const { run, inverter, type } = r;
      const way = runWay(site.design.plan, inverter, site.design.board);
      const kg = pulledKgPerM(run, CONDUCTORS[type.wiring]);
      const missing = [...kg.missing, ...(way ? [] : [`where ${inverter.tag} and the board stand`])];
      if (!parsed.data || !way || kg.value === null || !run.metal || !run.sectionMm2 || !run.parallel)
        return { tag: inverter.tag, id: inverter.id, missing, pull: null };
      const { friction, radiusM } = parsed.data;
      const of = (points: typeof way.points) => pullOf(legsOf(points), kg.value, friction, radiusM);
      const [toBoard, toUnit] = [of(way.points), of(reversed(way.points))];
      const best = toBoard.tensionN <= toUnit.tensionN ? toBoard : toUnit;
      const mostN = pullMostN(run.metal, run.sectionMm2, run.parallel);
      const turns = legsOf(way.points).reduce((sum, l) => sum + l.bendRad, 0);
      return {
        tag: inverter.tag,
        id: inverter.id,
        missing,
        pull: {
          best,
          end: best === toBoard ? 'the board' : 'the unit',
          other: best === toBoard ? toUnit : toBoard,
          mostN,
          turns,
          kg: kg.value,
        },
      };
    }),
  );
  const kn = (n: number) => fixed(n / 1000, 2);
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
      <thead
        ><tr
          ><th scope="col">Run</th><th scope="col" class="fig">kg/m</th><th scope="col" class="fig">Turns</th><th
            scope="col">Pull from</th
          ><th scope="col" class="fig">Tension</th><th scope="col" class="fig">from the other end</th><th
            scope="col"
            class="fig">most</th
          ><th scope="col" class="fig">Sidewall</th></tr
        ></thead
      >
      <tbody>
        {#each pulls as { tag, id, missing, pull } (id)}
          <tr>
            <th scope="row">{tag}</th>
            {#if pull}
              {@const over = pull.best.tensionN > pull.mostN}
              {@const pressed = pull.best.sidewallNPerM > SIDEWALL_MOST_N_PER_M}
              <td class="fig">{fixed(pull.kg, 2)}</td>
              <td class="fig">{fixed((pull.turns * 180) / Math.PI, 0)}°</td>
              <td>{pull.end}</td>
              <td class="fig {over ? 'text-stop' : ''}">{kn(pull.best.tensionN)} kN{over ? ', too much' : ''}</td>
              <td class="fig">{kn(pull.other.tensionN)} kN</td>
              <td class="fig">{kn(pull.mostN)} kN</td>
              <td class="fig {pressed ? 'text-stop' : ''}"
                >{kn(pull.best.sidewallNPerM)} of {kn(SIDEWALL_MOST_N_PER_M)} kN/m</td
              >
            {:else}<td colspan="7" class="text-dim">Missing: {missing.join(', ')}</td>{/if}
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
