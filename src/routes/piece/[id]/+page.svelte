<script lang="ts">
  import Line from '$lib/ui/kit/Line.svelte';
  import Select from '$lib/ui/kit/Select.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { page } from '$app/state';
  import type { Route } from '$lib/core/codes/window.ts';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { clockTime, dayAndTime, formatMass } from '$lib/ui/format.ts';
  import WindowLine from '$lib/ui/marks/WindowLine.svelte';
  import Reasons from '$lib/ui/Reasons.svelte';
  import Clocks from '$lib/ui/piece/Clocks.svelte';
  import Compare from '$lib/ui/piece/Compare.svelte';
  import Exceptions from '$lib/ui/piece/Exceptions.svelte';
  import Papers from '$lib/ui/piece/Papers.svelte';
  import Hands from '$lib/ui/piece/Hands.svelte';
  import Headline from '$lib/ui/piece/Headline.svelte';
  import { holdsBack } from '$lib/core/rules/headline.ts';
  import { HEADLINE_WORDS } from '$lib/words/headline.ts';
  import { namesOf } from '$lib/core/codes/allergens.ts';
  import { allergenWord, toldWords } from '$lib/words/notices.ts';
  import { kindWords } from '$lib/words/tasks.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const piece = $derived(view.piece);
  const lot = $derived(view.lot.received);
  const zone = $derived(data.house.zone);
  const now = $derived(data.asked.at ? view.verdict.at : houseNow());
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name])));
  const told = $derived(toldWords(namesOf(view.told)));
  const route = $derived(data.asked.want ?? view.wanted);
  function wantAs(each: Route): string {
    const asked = new URLSearchParams(page.url.searchParams);
    asked.set('want', each);
    return `?${asked}`;
  }
  const wantsPaper = $derived(holdsBack(view.verdict).length > 0);
</script>

