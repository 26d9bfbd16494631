<script lang="ts">
  import type { BusLine } from '$core/links/line/busLine';
  import { busLineSchema } from '$core/links/line/busLine';
  import { useSite } from '$lib/client/siteState.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';

  const site = useSite();
  const line = $derived(site.design.chain.line);
</script>

<section class="sheet p-3" aria-labelledby="pair">
  <h2 id="pair" class="mb-2">The pair</h2>
  {#key line}
    <EditForm
      schema={busLineSchema}
      value={line}
      groups={[
        { title: 'Cable', paths: ['areaMm2', 'conductorC', 'impedanceOhm', 'delayNsPerM'] },
        {
          title: 'Terminators and bias',
          paths: [
            'terminatorKind',
            'terminatorOhm',
            'terminatorNf',
            'biasAt',
            'pullUpOhm',
            'pullDownOhm',
            'biasV',
            'failSafe',
          ],
        },
        {
          title: 'Beside power cables',
          paths: ['separationBy', 'separationMm', 'barrier', 'cableClass', 'powerCircuits'],
        },
      ]}
      prefix="pair"
      label="Save the pair"
      save={(value) => site.apply({ kind: 'bus-line', line: value as BusLine })}
    />
  {/key}
</section>
