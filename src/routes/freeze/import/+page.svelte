<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { titled } from '$lib/words/screens/common.ts';
  import { freezeImportPage as t } from '$lib/words/screens/cold.ts';
  import Line from '$lib/ui/kit/Line.svelte';
  import Lines from '$lib/ui/kit/Lines.svelte';
  import Select from '$lib/ui/kit/Select.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { invalidateAll } from '$app/navigation';
  import { DELIMITERS } from '$lib/core/log/csv.ts';
  import { TIME_ORDERS, type TimeOrder } from '$lib/core/log/times.ts';
  import ColdTabs from '$lib/ui/cold/ColdTabs.svelte';
  import { importing } from '$lib/ui/cold/import.svelte.ts';
  import ImportJob from '$lib/ui/cold/ImportJob.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { ORDER_WORDS, ROW_WORDS } from '$lib/words/cold.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const zone = $derived(data.house.zone);
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name ?? 'forgotten'])));
  const run = importing();
  let pasted = $state('');
  let behind = $state('');
  const MARKS: Record<string, string> = { ',': 'a comma', ';': 'a semicolon', '\t': 'a tab', '|': t.anUprightLine };
  const taking = $derived(run.job?.state === 'reading' || run.job?.state === 'keeping');
  const over = $derived(run.job && !taking ? run.job : null);
  $effect(() => {
    if (over) void invalidateAll();
  });
  const count = (value: number) => say.number(value, 0);
  const headings = $derived(run.file?.headings ?? []);
  const unsaid = $derived(
    run.file && run.mapping
      ? [
          ...(run.mapping.values.filter(({ sensor }) => sensor !== '').length === 0 ? [t.whichSensorAColumn] : []),
          ...(run.file.asks.includes('zone') && run.mapping.zone === '' ? [t.inWhichZoneThe] : [])
        ]
      : []
  );
  const zones = $derived([
    ...new Set([zone, 'UTC', 'Europe/Berlin', 'Europe/London', 'America/New_York', 'Asia/Tokyo'])
  ]);
  const bad = $derived(run.rows.filter(({ troubles }) => troubles.length > 0).length);

  function setValue(column: number, next: { sensor?: string; unit?: 'C' | 'F' }) {
    if (!run.mapping) return;
    const { values } = run.mapping;
    const known = values.find((each) => each.column === column) ?? { column, sensor: '', unit: 'C' as const };
    run.set({
      values: [...values.filter((each) => each.column !== column), { ...known, ...next }].sort(
        (a, b) => a.column - b.column
      )
    });
  }
  const valueOf = (column: number) => run.mapping?.values.find((each) => each.column === column);
  /** Columns nobody names a sensor for stay out. */
  async function start() {
    if (!run.mapping) return;
    const values = run.mapping.values.filter(({ sensor }) => sensor !== '');
    run.set({ values, clockOffsetSeconds: Math.round(Number(behind.replace(',', '.')) * 60) || 0 });
    await run.start();
  }
  const take = (event: Event & { currentTarget: HTMLInputElement }) => {
    const file = event.currentTarget.files?.[0];
    if (file) void run.take(file, file.name);
  };
</script>

