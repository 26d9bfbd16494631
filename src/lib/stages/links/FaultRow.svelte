<script lang="ts">
  import type { FaultCase, FaultKind } from '$core/links/wave/faultCase';
  import { AT_DEVICE, FAULT_KINDS, FAULT_WORDS, faultCaseSchema } from '$core/links/wave/faultCase';
  import Choice from '$lib/ui/form/Choice.svelte';
  import FieldInput from '$lib/ui/form/FieldInput.svelte';
  import { fieldsOf } from '$lib/ui/form/fields';

  let {
    fault,
    place,
    taken,
    devices,
    onchange,
    onremove,
  }: {
    fault: FaultCase;
    /** Which of the faults it is, from 0. */
    place: number;
    /** Kinds that stand in another row. */
    taken: readonly FaultKind[];
    devices: readonly { readonly label: string }[];
    onchange: (next: FaultCase) => void;
    onremove: (() => void) | null;
  } = $props();
  const [stubField, armsField] = fieldsOf(faultCaseSchema, ['stubM', 'arms']);
  const parsed = $derived(faultCaseSchema.safeParse(fault));
  const errors = (path: string) => parsed.error?.issues.filter((i) => i.path[0] === path).map((i) => i.message) ?? [];
  const id = $derived(place === 0 ? 'fault' : `fault-${place + 1}`);
  const change = (next: Partial<FaultCase>) => onchange({ ...fault, ...next });
</script>

<div class="flex flex-wrap items-end gap-3">
  <Choice
    label={place === 0 ? 'Wired' : 'And'}
    choices={FAULT_KINDS.filter((k) => !taken.includes(k)).map((k) => ({ value: k, name: FAULT_WORDS[k] }))}
    value={fault.kind}
    onchoose={(kind) => change({ kind, at: Math.min(Math.max(1, fault.at), Math.max(1, devices.length - 1)) })}
  />
  {#if AT_DEVICE.includes(fault.kind)}
    <Choice
      label="Device"
      choices={devices.map((d, i) => ({ value: i, name: d.label })).slice(fault.kind.endsWith('hop') ? 1 : 0)}
      value={fault.at}
      onchoose={(at) => change({ at })}
    />
  {/if}
  {#if fault.kind === 'stub' && stubField}
    <div class="w-36">
      <FieldInput
        field={stubField}
        id="{id}-stub"
        errors={errors('stubM')}
        bind:value={() => fault.stubM, (next) => change({ stubM: next as number })}
      />
    </div>
  {/if}
  {#if fault.kind === 'star' && armsField}
    <div class="w-36">
      <FieldInput
        field={armsField}
        id="{id}-arms"
        errors={errors('arms')}
        bind:value={() => fault.arms, (next) => change({ arms: next as number })}
      />
    </div>
  {/if}
  {#if onremove}
    <button
      type="button"
      class="pb-1.5 text-sm underline"
      aria-label="Mend: {FAULT_WORDS[fault.kind]}"
      onclick={onremove}>mend</button
    >
  {/if}
</div>
