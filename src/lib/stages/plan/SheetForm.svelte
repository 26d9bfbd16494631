<script lang="ts">
  import { useSite } from '$lib/client/siteState.svelte';
  import { planForm, planToForm } from '$lib/schemas/planForms';
  import EditForm from '$lib/ui/form/EditForm.svelte';

  const site = useSite();
  const plan = $derived(site.design.plan);
</script>

<section class="sheet p-3" aria-label="North and levels">
  <h2 class="mb-1">North and levels</h2>
  {#key plan}
    <EditForm
      schema={planForm}
      value={planToForm(plan)}
      prefix="plan"
      label="Save north and levels"
      groups={[{ title: '', paths: ['northDeg', 'levels'] }]}
      save={(value) => site.apply({ kind: 'plan', ...planForm.parse(value), backdrop: plan.backdrop })}
    />
  {/key}
</section>
