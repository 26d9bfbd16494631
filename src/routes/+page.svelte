<script lang="ts">
  import { goto } from '$app/navigation';
  import { Button, Input, Label } from 'flowbite-svelte';
  import { fixed } from '$core/kernel/quantity';
  import type { ProblemDocument } from '$lib/schemas/problem';
  import { ApiProblem, post } from '$lib/client/api';
  import Trouble from '$lib/ui/Trouble.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  let { data } = $props();
  let name = $state('');
  let filter = $state('');
  let busy = $state(false);
  let problem = $state.raw<ProblemDocument | null>(null);
  const shown = $derived(
    data.sites.filter((s) => `${s.name} ${s.summary.place}`.toLowerCase().includes(filter.trim().toLowerCase())),
  );

  async function open(path: string, body: unknown) {
    busy = true;
    problem = null;
    try {
      const { siteId } = await post<{ siteId: string }>(path, body);
      await goto(`/sites/${siteId}/survey`, { invalidateAll: true });
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
      problem = cause.problem;
    } finally {
      busy = false;
    }
  }
  async function importFile(input: HTMLInputElement) {
    const [file] = input.files ?? [];
    if (file) await open('/api/v1/projects', await file.text());
    input.value = '';
  }
</script>

<svelte:head><title>Yard · Bolt Yard</title></svelte:head>

<div class="mb-3 flex flex-wrap items-end gap-x-6 gap-y-3">
  <h1 class="mr-auto">Yard</h1>
  <div>
    <Label for="find" class="text-sm font-normal text-dim">Find a site</Label><Input
      id="find"
      size="sm"
      bind:value={filter}
    />
  </div>
  <form
    class="flex items-end gap-2"
    onsubmit={(e) => {
      e.preventDefault();
      void open('/api/v1/sites', { name });
    }}
  >
    <div>
      <Label for="new-name" class="text-sm font-normal text-dim">New site</Label><Input
        id="new-name"
        size="sm"
        bind:value={name}
        placeholder="Name of the site"
      />
    </div>
    <Button type="submit" size="sm" disabled={busy}>Open it</Button>
  </form>
  <div>
    <Label for="project-file" class="text-sm font-normal text-dim">Import a project file</Label>
    <input
      id="project-file"
      type="file"
      accept="application/json,.json"
      class="block text-sm"
      onchange={(e) => importFile(e.currentTarget)}
      disabled={busy}
    />
  </div>
</div>
<Trouble {problem} ondismiss={() => (problem = null)} />

{#if data.sites.length === 0}
  <p class="sheet p-6">No site yet. Name one above, or import a project file.</p>
{:else if shown.length === 0}
  <p class="sheet p-6">No site is called like that.</p>
{:else}
  <ul class="grid gap-3">
    {#each shown as s (s.id)}
      <li class="sheet p-3">
        <div class="flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <h2>
            <a
              class="underline decoration-rule underline-offset-4 hover:decoration-ink"
              href="/sites/{s.id}/{s.summary.inverters ? 'strings' : 'survey'}">{s.name}</a
            >
          </h2>
          <span class="text-dim">{s.summary.place || 'place not known yet'}</span>
          {#if data.switchOff[s.id]}<a
              class="border-2 border-stop px-2 font-bold text-stop"
              href="/sites/{s.id}/energise"
              >Switch off until proved: {data.switchOff[s.id]}
              {data.switchOff[s.id] === 1 ? 'unit' : 'units'}</a
            >{/if}
          <span class="ml-auto flex flex-wrap gap-4">
            {#each ['stop', 'unknown', 'tight', 'holds'] as const as v (v)}
              <span class="inline-flex items-center gap-1"
                ><VerdictMark verdict={v} /> <span class="num">{s.summary.counts[v]}</span></span
              >
            {/each}
          </span>
        </div>
        <dl class="mt-1 flex flex-wrap gap-x-8 text-sm">
          {#each [['AC', `${fixed(s.summary.acKw, 0)} kW`], ['DC', `${fixed(s.summary.dcKw, 1)} kWp`], ['inverters', s.summary.inverters], ['strings', s.summary.strings], ['modules', s.summary.modules], ['revision', s.revision]] as [term, value] (term)}
            <div class="flex gap-1">
              <dt class="text-dim">{term}</dt>
              <dd class="num">{value}</dd>
            </div>
          {/each}
          <div class="flex gap-1">
            <dt class="text-dim">changed</dt>
            <dd class="num">{new Date(s.changedAt).toLocaleDateString('sv-SE')}</dd>
          </div>
        </dl>
        <ol class="mt-2 flex flex-wrap gap-x-1 gap-y-1 text-sm" aria-label="Line of {s.name}">
          {#each s.summary.line as e (e.element)}
            <li class="flex items-center gap-1 border border-rule px-1.5">
              {e.element}
              <VerdictMark verdict={e.verdict} word={false} />{#if e.margin !== null}<span class="num"
                  >{fixed(e.margin, 0)} %</span
                >{/if}
            </li>
          {/each}
        </ol>
      </li>
    {/each}
  </ul>
{/if}
