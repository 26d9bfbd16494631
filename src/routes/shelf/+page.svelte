<script lang="ts">
  import InstrumentShelf from '$lib/stages/shelf/InstrumentShelf.svelte';
  import InverterShelf from '$lib/stages/shelf/InverterShelf.svelte';
  import ModuleShelf from '$lib/stages/shelf/ModuleShelf.svelte';
  import PriceShelf from '$lib/stages/shelf/PriceShelf.svelte';
  import StoreShelf from '$lib/stages/shelf/StoreShelf.svelte';

  let { data } = $props();
</script>

<svelte:head><title>Shelf · Bolt Yard</title></svelte:head>
<h1>Shelf</h1>
<p class="mb-2 max-w-prose text-dim">
  The company’s equipment. A site that uses an item keeps its own copy of the sheet: a change here changes no site.
</p>
<div class="space-y-3">
  <ModuleShelf modules={data.shelf.modules} />
  <InverterShelf inverters={data.shelf.inverters} />
  <PriceShelf prices={data.shelf.prices} />
  <StoreShelf remainders={data.shelf.remainders} />
  <InstrumentShelf instruments={data.shelf.instruments} />
</div>
