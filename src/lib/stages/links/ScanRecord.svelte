<script lang="ts">
  import { busesOf, devicesOn } from '$core/links/buses';
  import { plannedOf } from '$core/links/field/planned';
  import { BUS_SCAN } from '$core/proving/kinds/busScan';
  import { useLog } from '$lib/client/useLog.svelte';
  import type { ScanResult } from '$lib/schemas/field';
  import EntryForm from '$lib/ui/record/EntryForm.svelte';
  import NewestEntry from '$lib/ui/record/NewestEntry.svelte';

  let { result, bus }: { result: ScanResult; bus: number } = $props();
  const log = useLog();
  const subject = { scope: 'site', id: 'site' } as const;
  const released = $derived(log.current?.design ?? null);
  const newest = $derived(log.entries.findLast((e) => BUS_SCAN.is(e)) ?? null);
  const buses = $derived(released ? busesOf(released.chain) : []);
  const several = $derived(buses.length > 1);
  /** Units in the order of the form: bus by bus. */
  const planned = $derived(
    buses.flatMap((n) => plannedOf(released ? devicesOn(released.chain, n) : []).map((p) => ({ ...p, bus: n }))),
  );
  /** What the scan found, in the fields of the form: units of the release, by address. */
  const prefill = $derived(
    Object.fromEntries([
      ['from', 'stand-in'],
      ['polls', result.times],
      ...(several ? [['bus', bus]] : []),
      ...planned.flatMap((p, i) => {
        if (p.bus !== bus) return [];
        const finding = result.findings.find((f) => f.address === p.address);
        const rate = result.rates.find((r) => r.label === p.label);
        return [
          [`serial${i}`, finding?.serials[0] ?? ''],
          [`good${i}`, rate ? Math.round(rate.ok * result.times) : 0],
        ];
      }),
    ]),
  );
  type Unit = { readonly address: number; readonly serials: readonly string[]; readonly good: number };
  /** The units as typed, with whoever else answered at their address, and those that were heard at least once where nobody is planned. */
  function withOthers(typed: readonly Unit[]): Unit[] {
    const found = result.findings.filter((f) => f.kind !== 'missing');
    const at = new Map(found.map((f) => [f.address, f.serials]));
    const asked = new Set(typed.map((u) => u.address));
    return [
      ...typed.map((u) => ({ ...u, serials: [...new Set([...u.serials, ...(at.get(u.address) ?? [])])] })),
      ...found.filter((f) => !asked.has(f.address)).map((f) => ({ address: f.address, serials: f.serials, good: 1 })),
    ];
  }
</script>

<details class="mt-2">
  <summary class="cursor-pointer">Put this scan on the record</summary>
  {#if released === null}
    <p class="text-dim">The crew builds from a release: none is made yet.</p>
  {:else}
    {#if newest}<NewestEntry entry={newest} checks={log.evidence.judgement(newest).checks} />{/if}
    <p class="text-sm text-dim">
      What stand-ins say goes on the record as that, and closes no gate. A real bus is recorded at its gate on Energise.
    </p>
    <EntryForm
      kind={BUS_SCAN}
      {subject}
      label="Record the scan"
      {prefill}
      merge={(typed) => ({ ...typed, from: 'stand-in', units: withOthers(typed['units'] as Unit[]) })}
    />
  {/if}
</details>