<svelte:head><title>{titled(t.loggerFiles)}</title></svelte:head>
<h1>{t.loggerFiles}</h1>
<ColdTabs />
{#if !run.file}
  <div class="cards">
    <section class="sheet stack">
      <h2>{t.aFileOfReadings}</h2>
      <p>
        {t.csvAsALogger}
      </p>
      {#if data.sensors.length === 0}
        <p class="trouble">
          {t.noSensorIsNamed} <a class="link" href="/freeze/places">{t.nameOneUnderCold}</a>
          {t.first}
        </p>
      {/if}
      <label class="file">
        <span>{t.fileToMb}</span>
        <input type="file" accept=".csv,.txt,.tsv,text/csv,text/plain" onchange={take} disabled={run.busy} />
      </label>
      <label class="paste">
        <span>{t.orPasteItsLines}</span>
        <Lines rows={5} bind:value={pasted} placeholder={t.timeAirC} />
      </label>
      <Button
        tone="ember"
        disabled={pasted.trim() === '' || run.busy}
        onclick={() => run.take(new Blob([pasted], { type: 'text/csv' }), 'pasted.csv')}>{t.lookAtIt}</Button
      >
      {#if run.busy}<p role="status">{t.handingItOver}</p>{/if}
      {#if run.trouble}<p class="trouble" role="alert">{run.trouble}</p>{/if}
    </section>
    <section class="sheet stack">
      <h2>{t.takenInBefore}</h2>
      <Table>
        <tbody>
          {#each data.past as each (each.seq)}
            <tr>
              <td>{each.file}<br /><span class="soft">{say.dayAndTime(each.at)}, {names[each.by] ?? each.by}</span></td>
              <td
                >{t.ofRows(
                  count(each.taken),
                  count(each.rows),
                  each.stopped ? ', stopped' : '',
                  each.troubles > 0 ? t.notBelievedOrNot(count(each.troubles)) : ''
                )}</td
              >
            </tr>
          {:else}<tr><td class="soft">{t.noFileYet}</td></tr>{/each}
        </tbody>
      </Table>
      <Fold title={t.aFewReadingsTyped}>
        <OperationForm operation="store-readings" submit={t.keepThem}>
          <Field
            name="sensor"
            label={t.sensor}
            kind="choice"
            options={data.sensors.map(({ id, name }) => ({ value: id, name }))}
          />
          <Field name="log" label={t.readingsALineEach} kind="long" placeholder="2026-03-12T18:00, -22.4" />
        </OperationForm>
      </Fold>
    </section>
  </div>
{:else if run.mapping && !run.job}
  <section class="sheet stack">
    <div class="title">
      <h2>{run.file.job.name}</h2>
      <p class="soft">
        {t.kb(say.number(run.file.job.size / 1024, 0), run.file.remembered ? t.readAsTheLast : t.columnsGuessed)}
      </p>
    </div>
    <div class="fields broad">
      <label
        >{t.columnsPartedBy}
        <Select
          value={run.mapping.delimiter}
          onchange={(event) => run.set({ delimiter: event.currentTarget.value as ',' })}
        >
          {#each DELIMITERS as mark (mark)}<option value={mark}>{MARKS[mark]}</option>{/each}
        </Select></label
      >
      <label
        >{t.linesAboveTheReadings}
        <Line
          type="number"
          min="0"
          max="200"
          value={String(run.mapping.skip)}
          onchange={(event) => run.set({ skip: Number(event.currentTarget.value) })}
        /></label
      >
      <label
        >{t.timesAreWritten}
        <Select
          value={run.mapping.order}
          onchange={(event) => run.set({ order: event.currentTarget.value as TimeOrder })}
        >
          {#each TIME_ORDERS as order (order)}<option value={order}>{ORDER_WORDS[order]}</option>{/each}
        </Select>
        {#if run.file.asks.includes('order')}<span class="hint">{t.dayOrMonthFirst}</span>{/if}</label
      >
      {#if run.file.asks.includes('zone')}
        <label
          >{t.theLoggersClockKeeps}
          <Select value={run.mapping.zone} onchange={(event) => run.set({ zone: event.currentTarget.value })}>
            <option value="">{t.sayWhichZone}</option>
            {#each zones as each (each)}<option value={each}>{each === zone ? t.asTheHouse(each) : each}</option>{/each}
          </Select>
          <span class="hint">{t.itsTimesNameNo}</span></label
        >
      {/if}
      <label
        >{t.decimalMark}
        <Select
          value={run.mapping.decimal}
          onchange={(event) => run.set({ decimal: event.currentTarget.value as '.' })}
        >
          <option value=".">{t.point}</option><option value=",">{t.comma}</option>
        </Select></label
      >
      <label
        >{t.itsClockWasBehind}
        <Line inputmode="decimal" placeholder="0" bind:value={behind} />
        <span class="hint">{t.aheadAMinusEmpty}</span></label
      >
    </div>
    <Table>
      <thead>
        <tr>
          <th>{t.row}</th>
          {#each headings as heading, column (column)}
            <th class="heading">
              <span>{heading}</span>
              {#if column === run.mapping.time || column === run.mapping.day}
                <span class="soft">{column === run.mapping.day ? t.day : t.time}</span>
              {:else}
                <Select
                  aria-label={t.sensorOf(heading)}
                  value={valueOf(column)?.sensor ?? ''}
                  onchange={(event) => setValue(column, { sensor: event.currentTarget.value })}
                >
                  <option value="">{t.leaveOut}</option>
                  {#each data.sensors as sensor (sensor.id)}<option value={sensor.id}>{sensor.name}</option>{/each}
                </Select>
                {#if valueOf(column)?.sensor}
                  <Select
                    aria-label={t.unitOf(heading)}
                    value={valueOf(column)?.unit ?? 'C'}
                    onchange={(event) => setValue(column, { unit: event.currentTarget.value as 'C' })}
                  >
                    <option value="C">°C</option><option value="F">°F</option>
                  </Select>
                {/if}
              {/if}
            </th>
          {/each}
          <th>{t.understoodAs}</th>
        </tr>
      </thead>
      <tbody>
        {#each run.rows.slice(0, 12) as row (row.row)}
          <tr class:bad={row.troubles.length > 0}>
            <td class="soft">{row.row}</td>
            {#each headings as _, column (column)}<td>{row.cells[column] ?? ''}</td>{/each}
            <td>
              {#if row.at !== null}{say.dayAndTime(row.at)}: {row.values
                  .map((value) => (value === null ? '–' : say.temperature(value)))
                  .join(', ')}{/if}
              {#each row.troubles as trouble (trouble.code + trouble.seen)}<span class="say"
                  >{ROW_WORDS[trouble.code] ?? trouble.code}</span
                >
              {/each}
            </td>
          </tr>
        {/each}
      </tbody>
    </Table>
    {#if bad > 0}<p class="soft">{t.ofTheFirstRows(bad, run.rows.length)}</p>{/if}
    {#if run.trouble}<p class="trouble" role="alert">{run.trouble}</p>{/if}
    {#if unsaid.length > 0}<p class="caution">{t.stillToSay(unsaid.join('; '))}</p>{/if}
    <p class="buttons">
      <Button tone="ember" disabled={unsaid.length > 0 || run.busy} onclick={start}>{t.takeItIn}</Button>
      <Button onclick={() => run.again()}>{t.anotherFile}</Button>
    </p>
  </section>
{:else if run.job}
  <ImportJob {run} {taking} sensors={data.sensors} />
{/if}

<style>
  label {
    display: grid;
    gap: 0.2rem;
    font-weight: 600;
  }
  input {
    min-height: 48px;
    background: var(--surface);
    color: var(--ink);
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    font-weight: 400;
    width: 100%;
  }
  input[type='file'] {
    padding: 0.6rem;
  }
  .hint {
    font-weight: 400;
    font-size: 0.9rem;
    color: var(--soft);
  }
  .heading {
    min-width: 9rem;
  }
  .bad td {
    background: var(--ember-wash);
    color: var(--ink);
  }
  .say {
    display: block;
  }
</style>
