<script lang="ts">
  import type { InverterType } from '$core/equipment/inverterType';
  import type { ModuleType } from '$core/equipment/moduleType';
  import { fixed } from '$core/kernel/quantity';
  import type { Check } from '$core/kernel/check';
  import type { StringWindow } from '$core/strings/window';

  let {
    window: w,
    inverter,
    module,
    modules,
    checks,
  }: {
    window: StringWindow;
    inverter: InverterType;
    module: ModuleType;
    modules: number;
    /** How this length stands: what a mark is drawn by. */
    checks: readonly Check[];
  } = $props();
  const stops = (id: string) => checks.some((c) => c.id === id && c.verdict === 'stop');

  const WIDTH = 720;
  const LEFT = 12;
  const topV = $derived(Math.ceil((Math.max(w.limitV, modules * w.uocColdV) * 1.06) / 100) * 100);
  const x = (v: number) => LEFT + ((WIDTH - 2 * LEFT) * v) / topV;
  const ticks = $derived(
    Array.from({ length: Math.floor(topV / 100) + 1 }, (_, i) => 100 * i).filter((v) => topV <= 1200 || v % 200 === 0),
  );
  const marks = $derived([
    { name: 'open circuit, coldest', v: modules * w.uocColdV, row: 0, stops: stops('strings.uoc-cold') },
    { name: 'open circuit, hottest', v: modules * w.uocHotV, row: 1, stops: stops('strings.start') },
    { name: 'working, coldest', v: modules * w.umpColdV, row: 2, stops: false },
    { name: 'working, standard', v: modules * module.umpV, row: 3, stops: false },
    { name: 'working, hottest', v: modules * w.umpHotV, row: 4, stops: stops('strings.ump-hot') },
  ]);
</script>

<figure>
  <svg
    viewBox="0 0 {WIDTH} 190"
    class="w-full max-w-4xl"
    role="img"
    aria-label="{modules} modules on the voltage scale of {inverter.name}: {marks
      .map((m) => `${m.name} ${fixed(m.v, 0)} V`)
      .join(', ')}; limit {w.limitV} V"
  >
    <g font-size="11" font-family="var(--font-mono)" fill="var(--color-dim)">
      {#each ticks as v (v)}
        <line x1={x(v)} x2={x(v)} y1="164" y2="170" stroke="var(--color-ink)" /><text
          x={x(v)}
          y="184"
          text-anchor="middle">{v}</text
        >
      {/each}
    </g>
    <line x1={x(0)} x2={x(topV)} y1="164" y2="164" stroke="var(--color-ink)" stroke-width="1.5" />
    <rect
      x={x(inverter.mpptMinV)}
      width={x(inverter.mpptMaxV) - x(inverter.mpptMinV)}
      y="148"
      height="16"
      fill="var(--color-primary-100)"
      stroke="var(--color-primary-500)"
    />
    {#if inverter.fullPowerMinV !== null && inverter.fullPowerMaxV !== null}
      <rect
        x={x(inverter.fullPowerMinV)}
        width={x(inverter.fullPowerMaxV) - x(inverter.fullPowerMinV)}
        y="148"
        height="16"
        fill="var(--color-primary-300)"
      />
    {/if}
    <g font-size="11" fill="var(--color-ink)">
      <text x={x(inverter.mpptMinV) + 4} y="160">tracking</text>
      {#if inverter.fullPowerMinV !== null}<text x={x(inverter.fullPowerMinV) + 4} y="160">full power</text>{/if}
      {#if inverter.startV !== null}
        <line
          x1={x(inverter.startV)}
          x2={x(inverter.startV)}
          y1="20"
          y2="164"
          stroke="var(--color-dim)"
          stroke-dasharray="3 3"
        /><text x={x(inverter.startV) + 3} y="16">start {inverter.startV}</text>
      {/if}
      <line x1={x(w.limitV)} x2={x(w.limitV)} y1="4" y2="164" stroke="var(--color-stop)" stroke-width="2.5" /><text
        x={x(w.limitV) - 4}
        y="14"
        text-anchor="end"
        font-weight="700">limit {w.limitV} V</text
      >
    </g>
    {#each marks as m (m.name)}
      {@const y = 30 + 24 * m.row}
      {@const near = x(m.v) > WIDTH * 0.45}
      <!-- The leader ends before its words: condensed letters of 12.5 take some 6.6 each. -->
      <line
        x1={x(0)}
        x2={near ? Math.max(x(0), x(m.v) - 14 - 6.6 * `${m.name} ${fixed(m.v, 1)} V`.length) : x(m.v)}
        y1={y}
        y2={y}
        stroke="var(--color-rule)"
      />
      <path d="M{x(m.v)} {y - 6}l5.2 3v6l-5.2 3-5.2-3v-6z" fill={m.stops ? 'var(--color-stop)' : 'var(--color-ink)'} />
      <text
        x={near ? x(m.v) - 10 : x(m.v) + 10}
        y={y + 4}
        text-anchor={near ? 'end' : 'start'}
        font-size="12.5"
        paint-order="stroke"
        stroke="var(--color-sheet)"
        stroke-width="4"
        fill={m.stops ? 'var(--color-stop)' : 'var(--color-ink)'}
      >
        {m.name} <tspan font-family="var(--font-mono)" font-weight="600">{fixed(m.v, 1)} V</tspan>{m.stops
          ? ' – stops'
          : ''}
      </text>
    {/each}
  </svg>
</figure>
