<script lang="ts">
  import SiteFrame from '$lib/ui/bar/SiteFrame.svelte';

  let { data, children } = $props();
</script>

<!-- Whoever goes from one site straight to another gets a frame of its own: nothing of the one may be taken for the other's. -->
{#key data.siteId}<SiteFrame {data}>{@render children()}</SiteFrame>{/key}
