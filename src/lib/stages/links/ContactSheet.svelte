<script lang="ts">
  import { DEMAND_MODES, generatorRows, rippleRows, stopRows } from '$core/links/contacts/truth';

  interface Test {
    readonly what: string;
    readonly wanted: string;
  }
  const TABLES: readonly { readonly title: string; readonly note: string; readonly tests: readonly Test[] }[] = [
    {
      title: 'Emergency stop, normally closed',
      note: 'A broken wire stops; a shorted one is the dangerous fault, and only pressing finds it: prove it by pressing. A normally open stop is refused unless its wire is supervised.',
      tests: stopRows('NC').map((r) => ({
        what: `wire ${r.wire}, button ${r.button}`,
        wanted: `contact ${r.seen}, unit ${r.unit === 'run' ? 'runs' : 'stops'}${r.judged === 'safe' ? '' : `: ${r.judged}`}`,
      })),
    },
    {
      title: 'Ripple control, relays K1 to K4',
      note: 'Several closed: the lowest wins. None: all of it, with caution. Time every step against what the operator asks.',
      tests: rippleRows().map((r) => ({
        what: r.relays.split('').join(' '),
        wanted: r.says.includes('%') ? r.says : `${r.percent} %: ${r.says}`,
      })),
    },
    {
      title: 'Start contact of a generator',
      note: 'Closes where the grid is lost, the mode is auto and the charge is low; holds between the two charges; opens above, or when the grid is back.',
      tests: generatorRows().map((r) => ({
        what: `grid ${r.grid}, charge ${r.charge}, ${r.mode}, before ${r.before === 'run' ? 'running' : 'at rest'}`,
        wanted: r.contact === 'close' ? 'closed' : 'open',
      })),
    },
    {
      title: 'Demand modes',
      note: 'Where the operator has them (AS/NZS 4777.2).',
      tests: DEMAND_MODES.map((m) => ({ what: m.mode, wanted: m.says })),
    },
  ];
</script>

{#each TABLES as t (t.title)}
  <section class="sheet p-3" aria-label={t.title}>
    <h2>{t.title}</h2>
    <p class="text-sm text-dim">{t.note}</p>
    <div class="overflow-x-auto">
      <table class="grid-table w-full">
        <thead>
          <tr>
            <th scope="col">Set</th><th scope="col">Wanted</th><th scope="col">Seen</th><th scope="col">By</th>
          </tr>
        </thead>
        <tbody>
          {#each t.tests as test (test.what)}
            <tr><td class="num">{test.what}</td><td>{test.wanted}</td><td></td><td></td></tr>
          {/each}
        </tbody>
      </table>
    </div>
  </section>
{/each}
