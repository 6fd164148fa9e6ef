<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { importJob as t } from '$lib/words/screens/cold.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import { ROW_WORDS } from '$lib/words/cold.ts';
  import { errorSentence } from '$lib/words/errors.ts';
  import type { importing } from './import.svelte.ts';

  /** A logger's file being taken in: how far it is, and what was kept and not taken. */
  let {
    run,
    taking,
    sensors
  }: {
    run: ReturnType<typeof importing>;
    taking: boolean;
    sensors: readonly { readonly id: string; readonly name: string }[];
  } = $props();
  const count = (value: number) => say.number(value, 0);
</script>

{#if run.job}
  <section class="sheet stack" aria-live="polite">
    <h2>{run.job.name}</h2>
    {#if taking}
      <p class="figure">
        {count(run.job.state === 'reading' ? run.job.rows : run.job.kept + run.job.known)}
        <small>{run.job.state === 'reading' ? t.rowsRead : t.readingsKept}</small>
      </p>
      <progress max={run.job.size} value={run.job.bytes} aria-label={t.howMuchOfThe}></progress>
      <p><Button onclick={() => run.stop()}>{t.stop}</Button></p>
    {:else}
      {#if run.job.state === 'failed' && run.job.trouble}
        <p class="trouble" role="alert">{errorSentence(run.job.trouble.code, run.job.trouble.details)}</p>
      {:else if run.job.state === 'stopped'}
        <p class="trouble" role="alert">{errorSentence('log.stopped')}</p>
      {/if}
      {#if run.job.report}
        {@const report = run.job.report}
        <p class="figure" data-kept={run.job.kept}>
          {count(run.job.kept)} <small>{t.readingsKeptOfRows(count(report.rows))}</small>
        </p>
        <Table>
          <tbody>
            {#each report.sensors as sensor (sensor.sensor)}
              <tr>
                <td>{sensors.find(({ id }) => id === sensor.sensor)?.name ?? sensor.sensor}</td>
                <td>
                  {t.twiceOverOfOne(
                    sensor.from === null ? 'nothing' : t.to(say.dayAndTime(sensor.from), say.dayAndTime(sensor.to!)),
                    count(sensor.duplicates),
                    count(sensor.conflicts),
                    count(sensor.gaps)
                  )}
                </td>
              </tr>
            {/each}
          </tbody>
        </Table>
        <p class="soft">
          {run.job.known > 0 ? t.wereKnownAlready(count(run.job.known)) : ''}{report.unsorted > 0
            ? t.rowsStoodBeforeTheir(count(report.unsorted))
            : ''}{report.repeatedHour > 0 ? t.rowsLieInThe(count(report.repeatedHour)) : ''}
        </p>
        {#if Object.keys(report.counts).length > 0}
          <h3>{t.notTaken}</h3>
          <Table data-refused>
            <tbody>
              {#each Object.entries(report.counts) as [code, number] (code)}
                <tr>
                  <td>{count(number)}</td>
                  <td>
                    {ROW_WORDS[code] ?? code}: {report.troubles
                      .filter((each) => each.code === code)
                      .slice(0, 6)
                      .map(({ row, seen }) => t.row(row, seen ? ` “${seen}”` : ''))
                      .join(', ')}{number > 6 ? ', …' : ''}
                  </td>
                </tr>
              {/each}
            </tbody>
          </Table>
        {/if}
      {/if}
      <p class="buttons">
        <Button tone="ember" onclick={() => run.again()}>{t.anotherFile}</Button>
        <a class="link" href="/freeze/places">{common.coldPlaces}</a>
      </p>
    {/if}
  </section>
{/if}

<style>
  progress {
    width: 100%;
    height: 18px;
    accent-color: var(--water-deep);
  }
  h3 {
    font-weight: 700;
  }
</style>
