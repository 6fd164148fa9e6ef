<script lang="ts">
  import { common, titled } from '$lib/words/screens/common.ts';
  import { houseSpeciesPage as t } from '$lib/words/screens/house.ts';
  import Line from '$lib/ui/kit/Line.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { speciesIndex } from '$lib/core/fish/search.ts';
  import { PARASITES, SPECIES_GROUPS, SPECIES_HAZARDS } from '$lib/core/fish/kinds.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import FishMark from '$lib/ui/marks/FishMark.svelte';
  import { named } from '$lib/words/receive.ts';
  import Ticks from '$lib/ui/controls/Ticks.svelte';
  import * as say from '$lib/words/say.ts';
  import { DAY } from '$lib/core/measure/spans.ts';
  import type { CatalogueEntry } from '$lib/core/fish/kinds.ts';
  import {
    FLESH_WORDS,
    GROUP_WORDS,
    HAZARD_NAMES,
    handlingWord,
    PARASITE_WORDS,
    sourceWord,
    styleWord,
    WATER_WORDS
  } from '$lib/words/species.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  let filter = $state('');
  const search = $derived(speciesIndex(data.catalogue));
  const shown = $derived(filter.trim() === '' ? data.catalogue : search(filter, 30));
  const chosen = $derived(data.chosen);
  const own = $derived(chosen ? data.own[chosen.id] : undefined);
  const names = $derived(Object.fromEntries(data.people.map((person) => [person.id, person.name])));
  const TONGUES: Record<string, string> = {
    en: t.english,
    ja: t.japanese,
    es: t.spanish,
    fr: t.french,
    it: t.italian,
    haw: t.hawaiian,
    pt: t.portuguese,
    de: t.german,
    no: t.norwegian,
    kr: t.korean
  };
  const GROUPS = named(['', ...SPECIES_GROUPS], { '': t.asItIs, ...GROUP_WORDS });
  const listed = (known: readonly string[], words: Record<string, string>) => [
    ...known.map((value) => ({ value, name: words[value] ?? value })),
    { value: 'none', name: t.noneOfThem }
  ];
  const hazardsOf = ({ hazards }: CatalogueEntry) =>
    hazards.length > 0 ? say.list(hazards.map((each) => HAZARD_NAMES[each])) : t.noneNamed;
  const parasitesOf = ({ parasitesWhenWild: known }: CatalogueEntry) =>
    known.length > 0 ? say.list(known.map((each) => PARASITE_WORDS[each])) : t.seldomReported;
  const fleshOf = ({ texture, fat }: CatalogueEntry) => say.list([FLESH_WORDS[texture], FLESH_WORDS[fat]]);
  const figures = $derived(
    chosen
      ? [
          {
            what: t.hazards,
            is: hazardsOf(chosen),
            was: data.shipped ? hazardsOf(data.shipped) : null
          },
          {
            what: t.parasitesWhenWild2,
            is: parasitesOf(chosen),
            was: data.shipped ? parasitesOf(data.shipped) : null
          },
          {
            what: t.daysOnIce,
            is: say.span(chosen.iceDays * (DAY / 1000)),
            was: data.shipped ? say.span(data.shipped.iceDays * (DAY / 1000)) : null
          },
          { what: t.kind, is: GROUP_WORDS[chosen.group], was: data.shipped ? GROUP_WORDS[data.shipped.group] : null },
          { what: t.water2, is: WATER_WORDS[chosen.water], was: data.shipped ? WATER_WORDS[data.shipped.water] : null },
          {
            what: t.flesh,
            is: fleshOf(chosen),
            was: data.shipped ? fleshOf(data.shipped) : null
          },
          {
            what: t.usualYield,
            is: chosen.yieldShare
              ? t.toSkinlessAndBoneless(Math.round(chosen.yieldShare[0] * 100), Math.round(chosen.yieldShare[1] * 100))
              : t.notForThisKind,
            was: null
          },
          { what: t.handling, is: chosen.handling.map(handlingWord).join('; '), was: null },
          { what: t.usualStyles, is: chosen.styles.map(styleWord).join('; '), was: null },
          { what: t.note, is: chosen.note, was: data.shipped?.note },
          { what: t.from, is: chosen.sources.map(sourceWord).join('; '), was: null }
        ].filter(({ is }) => is !== '')
      : []
  );
</script>

<svelte:head><title>{titled(t.species(data.catalogue.length))}</title></svelte:head>
<p><a class="link way" href="/house">{common.house}</a></p>
<h1>{t.species(data.catalogue.length)}</h1>
<p class="soft">
  {t.typicalValuesCheckWith}
