<script lang="ts">
  import type { EntrySubject } from '$core/proving/entry';
  import type { Happening } from '$core/proving/tables/happenings';
  import { HAPPENINGS } from '$core/proving/tables/happenings';
  import { Label, Select } from 'flowbite-svelte';
  import { useLog } from '$lib/client/useLog.svelte';
  import Words from '$lib/ui/form/Words.svelte';
  import { CONTROL, LABEL } from '$lib/ui/form/control';

  let { subjects }: { subjects: readonly { subject: EntrySubject; name: string }[] } = $props();
  const log = useLog();
  let what = $state('');
  let seen = $state('');
  const choices = $derived(
    subjects.flatMap(({ subject, name }) =>
      HAPPENINGS.map((h): Happening => h)
        .filter((h) => h.scope === subject.scope && h.weather !== 'dry')
        .map((h) => ({
          h,
          subject,
          name,
          key: `${subject.id}|${h.what}`,
        })),
    ),
  );
  const chosen = $derived(choices.find((c) => c.key === what));
  const id = $props.id();

  async function report() {
    if (!chosen) return;
    if (await log.add({ kind: 'happening', subject: chosen.subject, values: { what: chosen.h.what, seen } })) {
      what = '';
      seen = '';
    }
  }
</script>

<details class="sheet">
  <summary class="cursor-pointer px-3 py-2 font-semibold text-stop"
    >Report a danger, or something that was touched</summary
  >
  <div class="space-y-2 border-t border-rule p-3">
    <p class="text-sm text-dim">
      Anybody on site may. The proofs it touches are withdrawn at once and have to be made anew.
    </p>
    <div class={CONTROL}>
      <Label for={id} class={LABEL}>What happened</Label>
      <Select {id} size="sm" placeholder="choose …" bind:value={what}>
        <optgroup label="Danger">
          {#each choices.filter((c) => c.h.danger) as c (c.key)}<option value={c.key}>{c.h.what}, {c.name}</option
            >{/each}
        </optgroup>
        <optgroup label="Touched, changed, replaced">
          {#each choices.filter((c) => !c.h.danger) as c (c.key)}<option value={c.key}>{c.h.what}, {c.name}</option
            >{/each}
        </optgroup>
      </Select>
    </div>
    <Words label="What was seen" bind:value={seen} />
    <button
      type="button"
      class="border border-stop px-4 py-2 font-semibold text-stop disabled:opacity-50"
      disabled={log.busy || !chosen || seen.trim().length < 3}
      onclick={report}>Report it</button
    >
  </div>
</details>
