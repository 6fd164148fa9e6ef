<script lang="ts">
  import { common, titled } from '$lib/words/screens/common.ts';
  import { labelsPage as t } from '$lib/words/screens/labels.ts';
  import Select from '$lib/ui/kit/Select.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import PieceTicks from '$lib/ui/controls/PieceTicks.svelte';
  import { LABEL_SIZE_WORDS } from '$lib/words/labels.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  let form = $state<HTMLFormElement>();
  const search = $derived(
    new URLSearchParams([...data.picked.map((id) => ['piece', id]), ['size', data.size]] as [
      string,
      string
    ][]).toString()
  );
  const size = $derived(data.sizes.find(({ id }) => id === data.size)!);
</script>

<svelte:head><title>{titled(t.labels)}</title></svelte:head>
<h1>{t.labels}</h1>
<div class="halves">
  <form method="GET" class="sheet" bind:this={form} data-sveltekit-noscroll data-sveltekit-keepfocus>
    <h2>{t.ofWhichPieces}</h2>
    {#if data.pieces.length === 0}
      <p class="soft">{t.nothingLiesHereTo} <a class="link" href="/receive">{common.receiveALot}</a></p>
    {/if}
    <PieceTicks
      pieces={data.pieces}
      name="piece"
      bind:picked={() => data.picked, () => {}}
      onchange={() => form?.requestSubmit()}
    />
    <label class="size">
      {t.size}
      <Select name="size" value={data.size} onchange={() => form?.requestSubmit()}>
        {#each data.sizes as each (each.id)}<option value={each.id}>{LABEL_SIZE_WORDS[each.id]}</option>{/each}
      </Select>
    </label>
    <noscript><Button type="submit">{t.showThem}</Button></noscript>
  </form>
  <section class="sheet">
    <h2>{t.asTheyWillBe}</h2>
    {#if data.labels.length === 0}
      <p class="soft">{t.pickAPieceAnd}</p>
    {:else}
      <div class="labels">
        {#each data.labels as label (label.id)}
          <div class="label" class:wide={size.width > 80}>
            <b data-binds>{label.window}</b>
            <b>{label.name}</b>
            <span>{label.code}</span>
            <b>{label.mass}</b>
            <span>{label.made}</span>
            <span>{label.allergens}</span>
          </div>
        {/each}
      </div>
      <p>
        <a class="link" href="/labels/sheet.pdf?{search}" target="_blank" rel="noopener">{t.openAsPdf}</a
        >{t.eachWithACode}
      </p>
      {#if !data.printer}<p class="soft">{t.noLabelPrinterIs}</p>{/if}
      <OperationForm
        operation="print-labels"
        submit={data.printer ? t.printThem : t.theyAreOn}
        also={{ pieces: data.picked.join(','), size: data.size }}
      >
        {#if data.size.startsWith('roll') || !data.printer}<input type="hidden" name="skip" value="0" />{:else}
          <Field name="skip" label={t.labelsAlreadyOffThe} kind="number" start="0" />
        {/if}
      </OperationForm>
      <p class="caution">
        {t.aLabelStandsStill}
      </p>
    {/if}
  </section>
</div>

<style>
  .size {
    display: grid;
    font-weight: 600;
  }
  .labels {
    display: grid;
    gap: 0.6rem;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 14.375rem), 1fr));
    margin: 0.6rem 0;
    max-height: 60vh;
    overflow-y: auto;
  }
  .label {
    display: grid;
    border: 1px solid var(--ink);
    padding: 0.5rem 0.7rem;
    line-height: 1.25;
    background: #fff;
    color: #132334;
    overflow-wrap: anywhere;
  }
  .label.wide {
    grid-column: span 2;
  }
  .label b:first-child {
    font-size: 1.15rem;
  }
</style>
