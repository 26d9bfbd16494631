<script lang="ts">
  import { RULE_BOOK, schoolsOf, standingOf } from '$core/proving/ruleBook';
  import Words from '$lib/ui/form/Words.svelte';

  const CHAPTERS: Readonly<Record<string, string>> = {
    strings: 'Modules and strings',
    ac: 'AC side',
    links: 'RS-485 chain',
    proving: 'Measurements on site',
  };
  let find = $state('');
  const wanted = $derived(find.trim().toLowerCase());
  const shown = $derived(
    RULE_BOOK.map((c) => ({
      ...c,
      rules: c.rules.filter((r) =>
        [r.id, r.title, r.basis.source, ...r.asks].some((text) => text.toLowerCase().includes(wanted)),
      ),
    })).filter((c) => c.rules.length),
  );
  const count = $derived(shown.reduce((sum, c) => sum + c.rules.length, 0));
</script>

<svelte:head><title>Rules · Bolt Yard</title></svelte:head>

<div class="mb-3 flex flex-wrap items-end gap-x-6 gap-y-3">
  <div class="mr-auto">
    <h1>Rules</h1>
    <p class="max-w-prose text-dim">
      Every rule that judges a site. While anything it needs is missing its answer is unknown, and so it is on a site of
      a school whose table is not in the program yet. Local code and the electrician on the spot outrank them all.
    </p>
  </div>
  <Words label="Find a rule" bind:value={find} />
  <p class="num" aria-live="polite">{count} {count === 1 ? 'rule' : 'rules'}</p>
</div>

{#each shown as chapter (chapter.name)}
  <section class="sheet mb-4 overflow-x-auto p-3" aria-labelledby="chapter-{chapter.name}">
    <h2 id="chapter-{chapter.name}" class="mb-1">{CHAPTERS[chapter.name] ?? chapter.name}</h2>
    <table class="grid-table table-fixed min-w-[64rem]">
      <thead>
        <tr>
          <th scope="col" class="w-[23%]">Asks</th>
          <th scope="col" class="w-[7%]">Unit</th>
          <th scope="col" class="w-[26%]">Needs</th>
          <th scope="col" class="w-[27%]">Basis</th>
          <th scope="col" class="w-[10%]">Standing</th>
          <th scope="col" class="w-[7%]">Schools</th>
        </tr>
      </thead>
      <tbody>
        {#each chapter.rules as rule (rule.id)}
          <tr id={rule.id} class="align-top">
            <th scope="row" class="text-left font-normal">
              <b class="font-semibold">{rule.title}</b><br /><span class="num text-sm text-dim">{rule.id}</span>
            </th>
            <td>{rule.unit || '–'}</td>
            <td>{rule.asks.join('; ') || 'nothing more'}</td>
            <td>{rule.basis.source}</td>
            <td>{standingOf(rule)}</td>
            <td>{schoolsOf(rule).length === 3 ? 'all' : schoolsOf(rule).join(', ')}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
{:else}
  <p class="sheet p-6 text-dim">No rule speaks of “{find}”. Search by what it asks, what it needs, or its source.</p>
{/each}
