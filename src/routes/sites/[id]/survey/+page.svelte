<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { MODULE_MOUNTING } from '$core/equipment/moduleMounting';
  import { surveySchema } from '$core/site/survey';
  import type { Question } from '$core/site/temperatureQuestions';
  import { openTemperatureQuestions } from '$core/site/temperatureQuestions';
  import type { Plane, SiteInverter } from '$core/site/parts';
  import type { Survey } from '$core/site/survey';
  import { useSite } from '$lib/client/siteState.svelte';
  import {
    halfPlace,
    inverterForm,
    inverterFromForm,
    inverterToForm,
    planeForm,
    planeFromForm,
    planeToForm,
  } from '$lib/schemas/forms';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import MarginLedger from '$lib/ui/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';
  import { planeLetter } from '$lib/ui/planeGlyph';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { data } = $props();
  const site = useSite();
  let open = $state<{ kind: 'plane' | 'inverter'; id: string } | null>(null);
  const design = $derived(site.design);
  const modules = $derived([
    ...design.equipment.modules,
    ...data.shelf.modules.filter((m) => !design.equipment.modules.some((o) => o.id === m.id)),
  ]);
  const inverterTypes = $derived([
    ...design.equipment.inverters,
    ...data.shelf.inverters.filter((t) => !design.equipment.inverters.some((o) => o.id === t.id)),
  ]);
  const checks = $derived(
    site.assessment.checks.filter((c) => c.subject.element === 'module' || c.subject.element === 'grid'),
  );
  const named = (items: readonly { id: string; name: string }[]) => items.map((i) => ({ value: i.id, name: i.name }));
  const freshId = (kind: string) => `${kind}-${crypto.randomUUID().slice(0, 8)}`;

  const GROUPS = [
    { title: 'Place', paths: ['name', 'place', 'latitudeDeg', 'longitudeDeg', 'altitudeM', 'timeZone'] },
    {
      title: 'Design temperatures and DC',
      paths: [
        'coldestC',
        'hottestC',
        'school',
        'building',
        'dcLegalMaxV',
        'coldMethod',
        'engineeredDocument',
        'countUocTolerance',
      ],
    },
    {
      title: 'Grid',
      paths: [
        'lineV',
        'frequencyHz',
        'service',
        'transformerKva',
        'transformerImpedancePercent',
        'boardHighestV',
        'gridCode',
      ],
    },
    { title: 'Fitted on site', paths: ['rcdFitted', 'stopFitted', 'contactsFitted'] },
  ];
  const PLACE = ['xM', 'yM', 'zM'];

  async function savePlane(id: string, value: unknown) {
    const plane = planeFromForm(id, planeForm.parse(value));
    const type = modules.find((m) => m.id === plane.moduleTypeId);
    if (type && !design.equipment.modules.some((m) => m.id === type.id)) {
      const problem = await site.apply({ kind: 'module-type', type });
      if (problem) return problem;
    }
    const problem = await site.apply({ kind: 'plane', plane });
    if (!problem) open = null;
    return problem;
  }
  async function saveInverter(id: string, value: unknown) {
    const inverter = inverterFromForm(id, inverterForm.parse(value));
    const type = inverterTypes.find((t) => t.id === inverter.typeId);
    if (type && !design.equipment.inverters.some((t) => t.id === type.id)) {
      const problem = await site.apply({ kind: 'inverter-type', type });
      if (problem) return problem;
    }
    const problem = await site.apply({ kind: 'inverter', inverter });
    if (!problem) open = null;
    return problem;
  }
  const blankPlane = (): Plane => ({
    id: freshId('plane'),
    label: '',
    tiltDeg: 10,
    azimuthDeg: 180,
    moduleTypeId: modules[0]?.id ?? '',
    moduleCount: 0,
    mounting: 'pitched_gap',
    rearShare: null,
    position: null,
    edgeM: 0,
    engineeredUocColdV: null,
  });
  const blankInverter = (): SiteInverter => ({
    id: freshId('inv'),
    tag: `INV-${String(design.inverters.length + 1).padStart(2, '0')}`,
    typeId: design.inverters.at(-1)?.typeId ?? inverterTypes[0]?.id ?? '',
    position: null,
  });
  let draftPlane = $state.raw<Plane | null>(null);
  let draftInverter = $state.raw<SiteInverter | null>(null);
  const planeRows = $derived(
    draftPlane && !design.planes.some((p) => p.id === draftPlane?.id) ? [...design.planes, draftPlane] : design.planes,
  );
  const inverterRows = $derived(
    draftInverter && !design.inverters.some((i) => i.id === draftInverter?.id)
      ? [...design.inverters, draftInverter]
      : design.inverters,
  );

  function close() {
    open = null;
    draftPlane = null;
    draftInverter = null;
  }
  /** What looks like a slip in the design temperatures; an answer is kept for the very values. */
  const questions = $derived(openTemperatureQuestions(design.survey));
  const confirm = ({ question, of }: Question) =>
    site.apply({
      kind: 'survey',
      survey: { ...design.survey, confirmed: [...design.survey.confirmed, { question, of }].slice(-50) },
    });
  /** The usual shares of light from behind, as a help beside the field. */
  const usualShares = Object.values(MODULE_MOUNTING)
    .filter((m) => m.rearRatio > 0)
    .map((m) => `${m.words} ${m.rearRatio}`)
    .join('; ');
  const place = (p: Plane['position']) => (p ? `${p.xM} / ${p.yM} / ${p.zM}` : 'not known yet');
