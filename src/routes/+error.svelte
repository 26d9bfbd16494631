<script lang="ts">
  import { page } from '$app/state';
</script>

<svelte:head><title>Bolt Yard · {page.status}</title></svelte:head>
<section class="sheet mx-auto mt-8 max-w-xl p-6">
  <h1>{page.status === 404 ? 'Not here' : 'That did not work'}</h1>
  <p class="mt-2">{page.error?.message}</p>
  <p class="mt-4"><a class="underline" href="/">Back to the yard</a></p>
</section>
