<script lang="ts">
  // Not from the package's index: what one lazy part of it takes would come along with every Button.
  import CommandPalette from 'flowbite-svelte/CommandPalette.svelte';
  import type { FindItem } from './findItems';

  let { open = $bindable(), items }: { open: boolean; items: FindItem[] } = $props();
  /** What was picked: gone to once the dialog is closed, for until then nothing behind it takes the focus. */
  let picked: FindItem['onselect'] | null = null;
  const picking = $derived(items.map((item) => ({ ...item, onselect: () => (picked = item.onselect) })));

  function closed() {
    picked?.();
    picked = null;
  }
</script>

<CommandPalette
  bind:open
  items={picking}
  aria-label="Find"
  classes={{ item: '[&[aria-selected=true]_div]:text-white', footer: 'hidden' }}
  placeholder="Site, stage, unit, string or rule"
  emptyMessage="Nothing is called like that."
  onoutroend={() => queueMicrotask(closed)}
/>
