<script lang="ts">
  import type { Snippet } from 'svelte';
  import { onMount, tick, untrack } from 'svelte';
  import { afterNavigate, beforeNavigate } from '$app/navigation';
  import { page } from '$app/state';
  import { lineOf } from '$core/site/line';
  import { showField, showPart } from '$lib/client/jump';
  import { SiteRecord, provideRecord } from '$lib/client/siteRecord.svelte';
  import { SiteState, provideSite } from '$lib/client/siteState.svelte';
  import { Told } from '$lib/client/told.svelte';
  import { whileSeen } from '$lib/client/whileSeen';
  import type { OpenedSite } from '$lib/schemas/site';
  import LineStrip from '$lib/ui/LineStrip.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import Alarms from './Alarms.svelte';
  import SaidAt from './SaidAt.svelte';
  import ReleasePanel from './ReleasePanel.svelte';
  import SiteBar from './SiteBar.svelte';
  import SwitchOff from './SwitchOff.svelte';
  import Unreadable from './Unreadable.svelte';

  let { data, children }: { data: OpenedSite; children: Snippet } = $props();
  const site = provideSite(untrack(() => new SiteState(data)));
  const record = provideRecord(untrack(() => new SiteRecord()));
  onMount(() => {
    void site.resume();
    const looked = whileSeen(LOOK_MS, look);
    return () => {
      looked();
      site.close();
    };
  });
  /** Between two looks at what others have recorded, ms. */
  const LOOK_MS = 5000;
  async function look() {
    await log?.look();
    if (!log?.current) await toldOff.ask();
  }
  // What is not sent is kept on the device; whoever leaves is asked all the same, for nobody sends it meanwhile.
  beforeNavigate(({ cancel, to, willUnload }) => {
    if (site.pending === 0 || (to?.params?.id === site.siteId && !willUnload)) return;
    if (willUnload || !confirm('A change has not reached the server yet. It is sent when you come back here. Leave?'))
      cancel();
  });
  afterNavigate(({ to }) => {
    const at = to?.url.searchParams.get('at');
    const field = to?.url.searchParams.get('field');
    if (field) void tick().then(() => showField(field));
    else if (at) void tick().then(() => showPart(at));
  });
  // Only a fresh load from the server counts here, not the coming and going of our own changes.
  $effect(() => {
    const fresh = data;
    untrack(() => {
      site.take(fresh);
      toldOff.take(fresh.switchOff);
    });
  });

  const log = $derived(record.log);
  const known = $derived(log?.current?.design ?? site.design);
  /** As the server says it to a screen that does not read the record. */
  const toldOff = untrack(() => new Told(`/api/v1/sites/${site.siteId}/switch-off`, data.switchOff));
  const switchOff = $derived(
    log?.current
      ? log.evidence.switchOff.map(({ unit, why }) => ({ unit, why, tag: lineOf(known).tag(unit) }))
      : toldOff.value,
  );
  let releasing = $state(false);
  const here = $derived(page.url.pathname.split('/')[3] ?? '');
</script>

<svelte:head><title>{site.design.survey.name} · Bolt Yard</title></svelte:head>

<header>
  <SiteBar {site} releases={data.releases} {here} bind:releasing />
  <LineStrip line={site.assessment.line} siteId={site.siteId} {here} />
</header>
<main id="content" class="mx-auto max-w-[1500px] px-3 py-2 sm:px-4">
  {#if releasing}<ReleasePanel {site} again={data.releases.length > 0} done={() => (releasing = false)} />{/if}
  <Unreadable letters={data.unreadable} />
  {#if log}<Alarms {log} design={known} />{/if}
  {#if !log?.current && data.releases.length}<SaidAt ms={toldOff.asOfMs} />{/if}
  <SwitchOff units={switchOff} siteId={site.siteId} design={known} />
  <Trouble problem={site.trouble} ondismiss={() => (site.trouble = null)} />
  {@render children()}
</main>
