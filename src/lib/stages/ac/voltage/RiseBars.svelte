<script lang="ts">
  import type { VoltagePicture } from '$core/ac/voltagePath/picture';
  import { fixed } from '$core/kernel/quantity';

  let { picture, restV, tripV }: { picture: VoltagePicture; restV: number; tripV: number } = $props();

  const FILLS = [
    'var(--color-primary-800)',
    'var(--color-primary-600)',
    'var(--color-primary-300)',
    'var(--color-tight)',
  ];
  const parts = $derived(picture.worst.rises.map((r) => r.part));
  /** Widest way on the drawing, V: to the highest unit or the trip level, and a little more. */
  const spanV = $derived(1.08 * Math.max(...picture.units.map((u) => u.terminalV - restV), tripV - restV, 1));
  const x = (v: number) => `${(100 * Math.max(0, v)) / spanV}%`;
</script>

<div class="min-w-0">
  <p class="flex flex-wrap gap-x-4 text-sm">
    {#each parts as part, i (part)}
      <span><i class="mr-1 inline-block h-3 w-3 align-middle" style:background={FILLS[i]}></i>{part}</span>
    {/each}
    <span><i class="mr-1 inline-block h-3 w-0 border-l-2 border-stop align-middle"></i>trip level</span>
  </p>
  <table class="grid-table mt-1 w-full">
    <thead>
      <tr>
        <th scope="col">Unit</th>
        <th scope="col" class="w-1/2">Rise from {fixed(restV, 1)} V</th>
        {#each parts as part (part)}<th scope="col" class="fig">{part}</th>{/each}
        <th scope="col" class="fig">At the unit</th>
        <th scope="col" class="fig">Left</th>
      </tr>
    </thead>
    <tbody>
      {#each picture.units as u (u.id)}
        <tr>
          <th scope="row" class="whitespace-nowrap">{u.tag}</th>
          <td>
            <div class="relative h-4 bg-paper">
              <div class="flex h-4">
                {#each u.rises as r, i (r.part)}<div style:width={x(r.riseV)} style:background={FILLS[i]}></div>{/each}
              </div>
              <div class="absolute top-[-2px] h-5 border-l-2 border-stop" style:left={x(tripV - restV)}></div>
            </div>
          </td>
          {#each u.rises as r (r.part)}<td class="fig">{fixed(r.riseV, 2)}</td>{/each}
          <td class="fig">{fixed(u.terminalV, 2)} V</td>
          <td class="fig whitespace-nowrap">{fixed(u.marginPercent, 2)} %{u.marginPercent <= 0 ? ' trips' : ''}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
