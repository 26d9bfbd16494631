<script lang="ts">
  let { letters }: { letters: readonly string[] } = $props();
  const one = $derived(letters.length === 1);
</script>

{#if letters.length}
  <p class="sheet mb-2 border-l-4 border-l-stop p-3" role="alert">
    This program cannot read {one ? 'release' : 'releases'}
    {letters.join(', ')}: another version of it froze {one ? 'it' : 'them'}. What was recorded on {one ? 'it' : 'them'} is
    kept and counts for nothing here: a unit that was switched on does not show, so take every unit as live. Go back to the
    version that made {one ? 'it' : 'them'}, or release the design again and prove it anew.
  </p>
{/if}
