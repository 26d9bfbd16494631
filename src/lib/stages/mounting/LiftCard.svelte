<script lang="ts">
  import type { Check } from '$core/kernel/check';
  import { fixed } from '$core/kernel/quantity';
  import { handleShares } from '$core/mounting/lift/handles';
  import { crewOf } from '$core/mounting/lift/crewOf';
  import { liftLimit } from '$core/mounting/lift/liftingEquation';
  import { teamLift } from '$core/mounting/lift/team';
  import type { HungUnit } from '$core/mounting/results';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { unit, checks }: { unit: HungUnit; checks: readonly Check[] } = $props();
  const crew = $derived(crewOf(unit));
  const body = $derived(unit.type.body);
  const verdict = $derived(checks.find((c) => c.id === 'mounting.handles' && c.subject.id === unit.unit.id)?.verdict);
  const m = (p: { xMm: number; yMm: number }) => ({ xM: p.xMm / 1000, yM: p.yMm / 1000 });
  const shares = $derived.by(() => {
    if (unit.type.massKg === null || body.centreXMm === null || body.centreYMm === null) return null;
    try {
      return handleShares(unit.type.massKg, body.handles.map(m), m({ xMm: body.centreXMm, yMm: body.centreYMm }));
    } catch (cause) {
      if (cause instanceof RangeError) return null;
      throw cause;
    }
  });
  /** One lift from the pallet or the floor at knee height, and hooking on at arm's length: the worse of both governs. */
  const limit = $derived.by(() => {
    if (crew.value === null) return null;
    const hands = Math.min(175, 100 * crew.value.handsM);
    const once = { horizontalCm: 45, twistDeg: 0, liftsPerMin: 0.2, hours: 1, coupling: 'good' } as const;
    const travelCm = Math.abs(hands - 75);
    const start = liftLimit({ ...once, verticalCm: 75, travelCm }).rwlKg;
    const end = liftLimit({ ...once, verticalCm: hands, travelCm }).rwlKg;
    return { start, end, governs: Math.min(start, end) };
  });
  const team = $derived(
    crew.value && limit && limit.governs > 0 && unit.type.massKg !== null
      ? teamLift(
          unit.type.massKg,
          Array.from({ length: crew.value.people }, () => limit.governs),
        )
      : null,
  );
</script>

<section class="sheet p-3" aria-labelledby="lift">
  <h2 id="lift">Lift of {unit.unit.tag}</h2>
  {#if crew.value === null}<p>Missing: {crew.missing.join(', ')}.</p>{:else}
    <p>
      <b class="num">{unit.type.massKg} kg</b>, hooked on with the hands at
      <b class="num">{fixed(crew.value.handsM, 2)} m</b>: <b>{crew.value.people} people</b> at least, gear
      <b>{crew.value.gear}</b>.
    </p>
    {#if team && limit}
      <p>
        By the lifting equation one person may lift <span class="num">{fixed(limit.start, 1)} kg</span> from 0.75 m and
        <span class="num">{fixed(limit.end, 1)} kg</span> up there, hands 0.45 m before the ankles; {crew.value.people} people
        <span class="num">{fixed(team.capacityKg, 1)} kg</span>: lifting index
        <b class="num">{fixed(team.index, 1)}</b>.
        {#if team.verdict !== 'holds'}<span class="text-tight"
            >Take a hoist or a lift table; the lead may accept otherwise, with a reason.</span
          >{/if}
      </p>
    {/if}
    {#if shares}
      <figure class="mt-1 flex flex-wrap items-center gap-4">
        <svg
          viewBox="-340 -60 {(body.widthMm ?? 1000) + 680} {(body.heightMm ?? 600) + 120}"
          class="h-36 max-w-full"
          role="img"
          aria-label="Handles of {unit.type.name} with their loads"
          font-family="var(--font-mono)"
          font-size="70"
        >
          <rect
            width={body.widthMm ?? 1000}
            height={body.heightMm ?? 600}
            fill="var(--color-paper)"
            stroke="var(--color-ink)"
            stroke-width="8"
          />
          {#each body.handles as h, i (i)}
            {@const right = h.xMm > (body.widthMm ?? 0) / 2}
            <circle cx={h.xMm} cy={(body.heightMm ?? 0) - h.yMm} r="26" fill="var(--color-ink)" />
            <text
              x={h.xMm + (right ? 45 : -45)}
              y={(body.heightMm ?? 0) - h.yMm + 25}
              text-anchor={right ? 'start' : 'end'}>{fixed(shares.sharesKg[i] ?? 0, 0)} kg</text
            >
          {/each}
          {#if body.centreXMm !== null && body.centreYMm !== null}
            <path
              d="M{body.centreXMm - 40} {(body.heightMm ?? 0) - body.centreYMm}h80m-40 -40v80"
              stroke="var(--color-stop)"
              stroke-width="12"
            />
          {/if}
        </svg>
        <figcaption class="text-sm">
          Handles and centre of gravity. One handle may come to carry <b class="num">{fixed(shares.worstKg, 1)} kg</b>
          where a hand gives way. {#if verdict}<VerdictMark {verdict} />{/if}
        </figcaption>
      </figure>
    {/if}
  {/if}
  <p class="mt-1 text-sm text-dim">
    Stop at gusts of 8 m/s with gear, 12 m/s by hand. Nobody below; the way is free; unlock the handles first. Ladders
    are no lift platform. The equation covers neither stairs nor one hand.
  </p>
</section>
