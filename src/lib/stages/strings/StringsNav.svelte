<script lang="ts">
  import { page } from '$app/state';

  let { siteId }: { siteId: string } = $props();
  const PARTS = [
    ['', 'Peg board'],
    ['/curves', 'Curves'],
    ['/year', 'Year of energy'],
    ['/lists', 'Lists and labels'],
  ] as const;
  const base = $derived(`/sites/${siteId}/strings`);
</script>

<nav aria-label="Parts of strings" class="no-print flex flex-wrap gap-x-5">
  {#each PARTS as [path, name] (path)}
    {@const here = page.url.pathname === base + path}
    <a
      href={base + path}
      aria-current={here ? 'page' : undefined}
      class="py-0.5 {here ? 'border-b-4 border-primary-600 font-bold' : 'underline'}">{name}</a
    >
  {/each}
</nav>