<svelte:head><title>{piece.made.name} · Ember Tide</title></svelte:head>
<div class="head">
  <div>
    <h1>{piece.made.name}</h1>
    <p class="soft">
      {piece.id} ·
      {#if view.lots.length > 1}a batch of {view.kinds.join(' and ')}{:else if view.species}{view.species.name} (<i
          >{view.species.scientific[0]}</i
        >){:else}not identified{/if} ·
      {#if view.lots.length === 1}
        {lot.source}{lot.farmSystem ? `, ${lot.farmSystem.replaceAll('-', ' ')}` : ''} · from {lot.supplier} ·
      {/if}
      {#each view.lots as id (id)}<a class="link" href="/lot/{id}">lot {id}</a>&nbsp;{/each}
      {#if piece.place?.place}· {piece.place.place}{/if}
    </p>
    {#if view.onBoard}
      <p><a class="link" href="/break?piece={piece.id}">On the board now</a></p>
    {/if}
    {#if view.ancestors.length > 0 || view.children.length > 0}
      <p class="soft">
        {#if piece.made.parents.length > 1}Put together of {#each piece.made.parents as id (id)}<a
              class="link"
              href="/piece/{id}">{id}</a
            >&nbsp;
          {/each}›{:else}{#each view.ancestors as id (id)}<a class="link" href="/piece/{id}">{id}</a> ›
          {/each}{/if} <b>{piece.id}</b>
        {#if view.children.length > 0}› {#each view.children as id (id)}<a class="link" href="/piece/{id}">{id}</a
            >&nbsp;
          {/each}{/if}
      </p>
    {/if}
  </div>
  <p class="figure">{formatMass(piece.grams, data.house.units)} <small>here now</small></p>
</div>

<Headline
  verdict={view.verdict}
  {route}
  {now}
  {zone}
  warnSeconds={data.house.warnMinutes * 60}
  roads={piece.gone || data.asked.at ? '' : `/piece/${piece.id}/roads?want=${route}`}
/>
{#if lot.purpose !== 'sale'}
  <p class="trouble notice">
    Taken in for {lot.purpose === 'training' ? 'staff training' : 'the own table'}. It goes on no service.
  </p>
{/if}
{#if view.species === null}
  <p class="trouble notice">
    Nobody has settled what fish this is: judged as the worst of {view.candidates.map(({ name }) => name).join(', ') ||
      'anything it may be'}.
    <a class="link" href="/inspect/{view.lot.id}">Tell it by its marks</a>
  </p>
{/if}
{#each view.owned as owned (owned.seq)}
  <div class="trouble owned" data-owned={owned.seq}>
    <p>
      <b>Owned exception.</b>
      {names[owned.by] ?? owned.by}
      {owned.what} on {dayAndTime(owned.at, zone)}: “{owned.reason}” (<a
        class="link"
        href="/ledger?seq={owned.seq}#e{owned.seq}">entry {owned.seq}</a
      >)
    </p>
    {#if owned.exception && !piece.gone}
      <Fold class="no-print" title="Take it back">
        <OperationForm operation="withdraw-exception" {piece} submit="Take it back" also={{ exception: owned.seq }}>
          <Field name="reason" label="Why it is taken back" />
        </OperationForm>
      </Fold>
    {/if}
  </div>
{/each}

<div class="halves">
  <section class="sheet">
    <h2>Its windows{data.asked.at ? ` at ${dayAndTime(view.verdict.at, zone)}` : ''}</h2>
    <div class="windows">
      {#each view.verdict.windows as window (window.route)}
        <a
          class="want"
          class:on={window.route === route}
          href={wantAs(window.route)}
          aria-current={window.route === route}
          data-sveltekit-noscroll
        >
          <WindowLine {window} {now} warnSeconds={data.house.warnMinutes * 60} {zone} size={34} />
        </a>
      {/each}
    </div>
    {#if piece.cures.length === 0 && view.verdict.windows.some(({ route, state }) => route === 'raw' && state === 'open')}
      <p class="soft small">Cured, acid and seared open with raw: they are raw routes for parasites.</p>
    {/if}
    <Fold class="why" data-why title={HEADLINE_WORDS.inFull(view.verdict.reasons.length)}>
      <Reasons reasons={view.verdict.reasons} {zone} {names} />
    </Fold>
    <form method="GET" class="ask no-print">
      <label>At <Line type="datetime-local" name="at" value={data.asked.at} /></label>
      <label>As known at <Line type="datetime-local" name="knownAt" value={data.asked.knownAt} /></label>
      <label>
        Under
        <Select name="profile" value={data.asked.profile}>
          {#each data.profiles as profile (profile.id)}<option value={profile.id}>{profile.name}</option>{/each}
        </Select>
      </label>
      <Button type="submit">Ask</Button>
    </form>
    <p class="soft small">
      Leaned on {view.verdict.pins.profile}, catalogue {view.verdict.pins.catalogue}, {view.verdict.pins.model}.
      Guidance only: your local code and licensed practice decide.
    </p>
  </section>

  <div class="stack">
    {#if !piece.gone}
      <nav class="benches no-print" aria-label="Benches for this piece">
        <a href="/break?piece={piece.id}">Break down</a>
        <a href="/freeze?piece={piece.id}">Freeze</a>
        <a href="/cure?piece={piece.id}">Cure</a>
        <a href="/slice?piece={piece.id}">Slice</a>
        <a href="/serve?piece={piece.id}">Serve</a>
        <a href="/inspect/{view.lot.id}">Inspect</a>
        <a href="/break/depth?piece={piece.id}">Depth</a>
        <a href="/labels?piece={piece.id}">Label</a>
      </nav>
    {/if}
    <Papers {view} house={data.house} wanted={wantsPaper} />
    <Clocks units={data.house.units} clocks={view.clocks} {now} {zone} />
    {#if !piece.gone}<Hands {view} units={data.house.units} places={data.places} />{/if}
    <Exceptions {view} person={data.person?.name ?? null} />
    <section class="sheet">
      <h2>Told with it when served</h2>
      <p>
        Allergens: {view.told.holds
          .map(({ allergen, duty }) => `${allergenWord(allergen)}${duty === 'advised' ? ' (advised)' : ''}`)
          .join(', ') || (told.ask ? '' : 'none of its own')}.
        <span class="soft">{view.told.holds[0]?.citation ?? ''}{view.told.holds[0]?.check ? ' · check' : ''}</span>
      </p>
      {#if told.mayHold}<p data-may-hold>{told.mayHold}.</p>{/if}
      {#if told.ask}<p data-ask><b>{told.ask}.</b></p>{/if}
      <p class="soft">Raw: “{view.notice}”</p>
    </section>
    <section class="sheet">
      <h2>What happened</h2>
      <Table>
        <tbody>
          {#each view.history as event (event.seq)}
            <tr>
              <td class="soft nowrap">{dayAndTime(event.happened, zone)}</td>
              <td>{kindWords(event.kind)} <span class="soft">{event.subject.split(':')[1]}</span></td>
              <td><a class="link" href="/ledger?seq={event.seq}#e{event.seq}">{event.seq}</a></td>
            </tr>
          {/each}
        </tbody>
      </Table>
      <p class="soft small">Known here since {clockTime(piece.made.at, zone)}, {dayAndTime(piece.made.at, zone)}.</p>
    </section>
  </div>
</div>

<Compare compare={data.compare} {now} warnSeconds={data.house.warnMinutes * 60} {zone} />

<style>
  .head {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
    align-items: start;
    flex-wrap: wrap;
    margin-bottom: 0.9rem;
    overflow-wrap: anywhere;
  }
  .head :global(a.link) {
    white-space: nowrap;
  }
  .owned,
  .notice {
    margin-bottom: 0.8rem;
  }
  .windows {
    display: grid;
    gap: 0.45rem;
    margin: 0.6rem 0 0.8rem;
    font-size: 1.25rem;
  }
  .want {
    display: flex;
    min-height: 48px;
    align-items: center;
    padding: 0 0.4rem;
    border-left: 3px solid transparent;
    color: inherit;
  }
  .want.on {
    border-left-color: var(--water);
    background: var(--sunk);
  }
  .benches {
    display: grid;
    grid-template-columns: repeat(4, 1fr);
    gap: 0.4rem;
  }
  .benches a {
    display: grid;
    place-items: center;
    min-height: 52px;
    border: 1px solid var(--water);
    border-radius: 3px;
    font-weight: 600;
    background: var(--surface);
  }
  .ask {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: end;
    border-top: 1px solid var(--line);
    padding: 0.7rem 0;
  }
  .ask label {
    display: grid;
    font-size: 0.9rem;
    color: var(--soft);
  }
  .nowrap {
    white-space: nowrap;
  }
</style>
