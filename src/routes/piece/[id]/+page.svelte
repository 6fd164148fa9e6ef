<script lang="ts">
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { clockTime, dayAndTime, formatMass } from '$lib/ui/format.ts';
  import WindowLine from '$lib/ui/marks/WindowLine.svelte';
  import Reasons from '$lib/ui/Reasons.svelte';
  import { lengthUnits, massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import { RAW_ROUTES } from '$lib/core/rules/window.ts';
  import { missingWord } from '$lib/words/findings.ts';
  import { kindWords } from '$lib/words/tasks.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const piece = $derived(view.piece);
  const lot = $derived(view.lot.received);
  const zone = $derived(data.house.zone);
  const now = $derived(data.asked.at ? view.verdict.at : houseNow());
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name])));
  let paper = $state('feed-statement');
  const papers = [
    { value: 'feed-statement', name: 'Feed statement (farm)' },
    { value: 'freezing-statement', name: 'Freezing statement (supplier)' },
    { value: 'chill-record', name: 'Chilling record (boat)' },
    { value: 'area-document', name: 'Harvest-area paper' },
    { value: 'shellfish-tag', name: 'Shellfish tag' },
    { value: 'other', name: 'Another paper' }
  ];
  const holdsBack = $derived(view.verdict.reasons.filter(({ effect }) => effect.kind === 'missing'));
</script>

