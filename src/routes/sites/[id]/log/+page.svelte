<script lang="ts">
  import { useLogOf } from '$lib/client/useLog.svelte';
  import StringEntries from '$lib/stages/log/StringEntries.svelte';
  import StringPicker from '$lib/stages/log/StringPicker.svelte';
  import StringReadings from '$lib/stages/log/StringReadings.svelte';
  import { StringPick } from '$lib/stages/log/stringPick.svelte';
  import NotReleased from '$lib/ui/NotReleased.svelte';
  import Stage from '$lib/ui/Stage.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import DangerForm from '$lib/ui/record/DangerForm.svelte';
  import LogStatus from '$lib/ui/record/LogStatus.svelte';

  let { data } = $props();
  const log = useLogOf(() => data);
  const pick = new StringPick(log);
  const checks = $derived(log.evidence.checks);
</script>

{#if !pick.design || !pick.unit}
  <NotReleased />
{:else}
  {@const { design, unit, string } = pick}
  <Stage>
    {#snippet main()}
      <LogStatus />
      <StringPicker {pick} />
      {#if string}
        <StringReadings {pick} {design} {unit} {string} />
        <DangerForm
          subjects={[
            { subject: pick.subject, name: `string ${string.number}` },
            { subject: { scope: 'site', id: 'site' }, name: 'site' },
          ]}
        />
        <StringEntries {pick} {design} />
      {/if}
    {/snippet}
    {#snippet side()}<MarginLedger
        checks={checks.filter((c) => c.subject.id === string?.id || !string)}
        title="Margins: this string"
      /><MarginLedger {checks} title="Margins: all readings" />{/snippet}
  </Stage>
{/if}
