<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { RunResult } from '$core/ac/results';
  import { lineWords } from '$core/ac/cableWords';
  import { runResults } from '$core/ac/results';
  import { ARRANGEMENTS_IN_AIR, SPACINGS_IN_GROUND } from '$core/conductor/laid';
  import { worstCheck } from '$core/kernel/check';
  import { fixed, formatQuantity } from '$core/kernel/quantity';
  import { acRunSchema } from '$core/ac/part';
  import { boardSchema } from '$core/site/parts';
  import type { AcRun } from '$core/ac/part';
  import type { Board } from '$core/site/parts';
  import { useSite } from '$lib/client/siteState.svelte';
  import BayDrawing from '$lib/ui/BayDrawing.svelte';
  import Caution from '$lib/ui/Caution.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import MarginLedger from '$lib/ui/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  const site = useSite();
  const design = $derived(site.design);
  const results = $derived(runResults(design));
  const checks = $derived(site.assessment.checks.filter((c) => c.id.startsWith('ac.')));
  let picked = $state('');
  const result = $derived(results.find((r) => r.inverter.id === picked) ?? results[0]);
  const own = $derived(checks.filter((c) => c.subject.id === result?.inverter.id));
  const verdictOf = (id: string) => worstCheck(checks.filter((c) => c.subject.id === id));

  const runForm = acRunSchema.omit({ inverterId: true });
  const boardForm = boardSchema.omit({ position: true });
  const GROUPS = [
    {
      title: 'Route',
      paths: [
        'lengthM',
        'method',
        'arrangement',
        'otherCircuits',
        'ambientC',
        'sunOnCable',
        'soilKmPerW',
        'depthM',
        'ductDiameterMm',
      ],
    },
    {
      title: 'Breaker at the board',
      paths: ['breakerA', 'breakerKind', 'breakerAmbientC', 'breakerGroupFactor', 'residualFitted'],
    },
    {
      title: 'Conductors',
      paths: [
        'metal',
        'insulation',
        'cores',
        'sectionMm2',
        'parallel',
        'peMm2',
        'peMetal',
        'peInCable',
        'externalEarthMm2',
        'externalEarthMetal',
      ],
    },
    { title: 'Measured on the parts in hand', paths: ['cableDiameterMm', 'palmWidthMm', 'palmThicknessMm'] },
  ];
  /** The arrangements of the method by the site's school; where that has no table yet, all there are. */
  const arrangements = $derived.by(() => {
    const method = result?.run.method ?? null;
    const own = (method && result?.school.arrangements(method)) || [];
    return own.length ? own : [...ARRANGEMENTS_IN_AIR, ...SPACINGS_IN_GROUND];
  });
  const lugWords = (r: RunResult) => {
    const lug = r.lug.value;
    return lug ? `${lug.sectionMm2}-M${lug.studM}` : '–';
  };
  const names = (values: readonly string[]) => values.map((value) => ({ value, name: value }));

  /** Copies what is alike along the tray from the run on screen to all others; lengths and measured parts stay their own. */
  async function spread() {
    if (!result) return;
    const {
      inverterId: _i,
      lengthM: _l,
      cableDiameterMm: _c,
      palmWidthMm: _w,
      palmThicknessMm: _t,
      ...shared
    } = result.run;
    for (const other of results)
      if (other.inverter.id !== result.inverter.id) await site.apply({ kind: 'run', run: { ...other.run, ...shared } });
  }
  async function suggest(all: boolean) {
    const wanted = all ? results : result ? [result] : [];
    for (const r of wanted) if (await site.apply({ kind: 'suggest-run', inverterId: r.inverter.id })) return;
  }
</script>

