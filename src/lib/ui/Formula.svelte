<script lang="ts">
  import { piecesOf } from './symbols';

  let { line }: { line: string } = $props();
</script>

{#each piecesOf(line) as { text, below }, i (i)}{#if below}<sub>{text}</sub>{:else}{text}{/if}{/each}
