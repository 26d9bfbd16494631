<script lang="ts">
  import type { Instrument } from '$core/equipment/instrument';
  import { MEASURED } from '$core/equipment/instrument';

  let { instruments }: { instruments: readonly Instrument[] } = $props();
</script>

<section class="sheet relative overflow-x-auto p-3" aria-labelledby="instruments">
  <h2 id="instruments">Instruments</h2>
  <p class="text-dim">
    An entry of the record carries its instrument as it was: kind, ranges, calibration. A crew takes them along from
    here when it signs on, and adds its own.
  </p>
  <table class="grid-table mt-2">
    <thead
      ><tr
        ><th scope="col">Kind</th><th scope="col">Name</th><th scope="col">Serial number</th><th scope="col">Ranges</th
        ><th scope="col">Calibrated until</th></tr
      ></thead
    >
    <tbody>
      {#each instruments as i (i.serial)}
        <tr
          ><td>{i.kind}</td><td>{i.name}</td><td class="num">{i.serial}</td><td
            >{i.ranges.map((r) => `${r.of} ${r.min} to ${r.max} ${MEASURED[r.of]}`).join(', ') || 'not given'}</td
          ><td class="num">{i.calibratedUntil}</td></tr
        >
      {/each}
    </tbody>
  </table>
</section>