<svelte:head><title>{piece.made.name} · Ember Tide</title></svelte:head>
<div class="head">
  <div>
    <h1>{piece.made.name}</h1>
    <p class="soft">
      {piece.id} · {view.species.name} (<i>{view.species.scientific[0]}</i>) · {lot.source}{lot.farmSystem
        ? `, ${lot.farmSystem.replaceAll('-', ' ')}`
        : ''}
      · from {lot.supplier}
    </p>
    {#if view.ancestors.length > 0 || view.children.length > 0}
      <p class="soft">
        {#each view.ancestors as id (id)}<a class="link" href="/piece/{id}">{id}</a> ›
        {/each}<b>{piece.id}</b>
        {#if view.children.length > 0}› {#each view.children as id (id)}<a class="link" href="/piece/{id}">{id}</a
            >&nbsp;
          {/each}{/if}
      </p>
    {/if}
  </div>
  <p class="figure">{formatMass(piece.grams, data.house.units)} <small>here now</small></p>
</div>

{#each view.owned as amendment (amendment.seq)}
  <p class="trouble">
    <b>Owned exception.</b>
    {names[amendment.actor] ?? amendment.actor} widened {amendment.body.widens.join(', ')} on {dayAndTime(
      amendment.recorded,
      zone
    )}: “{amendment.body.reason}” (<a class="link" href="/ledger?seq={amendment.seq}#e{amendment.seq}"
      >entry {amendment.seq}</a
    >)
  </p>
{/each}

<div class="two">
  <section class="sheet">
    <h2>Its windows{data.asked.at ? ` at ${dayAndTime(view.verdict.at, zone)}` : ''}</h2>
    <div class="windows">
      {#each view.verdict.windows as window (window.route)}
        <WindowLine {window} {now} warnSeconds={data.house.warnMinutes * 60} {zone} size={34} />
      {/each}
    </div>
    {#if piece.cures.length === 0 && view.verdict.windows.some(({ route, state }) => RAW_ROUTES.includes(route) && state === 'open')}
      <p class="soft small">Cured, acid and seared open with raw: they are raw routes for parasites.</p>
    {/if}
    <h2 class="why">Why</h2>
    <Reasons reasons={view.verdict.reasons} {zone} />
    <form method="GET" class="ask no-print">
      <label>At <input type="datetime-local" name="at" value={data.asked.at} /></label>
      <label>As known at <input type="datetime-local" name="knownAt" value={data.asked.knownAt} /></label>
      <label>
        Under
        <select name="profile" value={data.asked.profile}>
          {#each data.profiles as profile (profile.id)}<option value={profile.id}>{profile.name}</option>{/each}
        </select>
      </label>
      <button>Ask</button>
    </form>
    <p class="soft small">
      Leaned on {view.verdict.pins.profile}, catalogue {view.verdict.pins.catalogue}, {view.verdict.pins.model}.
      Guidance only: your local code and licensed practice decide.
    </p>
  </section>

  <div class="side">
    {#if holdsBack.length > 0}
      <p class="trouble">Holds it back: {holdsBack.map(({ code }) => missingWord(code)).join(', ')}.</p>
    {/if}
    {#if !piece.gone}
      <nav class="benches no-print" aria-label="Benches for this piece">
        <a href="/freeze?piece={piece.id}">Freeze</a>
        <a href="/cure?piece={piece.id}">Cure</a>
        <a href="/slice?piece={piece.id}">Slice</a>
        <a href="/serve?piece={piece.id}">Serve</a>
      </nav>
    {/if}
    <details class="sheet no-print" open={holdsBack.length > 0}>
      <summary>Attach a paper to the lot</summary>
      <OperationForm operation="attach-evidence" subject={view.lot.id} seen={view.lotVersion} submit="Attach">
        <input type="hidden" name="lot" value={view.lot.id} />
        <Field name="type" label="What paper" kind="choice" options={papers} bind:value={paper} />
        <div class="row">
          <Field name="issuer" label="Issuer" />
          <Field name="reference" label="Number on it" optional />
          <Field name="issuedOn" label="Issued" kind="date" optional />
          <Field name="expiresOn" label="Expires" kind="date" optional />
        </div>
        {#if paper === 'feed-statement'}
          <p class="soft">What the paper itself says:</p>
          <Field name="formulatedFeed" label="Fed formulated feed without live parasites" kind="tick" />
          <Field name="fromEmbryos" label="Raised from embryos" kind="tick" />
          <Field
            name="noHazardVerified"
            label="Parasite-free environment, or verified by an approved procedure"
            kind="tick"
          />
        {:else if paper === 'freezing-statement'}
          <div class="row">
            <Field
              name="frozenAt"
              label="Frozen at or below"
              kind="quantity"
              units={temperatureUnits(data.house.units)}
            />
            <Field name="frozenFor" label="For" kind="quantity" units={['h', 'd']} />
          </div>
          <Field name="solidAt35" label="Frozen solid at −35 °C (−31 °F) or below first" kind="tick" />
        {:else if paper === 'area-document'}
          <Field name="areaCleared" label="It clears the grounds of ciguatera" kind="tick" />
        {/if}
      </OperationForm>
    </details>
    {#if !piece.gone}
      <details class="sheet no-print">
        <summary>Take a piece from it</summary>
        <OperationForm operation="divide-piece" subject={piece.id} seen={piece.lastSeq} submit="Take it">
          <input type="hidden" name="piece" value={piece.id} />
          <div class="row">
            <Field name="name" label="What it is" placeholder="fillet, loin block …" />
            <Field
              name="form"
              label="Form"
              kind="choice"
              value="fillet"
              options={['fillet', 'loin', 'block', 'portion'].map((value) => ({ value, name: value }))}
            />
            <Field name="mass" label="Weight" kind="quantity" units={massUnits(data.house.units)} />
            <Field name="thickness" label="Thickness" kind="quantity" units={lengthUnits(data.house.units)} optional />
          </div>
        </OperationForm>
      </details>
      <details class="sheet no-print">
        <summary>Write down a cold reading</summary>
        <OperationForm operation="read-cold" subject={piece.id} seen={piece.lastSeq} submit="Write it down">
          <input type="hidden" name="piece" value={piece.id} />
          <div class="row">
            <Field name="reading" label="Reading" kind="quantity" units={temperatureUnits(data.house.units)} />
            <Field name="place" label="Where it lies" optional />
          </div>
        </OperationForm>
      </details>
    {/if}
    <section class="sheet">
      <h2>Papers</h2>
      {#each view.lot.evidence as evidence (evidence.seq)}
        <p>
          <b>{papers.find(({ value }) => value === evidence.type)?.name}</b> · {evidence.issuer}{evidence.reference
            ? `, ${evidence.reference}`
            : ''}
          {#if evidence.expiresOn}<span class="soft">until {evidence.expiresOn}</span>{/if}
        </p>
      {:else}<p class="soft">None yet.</p>{/each}
      {#if lot.claim}<p class="soft">Seller’s words: “{lot.claim}”. A claim, not evidence.</p>{/if}
    </section>
    <section class="sheet">
      <h2>What happened</h2>
      <table class="plain">
        <tbody>
          {#each view.history as event (event.seq)}
            <tr>
              <td class="soft nowrap">{dayAndTime(event.happened, zone)}</td>
              <td>{kindWords(event.kind)} <span class="soft">{event.subject.split(':')[1]}</span></td>
              <td><a class="link" href="/ledger?seq={event.seq}#e{event.seq}">{event.seq}</a></td>
            </tr>
          {/each}
        </tbody>
      </table>
      <p class="soft small">Known here since {clockTime(piece.made.at, zone)}, {dayAndTime(piece.made.at, zone)}.</p>
    </section>
  </div>
</div>

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
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
    gap: 1.2rem;
    align-items: start;
  }
  .windows {
    display: grid;
    gap: 0.45rem;
    margin: 0.6rem 0 0.8rem;
    font-size: 1.25rem;
  }
  .why {
    margin: 0.9rem 0 0.3rem;
  }
  .side {
    display: grid;
    gap: 0.8rem;
  }
  .small {
    font-size: 0.9rem;
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
  summary {
    cursor: pointer;
    font-weight: 700;
    min-height: 32px;
  }
  details[open] summary {
    margin-bottom: 0.6rem;
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
    gap: 0.7rem;
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
  .ask input,
  .ask select,
  .ask button {
    min-height: 44px;
    background-color: var(--surface);
    color: var(--ink);
    border: 1px solid var(--strong-line);
    border-radius: 3px;
  }
  .ask button {
    padding: 0 1rem;
    font-weight: 600;
  }
  .nowrap {
    white-space: nowrap;
  }
  @media (max-width: 1000px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
