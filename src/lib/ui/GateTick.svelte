<script lang="ts">
  import type { GateRow } from '$core/proving/gates/machine';
  import Amount from '$lib/ui/form/Amount.svelte';
  import Words from '$lib/ui/form/Words.svelte';

  let {
    gate,
    busy,
    locked = false,
    onrecord,
    onwaive,
  }: {
    gate: GateRow;
    busy: boolean;
    /** What it waits for is not closed: a signature would prove nothing, a fail always counts. */
    locked?: boolean;
    onrecord?: (result: 'pass' | 'fail', evidence: string) => void;
    onwaive?: (reason: string, days: number) => void;
  } = $props();
  let evidence = $state('');
  let reason = $state('');
  let days = $state<number | null>(14);
  let waiving = $state(false);
</script>

<div class="space-y-2">
  {#if onrecord}
    <p class="text-sm">Evidence: {gate.evidence}. Signed by the {gate.signer}.</p>
    <Words label="What was seen or measured" rows={2} bind:value={evidence} />
    <div class="flex flex-wrap gap-2">
      {#if !locked}<button
          type="button"
          class="bg-holds px-4 py-2 font-semibold text-white disabled:opacity-50"
          disabled={busy || evidence.trim().length < 3}
          onclick={() => onrecord('pass', evidence)}>Sign: passed</button
        >{/if}
      <button
        type="button"
        class="border border-stop px-4 py-2 text-stop disabled:opacity-50"
        disabled={busy || evidence.trim().length < 3}
        onclick={() => onrecord('fail', evidence)}>Record: failed</button
      >
    </div>
  {/if}
  {#if onwaive}
    <button type="button" class="py-2 underline" aria-expanded={waiving} onclick={() => (waiving = !waiving)}
      >Waive …</button
    >
    {#if waiving}
      <div class="border-l-4 border-tight bg-paper p-2">
        <Words label="Reason, at least 15 characters; it is printed in the hand-over" bind:value={reason} />
        <div class="mt-1"><Amount label="Review within" unit="days" min={1} max={90} step={1} bind:value={days} /></div>
        <button
          type="button"
          class="mt-2 border border-ink px-3 py-1.5"
          disabled={busy || days === null}
          onclick={() => days !== null && onwaive(reason, days)}>Waive {gate.id}</button
        >
      </div>
    {/if}
  {/if}
</div>
