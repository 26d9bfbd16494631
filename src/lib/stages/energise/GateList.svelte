<script lang="ts">
  import GateMark from '$lib/ui/GateMark.svelte';
  import { GATE_NAME } from '$lib/ui/gateWords';
  import type { UnitPick } from './unitPick.svelte';

  let { pick, siteId }: { pick: UnitPick; siteId: string } = $props();
</script>

<section class="sheet p-3" aria-labelledby="gates">
  <h2 id="gates">Gates of {pick.unit?.tag}</h2>
  <p class="mb-1 flex flex-wrap gap-x-3 text-sm text-dim">
    {#each pick.stringGates as g (g.id)}<span class="whitespace-nowrap"
        >{g.id} <span class="num">{g.closed}/{g.of}</span></span
      >{/each}
    <span>strings, on the <a class="underline" href="/sites/{siteId}/log">site log</a></span>
  </p>
  <ol>
    {#each pick.shown as g (g.key)}
      <li>
        <button
          type="button"
          class="flex w-full items-center justify-between gap-2 border-t border-rule px-1 py-1.5 text-left {g.key ===
          pick.current?.key
            ? 'bg-primary-100'
            : ''}"
          aria-current={g.key === pick.current?.key ? 'step' : undefined}
          onclick={() => pick.choose(g.key)}
        >
          <span><span class="num text-dim">{g.gate.id}</span> {GATE_NAME[g.gate.id]}</span><GateMark state={g.state} />
        </button>
      </li>
    {/each}
  </ol>
</section>
