<script lang="ts">
  import Line from '$lib/ui/kit/Line.svelte';
  import Select from '$lib/ui/kit/Select.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { entryWords } from '$lib/ui/entry.ts';
  import { dayAndTime } from '$lib/ui/format.ts';
  import { kindWords } from '$lib/words/tasks.ts';
  import { page } from '$app/state';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const zone = $derived(data.house.zone);
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name])));
  const amendedBy = $derived(
    new Map(
      data.entries.flatMap((entry) => (entry.kind === 'entry.amended' ? [[entry.body.amends, entry.seq] as const] : []))
    )
  );
  let open = $state<number | null>(null);
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

<div class="head">
  <h1>Ledger</h1>
  <p class="soft">Only ever added to. To correct an entry, add one that amends it.</p>
</div>
<form method="GET" class="filter no-print">
  <label>Day <Line type="date" name="day" value={data.asked.day} /></label>
  <label>
    Lot
    <Select name="lot" value={data.asked.lot}>
      <option value="">all</option>
      {#each data.lots as lot (lot)}<option>{lot}</option>{/each}
    </Select>
  </label>
  <label>
    Person
    <Select name="person" value={data.asked.person}>
      <option value="">all</option>
      {#each data.people as person (person.id)}<option value={person.id}>{person.name}</option>{/each}
    </Select>
  </label>
  <Button type="submit">Show</Button>
  <span class="grow"></span>
  <Button href="/ledger/export?format=csv" download>All as CSV</Button>
  <Button href="/ledger/export?format=jsonl" download>All as JSON Lines</Button>
  <Button onclick={() => print()}>Print</Button>
</form>

{#if stands}
  <p class="sheet" role="status">
    Written down. What stood before counts on the verdict as well: ask a second person to correct it, with the reason.
  </p>
{/if}
{#if data.entries.length === 0}
  <p class="sheet">
    No entry here{data.asked.day || data.asked.lot || data.asked.person ? ' for that choice' : ' yet'}.
  </p>
{:else}
  <Table class="sheet">
    <thead
      ><tr
        ><th>No.</th><th>Happened</th><th>What</th><th>About</th><th>Who</th><th class="no-print"
          ><span class="unseen">Amend</span></th
        ></tr
      ></thead
    >
    <tbody>
      {#each data.entries as entry (entry.seq)}
        {@const link = href(entry.subject)}
        <tr id="e{entry.seq}" class:asked={entry.seq === data.asked.seq} class:amended={amendedBy.has(entry.seq)}>
          <td title="hash {entry.hash}">{entry.seq}</td>
          <td class="nowrap">
            {dayAndTime(entry.happened, zone)}
            {#if entry.recorded - entry.happened > 120_000}<br /><span class="soft small"
                >written {dayAndTime(entry.recorded, zone)}</span
              >{/if}
          </td>
          <td>
            <b>{kindWords(entry.kind)}</b>
            {#if entry.kind === 'entry.amended' && entry.body.widens.length > 0}<b class="owned">owned exception</b
              >{/if}
            <span class="soft words">{entryWords(entry, zone).join(' · ')}</span>
            {#if amendedBy.has(entry.seq)}<span class="small">Amended by entry {amendedBy.get(entry.seq)}.</span>{/if}
          </td>
          <td class:code={/^(lot|piece|delivery):/.test(entry.subject)}
            >{#if link}<a class="link" href={link}>{entry.subject.split(':')[1]}</a>{:else}{entry.subject.split(
                ':'
              )[1] ?? entry.subject}{/if}</td
          >
          <td>{names[entry.actor] ?? entry.actor.replace(/^device:/, 'logger ')}</td>
          <td class="no-print">
            {#if entry.amendable}
              <Button aria-expanded={open === entry.seq} onclick={() => (open = open === entry.seq ? null : entry.seq)}
                >Amend</Button
              >
            {/if}
          </td>
        </tr>
        {#if open === entry.seq}
          <tr>
            <td colspan="6">
              <div class="amending">
                <OperationForm
                  operation="amend-entry"
                  subject={String(entry.seq)}
                  submit="Add the amendment"
                  onDone={(result) => {
                    open = null;
                    stands = result.stands === true;
                  }}
                  also={{ seq: entry.seq }}
                >
                  <Field name="void" label="It did not happen: void it" kind="tick" />
                  <div class="row">
                    <Field name="happened" label="It happened at" kind="time" optional />
                    <Field name="reason" label="Why it is amended" />
                  </div>
                  <Field
                    name="patch"
                    label="Changed parts, as JSON"
                    kind="long"
                    optional
                    hint={`For instance {"note": "…"}. The entry holds: ${Object.keys(entry.body as object).join(', ')}.`}
                  />
                  <p class="soft">
                    A figure typed wrong: correct your own within 10 minutes. Later a second person does, with the
                    reason. Striking out a warm reading takes nothing back.
                  </p>
                  <Field
                    name="ownWidening"
                    label="If this opens a window wider than the record did, I own it with my name and reason"
                    kind="tick"
                  />
                </OperationForm>
                <Fold title="The entry as stored">
                  <pre>{JSON.stringify(entry.body, null, 1)}</pre>
                </Fold>
              </div>
            </td>
          </tr>
        {/if}
      {/each}
    </tbody>
  </Table>
  {#if data.more}<p class="older"><a class="out" href={older}>Older entries</a></p>{/if}
{/if}

<section class="sheet sign no-print">
  <h2>Sign the day, {data.today}</h2>
  <p class="soft">
    Signing writes down the number and hash of the newest entry ({data.head}, {data.headHash.slice(0, 12)}…), so that a
    cut-off log is noticed.
  </p>
  <OperationForm operation="sign-day" submit="Sign the day">
    <Field name="note" label="Note" optional />
  </OperationForm>
</section>

<style>
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
  td:first-child {
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
  @media (max-width: 900px) {
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
    gap: 0.8rem;
    max-width: 52rem;
  }
  .row {
    display: grid;
    grid-template-columns: 1fr 2fr;
    gap: 0.7rem;
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
  pre {
    font-size: 0.85rem;
    white-space: pre-wrap;
  }
</style>
