<script lang="ts">
  import '../app.css';
  import { ThemeProvider } from 'flowbite-svelte';
  import { onMount } from 'svelte';
  import { navigating, page } from '$app/state';
  import { sendWaiting } from '$lib/client/siteRecord.svelte';
  import Brand from '$lib/ui/bar/Brand.svelte';
  import FindButton from '$lib/ui/bar/FindButton.svelte';
  import MainLinks from '$lib/ui/bar/MainLinks.svelte';
  import { BUTTON, FILE } from '$lib/ui/form/control';

  let { children } = $props();
  onMount(() => void sendWaiting());
  /** A site brings a bar of its own: name, line and stages. */
  const onSite = $derived(page.route.id?.startsWith('/sites/[id]') && page.error === null);
</script>

<svelte:window ononline={() => void sendWaiting()} />
<a href="#content" class="sr-only focus:not-sr-only">Skip to content</a>
<ThemeProvider theme={{ button: { base: BUTTON }, fileupload: { base: FILE } }}>
  {#if onSite}{@render children()}{:else}
    <header class="no-print bg-ink text-paper">
      <div class="mx-auto flex h-10 max-w-[1500px] items-center gap-6 px-4">
        <Brand />
        <nav aria-label="Main" class="flex gap-4"><MainLinks /></nav>
        <div class="order-last"><FindButton /></div>
        {#if navigating.to}<p class="opening ml-auto" role="status">Opening …</p>{:else}
          <p class="ml-auto hidden text-sm opacity-80 sm:block">Answers this machine only: no accounts yet.</p>{/if}
      </div>
    </header>
    <main id="content" class="mx-auto max-w-[1500px] px-4 py-3">{@render children()}</main>
  {/if}
</ThemeProvider>
