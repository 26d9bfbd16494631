<script lang="ts">
  import type { SiteState } from '$lib/client/siteState.svelte';

  let { site, released }: { site: SiteState; released: { letter: string; revision: number } | undefined } = $props();
  const WORDS = {
    saved: 'saved',
    saving: 'saving …',
    unsent: 'not sent: nobody answers, trying again',
    refused: 'last change not saved',
  } as const;
  const troubled = $derived(site.keeping === 'refused' || site.keeping === 'unsent');
  const standing = $derived(
    `revision ${site.revision} · ${released ? `released ${released.letter} (revision ${released.revision})` : 'not released yet'} · `,
  );
</script>

<p class="min-w-0 text-sm {troubled ? '' : 'truncate'}">
  <span class="hidden opacity-80 md:inline">{standing}</span><span
    aria-live="polite"
    class={troubled ? 'bg-stop px-1.5 font-semibold text-white' : 'opacity-80'}
    >{WORDS[site.keeping]}{site.forgetful && site.pending > 0 ? '; this device keeps nothing: do not reload' : ''}</span
  >
</p>
