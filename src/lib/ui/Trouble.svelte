<script lang="ts">
  import type { ProblemDocument } from '$lib/schemas/problem';

  let { problem, ondismiss }: { problem: ProblemDocument | null; ondismiss?: () => void } = $props();
</script>

{#if problem}
  <div role="alert" class="sheet border-l-4 border-l-stop px-3 py-2">
    <p class="font-semibold text-stop">{problem.title}</p>
    <p>{problem.detail}</p>
    {#if problem.errors && problem.errors.length > 1}
      <ul class="mt-1 list-disc pl-5 text-sm">
        {#each problem.errors.slice(0, 12) as e, i (i)}<li><span class="num">{e.pointer}</span> {e.detail}</li>{/each}
      </ul>
    {/if}
    <p class="mt-1 flex gap-4 text-sm">
      {#if problem.status === 409}<button type="button" class="underline" onclick={() => location.reload()}
          >Reload the site</button
        >{/if}
      {#if ondismiss}<button type="button" class="underline" onclick={ondismiss}>Dismiss</button>{/if}
    </p>
  </div>
{/if}
