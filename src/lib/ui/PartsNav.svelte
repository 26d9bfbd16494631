<script lang="ts">
  import { page } from '$app/state';

  let {
    base,
    parts,
    label,
    query = '',
  }: {
    /** Path of the stage. */
    base: string;
    /** Path behind it and name of each part; the first is the stage itself. */
    parts: readonly (readonly [path: string, name: string])[];
    label: string;
    /** What every address ends with. */
    query?: string;
  } = $props();
</script>

<nav aria-label={label} class="no-print flex flex-wrap gap-x-5">
  {#each parts as [path, name] (path)}
    {@const here = page.url.pathname === base + path}
    <a
      href={base + path + query}
      aria-current={here ? 'page' : undefined}
      class="py-0.5 {here ? 'border-b-4 border-primary-600 font-bold' : 'underline'}">{name}</a
    >
  {/each}
</nav>
