<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common, titled } from '$lib/words/screens/common.ts';
  import { ledgerPage as t } from '$lib/words/screens/ledger.ts';
  import Line from '$lib/ui/kit/Line.svelte';
  import Select from '$lib/ui/kit/Select.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Correct from '$lib/ui/ledger/Correct.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { entryWords } from '$lib/words/entry.ts';
  import { kindWords } from '$lib/words/kinds.ts';
  import { page } from '$app/state';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const amendedBy = $derived(
    new Map(
      data.entries.flatMap((entry) => (entry.kind === 'entry.amended' ? [[entry.body.amends, entry.seq] as const] : []))
    )
  );
  // A line that led here opens the entry it is about.
  // svelte-ignore state_referenced_locally
  let open = $state<number | null>(page.url.searchParams.has('correct') ? data.asked.seq : null);
  /** The last amendment is on record, and what it struck counts all the same. */
  let stands = $state(false);
  const href = (subject: string) =>
    subject.startsWith('piece:')
      ? `/piece/${subject.slice(6)}`
      : subject.startsWith('lot:')
        ? `/piece/${subject.slice(4)}-A`
        : subject.startsWith('place:')
          ? `/freeze/places/${subject.slice(6)}`
          : null;
  const older = $derived.by(() => {
    const next = new URLSearchParams(page.url.searchParams);
    next.delete('seq');
    next.set('before', String(data.entries.at(-1)?.seq ?? 0));
    return `?${next}`;
  });
</script>

<svelte:head><title>{titled(t.ledger)}</title></svelte:head>
<div class="head">
  <h1>{t.ledger}</h1>
  <p class="soft">{t.onlyEverAddedTo}</p>
