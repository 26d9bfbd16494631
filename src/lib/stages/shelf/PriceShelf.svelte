<script lang="ts">
  import type { PriceList, PricesTyped } from '$core/ac/candidates/priceList';
  import { PRICE_COLUMNS, priceListForm } from '$core/ac/candidates/priceList';
  import type { ProblemDocument } from '$lib/schemas/problem';
  import FileRead from '$lib/ui/FileRead.svelte';
  import RowsOffer from '$lib/ui/RowsOffer.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import FieldInput from '$lib/ui/form/FieldInput.svelte';
  import { fieldsOf } from '$lib/ui/form/fields';
  import { onShelf } from './save';

  let { prices }: { prices: PriceList | null } = $props();
  const BLANK: PriceList = { id: 'company', currency: '', invented: false, prices: [] };
  const list = $derived(prices ?? BLANK);
  const newest = $derived([...list.prices].sort((a, b) => b.dated.localeCompare(a.dated))[0]?.dated);
  let open = $state(false);
  let problem = $state.raw<ProblemDocument | null>(null);
  let read = $state.raw<(PricesTyped & { readonly name: string }) | null>(null);

  /** A file says no currency: whoever brings it does. */
  const currencyField = fieldsOf(priceListForm, ['currency'])[0];
  let typed = $state<string>();
  const currency = $derived(priceListForm.shape.currency.safeParse(typed ?? list.currency));

  async function take() {
    if (!read || !currency.success) return;
    // Prices of a file are the company's own.
    const sheet = { ...list, currency: currency.data, invented: false, prices: [...read.prices] };
    problem = await onShelf({ kind: 'prices', sheet });
    if (!problem) read = null;
  }
</script>

<section class="sheet p-3" aria-labelledby="prices">
  <header class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
    <h2 id="prices">Prices</h2>
    {#if list.invented}<span class="border border-tight px-2 text-sm text-tight">invented, to try the program</span
      >{/if}
    <span class="text-sm text-dim"
      >{list.prices.length}
      {list.prices.length === 1 ? 'price' : 'prices'}{newest
        ? ` in ${list.currency}, the newest of ${newest}`
        : ''}</span
    >
    <a class="text-sm underline" href="/shelf/prices.csv" download>CSV</a>
    <a class="text-sm underline" href="/shelf/prices.xlsx" download>XLSX</a>
    <FileRead
      label="Read a price list, CSV or XLSX"
      path="/api/v1/price-list"
      onread={(answer: PricesTyped, name) => (read = { ...answer, name })}
    />
    <button type="button" class="text-sm underline" aria-expanded={open} onclick={() => (open = !open)}
      >{open ? 'close' : 'change by hand'}</button
    >
  </header>
  <p class="text-sm text-dim">
    What a cable costs where it is compared: cables by the metre with their lugs, else the metal by the kilogram.
    Columns of a file: {PRICE_COLUMNS.join(', ')}.
  </p>
  {#if problem}
    <p role="alert" class="mt-1 border-l-4 border-stop bg-paper px-3 py-1 text-sm">{problem.detail}</p>
  {/if}
  {#if read}
    <RowsOffer
      from={read.name}
      count={read.prices.length}
      errors={read.errors}
      ontake={take}
      onleave={() => (read = null)}
      wanted={currency.success ? null : 'Say the currency of the file first.'}
    >
      {#snippet more()}
        {#if currencyField}
          <div class="my-1 w-40">
            <FieldInput
              field={currencyField}
              id="file-currency"
              bind:value={() => typed ?? list.currency, (next) => (typed = String(next ?? ''))}
              errors={[]}
            />
          </div>
        {/if}
      {/snippet}
    </RowsOffer>
  {/if}
  {#if open}
    {#key list}
      <EditForm
        schema={priceListForm}
        value={list}
        groups={[{ title: '', paths: ['currency', 'invented', 'prices'] }]}
        prefix="prices"
        label="Save the prices"
        save={(value) => onShelf({ kind: 'prices', sheet: { ...value, id: 'company' } })}
      />
    {/key}
  {/if}
</section>
