<script lang="ts">
  import { page } from '$app/state';
</script>

<svelte:head><title>Bolt Yard · {page.status}</title></svelte:head>
<section class="sheet mx-auto mt-8 max-w-xl p-6">
  <h1>{page.status === 404 ? 'Not here' : 'That did not work'}</h1>
  <p class="mt-2">{page.error?.message}</p>
  <p class="mt-4 flex gap-6">
    {#if page.status >= 500}<a class="underline" href={page.url.href} data-sveltekit-reload>Try again</a>{/if}
    <a class="underline" href="/">Back to the yard</a>
  </p>
</section>
