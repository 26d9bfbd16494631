<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { Snippet } from 'svelte';
  import { onMount, untrack } from 'svelte';
  import { defaults, setError, superForm } from 'sveltekit-superforms';
  import { zod4 } from 'sveltekit-superforms/adapters';
  import type { z } from 'zod';
  import type { ProblemDocument } from '$lib/schemas/problem';
  import FieldInput from './FieldInput.svelte';
  import ListInput from './ListInput.svelte';
  import { readDraft, writeDraft } from './draft';
  import { fieldsOf } from './fields';

  type Values = Record<string, unknown>;
  interface Group {
    title: string;
    paths: readonly string[];
  }
  let {
    schema,
    value,
    groups,
    save,
    label,
    prefix,
    refine,
    choices = {},
    taken = {},
    extra,
    drafts = true,
    unsaved = $bindable(false),
  }: {
    /** What is entered; the fields, their words and units are read off it. */
    schema: z.ZodObject;
    value: Values;
    groups: readonly Group[];
    /** Hands the values on; a problem comes back beside its fields. */
    save: (value: Values) => Promise<ProblemDocument | null>;
    label: string;
    prefix: string;
    /** Rules over several fields, beyond the schema: path and sentence. */
    refine?: (value: Values) => readonly { path: string; text: string }[];
    /** Choices by path where they come from the site, not from the schema. */
    choices?: Readonly<Record<string, readonly { value: string; name: string }[]>>;
    /** Taken over from elsewhere, by path: put in when it changes, out when it goes; the rest of what is typed stays. */
    taken?: Readonly<Values>;
    /** Below the fields: what stands in them, and how to put something there. */
    extra?: Snippet<[Values, (path: string, next: unknown) => void]>;
    /** What is typed and not saved comes back after a reload. Not for readings: they are taken, or taken again. */
    drafts?: boolean;
    /** Something is typed that is not saved: what would put other values here asks first. */
    unsaved?: boolean;
  } = $props();

  /** A form is of one name from beginning to end, and keeps it when it closes while it saves. */
  const name = untrack(() => prefix);
  /** What is stored, as far as this form knows. */
  let stored = untrack(() => $state.snapshot(value) as Values);
  const adapter = untrack(() => zod4(schema));
  const form = untrack(() =>
    superForm(defaults({ ...$state.snapshot(value), ...$state.snapshot(taken) } as never, adapter), {
      id: name,
      SPA: true,
      dataType: 'json',
      validators: adapter,
      validationMethod: 'onsubmit',
      resetForm: false,
      invalidateAll: false,
      warnings: { duplicateId: false },
      clearOnSubmit: 'none',
      taintedMessage: untrack(() => drafts) ? 'What you typed here is not saved. Leave it?' : null,
      async onUpdate({ form: posted }) {
        if (!posted.valid) return;
        const flaws = refine?.(posted.data as Values) ?? [];
        for (const flaw of flaws) setError(posted, flaw.path as never, flaw.text);
        if (flaws.length) return;
        const problem = await save(posted.data as Values);
        saved = problem === null;
        if (saved) {
          restored = false;
          // At once: a form that closes when it is saved has no time for more.
          writeDraft(name, stored, null);
          stored = posted.data as Values;
        }
        general = problem && !problem.errors?.length ? problem.detail : '';
        for (const e of problem?.errors ?? []) placeError(posted, e);
      },
    }),
  );
  const { form: values, errors, enhance, submitting, tainted } = form;
  let saved = $state(false);
  let restored = $state(false);
  onMount(() => {
    const typed = drafts ? readDraft(name, stored) : null;
    if (typed) values.set(typed as never, { taint: true });
    restored = typed !== null;
  });
  $effect(() => {
    if (drafts && ($tainted || saved)) writeDraft(name, stored, saved ? null : ($values as Values));
  });
  $effect(() => {
    unsaved = Boolean($tainted) && !saved;
  });
  let general = $state('');

  /** A pointer of the server ends in one of our fields, or its sentence stands above the button. */
  function placeError(posted: Parameters<typeof setError>[0], e: { pointer: string; detail: string }) {
    const path = groups.flatMap((g) => g.paths).find((p) => e.pointer.endsWith(`/${p.replaceAll('.', '/')}`));
    if (path) setError(posted, path as never, e.detail);
    else general = e.detail;
  }

  function at(of: unknown, path: string): unknown {
    return path.split('.').reduce<unknown>((part, key) => (part as Values | undefined)?.[key], of);
  }
  function put(path: string, next: unknown) {
    saved = restored = false;
    values.update((all) => {
      const keys = path.split('.');
      const last = keys.pop() ?? path;
      const part = keys.reduce<Values>((p, key) => p[key] as Values, all as Values);
      part[last] = next === undefined ? null : next;
      return all;
    });
  }
  let putIn = untrack(() => taken);
  const takenNow = $derived(JSON.stringify(taken));
  $effect(() => {
    void takenNow;
    untrack(() => {
      for (const path of Object.keys(putIn)) if (!(path in taken)) put(path, at(value, path));
      for (const [path, next] of Object.entries(taken))
        if (JSON.stringify(putIn[path]) !== JSON.stringify(next)) put(path, next);
      putIn = taken;
    });
  });
  const messages = (path: string) => {
    const found = at($errors, path);
    return Array.isArray(found) ? (found as string[]) : [];
  };
</script>

<form method="POST" use:enhance novalidate class="space-y-3">
  {#each groups as group (group.title)}
    <fieldset class="min-w-0">
      {#if group.title}<legend class="mb-1 font-semibold">{group.title}</legend>{/if}
      <div class="grid grid-cols-2 items-end gap-x-3 gap-y-2 sm:grid-cols-3 xl:grid-cols-4">
        {#each fieldsOf(schema, group.paths) as field (field.path)}
          {#if field.kind === 'list'}
            <ListInput
              {field}
              id="{name}-{field.path}"
              bind:value={
                () => (at($values, field.path) ?? []) as Record<string, unknown>[], (next) => put(field.path, next)
              }
              errors={at($errors, field.path)}
            />
          {:else}<FieldInput
              {field}
              id="{name}-{field.path}"
              bind:value={() => at($values, field.path), (next) => put(field.path, next)}
              errors={messages(field.path)}
              choices={choices[field.path]}
            />{/if}
        {/each}
      </div>
    </fieldset>
  {/each}
  {@render extra?.($values as Values, put)}
  {#if general}<p role="alert" class="font-semibold text-stop">{general}</p>{/if}
  <div class="flex items-center gap-3">
    <Button type="submit" size="sm" disabled={$submitting}>{label}</Button>
    <span aria-live="polite" class="text-sm text-dim"
      >{$submitting
        ? 'Saving …'
        : saved
          ? 'Saved.'
          : restored
            ? 'Typed before, not saved yet.'
            : $tainted
              ? 'Not saved yet.'
              : ''}</span
    >
  </div>
</form>
