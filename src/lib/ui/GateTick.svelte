<script lang="ts">
  import type { GateRow } from '$core/proving/gates/machine';

  let {
    gate,
    busy,
    onrecord,
    onwaive,
  }: {
    gate: GateRow;
    busy: boolean;
    onrecord: (result: 'pass' | 'fail' | 'accepted', evidence: string, reason: string | null) => void;
    onwaive: (reason: string, days: number) => void;
  } = $props();
  let evidence = $state('');
  let reason = $state('');
  let days = $state(14);
  let waiving = $state(false);
  const BOX = 'mt-0.5 block w-full border border-rule bg-white px-2 py-2 text-ink';
</script>

<div class="space-y-2">
  <p class="text-sm">Evidence: {gate.evidence}. Signed by the {gate.signer}.</p>
  <label class="block text-sm text-dim"
    >What was seen or measured<textarea class={BOX} rows="2" bind:value={evidence}></textarea></label
  >
  <div class="flex flex-wrap gap-2">
    <button
      type="button"
      class="bg-holds px-4 py-2 font-semibold text-white disabled:opacity-50"
      disabled={busy || evidence.trim().length < 3}
      onclick={() => onrecord('pass', evidence, null)}>Sign: passed</button
    >
    <button
      type="button"
      class="border border-stop px-4 py-2 text-stop disabled:opacity-50"
      disabled={busy || evidence.trim().length < 3}
      onclick={() => onrecord('fail', evidence, null)}>Record: failed</button
    >
    {#if gate.waiver !== 'never'}<button
        type="button"
        class="px-2 py-2 underline"
        aria-expanded={waiving}
        onclick={() => (waiving = !waiving)}>Waive …</button
      >{:else}<span class="py-2 text-sm text-dim">Can never be waived.</span>{/if}
  </div>
  {#if waiving}
    <div class="border-l-4 border-tight bg-paper p-2">
      <label class="block text-sm text-dim"
        >Reason, at least 15 characters; it is printed in the hand-over<input class={BOX} bind:value={reason} /></label
      >
      <label class="mt-1 block text-sm text-dim"
        >Review within [days]<input class={BOX} type="number" min="1" max="90" bind:value={days} /></label
      >
      <button
        type="button"
        class="mt-2 border border-ink px-3 py-1.5"
        disabled={busy}
        onclick={() => onwaive(reason, days)}>Waive {gate.id}</button
      >
    </div>
  {/if}
</div>
