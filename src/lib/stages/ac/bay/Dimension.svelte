<script lang="ts">
  let {
    from,
    to,
    at,
    text,
    colour = 'var(--color-ink)',
    upright = false,
  }: {
    from: number;
    to: number;
    /** Where the line runs on the other axis. */
    at: number;
    text: string;
    colour?: string;
    upright?: boolean;
  } = $props();
  const middle = $derived((from + to) / 2);
  const d = $derived(
    upright
      ? `M${at} ${from}V${to}M${at - 1.6} ${from}h3.2M${at - 1.6} ${to}h3.2`
      : `M${from} ${at}H${to}M${from} ${at - 1.6}v3.2M${to} ${at - 1.6}v3.2`,
  );
</script>

<path {d} stroke={colour} stroke-width="0.5" fill="none" />
<text
  x={upright ? at : middle}
  y={(upright ? middle : at) + 2.4}
  transform={upright ? `rotate(-90 ${at} ${middle})` : undefined}
  text-anchor="middle"
  font-size="7"
  font-family="var(--font-mono)"
  fill={colour}
  stroke="var(--color-paper)"
  stroke-width="2.4"
  paint-order="stroke">{text}</text
>
