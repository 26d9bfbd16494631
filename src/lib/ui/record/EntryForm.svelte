<script lang="ts">
  import type { AnyKind } from '$core/proving/kind';
  import type { EntrySubject } from '$core/proving/entry';
  import type { Snippet } from 'svelte';
  import { useLog } from '$lib/client/logState.svelte';
  import Caution from '$lib/ui/Caution.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';

  let {
    kind,
    subject,
    label,
    corrects = null,
    reason = null,
    merge = (typed) => typed,
    prefill = {},
    done,
    extra,
  }: {
    kind: AnyKind;
    subject: EntrySubject;
    label: string;
    corrects?: string | null;
    reason?: string | null;
    /** What somebody chose to take over, by name. */
    prefill?: Record<string, unknown>;
    /** What the page adds to what was typed. */
    merge?: (typed: Record<string, unknown>) => Record<string, unknown>;
    done?: () => void;
    extra?: Snippet<[Record<string, unknown>]>;
  } = $props();
  const log = useLog();
  const form = $derived(log.current && kind.form?.(log.current.design, subject));

  async function save(typed: Record<string, unknown>) {
    const values = form?.toValues ? form.toValues(typed) : typed;
    const made = await log.add({
      kind: kind.kind,
      subject,
      values: merge(values as Record<string, unknown>),
      corrects,
      reason,
    });
    if (made) done?.();
    return made ? null : log.problem;
  }
</script>

{#if form}
  {#if form.caution}<Caution>{form.caution}</Caution>{/if}
  {#key `${kind.kind}|${subject.id}|${log.entries.length}|${JSON.stringify(prefill)}`}
    <EditForm
      schema={form.schema}
      prefix="{kind.kind}-{subject.id}-{log.entries.length}"
      value={{ ...form.blank, ...prefill }}
      groups={form.groups}
      {label}
      {save}
      {extra}
    />
  {/key}
{/if}