</p>
<div class="halves">
  <section class="sheet">
    <div class="title">
      <Line aria-label={t.narrowTheList} placeholder={t.byAnyName} bind:value={filter} />
      <a class="link" href="/house/species?add">{t.addASpecies}</a>
    </div>
    <ul>
      {#each shown as each (each.id)}
        <li>
          <a href="/house/species?id={each.id}" aria-current={each.id === chosen?.id ? 'true' : undefined}>
            <b>{each.name}</b>{#if data.own[each.id]}<em>{t.theHousesOwn}</em>{/if}
            <span class="soft" translate="no"
              ><i>{each.scientific.join(', ')}</i> · {each.alsoCalled.slice(0, 6).join(', ')}</span
            >
          </a>
        </li>
      {:else}<li class="soft">{t.nothingAnswersToThat}</li>{/each}
    </ul>
  </section>
  <div class="stack">
    {#if chosen}
      <section class="sheet">
        <h2>{chosen.name}</h2>
        <p><i>{chosen.scientific.join(', ')}</i></p>
        {#if own}
          <p class="trouble">
            {own.added ? t.aSpeciesOfThe : t.theHouseHasIts}
            {names[own.by] ?? own.by}: “{own.reason}”{own.looser.length > 0
              ? t.looserThanWhatShips(own.looser.join(', '))
              : ''} (<a class="link" href="/ledger?seq={own.seq}#e{own.seq}">{t.entry(own.seq)}</a>)
          </p>
        {/if}
        <Table>
          <tbody>
            {#each figures as row (row.what)}
              <tr>
                <th scope="row">{row.what}</th>
                <td
                  >{row.is}{#if own && !own.added && row.was !== null && row.was !== row.is}
                    <span class="soft">{t.shipped(row.was ?? '')}</span>{/if}</td
                >
              </tr>
            {/each}
            {#each Object.entries(chosen.names) as [tongue, list] (tongue)}
              <tr>
                <th scope="row">{TONGUES[tongue] ?? tongue}</th>
                <td translate="no">{list?.join(', ')}</td>
              </tr>
            {/each}
          </tbody>
        </Table>
      </section>
      {#each data.lookalikes as group (group.id)}
        <section class="sheet">
          <h2>{t.takenForOneAnother(group.name)}</h2>
          <div class="fish">
            {#each group.members as member (member.species)}
              <figure>
                <FishMark drawing={member.drawing} />
                <figcaption>
                  <b>{data.catalogue.find(({ id }) => id === member.species)?.name}</b>
                  <span translate="no">{member.marks.join('; ')}</span>
                </figcaption>
              </figure>
            {/each}
          </div>
        </section>
      {/each}
    {/if}
    {#if chosen || data.adding}
      <Fold class="sheet no-print" open={data.adding} title={chosen ? t.setTheHousesOwn : t.addASpecies2}>
        <OperationForm
          operation="set-species"
          also={{ id: chosen?.id }}
          subject={chosen?.id ?? 'new'}
          seen={data.houseVersion}
          submit={chosen ? t.setThem : t.addIt}
        >
          {#if !chosen}
            <Field name="id" label={t.shortId} hint={t.smallLettersAndHyphens} />
          {/if}
          <div class="fields broad">
            <Field name="name" label={common.name} optional={chosen !== null} />
            <Field name="alsoCalled" label={t.marketNamesWithCommas} optional />
            <Field name="scientific" label={t.scientificNamesWithCommas} optional={chosen !== null} />
            <Field name="group" label={common.kind} kind="choice" options={GROUPS} />
            <Field
              name="water"
              label={t.water}
              kind="choice"
              options={named(['', ...Object.keys(WATER_WORDS)], { '': t.asItIs, ...WATER_WORDS })}
            />
            <Field name="iceDays" label={t.daysOnIceD} kind="number" optional={chosen !== null} />
          </div>
          <Ticks name="hazards" legend={t.hazardsNoneTicked} options={listed(SPECIES_HAZARDS, HAZARD_NAMES)} />
          <Ticks name="parasitesWhenWild" legend={t.parasitesWhenWild} options={listed(PARASITES, PARASITE_WORDS)} />
          <Field name="note" label={common.note} optional />
          <Field name="reason" label={common.why} hint={t.staysInTheLedger} />
          <Field name="own" label={t.iAnswerForIt} kind="tick" />
          {#if own && !own.added}<Field name="withdraw" label={t.takeTheHousesValues} kind="tick" />{/if}
        </OperationForm>
      </Fold>
    {:else}
      <p class="soft">{t.touchASpeciesFor}</p>
    {/if}
  </div>
</div>

<style>
  .title {
    margin-bottom: 0.5rem;
  }
  ul {
    max-height: 70vh;
    overflow-y: auto;
  }
  li a {
    display: grid;
    min-height: 48px;
    padding: 0.35rem 0.3rem;
    border-top: 1px solid var(--line);
  }
  li a[aria-current] {
    background: var(--water-pale);
  }
  li a[aria-current] .soft {
    color: var(--ink);
  }
  li span {
    font-size: 0.92rem;
  }
  em {
    color: var(--ember);
    font-style: normal;
  }
  th[scope='row'] {
    vertical-align: top;
    white-space: nowrap;
    border-top: 1px solid var(--line);
  }
  .fish {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 9.375rem), 1fr));
    gap: 0.7rem;
  }
  figcaption {
    font-size: 0.9rem;
  }
  @media (max-width: 56.25em) {
    ul {
      max-height: 24rem;
    }
  }
</style>
