<script lang="ts">
  import type { Remaining } from '$core/strings/layout/legalLayout';
  import type { Violation } from '$core/strings/verify';
  import { verifyLayout } from '$core/strings/verify';
  import { afterPaint } from '$lib/client/afterPaint';
  import { useSite } from '$lib/client/siteState.svelte';
  import { untrack } from 'svelte';

  let { reasons }: { /** Why the last layout left modules over. */ reasons: readonly Remaining[] } = $props();
  const site = useSite();
  const design = $derived(site.design);
  /** The verifier looks once the move is on screen: its answer need not hold the move up. */
  let violations = $state.raw<readonly Violation[]>(untrack(() => verifyLayout(design)));
  $effect(() => {
    const looked = design;
    let moot = false;
    afterPaint(() => {
      if (!moot) violations = verifyLayout(looked);
    });
    return () => {
      moot = true;
    };
  });
  const leftOver = $derived(
    site.assessment.checks.filter((c) => c.id === 'strings.modules-used' && c.verdict !== 'holds'),
  );
</script>

{#if site.changes.length}
  <p class="border-l-4 border-ink bg-sheet px-3 py-1 text-sm" aria-live="polite" data-testid="changes">
    The last change altered {site.changes.length}
    {site.changes.length === 1 ? 'check' : 'checks'}:
    {#each site.changes.slice(0, 4) as c (c.what)}<span class="mr-3 inline-block"
        >{c.what}: {c.from ?? 'new'} → <b>{c.to ?? 'gone'}</b></span
      >{/each}
    {#if site.changes.length > 4}…{/if}
  </p>
{/if}
{#if violations.length}
  <ul class="border-l-4 border-stop bg-sheet px-3 py-1 text-sm" aria-label="Not legal">
    {#each violations.slice(0, 6) as v, i (i)}<li><b>{v.predicate}</b> {v.text}</li>{/each}
  </ul>
{/if}
{#if leftOver.length}
  <ul class="border-l-4 border-tight bg-sheet px-3 py-1 text-sm" aria-label="Modules left over">
    {#each leftOver as c (c.subject.id)}
      <li>
        {c.subject.path}: {c.working.join(
          ' ',
        )}{#each reasons.filter((r) => r.planeId === c.subject.id) as why (why.reason)}; {why.reason}{/each}
      </li>
    {/each}
  </ul>
{/if}
