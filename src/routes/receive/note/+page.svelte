<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { receiveNotePage as t } from '$lib/words/screens/receive.ts';
  import Lines from '$lib/ui/kit/Lines.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import { enhance } from '$app/forms';
  import { untrack } from 'svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import { SOURCE_OPTIONS, COMMERCIAL_OPTIONS } from '$lib/words/receive.ts';
  import type { PageProps } from './$types';

  let { data, form }: PageProps = $props();
  type Read = { note: NonNullable<typeof form>['note']; trouble: string; given: Record<string, string> };
  // A refused import answers with its own form; what was read before stays on the screen.
  let read = $state.raw<Read | null>(untrack(() => (form && 'note' in form ? (form as unknown as Read) : null)));
  $effect(() => {
    if (form && 'note' in form) read = form as unknown as Read;
  });
  const note = $derived(read?.note ?? null);
  const given = $derived(read?.given ?? {});
  let reading = $state(false);
  let file = $state<HTMLInputElement>();
  const targets = $derived([
    { value: '', name: t.leaveItOut },
    ...data.fields.flatMap(({ field, label, units }) =>
      units.length > 0
        ? units.map((unit) => ({ value: `${field}:${unit}`, name: `${label}, ${unit}` }))
        : [{ value: field, name: label }]
    )
  ]);
</script>

<svelte:head><title>{titled(t.takeInADelivery)}</title></svelte:head>
<h1>{t.takeInADelivery}</h1>
<p class="soft">
  {t.aTableWithHeadings}
</p>
<form
  method="POST"
  action="?/read"
  enctype="multipart/form-data"
  class="sheet read"
  use:enhance={() => {
    reading = true;
    return async ({ update }) => {
      reading = false;
      await update({ reset: false });
      // What was read stands in the text now; the file would only undo a mapping.
      if (file) file.value = '';
    };
  }}
>
  <div class="fields broad">
    <label class="file"
      ><b>{t.theFile}</b> <input type="file" bind:this={file} name="note" accept=".csv,.tsv,.txt,text/csv" /></label
    >
    <Field name="supplier" label={t.supplierWhereTheNote} start={given.supplier ?? ''} optional />
    <Field
      name="source"
      label={t.wildOrFarmedWhere}
      kind="choice"
      options={{ '': t.nobodySaid, wild: SOURCE_OPTIONS.wild, farmed: SOURCE_OPTIONS.farmed }}
      start={given.source ?? ''}
    />
    <Field
      name="commercial"
      label={t.commercialSource}
      kind="choice"
      options={{ '': t.nobodySaid, yes: COMMERCIAL_OPTIONS.yes, no: COMMERCIAL_OPTIONS.no }}
      start={given.commercial ?? 'yes'}
    />
    <Field
      name="dateOrder"
      label={t.daysAreWritten}
      kind="choice"
      options={{ iso: t.yearFirst, dmy: t.dayFirst, mdy: t.monthFirst }}
      start={given.dateOrder ?? 'iso'}
    />
    <Field
      name="decimal"
      label={t.decimals}
      kind="choice"
      options={{ '': t.findOut, '.': '2.4', ',': '2,4' }}
      start={given.decimal ?? ''}
    />
  </div>
  <label class="paste"
    ><span><b>{t.orPasteIt}</b></span>
    <Lines name="text" rows={note ? 3 : 7} spellcheck={false} value={given.text ?? ''} /></label
  >
  <input type="hidden" name="fileName" value={given.fileName ?? ''} />
  {#if note}
    <fieldset>
      <legend>
        {t.whatEachColumnIs(note.remembered ? t.asItWasRead : '')}
      </legend>
      <div class="fields broad">
        {#each note.headings as heading (heading)}
          <Field
            name="column {heading}"
            label={heading}
            kind="choice"
            options={targets}
            start={note.columns[heading] ?? ''}
          />
        {/each}
      </div>
    </fieldset>
  {/if}
  {#if read?.trouble}<p class="trouble" role="alert">{read.trouble}</p>{/if}
  <Button type="submit" disabled={reading}>{reading ? t.reading : note ? t.readItAgain : t.readIt}</Button>
</form>

{#if note}
  <section class="sheet" aria-live="polite">
    <h2>
      {t.canBeTakenIn(note.good, note.good === 1 ? 'row' : 'rows', note.bad > 0 ? t.areBroken(note.bad) : '')}
    </h2>
    <div class="scroll">
      <Table least="rows">
        <thead>
          <tr>
            <th scope="col">{t.row}</th>
            {#each note.headings as heading (heading)}<th scope="col">{heading}</th>{/each}
          </tr>
        </thead>
        <tbody>
          {#each [...note.rows].sort((a, b) => Number(b.troubles.length > 0) - Number(a.troubles.length > 0) || a.row - b.row) as row (row.row)}
            <tr class:broken={row.troubles.length > 0} data-row={row.row}>
              <td>{row.row}</td>
              {#each note.headings as heading, index (heading)}<td>{row.cells[index] ?? ''}</td>{/each}
            </tr>
            {#if row.troubles.length > 0}
              <tr class="why"
                ><td></td><td colspan={note.headings.length}>
                  {#each row.troubles as trouble, index (index)}<p>{trouble}</p>{/each}
                </td></tr
              >
            {/if}
          {/each}
        </tbody>
      </Table>
    </div>
    <OperationForm operation="import-note" submit={t.takeThemIn} tone="ember">
      {#each ['text', 'fileName', 'decimal', 'dateOrder', 'supplier', 'source', 'commercial', 'columns'] as name (name)}
        <input type="hidden" {name} value={given[name] ?? ''} />
      {/each}
      {#if note.bad > 0}
        <Field name="goodOnly" label={t.takeTheGoodRows(note.good, note.bad)} kind="tick" />
      {/if}
    </OperationForm>
  </section>
{/if}

<style>
  .read {
    display: grid;
    gap: 0.8rem;
    margin: 0.8rem 0;
  }
  .fields {
    align-items: end;
  }
  .file input {
    min-height: 48px;
    width: 100%;
    padding: 0.5rem;
    border: 1px solid var(--strong-line);
    border-radius: 3px;
  }
  .paste {
    display: grid;
    gap: 0.2rem;
  }
  legend {
    font-weight: 700;
    padding-bottom: 0.3rem;
  }
  .scroll {
    overflow-x: auto;
    margin: 0.5rem 0 0.9rem;
  }
  .broken td {
    background: var(--ember-wash);
  }
  .why td {
    border-top: 0;
    color: var(--ember);
    font-weight: 600;
  }
</style>
