<script lang="ts">
  import type { InverterBody } from '$core/equipment/inverterBody';
  import { inverterBodySchema } from '$core/equipment/inverterBody';
  import type { InverterType } from '$core/equipment/inverterType';
  import { useSite } from '$lib/client/siteState.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import { BODY_GROUPS } from './bodyGroups';

  const site = useSite();
  let open = $state('');
  const save = (type: InverterType, value: unknown) =>
    site.apply({ kind: 'inverter-type', type: { ...type, body: value as InverterBody } });
  const size = ({ body }: InverterType) =>
    body.widthMm === null || body.heightMm === null
      ? 'size not on the sheet yet'
      : `${body.widthMm} × ${body.heightMm} × ${body.depthMm ?? '–'} mm`;
</script>

<section class="sheet p-3" aria-labelledby="bodies">
  <h2 id="bodies">Units as they hang</h2>
  <p class="text-sm text-dim">
    Sizes, clearances, handles, centre of gravity and holes, from the data sheet of each type on this site. Where a
    clearance is not typed the usual one of its power class stands in.
  </p>
  {#each site.design.equipment.inverters as type (type.id)}
    <div class="border-t border-rule py-1">
      <p class="flex flex-wrap items-baseline gap-3">
        <b>{type.name}</b> <span class="num">{size(type)}</span>
        <button
          type="button"
          class="ml-auto underline"
          aria-expanded={open === type.id}
          onclick={() => (open = open === type.id ? '' : type.id)}>{open === type.id ? 'close' : 'change'}</button
        >
      </p>
      {#if open === type.id}
        <EditForm
          schema={inverterBodySchema}
          value={type.body}
          prefix="body-{type.id}"
          label="Save the body of {type.name}"
          groups={BODY_GROUPS}
          save={(value) => save(type, value)}
        />
      {/if}
    </div>
  {:else}<p class="text-dim">No inverter type on this site yet.</p>{/each}
</section>
