<script lang="ts">
  import { onMount } from 'svelte';
  import { ROLES } from '$core/proving/gates/machine';
  import { keepSignOn, loadSignOn, signOn } from '$lib/client/signOn.svelte';

  let open = $state(false);
  onMount(() => {
    if (!signOn.by) loadSignOn();
    open = !signOn.by;
  });
  const BOX = 'mt-0.5 block w-full border border-rule bg-white px-2 py-1.5 text-ink';
</script>

<details class="sheet" bind:open>
  <summary class="cursor-pointer px-3 py-2">
    <span class="font-semibold">{signOn.by || 'Say who you are first'}</span>
    {#if signOn.by}<span class="text-dim">
        · {signOn.role}{signOn.instrument.serial
          ? ` · ${signOn.instrument.name} ${signOn.instrument.serial}`
          : ' · no instrument'}</span
      >{/if}
  </summary>
  <form
    class="grid grid-cols-2 gap-3 border-t border-rule p-3 sm:grid-cols-5"
    oninput={keepSignOn}
    onsubmit={(e) => {
      e.preventDefault();
      keepSignOn();
      open = false;
    }}
  >
    <label class="text-sm text-dim">Name<input class={BOX} bind:value={signOn.by} autocomplete="name" /></label>
    <label class="text-sm text-dim"
      >Role<select class={BOX} bind:value={signOn.role}
        >{#each ROLES as role (role)}<option>{role}</option>{/each}</select
      ></label
    >
    <label class="text-sm text-dim">Instrument<input class={BOX} bind:value={signOn.instrument.name} /></label>
    <label class="text-sm text-dim">Its serial number<input class={BOX} bind:value={signOn.instrument.serial} /></label>
    <label class="text-sm text-dim"
      >Calibrated until<input class={BOX} type="date" bind:value={signOn.instrument.calibratedUntil} /></label
    >
    <button type="submit" class="col-span-2 justify-self-start bg-ink px-3 py-1.5 text-paper sm:col-span-5"
      >Keep on this device</button
    >
  </form>
</details>
