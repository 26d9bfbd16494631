<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { tighteningSteps } from '$core/mounting/fixing/tighteningOrder';
  import type { HungUnit } from '$core/mounting/results';
  import { setOutSheet } from '$core/mounting/setOut/setOutSheet';

  let {
    unit,
    onWall,
  }: { unit: HungUnit; /** All units of its wall: the set-out names holes by them. */ onWall: readonly HungUnit[] } =
    $props();
  const holes = $derived(setOutSheet(onWall).holes.filter((h) => h.kind === 'bracket' && h.tag === unit.unit.tag));
  const steps = $derived(holes.length >= 2 ? tighteningSteps(holes) : []);
  let at = $state(0);
  const step = $derived(steps[Math.min(at, steps.length - 1)] ?? null);
  const passes = $derived(steps.at(-1)?.pass ?? 0);
  const tight = $derived(new Set(steps.slice(0, at).flatMap((s) => (s.pass === step?.pass ? [s.screw] : []))));
  const PAD = 60;
  const box = $derived({
    x: Math.min(...holes.map((h) => h.xMm)) - PAD,
    y: Math.min(...holes.map((h) => h.yMm)) - PAD,
    width: Math.max(...holes.map((h) => h.xMm)) - Math.min(...holes.map((h) => h.xMm)) + 2 * PAD,
    height: Math.max(...holes.map((h) => h.yMm)) - Math.min(...holes.map((h) => h.yMm)) + 2 * PAD,
  });
  const up = (yMm: number) => 2 * box.y + box.height - yMm;
  const R = $derived(Math.max(box.width, box.height) / 22);
</script>

{#if step}
  {@const hole = holes[step.screw - 1]}
  <section class="sheet p-3" aria-labelledby="tightening">
    <h2 id="tightening">Tightening {unit.unit.tag}, one screw after the other</h2>
    <p role="status">
      {step.round ? 'Once round' : `Pass ${step.pass} of ${passes}`}, <b class="num">{step.percent} %</b> of the torque:
      <b class="num text-lg">hole {hole?.name}</b>
      <span class="num text-dim">turn {at + 1} of {steps.length}</span>
    </p>
    <svg
      viewBox="{box.x} {box.y} {box.width} {box.height}"
      class="my-1 max-h-56 w-full max-w-md border border-rule bg-white"
      role="img"
      aria-label="The bracket from the front: screw {step.screw} is next, {tight.size} of {holes.length} are done in this pass"
      font-size={R * 1.1}
    >
      {#each holes as h, i (h.name)}
        {@const now = i + 1 === step.screw}
        <circle
          cx={h.xMm}
          cy={up(h.yMm)}
          r={R}
          fill={now ? 'var(--color-primary-600)' : tight.has(i + 1) ? 'var(--color-primary-100)' : 'var(--color-paper)'}
          stroke="var(--color-ink)"
          stroke-width={R / 8}
        />
        <text x={h.xMm} y={up(h.yMm) + R * 0.4} text-anchor="middle" fill={now ? 'white' : 'var(--color-ink)'}
          >{h.name}</text
        >
      {/each}
    </svg>
    <div class="no-print flex gap-2">
      <Button size="xs" color="alternative" disabled={at === 0} onclick={() => (at -= 1)}>Back</Button>
      <Button size="xs" disabled={at >= steps.length - 1} onclick={() => (at += 1)}>Next screw</Button>
      <Button size="xs" color="alternative" disabled={at === 0} onclick={() => (at = 0)}>From the start</Button>
    </div>
  </section>
{/if}
