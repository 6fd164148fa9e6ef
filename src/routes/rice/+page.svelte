<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { titled } from '$lib/words/screens/common.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { page } from '$app/state';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import IngredientsField from '$lib/ui/controls/IngredientsField.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import { toldLine } from '$lib/words/notices.ts';
  import { RICE_WORDS as SAY } from '$lib/words/activity/rice.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const now = $derived(houseNow());
  const units = $derived(data.house.units);
  const tub = $derived(data.chosen);
  const warn = $derived(data.house.warnMinutes * 60_000);
</script>

<svelte:head><title>{titled(SAY.title)}</title></svelte:head>
<h1>{SAY.title}</h1>
{#if data.view.tubs.length === 0}
  <p class="soft">{SAY.none}</p>
{:else}
  <ul class="tubs">
    {#each data.view.tubs as each (each.id)}
      {@const left = each.discardAt - now}
      <li class:soon={left < warn} data-tub={each.id}>
        <a href="/rice?tub={each.id}" aria-current={each.id === tub?.id ? 'true' : undefined}>
          <span class="left">{left <= 0 ? SAY.over : say.away(each.discardAt, now)}</span>
          <span>
            <b>{each.name}</b> <span class="code">{each.id}</span><br />
            <span class="soft">{SAY.binAt(say.clockTime(each.discardAt))}</span>
          </span>
        </a>
      </li>
    {/each}
  </ul>
{/if}
<div class="cards">
  {#if tub}
    <section class="sheet">
      <div class="title">
        <h2>{tub.name} <span class="code">{tub.id}</span></h2>
        {#if tub.made.mass}<p class="figure">{say.mass(tub.made.mass.si)}</p>{/if}
      </div>
      <p>
        {SAY.dressed(say.dayAndTime(tub.madeAt))}{tub.made.place === '' ? '' : `, ${tub.made.place}`};
        {SAY.binAt(say.moment(tub.discardAt, now))}.
      </p>
      <p><b>{SAY.tell}</b> {toldLine(tub.told)}</p>
      {#if tub.made.note}<p class="soft">{tub.made.note}</p>{/if}
      <h3>{SAY.cooling}</h3>
      {#if tub.readings.length === 0}
        <p class="soft">{units.temperature === 'F' ? SAY.unreadF : SAY.unread}</p>
      {:else}
        <ol class="readings">
          {#each tub.readings as reading (reading.seq)}
            <li><b>{say.temperature(reading.celsius)}</b> <span>{say.clockTime(reading.at)}</span></li>
          {/each}
        </ol>
      {/if}
      {#if tub.live}
        <OperationForm
          operation="read-tub"
          subject={tub.id}
          seen={tub.lastSeq}
          submit={SAY.write}
          also={{ tub: tub.id }}
        >
          <Field name="reading" label={SAY.reads} kind="quantity" units={temperatureUnits()} />
        </OperationForm>
        <a class="label" href="/labels?piece={tub.id}">{SAY.label}</a>
        <Fold open={tub.discardAt <= now} title={SAY.bin}>
          <OperationForm
            operation="bin-tub"
            subject={tub.id}
            seen={tub.lastSeq}
            submit={SAY.bin}
            tone="ember"
            also={{ tub: tub.id }}
          >
            <div class="fields">
              <Field name="mass" label={SAY.left} kind="quantity" units={massUnits()} optional />
              <Field name="reason" label={SAY.reason} optional />
            </div>
          </OperationForm>
        </Fold>
      {/if}
    </section>
  {/if}
  <div class="stack">
    <section class="sheet">
      <h2>{SAY.make}</h2>
      <OperationForm operation="make-tub" submit={SAY.start}>
        <div class="fields">
          <Field name="name" label={SAY.name} start="Sushi rice" />
          <Field name="mass" label={SAY.mass} kind="quantity" units={massUnits()} optional />
          <Field name="place" label={SAY.place} optional />
          <Field name="at" label={SAY.dressedAt} kind="time" hint={SAY.now} optional />
        </div>
        <IngredientsField
          name="dressing"
          label={SAY.dressing}
          ingredients={page.data.house.ingredients}
          at={page.data.now}
          start="Rice vinegar, White sugar, Fine salt"
          hint={SAY.dressingHint}
          optional
        />
      </OperationForm>
      <p class="soft">{SAY.rule(data.view.rule)}</p>
    </section>
    <section class="sheet">
      <h2>{SAY.binned}</h2>
      {#if data.view.binned.length === 0}
        <p class="soft">{SAY.noneBinned}</p>
      {:else}
        <ul>
          {#each data.view.binned as each (each.id)}
            <li>
              <a class="link" href="/rice?tub={each.id}">{each.name}, {each.id}</a>
              <span class="soft">{say.dayAndTime(each.binned!.at)} {each.binned!.reason}</span>
            </li>
          {/each}
        </ul>
      {/if}
    </section>
  </div>
</div>
<p class="caution">{SAY.caution}</p>

<style>
  .tubs {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 19.375rem), 1fr));
    gap: 0.5rem;
    margin: 0.6rem 0;
  }
  .tubs a {
    display: grid;
    grid-template-columns: 8.6rem 1fr;
    align-items: center;
    gap: 0.8rem;
    min-height: 72px;
    padding: 0.5rem 0.9rem;
    background: var(--surface);
    border: 1px solid var(--line);
    border-left: 5px solid var(--water);
    border-radius: 3px;
    overflow-wrap: anywhere;
  }
  .tubs a[aria-current] {
    outline: 2px solid var(--water);
  }
  .soon a {
    border-left-color: var(--ember-glow);
    background: var(--ember-wash);
  }
  .left {
    font-size: 1.4rem;
    font-weight: 650;
    line-height: 1.1;
  }
  .soon .left {
    color: var(--ember);
  }
  h3 {
    font-weight: 600;
    margin-top: 0.7rem;
  }
  .label {
    display: inline-grid;
    align-content: center;
    min-height: 48px;
    margin: 0.6rem 0;
    padding: 0 1rem;
    font-weight: 600;
    border: 1px solid var(--water);
    border-radius: 3px;
  }
  .readings {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1.4rem;
    margin: 0.3rem 0 0.8rem;
  }
  .caution {
    border-left: 4px solid var(--soft);
    padding-left: 0.8rem;
    color: var(--soft);
  }
</style>
