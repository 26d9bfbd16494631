<script lang="ts">
  import { Input } from 'flowbite-svelte';
  import { dateOf } from '$lib/ui/dates';

  let {
    id,
    value = $bindable(),
    invalid = false,
    describedby,
    name,
  }: {
    id: string;
    /** Year, month, day, as `2027-03-31`; empty while not known. */
    value: string | null;
    invalid?: boolean;
    describedby?: string | undefined;
    name?: string;
  } = $props();
  let open = $state(false);
  const chosen = $derived(value && /^\d{4}-\d\d-\d\d$/.test(value) ? new Date(`${value}T12:00:00`) : undefined);

  function choose(day: Date | undefined) {
    if (day) value = dateOf(day);
    open = false;
  }
</script>

<div class="relative">
  <div class="flex">
    <Input
      {id}
      {name}
      type="text"
      size="sm"
      class="num h-8 rounded-r-none py-0"
      inputmode="numeric"
      placeholder="2027-03-31"
      bind:value={value as string}
      color={invalid ? 'red' : undefined}
      aria-invalid={invalid}
      aria-describedby={describedby}
    />
    <button
      type="button"
      class="flex h-8 w-9 shrink-0 items-center justify-center border border-l-0 border-gray-300 bg-white"
      aria-label="Calendar"
      aria-expanded={open}
      onclick={() => (open = !open)}
      ><svg viewBox="0 0 16 16" class="h-4 w-4" aria-hidden="true"
        ><path
          d="M1.5 3.5h13v11h-13zM1.5 7h13M5 1v4M11 1v4"
          fill="none"
          stroke="currentColor"
          stroke-width="1.5"
        /></svg
      ></button
    >
  </div>
  {#if open}
    <div class="absolute z-30 mt-1">
      {#await import('./Calendar.svelte') then { default: Calendar }}<Calendar value={chosen} onchoose={choose} />
      {:catch}
        <p class="border border-rule bg-sheet p-2 text-sm" role="status">
          No calendar without the server: type the day.
        </p>
      {/await}
    </div>
  {/if}
</div>
