<script lang="ts">
  let {
    chain,
  }: { chain: { readonly entries: number; readonly unchained: number; readonly broken: readonly string[] } } = $props();
</script>

<section class="sheet p-4" aria-labelledby="chain">
  <h2 id="chain">The record as it was written</h2>
  {#if chain.broken.length}
    <p class="font-semibold text-stop" role="alert">The chain of hashes is broken:</p>
    <ul>
      {#each chain.broken as b (b)}<li class="border-t border-rule py-1 text-stop">{b}</li>{/each}
    </ul>
  {:else}<p>
      <span class="num">{chain.entries}</span> entries, each chained to the one before (SHA-256): none altered, removed
      or moved.{#if chain.unchained}
        <span class="num">{chain.unchained}</span> of them are older than the chain.{/if}
    </p>{/if}
</section>
