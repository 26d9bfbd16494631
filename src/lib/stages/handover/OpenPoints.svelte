<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { OPEN_POINT } from '$core/proving/kinds/openPoint';
  import EntryForm from '$lib/ui/record/EntryForm.svelte';
  import LogStatus from '$lib/ui/record/LogStatus.svelte';

  let {
    points,
    released,
  }: {
    points: readonly {
      readonly text: string;
      readonly severity: string;
      readonly owner: string;
      readonly due: string | null;
    }[];
    /** Only on a released site somebody may write one. */
    released: boolean;
  } = $props();
</script>

<section class="sheet p-4" aria-labelledby="points">
  <h2 id="points">Open points</h2>
  {#if points.length === 0}<p>None.</p>{:else}
    <table class="grid-table">
      <thead
        ><tr
          ><th scope="col">What</th><th scope="col">Severity</th><th scope="col">Owner</th><th scope="col">Due</th></tr
        ></thead
      >
      <tbody
        >{#each points as p (p.text)}<tr
            ><td>{p.text}</td><td class={p.severity === 'safety' ? 'font-semibold text-stop' : ''}>{p.severity}</td><td
              >{p.owner}</td
            ><td class="num">{p.due ?? '–'}</td></tr
          >{/each}</tbody
      >
    </table>
  {/if}
  {#if released}
    <details class="mt-3">
      <summary class="cursor-pointer font-semibold">Write an open point</summary>
      <div class="mt-2 space-y-3">
        <EntryForm
          kind={OPEN_POINT}
          subject={{ scope: 'site', id: 'site' }}
          label="Put it on record"
          done={() => void invalidateAll()}
        />
        <LogStatus />
      </div>
    </details>
  {/if}
</section>
