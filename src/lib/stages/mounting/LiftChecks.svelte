<script lang="ts">
  import type { Check } from '$core/kernel/check';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { checks }: { checks: readonly Check[] } = $props();
</script>

<table class="grid-table mt-1">
  <caption class="sr-only">What the plan of the lift says</caption>
  <tbody>
    {#each checks as check (check.id)}
      <tr>
        <td class="w-24"><VerdictMark verdict={check.verdict} /></td>
        <th scope="row" class="font-normal">{check.title}</th>
        <td class="num text-sm">{check.working.join('; ')}</td>
      </tr>
    {/each}
  </tbody>
</table>
