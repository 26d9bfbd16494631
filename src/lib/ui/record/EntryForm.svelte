<script lang="ts">
  import type { AnyKind } from '$core/proving/kind';
  import type { EntrySubject } from '$core/proving/entry';
  import type { Snippet } from 'svelte';
  import { useLog } from '$lib/client/useLog.svelte';
  import { instrumentsFor } from '$lib/client/signOn.svelte';
  import Caution from '$lib/ui/Caution.svelte';
  import Choice from '$lib/ui/form/Choice.svelte';
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
    unsaved = $bindable(false),
  }: {
    kind: AnyKind;
    subject: EntrySubject;
    label: string;
    corrects?: string | null;
    reason?: string | null;
    /** What somebody chose to take over, by name: put in beside what is typed. */
    prefill?: Record<string, unknown>;
    /** What the page adds to what was typed. */
    merge?: (typed: Record<string, unknown>) => Record<string, unknown>;
    done?: () => void;
    extra?: Snippet<[Record<string, unknown>, (path: string, next: unknown) => void]>;
    /** Something is typed that is not on record. */
    unsaved?: boolean;
  } = $props();
  const log = useLog();
  const form = $derived(log.current && kind.form?.(log.current.design, subject));
  const begun = $derived(`${kind.kind}-${subject.id}-${log.madeHere(kind.kind, subject)}`);

  /** Instruments at hand that fit, and the one it is measured with: the first, until another is chosen. */
  const fitting = $derived(instrumentsFor(kind.instrument));
  let chosen = $state('');
  const instrument = $derived(fitting.find((i) => i.serial === chosen) ?? fitting[0] ?? null);

  /** When each field was typed first, by the monotonic clock of this device, s: a digit put right later moves nothing. */
  let typedAtS = new Map<string, number>();
  function noted(event: Event) {
    const { id } = event.target as HTMLElement;
    if (!id.startsWith(`${begun}-`)) return;
    const path = id.slice(begun.length + 1);
    if (!typedAtS.has(path)) typedAtS.set(path, performance.now() / 1000);
  }
  $effect(() => {
    void begun;
    typedAtS = new Map();
  });
  const valuesOf = (typed: Record<string, unknown>) =>
    form?.toValues ? form.toValues(typed, (path) => typedAtS.get(path) ?? null) : typed;

  /** What the figures as typed make one ask: beside the form, before anybody signs. */
  function questionOf(typed: Record<string, unknown>): string | null {
    if (!kind.question || !log.current) return null;
    const values = kind.values.safeParse(valuesOf(typed));
    const asked = { design: log.current.design, subject, instrument };
    return values.success ? kind.question(values.data, asked) : null;
  }

  async function save(typed: Record<string, unknown>) {
    const made = await log.add({
      kind: kind.kind,
      subject,
      values: merge(valuesOf(typed) as Record<string, unknown>),
      corrects,
      reason,
      instrument,
    });
    if (made) done?.();
    return made ? null : log.problem;
  }
</script>

{#snippet below(typed: Record<string, unknown>, put: (path: string, next: unknown) => void)}
  {@const question = questionOf(typed)}
  {@render extra?.(typed, put)}
  {#if fitting.length > 1}
    <Choice
      label="Measured with"
      choices={fitting.map((i) => ({ value: i.serial, name: `${i.kind} ${i.serial}` }))}
      value={instrument?.serial}
      onchoose={(serial) => (chosen = serial)}
      wide
    />
  {:else if instrument}<p class="text-sm text-dim">
      Measured with {instrument.kind} <span class="num">{instrument.serial}</span>
    </p>{/if}
  {#if question}<p role="status" class="border-l-4 border-tight bg-paper p-2 text-sm">{question}</p>{/if}
{/snippet}

{#if form}
  {#if form.caution}<Caution>{form.caution}</Caution>{/if}
  {#key begun}
    <div oninput={noted}>
      <EditForm
        drafts={false}
        schema={form.schema}
        prefix={begun}
        value={form.blank}
        taken={prefill}
        groups={form.groups}
        {label}
        {save}
        extra={below}
        bind:unsaved
      />
    </div>
  {/key}
{/if}
