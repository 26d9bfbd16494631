<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { useSite } from '$lib/client/siteState.svelte';
  import ContactSheet from '$lib/stages/links/ContactSheet.svelte';
  import LinksNav from '$lib/stages/links/LinksNav.svelte';
  import MarginLedger from '$lib/ui/ledger/MarginLedger.svelte';
  import Stage from '$lib/ui/Stage.svelte';

  const site = useSite();
  const checks = $derived(site.assessment.checks.filter((c) => c.subject.element === 'chain'));
</script>

<Stage {checks}>
  {#snippet caution()}An emergency stop that was not pressed is not proved. Nobody stands at a unit or its board while
    its stop, start or limit contacts are tried.{/snippet}
  {#snippet main()}
    <LinksNav />
    <p class="no-print"><Button size="sm" color="alternative" onclick={() => print()}>Print</Button></p>
    <ContactSheet />
  {/snippet}
  {#snippet side()}<MarginLedger {checks} title="Margins: chain" />{/snippet}
</Stage>
