<script lang="ts">
  import type { Check } from '$core/kernel/check';
  import Formula from '$lib/ui/Formula.svelte';
  import { formatQuantity } from '$core/kernel/quantity';

  let { check: c, href }: { check: Check; /** Where the object of the check is. */ href: string | null } = $props();
</script>

<div class="space-y-1 bg-paper px-3 py-2 text-sm">
  {#if c.value !== null}<p class="num">
      {formatQuantity(c.value, c.unit)}{c.limit === null ? '' : ` against ${formatQuantity(c.limit, c.unit)}`}
    </p>{/if}
  {#each c.working as line, i (i)}<p class="num break-words"><Formula {line} /></p>{/each}
  <p class="text-dim">
    Basis: {c.basis.source}{c.basis.recalled ? ' · recalled from memory, look it up before release' : ''}
  </p>
  {#if href}<p><a class="font-semibold text-primary-700 underline" {href}>Go to {c.subject.path}</a></p>{/if}
</div>
