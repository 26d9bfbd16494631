<script lang="ts">
  let { siteId, units }: { siteId: string; /** Units that run without their proofs. */ units: number | undefined } =
    $props();
</script>

{#if units}<a class="border-2 border-stop px-2 font-bold text-stop" href="/sites/{siteId}/energise"
    >Switch off until proved: {units}
    {units === 1 ? 'unit' : 'units'}</a
  >{/if}
