<script lang="ts">
  import Line from '$lib/ui/kit/Line.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { speciesIndex } from '$lib/core/fish/search.ts';
  import { PARASITES, SPECIES_GROUPS, SPECIES_HAZARDS } from '$lib/core/fish/kinds.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import FishMark from '$lib/ui/marks/FishMark.svelte';
  import { named } from '$lib/ui/receive/options.ts';
  import { handlingWord, sourceWord, styleWord } from '$lib/words/species.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  let filter = $state('');
  const search = $derived(speciesIndex(data.catalogue));
  const shown = $derived(filter.trim() === '' ? data.catalogue : search(filter, 30));
  const chosen = $derived(data.chosen);
  const own = $derived(chosen ? data.own[chosen.id] : undefined);
  const names = $derived(Object.fromEntries(data.people.map((person) => [person.id, person.name])));
  const TONGUES: Record<string, string> = {
    en: 'English',
    ja: 'Japanese',
    es: 'Spanish',
    fr: 'French',
    it: 'Italian',
    haw: 'Hawaiian',
    pt: 'Portuguese',
    de: 'German',
    no: 'Norwegian',
    kr: 'Korean'
  };
  const GROUPS = named(['', ...SPECIES_GROUPS], { '': 'as it is' });
  const figures = $derived(
    chosen
      ? [
          {
            what: 'Hazards',
            is: chosen.hazards.join(', ') || 'none named',
            was: data.shipped?.hazards.join(', ') || 'none named'
          },
          {
            what: 'Parasites when wild',
            is: chosen.parasitesWhenWild.join(', ') || 'seldom reported',
            was: data.shipped?.parasitesWhenWild.join(', ') || 'seldom reported'
          },
          { what: 'Days on ice', is: `${chosen.iceDays} d`, was: `${data.shipped?.iceDays} d` },
          { what: 'Kind', is: chosen.group, was: data.shipped?.group },
          { what: 'Water', is: chosen.water, was: data.shipped?.water },
          {
            what: 'Flesh',
            is: `${chosen.texture}, ${chosen.fat}`,
            was: `${data.shipped?.texture}, ${data.shipped?.fat}`
          },
          {
            what: 'Usual yield',
            is: chosen.yieldShare
              ? `${Math.round(chosen.yieldShare[0] * 100)} to ${Math.round(chosen.yieldShare[1] * 100)} %, skinless and boneless`
              : 'not for this kind',
            was: null
          },
          { what: 'Handling', is: chosen.handling.map(handlingWord).join('; '), was: null },
          { what: 'Usual styles', is: chosen.styles.map(styleWord).join('; '), was: null },
          { what: 'Note', is: chosen.note, was: data.shipped?.note },
          { what: 'From', is: chosen.sources.map(sourceWord).join('; '), was: null }
        ].filter(({ is }) => is !== '')
      : []
  );
</script>

<p><a class="link" href="/house">House</a></p>
<h1>Species, {data.catalogue.length}</h1>
<p class="soft">
  Typical values; check with your authority. The parasite column informs, it exempts nothing: only the rule book does.
</p>
<div class="halves">
  <section class="sheet">
    <div class="title">
      <Line aria-label="Narrow the list" placeholder="by any name" bind:value={filter} />
      <a class="link" href="/house/species?add">Add a species</a>
    </div>
    <ul>
      {#each shown as each (each.id)}
        <li>
          <a href="/house/species?id={each.id}" aria-current={each.id === chosen?.id ? 'true' : undefined}>
            <b>{each.name}</b>{#if data.own[each.id]}<em>the house’s own</em>{/if}
            <span class="soft"><i>{each.scientific.join(', ')}</i> · {each.alsoCalled.slice(0, 6).join(', ')}</span>
          </a>
        </li>
      {:else}<li class="soft">Nothing answers to that name.</li>{/each}
    </ul>
  </section>
  <div class="stack">
    {#if chosen}
      <section class="sheet">
        <h2>{chosen.name}</h2>
        <p><i>{chosen.scientific.join(', ')}</i></p>
        {#if own}
          <p class="trouble">
            {own.added ? 'A species of the house.' : 'The house has its own values here.'}
            {names[own.by] ?? own.by}: “{own.reason}”{own.looser.length > 0
              ? `. Looser than what ships in: ${own.looser.join(', ')}`
              : ''} (<a class="link" href="/ledger?seq={own.seq}#e{own.seq}">entry {own.seq}</a>)
          </p>
        {/if}
        <Table>
          <tbody>
            {#each figures as row (row.what)}
              <tr>
                <th scope="row">{row.what}</th>
                <td
                  >{row.is}{#if own && !own.added && row.was !== null && row.was !== row.is}
                    <span class="soft">(shipped: {row.was})</span>{/if}</td
                >
              </tr>
            {/each}
            {#each Object.entries(chosen.names) as [tongue, list] (tongue)}
              <tr>
                <th scope="row">{TONGUES[tongue] ?? tongue}</th>
                <td>{list?.join(', ')}</td>
              </tr>
            {/each}
          </tbody>
        </Table>
      </section>
      {#each data.lookalikes as group (group.id)}
        <section class="sheet">
          <h2>Taken for one another: {group.name}</h2>
          <div class="fish">
            {#each group.members as member (member.species)}
              <figure>
                <FishMark drawing={member.drawing} />
                <figcaption>
                  <b>{data.catalogue.find(({ id }) => id === member.species)?.name}</b>
                  {member.marks.join('; ')}
                </figcaption>
              </figure>
            {/each}
          </div>
        </section>
      {/each}
    {/if}
    {#if chosen || data.adding}
      <Fold class="sheet no-print" open={data.adding} title={chosen ? 'Set the house’s own values' : 'Add a species'}>
        <OperationForm
          operation="set-species"
          also={{ id: chosen?.id }}
          subject={chosen?.id ?? 'new'}
          seen={data.houseVersion}
          submit={chosen ? 'Set them' : 'Add it'}
        >
          {#if !chosen}
            <Field name="id" label="Short id" hint="small letters and hyphens, such as pale-wrasse" />
          {/if}
          <div class="fields broad">
            <Field name="name" label="Name" optional={chosen !== null} />
            <Field name="alsoCalled" label="Market names, with commas" optional />
            <Field name="scientific" label="Scientific names, with commas" optional={chosen !== null} />
            <Field name="group" label="Kind" kind="choice" options={GROUPS} />
            <Field
              name="water"
              label="Water"
              kind="choice"
              options={named(['', 'sea', 'fresh', 'anadromous'], { '': 'as it is' })}
            />
            <Field name="iceDays" label="Days on ice, d" kind="number" optional={chosen !== null} />
            <Field name="hazards" label="Hazards, with commas" hint="{SPECIES_HAZARDS.join(', ')}; or none" optional />
            <Field
              name="parasitesWhenWild"
              label="Parasites when wild"
              hint="{PARASITES.join(', ')}; or none"
              optional
            />
          </div>
          <Field name="note" label="Note" optional />
          <Field name="reason" label="Why" hint="Stays in the ledger, and on every verdict it touches." />
          <Field name="own" label="I answer for it where it is looser than what ships" kind="tick" />
          {#if own && !own.added}<Field name="withdraw" label="Take the house’s values back" kind="tick" />{/if}
        </OperationForm>
      </Fold>
    {:else}
      <p class="soft">Touch a species for its names, hazards, handling, look-alikes and sources.</p>
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
    grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
    gap: 0.7rem;
  }
  figcaption {
    font-size: 0.9rem;
  }
  @media (max-width: 900px) {
    ul {
      max-height: 24rem;
    }
  }
</style>
