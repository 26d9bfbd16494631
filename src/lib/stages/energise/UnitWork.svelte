<script lang="ts">
  import type { SiteDesign } from '$core/design';
  import type { SiteInverter } from '$core/site/parts';
  import DangerForm from '$lib/ui/record/DangerForm.svelte';
  import GateCard from '$lib/ui/record/GateCard.svelte';
  import OrderPanel from '$lib/ui/record/OrderPanel.svelte';
  import { when } from '$lib/ui/record/words';
  import type { UnitPick } from './unitPick.svelte';

  let { pick, design, unit }: { pick: UnitPick; design: SiteDesign; unit: SiteInverter } = $props();
  const leaves = (key: string) => () => pick.leave(key);
</script>

<div class="order-first space-y-4 md:order-none">
  {#if pick.current}{#key pick.current.key}<GateCard
        proof={pick.current}
        {design}
        done={leaves(pick.current.key)}
      />{/key}{/if}
  <OrderPanel unitId={unit.id} {design} done={() => pick.goOn()} />
  {#if pick.onGrid && !pick.signed}<button
      type="button"
      class="w-full bg-holds px-4 py-3 text-lg font-bold text-white"
      disabled={pick.log.busy}
      onclick={() => pick.sign()}>Sign: {unit.tag} switched on</button
    >{/if}
  {#if pick.signed}<p class="border-l-4 border-holds px-3">
      Signed by {pick.signed.by}, {pick.signed.role}, {when(pick.signed.doneAt)}.
    </p>{/if}
  <DangerForm subjects={pick.subjects} />
</div>
