<script lang="ts">
  import type { SiteDesign } from '$core/design';
  import type { Hop } from '$core/links/chain';
  import { hopsAlong, placeOf } from '$core/links/chain';
  import type { ChainDevice } from '$core/links/part';
  import { isUnit } from '$core/links/segments';
  import { pathOf } from '$lib/stages/plan/glyphs';
  import { fitted, scaleBarM, toScreen } from '$lib/stages/plan/planView';

  let {
    design,
    devices,
    found,
  }: {
    design: SiteDesign;
    /** Of one bus, in their order. */
    devices: readonly ChainDevice[];
    /** Another order of them; null: none is looked at. */
    found: readonly ChainDevice[] | null;
  } = $props();
  let width = $state(0);
  const MOST_PX = 260;
  /** Margins above and below of a fitted plan, px, and the least that it shows, m. */
  const [MARGINS_PX, LEAST_M] = [112, 4];
  /** Numbers nearer to each other than this run into one another, px. */
  const APART_PX = 15;
  const shown = $derived(found ?? devices);
  const places = $derived(
    shown.flatMap((d, i) => {
      const at = placeOf(design, d);
      return at ? [{ d, at, number: i + 1 }] : [];
    }),
  );
  const trays = $derived(design.plan.trays.filter((t) => t.carries.includes('bus')));
  const before = $derived(found ? hopsAlong(design, devices) : []);
  const hops = $derived(hopsAlong(design, shown));
  const points = (h: Hop) => h.way?.points ?? [];
  const all = $derived([...places.map((p) => p.at), ...[...before, ...hops].flatMap(points)]);
  const height = $derived.by(() => {
    const { k } = fitted(all, width, Infinity);
    const ys = all.map((p) => k * p.yM);
    const spanPx = ys.length ? Math.max(...ys) - Math.min(...ys) : 0;
    return Math.min(MOST_PX, MARGINS_PX + Math.max(k * LEAST_M, spanPx));
  });
  const view = $derived(fitted(all, width, height));
  const barM = $derived(scaleBarM(view.k, 120));
  const line = (h: Hop) => pathOf(points(h).map((p) => toScreen(view, p)));
  /** A number only where there is room for it beside those before. */
  const numbered = $derived.by(() => {
    const taken: { x: number; y: number }[] = [];
    return places.map((p) => {
      const at = toScreen(view, p.at);
      const free = taken.every((t) => Math.hypot(t.x - at.x, t.y - at.y) >= APART_PX);
      if (free) taken.push(at);
      return { ...p, x: at.x, y: at.y, free };
    });
  });
</script>

{#if places.length > 1}
  <div class="mt-2" bind:clientWidth={width}>
    <svg
      {width}
      {height}
      class="block border border-rule bg-sheet"
      role="img"
      aria-label="{found ? 'The order that was found' : 'The chain as it is'} on the plan, from above: {shown
        .map((d) => d.label)
        .join(', ')}"
      font-size="11.5"
      font-family="var(--font-sans)"
    >
      {#each trays as tray (tray.id)}
        <path
          d={pathOf(tray.points.map((p) => toScreen(view, p)))}
          fill="none"
          stroke="var(--color-rule)"
          stroke-width="9"
        />
      {/each}
      {#each before as hop (hop.to.id)}
        <path d={line(hop)} fill="none" stroke="var(--color-dim)" stroke-width="1.5" stroke-dasharray="3 4" />
      {/each}
      {#each hops as hop (hop.to.id)}
        <path d={line(hop)} fill="none" stroke="var(--color-primary-600)" stroke-width="2.5" />
      {/each}
      {#each numbered as p (p.d.id)}
        <g transform="translate({p.x} {p.y})">
          <title>{p.number}: {p.d.label}</title>
          <circle
            r={p.free ? 8.5 : 3.5}
            fill={isUnit(p.d) ? 'var(--color-sheet)' : 'var(--color-ink)'}
            stroke="var(--color-ink)"
            stroke-width="1.5"
          />
          {#if p.free}<text y="4" text-anchor="middle" fill={isUnit(p.d) ? 'var(--color-ink)' : 'var(--color-paper)'}
              >{p.number}</text
            >{/if}
        </g>
      {/each}
      <g transform="translate(12 {height - 12})">
        <path d="M0 -5V0H{barM * view.k}V-5" fill="none" stroke="var(--color-ink)" stroke-width="1.5" />
        <text x={barM * view.k + 6} y="2">{barM} m</text>
      </g>
    </svg>
    <p class="text-sm text-dim">
      From above, numbered in order{trays.length ? ', trays of the bus in grey' : ''}{found
        ? '; dashed: as it is now'
        : ''}.
    </p>
  </div>
{/if}