</div>
<form method="GET" class="filter no-print">
  <label>{t.day} <Line type="date" name="day" value={data.asked.day} /></label>
  <label>
    {t.lot}
    <Select name="lot" value={data.asked.lot}>
      <option value="">{t.all}</option>
      {#each data.lots as lot (lot)}<option>{lot}</option>{/each}
    </Select>
  </label>
  <label>
    {t.person}
    <Select name="person" value={data.asked.person}>
      <option value="">{t.all}</option>
      {#each data.people as person (person.id)}<option value={person.id}>{person.name}</option>{/each}
    </Select>
  </label>
  <Button type="submit">{t.show}</Button>
  <span class="grow"></span>
  <Button href="/ledger/export?format=csv" download>{t.allAsCsv}</Button>
  <Button href="/ledger/export?format=jsonl" download>{t.allAsJsonLines}</Button>
  <Button onclick={() => print()}>{t.print}</Button>
</form>

{#if data.loss}
  <section class="sheet" id="loss">
    <h2>{t.lostEntries}</h2>
    <p>{t.whatToDoAboutLost(data.loss.noted, data.loss.found)}</p>
    <OperationForm operation="confirm-loss" submit={t.goOnWithoutThem}>
      <Field name="reason" label={common.why} placeholder={t.theMachineLostPower} />
    </OperationForm>
  </section>
{/if}
{#if stands}
  <p class="sheet" role="status">
    {t.writtenDownWhatStood}
  </p>
{/if}
{#if data.entries.length === 0}
  <p class="sheet">
    {t.noEntryHere(data.asked.day || data.asked.lot || data.asked.person ? t.forThatChoice : ' yet')}
  </p>
{:else}
  <Table class="sheet">
    <thead
      ><tr
        ><th>{t.no}</th><th>{t.happened}</th><th>{common.what}</th><th>{t.about}</th><th>{t.who}</th><th
          class="no-print"><span class="unseen">{t.amend}</span></th
        ></tr
      ></thead
    >
    <tbody>
      {#each data.entries as entry (entry.seq)}
        {@const link = href(entry.subject)}
        <tr id="e{entry.seq}" class:asked={entry.seq === data.asked.seq} class:amended={amendedBy.has(entry.seq)}>
          <td title={t.hash(entry.hash)}>{entry.seq}</td>
          <td class="nowrap">
            {say.dayAndTime(entry.happened)}
            {#if entry.recorded - entry.happened > 120_000}<br /><span class="soft small"
                >{t.written(say.dayAndTime(entry.recorded))}</span
              >{/if}
          </td>
          <td>
            <p data-line>{entry.line}</p>
            {#if entry.kind === 'entry.amended' && entry.body.widens.length > 0}<b class="owned">{t.ownedException}</b
              >{/if}
            <Fold class="folded small" headClass="soft" title={kindWords(entry.kind)}>
              <p class="soft words" translate="no">{entryWords(entry).join(' · ')}</p>
            </Fold>
            {#if amendedBy.has(entry.seq)}<span class="small">{t.amendedByEntry(amendedBy.get(entry.seq) ?? '')}</span
              >{/if}
          </td>
          <td translate="no" class:code={/^(lot|piece|delivery):/.test(entry.subject)}
            >{#if link}<a class="link" href={link}>{entry.about}</a>{:else}{entry.about}{/if}</td
          >
          <td translate="no">{entry.who}</td>
          <td class="no-print">
            {#if entry.amendable}
              <Button aria-expanded={open === entry.seq} onclick={() => (open = open === entry.seq ? null : entry.seq)}
                >{t.amend}</Button
              >
            {/if}
          </td>
        </tr>
        {#if open === entry.seq}
          <tr>
            <td colspan="6">
              <div class="amending">
                <Correct
                  {entry}
                  onDone={(result) => {
                    open = null;
                    stands = result.stands === true;
                  }}
                />
              </div>
            </td>
          </tr>
        {/if}
      {/each}
    </tbody>
  </Table>
  {#if data.more}<p class="older"><a class="out way" href={older}>{t.olderEntries}</a></p>{/if}
{/if}

<section class="sheet sign no-print">
  <h2>{t.signTheDay(say.day(data.today))}</h2>
  <p class="soft">
    {t.signingWritesDownThe(data.head, data.headHash.slice(0, 12))}
  </p>
  <OperationForm operation="sign-day" submit={t.signTheDay2}>
    <Field name="note" label={common.note} optional />
  </OperationForm>
</section>

<style>
  #loss {
    margin-bottom: 1rem;
  }
  /* Beside its sentence an entry's parts are an aside. */
  td :global(.folded summary) {
    min-height: 44px;
    margin-block: -0.5rem;
    font-weight: 400;
  }
  .head {
    display: flex;
    gap: 0.3rem 1.2rem;
    align-items: baseline;
    flex-wrap: wrap;
  }
  .filter {
    display: flex;
    flex-wrap: wrap;
    gap: 0.7rem;
    align-items: end;
    margin: 0.8rem 0;
  }
  .filter label {
    display: grid;
    font-size: 0.9rem;
    color: var(--soft);
  }
  .grow {
    flex: 1;
  }
  td {
    overflow-wrap: anywhere;
  }
  td.nowrap,
  td.code,
  td.no-print,
  td:first-child:not([colspan]) {
    white-space: nowrap;
  }
  td:nth-child(5) {
    min-width: 9.5rem;
  }
  td:first-child,
  th:first-child {
    padding-left: 0.8rem;
  }
  .words {
    display: block;
    font-size: 0.93rem;
  }
  .owned {
    color: var(--ember);
    margin-left: 0.5rem;
  }
  @media (max-width: 56.25em) {
    td.nowrap {
      white-space: normal;
      width: 5.5rem;
    }
    td:nth-child(5) {
      min-width: 6rem;
    }
  }
  .asked td {
    background: var(--water-pale);
  }
  .amended .words {
    text-decoration: line-through;
  }
  .amending {
    padding: 0.8rem 0 0.8rem 1rem;
    border-left: 4px solid var(--water);
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.8rem;
    max-width: 52rem;
  }
  .older,
  .sign {
    margin-top: 1rem;
  }
  .sign {
    display: grid;
    gap: 0.6rem;
    max-width: 44rem;
  }
</style>
