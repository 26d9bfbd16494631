<script lang="ts">
  import { page } from '$app/state';

  let { itemClass = '' }: { itemClass?: string } = $props();
  const LINKS = [
    ['/', 'Yard'],
    ['/shelf', 'Shelf'],
    ['/bench', 'Bench'],
    ['/rules', 'Rules'],
  ] as const;
  const here = $derived(page.url.pathname);
  const isHere = (path: string) => (path === '/' ? here === '/' : here.startsWith(path));
</script>

{#each LINKS as [path, name] (path)}
  <a
    href={path}
    class="{itemClass} {isHere(path) ? 'underline underline-offset-4' : ''}"
    aria-current={isHere(path) ? 'page' : undefined}>{name}</a
  >
{/each}
