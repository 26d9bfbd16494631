<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { onMount } from 'svelte';
  import { invalidateAll } from '$app/navigation';
  import { ApiProblem, post, read } from '$lib/client/api';
  import { signOn } from '$lib/client/signOn.svelte';
  import type { SiteState } from '$lib/client/siteState.svelte';
  import type { ProblemDocument } from '$lib/schemas/problem';
  import { named } from '$lib/ui/record/words';
  import Trouble from '$lib/ui/Trouble.svelte';
  import Words from '$lib/ui/form/Words.svelte';

  let { site, again, done }: { site: SiteState; /** There is an earlier release. */ again: boolean; done: () => void } =
    $props();
  let by = $state(signOn.by);
  let problem = $state.raw<ProblemDocument | null>(null);
  interface Cost {
    readonly key: string;
    readonly why: string;
  }
  /** Proofs that this release would cost; null while they are worked out. */
  let costs = $state.raw<readonly Cost[] | null>(null);

  /** Runs what the server may refuse; the refusal stands above the form. */
  async function orRefused(work: () => Promise<void>) {
    problem = null;
    try {
      await work();
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
      problem = cause.problem;
    }
  }
  onMount(
    () =>
      void orRefused(async () => {
        costs = await read<Cost[]>(`/api/v1/sites/${site.siteId}/releases/cost`);
      }),
  );
  const release = () =>
    orRefused(async () => {
      await post(`/api/v1/sites/${site.siteId}/releases`, { revision: site.revision, by });
      await invalidateAll();
      done();
    });
</script>

<Trouble {problem} ondismiss={() => (problem = null)} />
<form
  class="sheet mb-2 flex flex-wrap items-end gap-3 p-3"
  onsubmit={(e) => {
    e.preventDefault();
    void release();
  }}
>
  <p class="max-w-prose">
    Freezes the design as it stands under the next letter. The crew builds and records against it; later changes need a
    new letter.
  </p>
  <Words label="Released by" required bind:value={by} />
  <Button type="submit" size="sm" disabled={site.pending > 0}>Release revision {site.revision}</Button>
  <Button size="sm" color="alternative" onclick={done}>Not now</Button>
  <div class="w-full" role="status">
    {#if again && costs === null && !problem}Working out which proofs it would cost …
    {:else if costs && costs.length}
      <p class="font-semibold text-stop">
        It costs {costs.length}
        {costs.length === 1 ? 'proof' : 'proofs'}, to be made anew:
      </p>
      <ul class="max-h-40 overflow-y-auto text-sm">
        {#each costs as c (c.key)}<li>{named(c.key, site.design)}: {named(c.why, site.design)}</li>{/each}
      </ul>
    {:else if again && costs}It costs no proof.{/if}
  </div>
</form>
