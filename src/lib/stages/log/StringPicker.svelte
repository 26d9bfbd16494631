<script lang="ts">
  import GateMark from '$lib/ui/GateMark.svelte';
  import type { StringPick } from './stringPick.svelte';

  let { pick }: { pick: StringPick } = $props();
</script>

<section class="sheet p-3" aria-labelledby="pick">
  <h2 id="pick" class="sr-only">Pick a string</h2>
  <div class="flex flex-wrap gap-1" role="group" aria-label="Inverter">
    {#each pick.design?.inverters ?? [] as i (i.id)}
      <button
        type="button"
        class="border px-3 py-2 whitespace-nowrap {i.id === pick.unit?.id
          ? 'border-ink bg-ink text-paper'
          : 'border-rule'}"
        data-part={i.id}
        aria-pressed={i.id === pick.unit?.id}
        onclick={() => pick.pickUnit(i.id)}>{i.tag}</button
      >
    {/each}
  </div>
  <div class="mt-2 grid grid-cols-3 gap-1 sm:grid-cols-5 xl:grid-cols-7" role="group" aria-label="String">
    {#each pick.strings as s (s.id)}
      <button
        type="button"
        class="flex items-center justify-between gap-1 border px-2 py-1.5 text-left {s.id === pick.string?.id
          ? 'border-ink bg-primary-100'
          : 'border-rule'}"
        data-part={s.id}
        aria-pressed={s.id === pick.string?.id}
        onclick={() => pick.pickString(s.id)}
      >
        <span class="num">{s.place?.tracker}.{s.place?.input} <span class="text-dim">S{s.number}</span></span><GateMark
          state={pick.markOf(s.id)}
          short
        />
      </button>
    {/each}
  </div>
</section>
