<script lang="ts">
  import { Button, Fileupload } from 'flowbite-svelte';
  import { fixed } from '$core/kernel/quantity';
  import { backdropSchema } from '$core/site/plan';
  import { useSite } from '$lib/client/siteState.svelte';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import { BackdropState } from './backdropState.svelte';
  import { DXF_UNITS, scaledDrawing } from './dxfLines';

  const site = useSite();
  const plan = $derived(site.design.plan);
  const back = new BackdropState(site);
  /** For a drawing that does not say its unit. */
  const NO_UNIT = -1;
  const layForm = backdropSchema.omit({ id: true, name: true });
  let files = $state<FileList | null>(null);
  function read() {
    const [file] = files ?? [];
    if (file) void back.read(file);
  }
  const { picture, drawing } = $derived(back);
  function click(e: MouseEvent & { currentTarget: SVGSVGElement }) {
    const m = e.currentTarget.getScreenCTM()?.inverse();
    if (m) back.point(new DOMPoint(e.clientX, e.clientY).matrixTransform(m));
  }
  const size = $derived.by(() => {
    if (!drawing || !back.unit) return '';
    try {
      const { widthM, heightM } = scaledDrawing(drawing, back.unit);
      return `${fixed(widthM, 1)} × ${fixed(heightM, 1)} m`;
    } catch (cause) {
      return (cause as Error).message;
    }
  });
  const setBackdrop = (backdrop: typeof plan.backdrop) =>
    site.apply({ kind: 'plan', northDeg: plan.northDeg, levels: plan.levels, backdrop });
</script>

<section class="sheet p-3" aria-label="To trace over">
  <h2>To trace over</h2>
  <p class="mb-1 text-sm text-dim">
    A picture or a DXF drawing lies behind the plan, to scale. Nothing is reckoned from it, and a project file leaves it
    behind.
  </p>
  <label for="backdrop-file" class="text-sm text-dim">Picture or DXF</label>
  <Fileupload
    id="backdrop-file"
    size="sm"
    accept=".png,.jpg,.jpeg,.webp,.dxf,image/*"
    disabled={back.working}
    bind:files
    onchange={read}
  />
  {#if back.working}<p role="status" class="text-sm">Working …</p>{/if}
  {#if back.trouble}<p role="alert" class="mt-1 border-l-4 border-stop bg-paper px-2 py-1 text-sm">
      {back.trouble}
    </p>{/if}
  {#if picture}
    <p class="mt-2 text-sm">Click two points between which the distance is known:</p>
    <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
    <svg
      viewBox="0 0 {picture.widthPx} {picture.heightPx}"
      class="mt-1 block max-h-96 w-full cursor-crosshair border border-rule bg-white"
      role="img"
      aria-label="{picture.name}, to set its scale"
      onclick={click}
    >
      <image href={picture.url} width={picture.widthPx} height={picture.heightPx} />
      {#each back.points as p, i (i)}
        <circle
          cx={p.x}
          cy={p.y}
          r={picture.widthPx / 90}
          fill="none"
          stroke="var(--color-stop)"
          stroke-width={picture.widthPx / 250}
        />
      {/each}
      {#if back.points.length === 2}<path
          d="M{back.points[0]?.x} {back.points[0]?.y}L{back.points[1]?.x} {back.points[1]?.y}"
          stroke="var(--color-stop)"
          stroke-width={picture.widthPx / 250}
        />{/if}
    </svg>
    <Amount label="Distance between them" unit="m" width="w-full" min={0} bind:value={back.distanceM} />
  {:else if drawing}
    <Choice
      label="Unit of the drawing"
      wide
      choices={[
        { value: NO_UNIT, name: 'it does not say' },
        ...DXF_UNITS.map((unit) => ({ value: unit.code, name: unit.name })),
      ]}
      value={back.unit?.code ?? NO_UNIT}
      onchoose={(code) => (back.unit = DXF_UNITS.find((unit) => unit.code === code) ?? null)}
    />
    <p class="mt-1 text-sm">{drawing.lines.length} lines{size ? `, ${size}` : ''}</p>
  {/if}
  {#if picture ?? drawing}
    <div class="mt-1 flex flex-wrap items-center gap-3 text-sm">
      <Button size="xs" disabled={back.wanting !== '' || back.working} onclick={() => back.putBehind()}
        >Put it behind the plan</Button
      >
      <button type="button" class="underline" onclick={() => back.leave()}>Leave it</button>
      {#if back.wanting}<span class="text-dim">{back.wanting}</span>{/if}
    </div>
  {/if}
  {#if plan.backdrop}
    <div class="mt-2 border-t border-rule pt-2">
      <p class="text-sm">
        Behind the plan: <b>{plan.backdrop.name}</b>
        <button type="button" class="ml-2 underline" onclick={() => setBackdrop(null)}>Take it away</button>
      </p>
      {#key plan.backdrop}
        <EditForm
          schema={layForm}
          value={plan.backdrop}
          prefix="backdrop"
          label="Lay it so"
          drafts={false}
          groups={[{ title: '', paths: ['widthM', 'heightM', 'xM', 'yM'] }]}
          save={(value) =>
            plan.backdrop ? setBackdrop({ ...plan.backdrop, ...layForm.parse(value) }) : Promise.resolve(null)}
        />
      {/key}
    </div>
  {/if}
</section>
