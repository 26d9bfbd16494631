<script lang="ts">
  import { mostUrgent } from '$core/kernel/check';
  import { useLog } from '$lib/client/useLog.svelte';
  import { signOn } from '$lib/client/signOn.svelte';
  import Formula from '$lib/ui/Formula.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import Weather from './Weather.svelte';
  import { lineOfEntry } from './entryLine';
  import { clockTime, partName, when } from './words';

  const MOST_SHOWN = 3;
  const log = useLog();
  /** Of the entry that was made here last: what did not hold, the most urgent first. */
  const against = $derived.by(() => {
    const entry = log.made === null ? undefined : log.evidence.entry(log.made);
    const checks = entry ? mostUrgent(log.evidence.judgement(entry).checks, MOST_SHOWN) : [];
    return checks.filter((c) => c.verdict !== 'holds');
  });
</script>

{#if !signOn.by}<p class="border-l-4 border-ink bg-sheet px-3 py-2">
    What you record carries your name: <button type="button" class="underline" popovertarget="sign-on"
      >say who you are</button
    > first.
  </p>{/if}
{#if log.silent}<p class="border-l-4 border-tight bg-sheet px-3 py-2" role="status">
    {log.readAtMs === null
      ? 'Nobody answers, and the record of this site was not read yet: nothing here says what is safe.'
      : `Nobody answers: this is the record as it was read at ${clockTime(log.readAtMs)}, with what was entered on this device since.`}
    <button type="button" class="underline" onclick={() => log.refresh()}>Ask again</button>
  </p>{/if}

<Weather />
{#if log.made}<div class="border-l-4 border-ink bg-sheet px-3 py-2" role="status">
    {#if log.verdict}<p>
        On record: <VerdictMark verdict={log.verdict} />.
        {log.verdict === 'stop'
          ? 'It stops here: find out why before you go on.'
          : 'A clear reading is no permission: only closed gates are.'}
      </p>
      {#each against as check (check)}<p class="mt-1 text-sm">
          <VerdictMark verdict={check.verdict} word={false} />
          <b>{check.title}</b>: <Formula line={check.working.join('; ')} />
        </p>{/each}
    {:else}On record.{/if}
  </div>{/if}
{#if log.unsent.length}<p class="border-l-4 border-tight bg-sheet px-3 py-2" role="status">
    {log.unsent.length}
    {log.unsent.length === 1 ? 'entry is' : 'entries are'} not sent yet; {log.forgetful
      ? 'this device keeps nothing: do not close the page.'
      : log.failing === null
        ? 'kept on this device and sent when the server answers.'
        : `kept on this device and tried again: the server itself fails there. ${log.failing}`}
    <button type="button" class="underline" onclick={() => log.flush()}>Send now</button>
  </p>{/if}
{#if log.unreadable}<p class="border-l-4 border-stop bg-sheet px-3 py-2" role="alert">
    {log.unreadable}
    {log.unreadable === 1 ? 'entry' : 'entries'} kept on this device by another version of Bolt Yard cannot be read by this
    one: not sent, not counted. Look at what is missing on the record, and enter it again.
  </p>{/if}
{#each log.unseen as r (r.id)}<p class="border-l-4 border-stop bg-sheet px-3 py-2" role="alert">
    Not taken{log.current ? `, ${partName(r.entry.subject.id, log.current.design)}` : ''} at
    <span class="num">{when(r.entry.doneAt)}</span>: {lineOfEntry(r.entry)}. {r.why}
    <button type="button" class="underline" onclick={() => log.see(r.id)}>Seen</button>
  </p>{/each}
<Trouble problem={log.problem} ondismiss={() => (log.problem = null)} />
