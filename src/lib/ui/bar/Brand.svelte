<script lang="ts">
  let { word = true }: { word?: boolean } = $props();
</script>

<a href="/" class="flex shrink-0 items-center gap-2 font-bold" aria-label="Bolt Yard, the yard of sites"
  ><img src="/mark.svg" alt="" class="h-6 w-6" />{#if word}Bolt Yard{/if}</a
>
