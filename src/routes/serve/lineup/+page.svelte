<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { lineUpPage as t } from '$lib/words/screens/serve.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import ServeTabs from '$lib/ui/serve/ServeTabs.svelte';
  import { toldLine } from '$lib/words/notices.ts';
  import { factsWords } from '$lib/words/plates.ts';
  import * as say from '$lib/words/say.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const sheet = $derived(data.sheet);
</script>

<svelte:head><title>{titled(t.lineUp)}</title></svelte:head>
<h1>{t.lineUp}</h1>
<ServeTabs />
<div class="top">
  <p>
    {t.asOf(say.dayAndTime(sheet.at))}
    {#if sheet.service}· <b>{t.service(sheet.service.name, say.dayAndTime(sheet.service.at))}</b>
      {#if sheet.service.covers !== null}· {t.covers(sheet.service.covers)}{/if}{/if}
  </p>
  <Button class="no-print" onclick={() => print()}>{t.print}</Button>
</div>
{#if sheet.on.length === 0}
  <section class="sheet stack">
    <p>{t.nothingOn}</p>
    <a class="way" href="/serve/pass">{t.toThePass}</a>
  </section>
{/if}
{#if sheet.first.length > 0}
  <section class="sheet" aria-labelledby="first">
    <h2 id="first">{t.sellFirst}</h2>
    <ol>
      {#each sheet.first as { name, plates, until, by } (name)}
        <li><b>{name}</b>, {t.plates(plates)}: {t.because[by ?? 'window']} {say.until(until, sheet.at)}</li>
      {/each}
    </ol>
  </section>
{/if}
{#if sheet.few.length + sheet.gone.length + sheet.off.length > 0}
  <section class="sheet stack" aria-labelledby="short">
    <h2 id="short">{t.fewAndOff}</h2>
    {#if sheet.few.length > 0}
      <p><b>{t.few}</b> {sheet.few.map(({ name, plates }) => `${name} (${plates})`).join(', ')}</p>
    {/if}
    {#if sheet.gone.length > 0}
      <p>
        <b>{t.gone}</b>
        {sheet.gone.map(({ name, instead }) => (instead > 0 ? t.butOther(name) : name)).join(', ')}
      </p>
    {/if}
    {#if sheet.off.length > 0}<p><b>{t.off}</b> {sheet.off.join(', ')}</p>{/if}
  </section>
{/if}
{#if sheet.on.length > 0}
  <section class="sheet" aria-labelledby="on">
    <h2 id="on">{t.on}</h2>
    <div class="sideways">
      <Table data-on>
        <thead><tr><th>{t.dish}</th><th>{t.left}</th><th>{t.fish}</th><th>{t.holds}</th></tr></thead>
        <tbody>
          {#each sheet.on as row (row.id)}
            <tr data-row={row.id}>
              <th scope="row">{row.card}</th>
              <td>{row.plates}</td>
              <td>
                {#each row.fish as { name, facts } (name)}
                  <span class="fish"><b>{name}</b> {facts.map(factsWords).join(' / ')}</span>
                {/each}
              </td>
              <td>{toldLine({ holds: row.holds, mayHold: row.mayHold, unsaid: row.unsaid })}</td>
            </tr>
          {/each}
        </tbody>
      </Table>
    </div>
  </section>
  <p>{sheet.notice}</p>
{/if}
<p class="caution">{t.caution}</p>

<style>
  .top {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1rem;
    align-items: center;
    justify-content: space-between;
    margin: 0.7rem 0;
  }
  section {
    margin-bottom: 0.7rem;
  }
  .fish {
    display: block;
  }
</style>
