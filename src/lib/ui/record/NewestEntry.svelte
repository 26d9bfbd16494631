<script lang="ts">
  import { worstCheck } from '$core/kernel/check';
  import type { Check } from '$core/kernel/check';
  import type { Entry } from '$core/proving/entry';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { lineOfEntry } from './entryLine';
  import { when } from './words';

  let { entry, checks }: { entry: Entry; /** What it says of the release. */ checks: readonly Check[] } = $props();
</script>

<p>
  <span class="num">{when(entry.doneAt)}</span>
  {lineOfEntry(entry)} by {entry.by}
  <VerdictMark verdict={checks.length ? worstCheck(checks) : 'unknown'} />
</p>
{#each checks as check (check.id)}
  <ul class="num text-sm">
    {#each check.working as line (line)}<li>{line}</li>{/each}
  </ul>
{/each}
