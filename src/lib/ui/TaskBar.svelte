<script lang="ts" generics="P">
  import type { Snippet } from 'svelte';
  import type { LongTask } from '$lib/client/longTask.svelte';

  let {
    task,
    share,
    name,
    children,
  }: {
    task: LongTask<P>;
    /** How much is done, 0 to 1; null where nobody can say. */
    share: number | null;
    name: string;
    /** What it is doing. */
    children?: Snippet;
  } = $props();
</script>

{#if task.running}
  <div class="flex flex-wrap items-center gap-3 text-sm" role="status">
    {#if share === null}<progress aria-label={name}></progress>{:else}<progress max="1" value={share} aria-label={name}
      ></progress>{/if}
    {@render children?.()}
    <button type="button" class="underline" onclick={() => task.stop()}>Stop</button>
  </div>
{/if}
{#if task.failure}<p role="alert" class="text-stop">{task.failure}</p>{/if}
