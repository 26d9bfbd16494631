<script lang="ts">
  import { MEASURED } from '$core/equipment/instrument';
  import type { Measured, TypedRange } from '$core/equipment/instrument';
  import Amount from '$lib/ui/form/Amount.svelte';

  /** How far and how well an instrument reads one quantity. What stays empty is not known, and softens nothing. */
  let { of, range = $bindable() }: { of: Measured; range: TypedRange } = $props();
  const FIELDS = $derived([
    ['min', 'from', MEASURED[of]],
    ['max', 'up to', MEASURED[of]],
    ['accuracyPercent', '± of reading', '%'],
    ['digits', '± digits', ''],
    ['resolution', 'one digit is', MEASURED[of]],
  ] as const);
</script>

<fieldset class="col-span-full">
  <legend class="text-sm text-dim first-letter:uppercase">{of}, as its sheet says</legend>
  <div class="grid grid-cols-2 gap-x-3 gap-y-1 sm:grid-cols-5">
    {#each FIELDS as [key, label, unit] (key)}
      <Amount
        {label}
        {unit}
        width="w-full"
        value={range[key]}
        onamount={(value) => (range = { ...range, [key]: value })}
      />
    {/each}
  </div>
</fieldset>
