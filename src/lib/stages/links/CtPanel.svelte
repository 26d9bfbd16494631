<script lang="ts">
  import { Radio } from 'flowbite-svelte';
  import { fixed } from '$core/kernel/quantity';
  import type { Power } from '$core/links/meter/ctWiring';
  import { ctMend, ctWiring } from '$core/links/meter/ctWiring';
  import FieldInput from '$lib/ui/form/FieldInput.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  const PHASES = ['L1', 'L2', 'L3'] as const;
  const COLUMNS = [
    { key: 'ownP', label: 'Inverters feed', unit: 'W' },
    { key: 'ownQ', label: 'Inverters supply', unit: 'var' },
    { key: 'meterP', label: 'Meter shows', unit: 'W' },
    { key: 'meterQ', label: 'Meter shows', unit: 'var' },
  ] as const;
  type Key = `${(typeof COLUMNS)[number]['key']}${0 | 1 | 2}`;
  let values = $state<Partial<Record<Key, number | null>>>({});
  let counts = $state<'import' | 'export'>('import');

  const at = (key: Key) => values[key] ?? null;
  const power = (who: 'own' | 'meter', i: 0 | 1 | 2, sign: number): Power | null => {
    const [p, q] = [at(`${who}P${i}`), at(`${who}Q${i}`)];
    return p === null || q === null ? null : { p: sign * p, q: sign * q };
  };
  const three = (who: 'own' | 'meter', sign: number) => {
    const all = ([0, 1, 2] as const).map((i) => power(who, i, sign));
    return all.every((p) => p !== null) ? (all as unknown as readonly [Power, Power, Power]) : null;
  };
  const found = $derived.by(() => {
    const [own, meter] = [three('own', 1), three('meter', counts === 'import' ? -1 : 1)];
    if (!own || !meter) return null;
    return own.some(({ p, q }) => p === 0 && q === 0) ? 'no power' : ctWiring(meter, own);
  });
  const field = (label: string, unit: string) =>
    ({ path: 'x', label, unit, kind: 'number', nullable: true, choices: [], items: [] }) as const;
</script>

<section class="sheet p-3" aria-labelledby="ct">
  <h2 id="ct">How the current transformers are wired</h2>
  <p class="text-sm text-dim">
    Read both in the same minute, at a fifth of the transformers’ rating or more; where loads disturb, take the step
    between off and on. Phases in sequence, the meter’s volts right. Nothing here is kept.
  </p>
  <fieldset class="my-2 flex flex-wrap gap-4">
    <legend class="text-sm text-dim">The meter counts as positive</legend>
    {#each ['import', 'export'] as const as way (way)}
      <Radio name="ct-counts" bind:group={counts} value={way}>{way}</Radio>
    {/each}
  </fieldset>
  <div class="overflow-x-auto">
    <table class="grid-table w-full">
      <thead>
        <tr>
          <th scope="col">Phase</th>
          {#each COLUMNS as c (c.key)}<th scope="col">{c.label} <span class="num">[{c.unit}]</span></th>{/each}
          <th scope="col" class="w-2/5">Its transformer</th>
        </tr>
      </thead>
      <tbody>
        {#each PHASES as phase, i (phase)}
          {@const w = Array.isArray(found) ? found[i] : undefined}
          <tr class="[&>*]:align-middle">
            <th scope="row">{phase}</th>
            {#each COLUMNS as c (c.key)}
              {@const key = `${c.key}${i}` as Key}
              <td class="min-w-28 [&_label]:sr-only">
                <FieldInput
                  field={field(`${c.label} ${phase}`, c.unit)}
                  id="ct-{key}"
                  bind:value={
                    () => at(key),
                    (next) => (values[key] = typeof next === 'number' && Number.isFinite(next) ? next : null)
                  }
                />
              </td>
            {/each}
            <td aria-live="polite">
              {#if w}
                {@const mend = ctMend(i, w)}
                <VerdictMark verdict={mend ? 'stop' : (w.ratioVerdict ?? 'holds')} word={false} />
                {mend || 'right'}
                {#if w.ratio !== null}<span class="block text-sm text-dim"
                    >ratio {fixed(w.ratio, 3)}, {fixed(w.restDeg, 1)}° off</span
                  >{/if}
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#if found === 'no power'}<p role="alert" class="mt-1 text-stop">
      Every phase of the inverters has to feed something: nothing can be held against 0 W.
    </p>
  {:else if found === null}<p class="mt-1 text-dim">
      All twelve readings say how each of the 48 wirings is undone.
    </p>{/if}
</section>
