<script lang="ts">
  import { DC_SECTIONS_MM2 } from '$core/conductor/laid';
  import { schoolOf } from '$core/conductor/schools';
  import { useSite } from '$lib/client/siteState.svelte';
  import { dcCableForm, dcCableFromForm, dcCableToForm, halfAcceptance } from '$lib/schemas/forms';
  import EditForm from '$lib/ui/form/EditForm.svelte';

  const site = useSite();
  const design = $derived(site.design);
  /** Metric sections, and American ones by the name they are bought by. */
  const sections = DC_SECTIONS_MM2.map((mm2) => {
    const name = schoolOf('NEC').sectionName(mm2);
    return { value: String(mm2), name: name.endsWith('mm²') ? name : `${name} (${mm2} mm²)` };
  });
</script>

<section class="sheet p-3" aria-labelledby="cable-title">
  <h2 id="cable-title" class="mb-1">DC cable and string fuses</h2>
  {#key design.dcCable}
    <EditForm
      schema={dcCableForm}
      value={dcCableToForm(design.dcCable, design.strings)}
      refine={(value) => halfAcceptance(value, design.strings)}
      groups={[
        { title: '', paths: ['sectionMm2', 'mode', 'ambientC', 'circuitsTogether', 'conductorC', 'fuseA'] },
        { title: 'A drop above 2 %', paths: ['dropReason', 'dropMostPercent', 'dropStrings'] },
      ]}
      choices={{ sectionMm2: sections }}
      prefix="dc-cable"
      label="Save the cable"
      save={(value) =>
        site.apply({ kind: 'dc-cable', dcCable: dcCableFromForm(dcCableForm.parse(value), design.strings) })}
    />
  {/key}
</section>
