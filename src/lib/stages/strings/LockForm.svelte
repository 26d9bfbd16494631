<script lang="ts">
  import type { Lock } from '$core/strings/part';
  import type { SiteDesign } from '$core/design';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';

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
  const WISHES = (Object.keys(KINDS) as Kind[]).map((value) => ({ value, name: KINDS[value] }));
  let kind = $state<Kind>('use-all');
  let planeId = $state('');
  let inverterId = $state('');
  let count = $state<number | null>(1);
  let least = $state<number | null>(90);
  let most = $state<number | null>(150);
  const plane = $derived(design.planes.find((p) => p.id === planeId) ?? design.planes[0]);
  const unit = $derived(design.inverters.find((u) => u.id === inverterId) ?? design.inverters[0]);
  const wantsPlane = $derived(kind === 'plane-length' || kind === 'plane-inverter');
  const wantsUnit = $derived(kind === 'plane-inverter' || kind === 'inverter-empty' || kind === 'free-trackers');
  const wantsCount = $derived(kind === 'max-lengths' || kind === 'plane-length' || kind === 'free-trackers');

  const lock = $derived.by((): Lock | null => {
    const whole = count !== null && Number.isInteger(count) && count >= 1 ? count : Infinity;
    switch (kind) {
      case 'use-all':
      case 'no-doubling':
        return { kind };
      case 'max-lengths':
        return whole <= 40 ? { kind, count: whole } : null;
      case 'plane-length':
        return plane && whole <= 60 ? { kind, planeId: plane.id, modules: whole } : null;
      case 'plane-inverter':
        return plane && unit ? { kind, planeId: plane.id, inverterId: unit.id } : null;
      case 'inverter-empty':
        return unit ? { kind, inverterId: unit.id } : null;
      case 'free-trackers':
        return unit && whole <= 24 ? { kind, inverterId: unit.id, count: whole } : null;
      case 'ratio': {
        const sound = (x: number | null) => x === null || (x >= 0 && x <= 300);
        const ordered = least === null || most === null || least < most;
        return sound(least) && sound(most) && ordered ? { kind, minPercent: least, maxPercent: most } : null;
      }
    }
  });
</script>

<div class="mt-2 flex flex-wrap items-end gap-2 text-sm text-dim">
  <Choice label="Wish" choices={WISHES} bind:value={kind} />
  {#if wantsPlane}
    <Choice
      label="Plane of the wish"
      value={plane?.id}
      choices={design.planes.map((p) => ({ value: p.id, name: p.label }))}
      onchoose={(id) => (planeId = id)}
    />
  {/if}
  {#if wantsUnit}
    <Choice
      label="Unit of the wish"
      value={unit?.id}
      choices={design.inverters.map((u) => ({ value: u.id, name: u.tag }))}
      onchoose={(id) => (inverterId = id)}
    />
  {/if}
  {#if wantsCount}
    <Amount
      label={kind === 'plane-length' ? 'Modules in series' : 'How many'}
      width="w-20"
      min={1}
      step={1}
      bind:value={count}
    />
  {/if}
  {#if kind === 'ratio'}
    <Amount label="Least" unit="%" width="w-20" bind:value={least} />
    <Amount label="Most" unit="%" width="w-20" bind:value={most} />
  {/if}
  <button
    type="button"
    class="h-8 border border-ink bg-sheet px-3 text-ink disabled:opacity-40"
    disabled={!lock}
    onclick={() => lock && onlock(lock)}>Add the wish</button
  >
  {#if !lock}<span role="alert" class="text-stop">Give whole numbers in range, the least below the most.</span>{/if}
</div>
