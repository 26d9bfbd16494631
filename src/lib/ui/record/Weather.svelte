<script lang="ts">
  import { wet } from '$core/proving/weather';
  import { useLog } from '$lib/client/useLog.svelte';
  import Words from '$lib/ui/form/Words.svelte';
  import { when } from './words';

  const log = useLog();
  const now = $derived(wet(log.evidence));
  let seen = $state('');

  async function dry(ends: readonly string[]) {
    const subject = { scope: 'site', id: 'site' } as const;
    if (await log.add({ kind: 'happening', subject, values: { what: 'dry again', seen, ends } })) seen = '';
  }
</script>

{#if now}
  <div class="border-l-4 border-stop bg-sheet px-3 py-2" role="status" aria-label="Weather">
    <p>
      <b>Wet on site</b> since <span class="num">{when(now.since)}</span>, said by {now.by}: “{now.seen}”. No DC or live
      work, covers shut. Switching off and earth checks on dead metal may go on.
    </p>
    <details class="mt-1">
      <summary class="cursor-pointer text-sm underline">It is dry again</summary>
      <div class="mt-1 flex flex-wrap items-end gap-2">
        <div class="min-w-56 flex-1"><Words label="What an electrician looked at" bind:value={seen} /></div>
        <button
          type="button"
          class="border border-ink px-3 py-1.5 disabled:opacity-50"
          disabled={log.busy || seen.trim().length < 3}
          onclick={() => dry(now.said)}>Record: dry again</button
        >
      </div>
    </details>
  </div>
{/if}
