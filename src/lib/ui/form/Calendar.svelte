<script lang="ts">
  // Not from the package's index: what one lazy part of it takes would come along with every Button.
  import Datepicker from 'flowbite-svelte/Datepicker.svelte';

  let { value, onchoose }: { value: Date | undefined; onchoose: (day: Date | undefined) => void } = $props();
</script>

<Datepicker
  inline
  {value}
  locale="en-GB"
  firstDayOfWeek={1}
  onselect={(day) => onchoose(day instanceof Date ? day : undefined)}
/>
