<script lang="ts">
  import { Fileupload } from 'flowbite-svelte';
  import type { RunsTyped } from '$core/ac/schedule/runTable';
  import { ApiProblem, upload } from '$lib/client/api';
  import type { ProblemDocument } from '$lib/schemas/problem';
  import { useSite } from '$lib/client/siteState.svelte';
  import type { Offer } from './grid.svelte';

  let { onread }: { onread: (offer: Offer) => void } = $props();
  const site = useSite();
  let files = $state<FileList | null>(null);
  let reading = $state(false);
  let problem = $state.raw<ProblemDocument | null>(null);

  async function open() {
    const [file] = files ?? [];
    if (!file) return;
    reading = true;
    problem = null;
    try {
      onread({ ...(await upload<RunsTyped>(`/api/v1/sites/${site.siteId}/run-list`, file)), from: file.name });
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
      problem = cause.problem;
    } finally {
      reading = false;
      files = null;
    }
  }
</script>

<a class="text-sm underline" href="/sites/{site.siteId}/ac/lists/runs.csv" download>CSV</a>
<a class="text-sm underline" href="/sites/{site.siteId}/ac/lists/runs.xlsx" download>XLSX</a>
<label class="cursor-pointer text-sm underline focus-within:outline-2">
  Read a list, CSV or XLSX
  <Fileupload class="sr-only" accept=".csv,.xlsx,text/csv" disabled={reading} bind:files onchange={open} />
</label>
{#if reading}<span role="status">Reading …</span>{/if}
{#if problem}
  <div role="alert" class="w-full border-l-4 border-stop bg-paper px-3 py-1 text-sm">
    <p class="font-semibold">{problem.detail}</p>
    <ul>
      {#each problem.errors ?? [] as e, i (i)}<li>{e.detail}</li>{/each}
    </ul>
  </div>
{/if}
