<script lang="ts">
  import { HOP_MOST_M, forwardUs } from '$core/links/ethernet/ipPlan';
  import type { OtherWays } from '$core/links/otherWays';
  import { addressesOf, otherWaysSchema } from '$core/links/otherWays';
  import { fixed } from '$core/kernel/quantity';
  import { useSite } from '$lib/client/siteState.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';

  const site = useSite();
  const ways = $derived(site.design.chain.otherWays);
  const plans = $derived(ways.ethernet.map((e) => ({ ...e, plan: addressesOf(e) })));
</script>

<section class="sheet p-3" aria-labelledby="beside">
  <h2 id="beside">Ways beside the bus</h2>
  <p class="mb-2 text-sm text-dim">
    Units that are not asked over RS-485, or not over it alone. Ethernet runs from unit to unit, at most {HOP_MOST_M} m a
    hop; a carrier stays behind one transformer; of two ports that exclude one another the second is dead while the first
    is plugged.
  </p>
  {#key ways}
    <EditForm
      schema={otherWaysSchema}
      value={ways}
      groups={[{ title: '', paths: Object.keys(otherWaysSchema.shape) }]}
      prefix="other-ways"
      label="Save the ways"
      save={(value) => site.apply({ kind: 'other-ways', otherWays: value as OtherWays })}
    />
  {/key}
</section>

{#each plans as { id, label, units, plan } (id)}
  {#if plan.value}
    <section class="sheet p-3" aria-labelledby="ip-{id}">
      <h2 id="ip-{id}">Addresses of {label}</h2>
      {#if 'given' in plan.value}
        <ol class="num grid grid-cols-[repeat(auto-fill,minmax(10rem,1fr))] gap-x-4">
          {#each plan.value.given as ip, i (ip)}<li><span class="text-dim">{i + 1}</span> {ip}</li>{/each}
        </ol>
        <p class="mt-1 text-sm text-dim">
          A full frame to the last of them takes <span class="num">{fixed(forwardUs(units ?? 0) / 1000, 2)} ms</span> more
          at 100 Mbit/s: every unit stores it and sends it on.
        </p>
      {:else}<p role="status" class="border-l-4 border-stop px-2">{plan.value.refused}.</p>{/if}
    </section>
  {/if}
{/each}
