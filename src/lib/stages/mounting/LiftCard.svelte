<script lang="ts">
  import type { Check } from '$core/kernel/check';
  import { fixed } from '$core/kernel/quantity';
  import { GUST_MOST_MS } from '$core/mounting/lift/gusts';
  import { liftPlan, sharesOf } from '$core/mounting/lift/liftPlan';
  import type { HungUnit } from '$core/mounting/results';
  import { MOUNTING_RULES } from '$core/mounting/rules';
  import { CREW } from '$core/mounting/rules/lift/crew';
  import { HANDLES } from '$core/mounting/rules/lift/handles';
  import { useSite } from '$lib/client/siteState.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import LiftChecks from './LiftChecks.svelte';
  import LiftRecord from './LiftRecord.svelte';

  /** Crew and handles have words of their own above. */
  const LIFT_IDS = new Set(MOUNTING_RULES.lift.filter((r) => r !== CREW && r !== HANDLES).map((r) => r.id));
  let { unit, checks }: { unit: HungUnit; checks: readonly Check[] } = $props();
  const site = useSite();
  const plan = $derived(liftPlan(unit));
  const planned = $derived(checks.filter((c) => c.subject.id === unit.unit.id && LIFT_IDS.has(c.id)));
  const crew = $derived(plan.crew);
  const body = $derived(unit.type.body);
  const check = $derived(checks.find((c) => c.id === HANDLES.id && c.subject.id === unit.unit.id));
  /** Null where it cannot be said: its check tells why. */
  const shares = $derived(check && check.value !== null ? sharesOf(unit.type).value : null);
</script>

<section class="sheet p-3" aria-labelledby="lift">
  <header class="flex flex-wrap items-center gap-3">
    <h2 id="lift" class="mr-auto">Lift of {unit.unit.tag}</h2>
    <a
      class="no-print border border-ink px-3 py-1"
      href="/sites/{site.siteId}/mounting/units/{unit.unit.id}/lift.pdf"
      download>Lift card, PDF</a
    >
  </header>
  {#if crew.value === null}<p>Missing: {crew.missing.join(', ')}.</p>{:else}
    <p>
      <b class="num">{unit.type.massKg} kg</b>, hooked on with the hands at
      <b class="num">{fixed(crew.value.handsM, 2)} m</b>: <b>{crew.value.people} people</b> at least, gear
      <b>{crew.value.gear}</b>.
    </p>
    {#if plan.team && plan.onePerson}
      <p>
        By the lifting equation one person may lift <span class="num">{fixed(plan.onePerson.startKg, 1)} kg</span> from
        0.75 m and
        <span class="num">{fixed(plan.onePerson.endKg, 1)} kg</span> up there, hands 0.45 m before the ankles; {crew
          .value.people} people
        <span class="num">{fixed(plan.team.capacityKg, 1)} kg</span>: lifting index
        <b class="num">{fixed(plan.team.index, 1)}</b>.
        {#if plan.team.verdict !== 'holds'}<span class="text-tight"
            >Take a hoist or a lift table; the lead may accept otherwise, with a reason.</span
          >{/if}
      </p>
    {/if}
    {#if plan.onePerson && !plan.team}<p class="text-tight">
        By the lifting equation nobody lifts anything with the hands up there: a hoist or a lift table.
      </p>{/if}
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
          where a hand gives way. {#if check}<VerdictMark verdict={check.verdict} />{/if}
        </figcaption>
      </figure>
    {/if}
  {/if}
  <LiftChecks checks={planned} />
  <p class="mt-1 text-sm text-dim">
    Stop at gusts of {GUST_MOST_MS.hoist} m/s with gear, {GUST_MOST_MS.hand} m/s by hand. Nobody below; the way is free; unlock
    the handles first. Ladders are no lift platform. The equation covers neither stairs nor one hand.
  </p>
  <LiftRecord {unit} />
</section>
