<script lang="ts">
  import { useLog } from '$lib/client/useLog.svelte';
  import LogStatus from './record/LogStatus.svelte';

  const log = useLog();
</script>

<div class="space-y-3">
  <LogStatus />
  {#if log.readAtMs !== null}
    <p class="sheet p-6">
      Nothing is released yet. The crew builds and records against a released design: release it above, then come back.
    </p>
  {/if}
</div>
