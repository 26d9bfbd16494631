<script lang="ts">
  import type { ChannelOfScope } from '$core/links/wave/chainScope';
  import type { Trace } from '$core/links/wave/trace';

  let {
    channel,
    spanUs,
    lowV,
    highV,
    thresholdV,
    sampleUs,
  }: {
    channel: ChannelOfScope;
    spanUs: number;
    /** Of all channels alike, so that they can be held against one another. */
    lowV: number;
    highV: number;
    thresholdV: number;
    /** Middle of the first bit after the crossing; outside the picture where the bit is longer. */
    sampleUs: number;
  } = $props();

  const W = 480;
  const H = 72;
  const x = (us: number) => (W * us) / spanUs;
  const y = (v: number) => H - (H * (v - lowV)) / (highV - lowV);
  const path = (trace: Trace) => trace.map(([us, v]) => `${x(us).toFixed(1)},${y(v).toFixed(1)}`).join(' ');
</script>

<svg viewBox="0 0 {W} {H}" preserveAspectRatio="none" class="block h-14 w-full bg-paper" aria-hidden="true">
  <rect
    x="0"
    y={y(thresholdV)}
    width={W}
    height={y(-thresholdV) - y(thresholdV)}
    fill="var(--color-rule)"
    opacity="0.7"
  />
  <line
    x1="0"
    x2={W}
    y1={y(0)}
    y2={y(0)}
    stroke="var(--color-dim)"
    stroke-width="0.5"
    vector-effect="non-scaling-stroke"
  />
  {#if sampleUs <= spanUs}
    <line
      x1={x(sampleUs)}
      x2={x(sampleUs)}
      y1="0"
      y2={H}
      stroke="var(--color-tight)"
      stroke-width="1.5"
      stroke-dasharray="3 2"
      vector-effect="non-scaling-stroke"
    />
  {/if}
  <polyline
    points={path(channel.traces.strong)}
    fill="none"
    stroke="var(--color-primary-600)"
    stroke-width="1.2"
    vector-effect="non-scaling-stroke"
  />
  <polyline
    points={path(channel.traces.weak)}
    fill="none"
    stroke="var(--color-ink)"
    stroke-width="1.2"
    vector-effect="non-scaling-stroke"
  />
</svg>
