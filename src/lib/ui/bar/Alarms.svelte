<script lang="ts">
  import type { SiteDesign } from '$core/design';
  import { happeningNamed } from '$core/proving/tables/happenings';
  import type { LogState } from '$lib/client/logState.svelte';
  import { partName, when } from '$lib/ui/record/words';

  let { log, design }: { log: LogState; design: SiteDesign } = $props();
</script>

<!-- Stays in sight wherever the page is scrolled to: somebody may stand before the very unit it is about. -->
<div class="sticky top-0 z-20" role="alert">
  {#each log.alarms as { id, subject, values, by, doneAt } (id)}
    <div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2 bg-stop px-3 py-2 text-white">
      <p class="mr-auto max-w-prose">
        <strong class="block text-lg">Danger: {values['what']}, {partName(subject.id, design)}</strong>
        “{values['seen']}”, reported by {by} at <span class="num whitespace-nowrap">{when(doneAt)}</span>.
        {happeningNamed(String(values['what'])).weather
          ? 'No DC or live work, and covers shut, until an electrician says that it is dry.'
          : 'The proofs it touches are withdrawn: stop there, and look before you go on.'}
      </p>
      <button type="button" class="min-h-11 border border-white px-4 py-2 font-semibold" onclick={() => log.heard(id)}
        >Seen</button
      >
    </div>
  {/each}
</div>
