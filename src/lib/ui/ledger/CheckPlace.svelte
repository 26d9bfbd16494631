<script lang="ts">
  import type { Check } from '$core/kernel/check';
  import { marginWords } from '$lib/ui/marginWords';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import CheckWorking from './CheckWorking.svelte';

  let {
    check: c,
    href,
    open = false,
  }: { check: Check; href: string | null; /** Its working is shown at once. */ open?: boolean } = $props();
</script>

<details {open}>
  <summary
    class="grid cursor-pointer list-none grid-cols-[auto_minmax(0,1fr)_auto] items-baseline gap-x-2 py-1 pr-3 pl-6 hover:bg-paper"
  >
    <VerdictMark verdict={c.verdict} word={false} />
    <span class="truncate text-sm">{c.subject.path}</span>
    <span class="num text-right">{c.margin === null ? '' : marginWords(c)}</span>
  </summary>
  <CheckWorking check={c} {href} />
</details>
