<script lang="ts">
  import { Button, Fileupload } from 'flowbite-svelte';
  import { fixed } from '$core/kernel/quantity';
  import { useSite } from '$lib/client/siteState.svelte';
  import { energyForm, energyFromForm, energyToForm } from '$lib/schemas/forms';
  import TaskBar from '$lib/ui/TaskBar.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import type { YearState } from './yearState.svelte';

  let { year }: { year: YearState } = $props();
  const site = useSite();
  const design = $derived(site.design);
  const weather = $derived(year.weather);
  let files = $state<FileList | null>(null);
  function read() {
    const [file] = files ?? [];
    if (file) void year.read(file);
  }
</script>

<section class="sheet p-3" aria-labelledby="inputs-title">
  <div class="flex flex-wrap items-end gap-3 text-sm text-dim">
    <div class="mr-auto self-start text-ink">
      <h2 id="inputs-title">Weather and losses</h2>
      <p>
        {#if weather}Weather: <b>{weather.label}</b>, {weather.hours.length} hours, coldest {fixed(weather.coldestC, 1)} °C.
          {#if design.survey.coldestC !== null && weather.coldestC < design.survey.coldestC}<b class="text-tight"
              >Colder than the design temperature of {design.survey.coldestC} °C: look at that entry.</b
            >{:else}A typical year’s minimum is no design temperature.{/if}
        {:else}No weather file: a clear sky dimmed by monthly clearness stands in, and the result says so.{/if}
      </p>
    </div>
    <Choice
      label="Stamps of a CSV file"
      choices={[
        { value: 'starts', name: 'start their hour' },
        { value: 'ends', name: 'end their hour' },
      ]}
      bind:value={year.stamp}
    />
    <div>
      <label for="weather-file">Weather file, EPW or CSV</label>
      <Fileupload
        id="weather-file"
        size="sm"
        class="w-64"
        accept=".epw,.csv,text/csv"
        disabled={year.reading.running}
        bind:files
        onchange={read}
      />
    </div>
    {#if weather}<button type="button" class="underline" onclick={() => year.forget()}>Forget the file</button>{/if}
  </div>
  <TaskBar task={year.reading} share={null} name="Weather being read">Reading …</TaskBar>
  {#if year.lineErrors.length}
    <div role="alert" class="mt-2 border-l-4 border-stop bg-paper px-3 py-1 text-sm">
      <p class="font-semibold">The file was not taken; nothing changed.</p>
      <ul>
        {#each year.lineErrors as e, i (i)}<li>Line <b class="num">{e.line}</b>: {e.text}</li>{/each}
      </ul>
    </div>
  {/if}
  {#if year.hint}<p role="alert" class="mt-1 text-sm text-tight">{year.hint}</p>{/if}
  <details class="mt-2" open={!weather && design.energy.monthlyMeanC === null}>
    <summary class="cursor-pointer font-semibold">Without a file, and losses</summary>
    {#key design.energy}<EditForm
        schema={energyForm}
        value={energyToForm(design.energy)}
        groups={[
          {
            title: '',
            paths: ['monthlyMeanC', 'clearness', 'dailyRangeK', 'utcOffsetH', 'albedo', 'lossPercent'],
          },
        ]}
        prefix="energy"
        label="Save the inputs"
        save={(typed) => site.apply({ kind: 'energy', energy: energyFromForm(energyForm.parse(typed)) })}
      />{/key}
  </details>
  <div class="mt-3 flex flex-wrap items-center gap-3">
    <Button size="sm" disabled={year.computing.running} onclick={() => year.compute()}>Compute the year</Button>
    <TaskBar task={year.computing} share={year.computing.progress} name="Year being computed" />
    {#if year.computing.tookS !== null}<span class="text-sm text-dim"
        >Computed in {fixed(year.computing.tookS, 1)} s.</span
      >{/if}
    {#if year.missing.length}<p role="alert">Missing: {year.missing.join(', ')}.</p>{/if}
  </div>
</section>
