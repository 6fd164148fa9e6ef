<script lang="ts">
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
  import { dayAndTime, formatTemperature } from '$lib/ui/format.ts';
  import { ORDER_WORDS, ROW_WORDS } from '$lib/words/cold.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const units = $derived(data.house.units);
  const zone = $derived(data.house.zone);
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name ?? 'forgotten'])));
  const run = importing();
  let pasted = $state('');
  let behind = $state('');
  const MARKS: Record<string, string> = { ',': 'a comma', ';': 'a semicolon', '\t': 'a tab', '|': 'an upright line' };
  const taking = $derived(run.job?.state === 'reading' || run.job?.state === 'keeping');
  const over = $derived(run.job && !taking ? run.job : null);
  $effect(() => {
    if (over) void invalidateAll();
  });
  const count = (value: number) => value.toLocaleString('en-GB');
  const headings = $derived(run.file?.headings ?? []);
  const unsaid = $derived(
    run.file && run.mapping
      ? [
          ...(run.mapping.values.filter(({ sensor }) => sensor !== '').length === 0
            ? ['which sensor a column is of']
            : []),
          ...(run.file.asks.includes('zone') && run.mapping.zone === ''
            ? ['in which zone the logger keeps its clock']
            : [])
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

<svelte:head><title>Logger files · Ember Tide</title></svelte:head>
<h1>Logger files</h1>
<ColdTabs />
{#if !run.file}
  <div class="cards">
    <section class="sheet stack">
      <h2>A file of readings</h2>
      <p>
        CSV as a logger writes it: any delimiter, comma or point, °C or °F, with or without a zone, unsorted or with
        gaps. It is read here first; nothing is kept until you say so.
      </p>
      {#if data.sensors.length === 0}
        <p class="trouble">
          No sensor is named yet. <a class="link" href="/freeze/places">Name one under Cold places</a> first.
        </p>
      {/if}
      <label class="file">
        <span>File, to 200 MB</span>
        <input type="file" accept=".csv,.txt,.tsv,text/csv,text/plain" onchange={take} disabled={run.busy} />
      </label>
      <label class="paste">
        <span>Or paste its lines</span>
        <Lines rows={5} bind:value={pasted} placeholder="time;air °C&#10;2026-03-12 18:00;-22,4" />
      </label>
      <Button
        tone="ember"
        disabled={pasted.trim() === '' || run.busy}
        onclick={() => run.take(new Blob([pasted], { type: 'text/csv' }), 'pasted.csv')}>Look at it</Button
      >
      {#if run.busy}<p role="status">Handing it over…</p>{/if}
      {#if run.trouble}<p class="trouble" role="alert">{run.trouble}</p>{/if}
    </section>
    <section class="sheet stack">
      <h2>Taken in before</h2>
      <Table>
        <tbody>
          {#each data.past as each (each.seq)}
            <tr>
              <td
                >{each.file}<br /><span class="soft">{dayAndTime(each.at, zone)}, {names[each.by] ?? each.by}</span></td
              >
              <td
                >{count(each.taken)} of {count(each.rows)} rows{each.stopped ? ', stopped' : ''}{each.troubles > 0
                  ? `; ${count(each.troubles)} not believed or not read`
                  : ''}</td
              >
            </tr>
          {:else}<tr><td class="soft">No file yet.</td></tr>{/each}
        </tbody>
      </Table>
      <Fold title="A few readings, typed">
        <OperationForm operation="store-readings" submit="Keep them">
          <Field
            name="sensor"
            label="Sensor"
            kind="choice"
            options={data.sensors.map(({ id, name }) => ({ value: id, name }))}
          />
          <Field
            name="log"
            label="Readings: a line each, time then °C"
            kind="long"
            placeholder="2026-03-12T18:00, -22.4"
          />
        </OperationForm>
      </Fold>
    </section>
  </div>
{:else if run.mapping && !run.job}
  <section class="sheet stack">
    <div class="title">
      <h2>{run.file.job.name}</h2>
      <p class="soft">
        {(run.file.job.size / 1024).toLocaleString('en-GB', { maximumFractionDigits: 0 })} kB{run.file.remembered
          ? '; read as the last file with these headings'
          : '; columns guessed'}
      </p>
    </div>
    <div class="fields broad">
      <label
        >Columns parted by
        <Select
          value={run.mapping.delimiter}
          onchange={(event) => run.set({ delimiter: event.currentTarget.value as ',' })}
        >
          {#each DELIMITERS as mark (mark)}<option value={mark}>{MARKS[mark]}</option>{/each}
        </Select></label
      >
      <label
        >Lines above the readings
        <Line
          type="number"
          min="0"
          max="200"
          value={String(run.mapping.skip)}
          onchange={(event) => run.set({ skip: Number(event.currentTarget.value) })}
        /></label
      >
      <label
        >Times are written
        <Select
          value={run.mapping.order}
          onchange={(event) => run.set({ order: event.currentTarget.value as TimeOrder })}
        >
          {#each TIME_ORDERS as order (order)}<option value={order}>{ORDER_WORDS[order]}</option>{/each}
        </Select>
        {#if run.file.asks.includes('order')}<span class="hint">Day or month first: both fit. Say which.</span
          >{/if}</label
      >
      {#if run.file.asks.includes('zone')}
        <label
          >The logger’s clock keeps
          <Select value={run.mapping.zone} onchange={(event) => run.set({ zone: event.currentTarget.value })}>
            <option value="">say which zone…</option>
            {#each zones as each (each)}<option value={each}>{each === zone ? `${each}, as the house` : each}</option
              >{/each}
          </Select>
          <span class="hint">Its times name no zone.</span></label
        >
      {/if}
      <label
        >Decimal mark
        <Select
          value={run.mapping.decimal}
          onchange={(event) => run.set({ decimal: event.currentTarget.value as '.' })}
        >
          <option value=".">point</option><option value=",">comma</option>
        </Select></label
      >
      <label
        >Its clock was behind by, min
        <Line inputmode="decimal" placeholder="0" bind:value={behind} />
        <span class="hint">Ahead: a minus. Empty: it was right.</span></label
      >
    </div>
    <Table>
      <thead>
        <tr>
          <th>Row</th>
          {#each headings as heading, column (column)}
            <th class="heading">
              <span>{heading}</span>
              {#if column === run.mapping.time || column === run.mapping.day}
                <span class="soft">{column === run.mapping.day ? 'day' : 'time'}</span>
              {:else}
                <Select
                  aria-label="Sensor of {heading}"
                  value={valueOf(column)?.sensor ?? ''}
                  onchange={(event) => setValue(column, { sensor: event.currentTarget.value })}
                >
                  <option value="">leave out</option>
                  {#each data.sensors as sensor (sensor.id)}<option value={sensor.id}>{sensor.name}</option>{/each}
                </Select>
                {#if valueOf(column)?.sensor}
                  <Select
                    aria-label="Unit of {heading}"
                    value={valueOf(column)?.unit ?? 'C'}
                    onchange={(event) => setValue(column, { unit: event.currentTarget.value as 'C' })}
                  >
                    <option value="C">°C</option><option value="F">°F</option>
                  </Select>
                {/if}
              {/if}
            </th>
          {/each}
          <th>Understood as</th>
        </tr>
      </thead>
      <tbody>
        {#each run.rows.slice(0, 12) as row (row.row)}
          <tr class:bad={row.troubles.length > 0}>
            <td class="soft">{row.row}</td>
            {#each headings as _, column (column)}<td>{row.cells[column] ?? ''}</td>{/each}
            <td>
              {#if row.at !== null}{dayAndTime(row.at, zone)}: {row.values
                  .map((value) => (value === null ? '–' : formatTemperature(value, units)))
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
    {#if bad > 0}<p class="soft">{bad} of the first {run.rows.length} rows cannot be taken as it stands.</p>{/if}
    {#if run.trouble}<p class="trouble" role="alert">{run.trouble}</p>{/if}
    {#if unsaid.length > 0}<p class="caution">Still to say: {unsaid.join('; ')}.</p>{/if}
    <p class="buttons">
      <Button tone="ember" disabled={unsaid.length > 0 || run.busy} onclick={start}>Take it in</Button>
      <Button onclick={() => run.again()}>Another file</Button>
    </p>
  </section>
{:else if run.job}
  <ImportJob {run} {taking} {zone} sensors={data.sensors} />
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
