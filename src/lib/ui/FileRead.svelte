<script lang="ts" generics="T">
  import { Fileupload } from 'flowbite-svelte';
  import { ApiProblem, upload } from '$lib/client/api';
  import type { ProblemDocument } from '$lib/schemas/problem';

  /** A file that the server reads and answers for; what it refuses is said beside the field. */
  let {
    label,
    path,
    onread,
  }: { label: string; /** Where the file is sent. */ path: string; onread: (answer: T, name: string) => void } =
    $props();
  let files = $state<FileList | null>(null);
  let reading = $state(false);
  let problem = $state.raw<ProblemDocument | null>(null);

  async function open() {
    const [file] = files ?? [];
    if (!file) return;
    reading = true;
    problem = null;
    try {
      onread(await upload<T>(path, file), file.name);
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
      problem = cause.problem;
    } finally {
      reading = false;
      files = null;
    }
  }
</script>

<label class="cursor-pointer text-sm underline focus-within:outline-2">
  {label}
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
