<script lang="ts">
  import type { RunResult } from '$core/ac/results';
  import { terminationSheet } from '$core/ac/termination/terminationSheet';
  import Formula from '$lib/ui/Formula.svelte';

  let { result }: { result: RunResult } = $props();
  const sheet = $derived(terminationSheet(result));
</script>

<section class="sheet break-inside-avoid p-3" aria-labelledby="t-{result.inverter.id}">
  <h2 id="t-{result.inverter.id}">Termination of {result.inverter.tag}</h2>
  <dl class="my-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5">
    {#each sheet.facts as [name, words] (name)}
      <dt class="text-dim">{name}</dt>
      <dd class="num"><Formula line={words} /></dd>
    {/each}
  </dl>
  <ol class="list-decimal space-y-0.5 pl-6">
    {#each sheet.steps as step (step)}<li>{step}</li>{/each}
  </ol>
  <ul class="mt-2 border-t border-rule pt-1">
    {#each sheet.checks as check (check)}<li>☐ {check}</li>{/each}
  </ul>
</section>