</script>

<Stage>
  {#snippet main()}
    <section class="sheet p-3">
      <h2 class="mb-2">Place and grid</h2>
      {#key design.survey}
        <EditForm
          schema={surveySchema}
          value={design.survey}
          groups={GROUPS}
          prefix="survey"
          label="Save the survey"
          save={(value) => site.apply({ kind: 'survey', survey: value as Survey })}
        />
      {/key}
      {#if questions.length}
        <ul class="mt-2 border-l-4 border-tight bg-paper px-3 py-2 text-sm" aria-label="Asked about the temperatures">
          {#each questions as q (q.question)}
            <li class="flex flex-wrap items-center gap-3">
              <VerdictMark verdict="unknown" word={false} />
              {q.text}
              <button type="button" class="underline" onclick={() => confirm(q)}>It is right, keep it</button>
            </li>
          {/each}
        </ul>
      {/if}
      <p class="mt-2 max-w-prose text-sm text-dim">
        Lowest temperature: the coldest expected morning, not a typical year’s. The legal DC limit depends on the
        edition in force: 1500 V, or 1000 V on buildings under older ones.
      </p>
    </section>

    <section class="sheet p-3">
      <header class="mb-2 flex items-center gap-3">
        <h2>Planes</h2>
        <Button
          size="xs"
          onclick={() => {
            close();
            draftPlane = blankPlane();
            open = { kind: 'plane', id: draftPlane.id };
          }}>Add a plane</Button
        >
      </header>
      {#if planeRows.length === 0}<p class="text-dim">
          No plane yet: a roof face with one module type, one tilt and one azimuth.
        </p>{:else}
        <table class="grid-table">
          <thead
            ><tr
              ><th scope="col"></th><th scope="col">Plane</th><th scope="col">Tilt</th><th scope="col">Azimuth</th><th
                scope="col">Modules</th
              ><th scope="col">Type</th><th scope="col">Home run starts at x/y/z [m]</th><th scope="col"></th></tr
            ></thead
          >
          <tbody>
            {#each planeRows as p, i (p.id)}
              <tr>
                <td><span class="border border-ink px-1 font-bold">{planeLetter(i)}</span></td>
                <th scope="row">{p.label || 'new plane'}</th><td class="num">{p.tiltDeg}°</td><td class="num"
                  >{p.azimuthDeg}°</td
                ><td class="num">{p.moduleCount}</td>
                <td>{modules.find((m) => m.id === p.moduleTypeId)?.name ?? p.moduleTypeId}</td><td class="num"
                  >{place(p.position)}</td
                >
                <td class="text-right whitespace-nowrap">
                  <button
                    type="button"
                    class="underline"
                    onclick={() => (open = open?.id === p.id ? null : { kind: 'plane', id: p.id })}
                    >{open?.id === p.id ? 'close' : 'change'}</button
                  >
                  {#if design.planes.some((o) => o.id === p.id)}<button
                      type="button"
                      class="ml-2 underline"
                      onclick={() => site.apply({ kind: 'remove-plane', planeId: p.id })}>remove</button
                    >{/if}
                </td>
              </tr>
              {#if open?.kind === 'plane' && open.id === p.id}
                <tr
                  ><td colspan="8" class="bg-paper">
                    <EditForm
                      schema={planeForm}
                      value={planeToForm(p)}
                      prefix="plane-{p.id}"
                      label="Save the plane"
                      refine={halfPlace}
                      groups={[
                        {
                          title: '',
                          paths: [
                            'label',
                            'moduleTypeId',
                            'moduleCount',
                            'mounting',
                            'rearShare',
                            'tiltDeg',
                            'azimuthDeg',
                            ...PLACE,
                            'edgeM',
                            'engineeredUocColdV',
                          ],
                        },
                      ]}
                      choices={{ moduleTypeId: named(modules) }}
                      save={(value) => savePlane(p.id, value)}
                    />
                    <p class="mt-1 max-w-prose text-sm text-dim">
                      Light on the rear counts for modules that see behind. Usual (common practice): {usualShares}; else
                      0.
                    </p>
                  </td></tr
                >
              {/if}
            {/each}
          </tbody>
        </table>
      {/if}
    </section>

    <section class="sheet p-3">
      <header class="mb-2 flex items-center gap-3">
        <h2>Inverters</h2>
        <Button
          size="xs"
          onclick={() => {
            close();
            draftInverter = blankInverter();
            open = { kind: 'inverter', id: draftInverter.id };
          }}>Add an inverter</Button
        >
      </header>
      {#if inverterRows.length === 0}<p class="text-dim">
          No inverter yet. A type comes from the Shelf; the site keeps its own copy of the data sheet.
        </p>{:else}
        <table class="grid-table">
          <thead
            ><tr
              ><th scope="col">Tag</th><th scope="col">Type</th><th scope="col">Hangs at x/y/z [m]</th><th scope="col"
              ></th></tr
            ></thead
          >
          <tbody>
            {#each inverterRows as unit (unit.id)}
              <tr>
                <th scope="row">{unit.tag}</th><td
                  >{inverterTypes.find((t) => t.id === unit.typeId)?.name ?? unit.typeId}</td
                ><td class="num">{place(unit.position)}</td>
                <td class="text-right whitespace-nowrap">
                  <button
                    type="button"
                    class="underline"
                    onclick={() => (open = open?.id === unit.id ? null : { kind: 'inverter', id: unit.id })}
                    >{open?.id === unit.id ? 'close' : 'change'}</button
                  >
                  {#if design.inverters.some((o) => o.id === unit.id)}<button
                      type="button"
                      class="ml-2 underline"
                      onclick={() => site.apply({ kind: 'remove-inverter', inverterId: unit.id })}>remove</button
                    >{/if}
                </td>
              </tr>
              {#if open?.kind === 'inverter' && open.id === unit.id}
                <tr
                  ><td colspan="4" class="bg-paper">
                    <EditForm
                      schema={inverterForm}
                      value={inverterToForm(unit)}
                      prefix="inverter-{unit.id}"
                      label="Save the inverter"
                      refine={halfPlace}
                      groups={[{ title: '', paths: ['tag', 'typeId', ...PLACE] }]}
                      choices={{ typeId: named(inverterTypes) }}
                      save={(value) => saveInverter(unit.id, value)}
                    />
                  </td></tr
                >
              {/if}
            {/each}
          </tbody>
        </table>
      {/if}
    </section>
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: modules and grid" />{/snippet}
</Stage>
