<script lang="ts">
  import { onMount } from 'svelte';
  import { loadSignOn, signOn } from '$lib/client/signOn.svelte';
  import SignOnForm from './SignOnForm.svelte';

  onMount(loadSignOn);
  let panel = $state<HTMLElement>();
  let open = $state(false);
  const initials = $derived(
    signOn.by
      .split(/\s+/)
      .map((w) => w.charAt(0))
      .join('')
      .slice(0, 3),
  );
</script>

<button
  type="button"
  popovertarget="sign-on"
  aria-label={signOn.by ? `Signed on: ${signOn.by}, ${signOn.role}` : 'Sign on'}
  class="flex h-8 shrink-0 items-center gap-2 rounded-full border px-3 text-sm {signOn.by
    ? 'border-paper/60'
    : 'border-paper bg-paper font-semibold text-ink'}"
>
  {#if signOn.by}<span class="sm:hidden">{initials}</span><span class="hidden sm:inline"
      >{signOn.by} · {signOn.role}</span
    >{:else}Sign on{/if}
</button>
<div
  bind:this={panel}
  id="sign-on"
  popover="auto"
  role="dialog"
  aria-label="Who signs on this device"
  class="bar-panel w-[min(46rem,100vw)]"
  ontoggle={(e) => (open = e.newState === 'open')}
>
  {#if open}<SignOnForm done={() => panel?.hidePopover()} />{/if}
</div>
