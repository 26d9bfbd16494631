<script lang="ts">
  import { Button, Label, Range } from 'flowbite-svelte';
  import { dayFed } from '$core/design/tripHours';
  import { fixed } from '$core/kernel/quantity';
  import Amount from '$lib/ui/form/Amount.svelte';
  import { LABEL } from '$lib/ui/form/control';
  import TaskBar from '$lib/ui/TaskBar.svelte';
  import DayChart from './DayChart.svelte';
  import type { TripState } from './tripState.svelte';

  let { trips }: { trips: TripState } = $props();
  const year = $derived(trips.shown?.year);
  const hours = $derived(year ? dayFed(year.fed, trips.day) : []);
  const date = $derived(
    new Date(Date.UTC(trips.calendarYear, 0, trips.day)).toLocaleDateString('en-GB', {
      day: 'numeric',
      month: 'long',
      timeZone: 'UTC',
    }),
  );
</script>

<section class="sheet space-y-2 p-3" aria-labelledby="trip-year">
  <header class="flex flex-wrap items-end gap-3">
    <h2 id="trip-year" class="mr-auto">How many sunny hours it trips</h2>
    <Amount
      label="For a grid at rest of"
      unit="V"
      width="w-36"
      placeholder="as surveyed"
      value={trips.restV}
      onamount={(restV) => (trips.restV = restV)}
    />
    <Button size="sm" onclick={() => trips.count()}>Count the hours of a year</Button>
  </header>
  <TaskBar task={trips.task} share={trips.task.progress} name="Counting">month by month</TaskBar>
  {#if trips.missing.length}<p role="alert">Missing: {trips.missing.join(', ')}.</p>{/if}
  {#if year}
    {#if trips.stale}<p role="status" class="border-l-4 border-tight px-2 text-sm">
        From revision {trips.shown?.revision}; the design changed since. Count again.
      </p>{/if}
    <p data-testid="trip-hours">
      With the grid at <b class="num">{fixed(year.restV, 1)} V</b> at rest some unit passes
      <span class="num">{fixed(year.tripV, 1)} V</span> in
      <b class="num">{fixed(year.hoursH, 0)} h</b> of the year{year.hoursH === 0 ? '.' : ':'}
      {#each year.units.filter((u) => u.hoursH > 0) as u (u.id)}
        <span class="num mr-3">{u.tag} {fixed(u.hoursH, 0)} h, at most {fixed(u.kwh, 0)} kWh</span>
      {/each}
    </p>
    <div class="flex flex-wrap items-center gap-3">
      <Label for="t-day" class={LABEL}>Day drawn: <b>{date}</b></Label>
      <Range appearance="auto" id="t-day" min="1" max="365" bind:value={trips.day} class="w-72 accent-primary-700" />
    </div>
    {#if hours.length}<DayChart {hours} tripV={year.tripV} label={date} />{:else}<p class="text-dim">
        Nothing is fed on {date}.
      </p>{/if}
    <details class="text-sm">
      <summary class="cursor-pointer font-semibold">What it rests on</summary>
      <ul class="list-disc pl-5">
        {#each year.assumptions as a (a)}<li>{a}</li>{/each}
      </ul>
    </details>
  {:else if !trips.task.running}
    <p class="text-dim">
      Every hour of the year of energy, through this network. Strings have to hang on inputs, and the site has to have a
      place.
    </p>
  {/if}
</section>
