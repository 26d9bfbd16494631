<script lang="ts">
  import '../app.css';
  import { navigating, page } from '$app/state';

  let { children } = $props();
  const here = $derived(page.url.pathname);
</script>

<a href="#content" class="sr-only focus:not-sr-only">Skip to content</a>
<header class="no-print border-b border-rule bg-ink text-paper">
  <div class="mx-auto flex max-w-[1500px] items-center gap-6 px-4 py-1.5">
    <a href="/" class="flex items-center gap-2 font-bold"><img src="/mark.svg" alt="" class="h-6 w-6" /> Bolt Yard</a>
    <nav aria-label="Main" class="flex gap-4">
      <a href="/" class={here === '/' ? 'underline underline-offset-4' : ''}>Yard</a>
      <a href="/shelf" class={here.startsWith('/shelf') ? 'underline underline-offset-4' : ''}>Shelf</a>
      <a href="/bench" class={here.startsWith('/bench') ? 'underline underline-offset-4' : ''}>Bench</a>
      <a href="/rules" class={here.startsWith('/rules') ? 'underline underline-offset-4' : ''}>Rules</a>
    </nav>
    {#if navigating.to}<p class="opening ml-auto" role="status">Opening …</p>{:else}
      <p class="ml-auto hidden text-sm opacity-80 sm:block">Answers this machine only: no accounts yet.</p>{/if}
  </div>
</header>
<main id="content" class="mx-auto max-w-[1500px] px-4 py-3">{@render children()}</main>