<Stage>
  {#snippet main()}
    <Caution
      >Two sources: opening the inverter’s breaker leaves the grid side live. Lock off, prove dead on both sides, prove
      the tester before and after. Licensed electrical workers only; local code rules.</Caution
    >
    {#if results.length === 0}
      <p class="sheet p-6 text-dim">
        No run yet: each inverter on the <a class="underline" href="/sites/{site.siteId}/survey">survey</a> gets one to the
        board.
      </p>
    {:else}
      <section class="sheet overflow-x-auto p-3" aria-labelledby="schedule">
        <header class="mb-1 flex items-center gap-3">
          <h2 id="schedule">Schedule of runs to {design.board.label}</h2>
          <Button size="xs" color="alternative" onclick={() => suggest(true)}>Size all runs</Button>
        </header>
        <table class="grid-table">
          <thead
            ><tr
              ><th scope="col">Run</th><th scope="col">I<sub>b</sub></th><th scope="col">Breaker</th><th scope="col"
                >Cable</th
              ><th scope="col">Length</th><th scope="col">I<sub>z</sub></th><th scope="col">Rise</th><th scope="col"
                >PE</th
              ><th scope="col">Lug</th><th scope="col">Torque</th><th scope="col">Verdict</th></tr
            ></thead
          >
          <tbody>
            {#each results as r (r.inverter.id)}
              <tr class={r.inverter.id === result?.inverter.id ? 'bg-primary-50' : ''}>
                <th scope="row"
                  ><button
                    type="button"
                    class="underline"
                    aria-pressed={r.inverter.id === result?.inverter.id}
                    onclick={() => (picked = r.inverter.id)}>{r.inverter.tag}</button
                  ></th
                >
                <td class="num">{fixed(r.designCurrent.currentA, 1)} A</td><td class="num"
                  >{formatQuantity(r.run.breakerA, 'A')}</td
                >
                <td class="num whitespace-nowrap">{lineWords(r.run)}</td>
                <td class="num">{formatQuantity(r.run.lengthM, 'm')}</td><td class="num"
                  >{formatQuantity(r.ampacity.value?.izA, 'A')}</td
                >
                <td class="num">{formatQuantity(r.rise.value?.percent, '%')}</td><td class="num"
                  >{r.run.peMm2 ?? '–'} mm²</td
                >
                <td class="num whitespace-nowrap">{lugWords(r)}</td>
                <td class="num whitespace-nowrap">{r.torque ? `${r.torque.lowNm}–${r.torque.highNm} N·m` : '–'}</td>
                <td><VerdictMark verdict={verdictOf(r.inverter.id)} /></td>
              </tr>
            {/each}
          </tbody>
        </table>
      </section>
    {/if}
    {#if result}
      <section class="sheet p-3" aria-labelledby="run">
        <header class="mb-2 flex flex-wrap items-center gap-3">
          <h2 id="run">Run of {result.inverter.tag}</h2>
          <Button size="xs" color="alternative" onclick={() => suggest(false)}>Size this run</Button>
          <Button size="xs" color="alternative" onclick={spread}>Same route and cable for all</Button>
        </header>
        {#key result.run}
          <EditForm
            schema={runForm}
            value={result.run}
            groups={GROUPS}
            prefix="run-{result.inverter.id}"
            label="Save the run"
            choices={{ arrangement: names(arrangements) }}
            save={(value) =>
              site.apply({
                kind: 'run',
                run: { ...(value as Omit<AcRun, 'inverterId'>), inverterId: result.inverter.id },
              })}
          />
        {/key}
      </section>
      <section class="sheet p-3" aria-labelledby="bay">
        <h2 id="bay">AC bay of {result.inverter.tag}</h2>
        <BayDrawing {result} gap={own.find((c) => c.id === 'ac.palm-gap') ?? null} />
        <ul class="mt-2 list-disc pl-5 text-sm">
          <li>
            PE first, then the neutral and the phases back to front. Heat-shrink goes on the cable <b>before</b> the lug.
          </li>
          <li>
            Torque {result.torque ? `${result.torque.lowNm} to ${result.torque.highNm} N·m` : 'unknown'} ({result.torque
              ?.source ?? 'no origin'}). A print beside the stud outranks a table.
          </li>
          {#if result.run.metal === 'Al'}<li>
              Aluminium: bimetal lug, brush the oxide, paste within a minute, crimp, wipe.
            </li>{/if}
        </ul>
      </section>
    {/if}
    <section class="sheet p-3" aria-labelledby="board">
      <h2 id="board" class="mb-2">Board</h2>
      {#key design.board}
        <EditForm
          schema={boardForm}
          value={design.board}
          groups={[{ title: '', paths: ['label', 'busbarA', 'mainBreakerA', 'mainAmbientC'] }]}
          prefix="board"
          label="Save the board"
          save={(value) =>
            site.apply({ kind: 'board', board: { ...design.board, ...(value as Omit<Board, 'position'>) } })}
        />
      {/key}
    </section>
  {/snippet}
  {#snippet side()}
    {#if result}<MarginLedger checks={own} title="Margins: {result.inverter.tag}" />{/if}
    <MarginLedger
      checks={checks.filter((c) => c.subject.element === 'board' || c.id === 'ac.transformer-load')}
      title="Margins: board and grid"
    />
  {/snippet}
</Stage>
