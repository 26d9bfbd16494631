<script lang="ts">
  import type { InverterType } from '$core/equipment/inverterType';
  import type { ModuleType } from '$core/equipment/moduleType';
  import type { Answer } from '$core/kernel/answer';
  import type { StringWindow, WindowInputs } from '$core/strings/window';
  import { alternatives } from '$core/strings/window';
  import { lengthChecks } from '$core/strings/lengthChecks';
  import { marginWords } from '$lib/ui/marginWords';
  import Formula from '$lib/ui/Formula.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import VoltageScale from './VoltageScale.svelte';

  let {
    answer,
    inputs,
    inverter,
    module,
    modules,
    fixHref,
  }: {
    answer: Answer<StringWindow>;
    inputs: WindowInputs;
    inverter: InverterType;
    module: ModuleType;
    modules: number;
    /** Where missing inputs are entered. */
    fixHref?: string;
  } = $props();
  const checks = $derived(lengthChecks({ string: { modules }, module, type: inverter, window: answer }));
  const others = $derived(answer.value ? alternatives(inputs) : []);
  const METHODS = {
    coefficient: 'coefficient of the sheet',
    table: 'correction table',
    engineered: 'engineered figure',
  } as const;
</script>

{#if !answer.value}
  <p class="mt-2">
    <VerdictMark verdict="unknown" /> Missing: {answer.missing.join(', ')}.
    {#if fixHref}Enter it on the <a class="underline" href={fixHref}>survey</a>, or on the sheet of the shelf.{/if}
  </p>
{:else}
  {@const w = answer.value}
  <p class="mt-1">
    Legal <b class="num">{w.minModules} to {w.maxModules}</b> modules{w.preferred ? '' : '.'}{#if w.preferred}, full
      power with <b class="num">{w.preferred.min} to {w.preferred.max}</b>.{/if}
    <span class="text-dim">{w.limitV} V by {w.limitedBy}; cold by {METHODS[inputs.cold.method]}.</span>
    {#each w.notes as note (note.code)}<span class="text-stop"> {note.text}</span>{/each}
  </p>
  <ul class="mt-1 flex flex-wrap gap-x-5 text-sm" aria-label="{modules} modules">
    {#each checks as c (c.id)}<li class="flex items-baseline gap-1">
        <VerdictMark verdict={c.verdict} />
        {c.title}
        {#if c.margin !== null}<span class="num text-dim">{marginWords(c)}</span>{/if}
      </li>{/each}
  </ul>
  <VoltageScale window={w} {inverter} {module} {modules} {checks} />
  <p class="text-sm text-dim">
    Longest string otherwise:
    {#each others as o (o.change)}<span class="mr-4 inline-block"
        >{o.change} <b class="num text-ink">{o.maxModules ?? '–'}</b></span
      >{/each}
  </p>
  <details>
    <summary class="cursor-pointer text-sm font-semibold">Working and basis</summary>
    {#each w.working as line (line)}<p class="num text-sm"><Formula {line} /></p>{/each}
    <p class="text-sm text-dim">
      IEC 62548-1; NFPA 70 690.7 (recalled); working voltage when hot by γ − α, the low side (common practice).
    </p>
  </details>
{/if}
