<script lang="ts">
  import type { Lock } from '$core/strings/part';
  import type { SiteDesign } from '$core/design';

  let { design, onlock }: { design: SiteDesign; onlock: (lock: Lock) => void } = $props();

  const KINDS = {
    'use-all': 'every module is used',
    'no-doubling': 'one string a tracker',
    'max-lengths': 'different lengths at most',
    'plane-length': 'length of a plane’s strings',
    'plane-inverter': 'a plane on an inverter',
    'inverter-empty': 'an inverter stays empty',
    'free-trackers': 'trackers kept free',
    ratio: 'DC/AC ratio from … to …',
  } as const;
  type Kind = keyof typeof KINDS;
  let kind = $state<Kind>('use-all');
  let planeId = $state('');
  let inverterId = $state('');
  let count = $state(1);
  let least = $state<number | null>(90);
  let most = $state<number | null>(150);
  const plane = $derived(design.planes.find((p) => p.id === planeId) ?? design.planes[0]);
  const unit = $derived(design.inverters.find((u) => u.id === inverterId) ?? design.inverters[0]);
  const wantsPlane = $derived(kind === 'plane-length' || kind === 'plane-inverter');
  const wantsUnit = $derived(kind === 'plane-inverter' || kind === 'inverter-empty' || kind === 'free-trackers');
  const wantsCount = $derived(kind === 'max-lengths' || kind === 'plane-length' || kind === 'free-trackers');

  const lock = $derived.by((): Lock | null => {
    const whole = Number.isInteger(count) && count >= 1;
    switch (kind) {
      case 'use-all':
      case 'no-doubling':
        return { kind };
      case 'max-lengths':
        return whole && count <= 40 ? { kind, count } : null;
      case 'plane-length':
        return plane && whole && count <= 60 ? { kind, planeId: plane.id, modules: count } : null;
      case 'plane-inverter':
        return plane && unit ? { kind, planeId: plane.id, inverterId: unit.id } : null;
      case 'inverter-empty':
        return unit ? { kind, inverterId: unit.id } : null;
      case 'free-trackers':
        return unit && whole && count <= 24 ? { kind, inverterId: unit.id, count } : null;
      case 'ratio': {
        const sound = (x: number | null) => x === null || (x >= 0 && x <= 300);
        const ordered = least === null || most === null || least < most;
        return sound(least) && sound(most) && ordered ? { kind, minPercent: least, maxPercent: most } : null;
      }
    }
  });
  const BOX = 'block border border-rule bg-white px-2 py-1 text-ink';
</script>

<div class="mt-2 flex flex-wrap items-end gap-2 text-sm text-dim">
  <label
    >Wish
    <select class={BOX} bind:value={kind}>
      {#each Object.entries(KINDS) as [value, name] (value)}<option {value}>{name}</option>{/each}
    </select>
  </label>
  {#if wantsPlane}
    <label
      >Plane of the wish
      <select class={BOX} value={plane?.id} onchange={(e) => (planeId = e.currentTarget.value)}>
        {#each design.planes as p (p.id)}<option value={p.id}>{p.label}</option>{/each}
      </select>
    </label>
  {/if}
  {#if wantsUnit}
    <label
      >Unit of the wish
      <select class={BOX} value={unit?.id} onchange={(e) => (inverterId = e.currentTarget.value)}>
        {#each design.inverters as u (u.id)}<option value={u.id}>{u.tag}</option>{/each}
      </select>
    </label>
  {/if}
  {#if wantsCount}
    <label
      >{kind === 'plane-length' ? 'Modules in series' : 'How many'}
      <input class="num w-20 {BOX}" type="number" min="1" bind:value={count} />
    </label>
  {/if}
  {#if kind === 'ratio'}
    <label>Least, %<input class="num w-20 {BOX}" type="number" bind:value={least} /></label>
    <label>Most, %<input class="num w-20 {BOX}" type="number" bind:value={most} /></label>
  {/if}
  <button
    type="button"
    class="border border-ink bg-sheet px-3 py-1 text-ink disabled:opacity-40"
    disabled={!lock}
    onclick={() => lock && onlock(lock)}>Add the wish</button
  >
  {#if !lock}<span role="alert" class="text-stop">Give whole numbers in range, the least below the most.</span>{/if}
</div>
