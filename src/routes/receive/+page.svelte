<script lang="ts">
  import Fuse from 'fuse.js';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import WindowLine from '$lib/ui/marks/WindowLine.svelte';
  import Reasons from '$lib/ui/Reasons.svelte';
  import { massUnits, lengthUnits, temperatureUnits } from '$lib/ui/units.ts';
  import type { Verdict } from '$lib/core/rules/verdict.ts';
  import { untrack } from 'svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const given = untrack(() => data.given as Record<string, string>);
  const [givenCore = '', givenCoreUnit] = (given.core ?? '').split(/\s+(?=[CF°])/);

  let species = $state(given.species ?? '');
  let text = $state(untrack(() => data.species.find(({ id }) => id === given.species)?.name ?? ''));
  let form = $state(given.form ?? 'whole');
  let source = $state(given.source ?? 'unknown');
  let farmSystem = $state(given.farmSystem ?? '');
  let water = $state(given.water ?? 'sea');
  let commercial = $state(given.commercial ?? 'yes');
  let caughtOn = $state(given.caughtOn ?? '');
  let core = $state(givenCore);
  let coreUnit = $state(givenCoreUnit ? `°${givenCoreUnit.replace('°', '')}` : undefined);
  let frozen = $state(given.frozen === 'on' ? 'on' : '');
  let decision = $state(given.decision ?? 'accept');
  let verdict = $state.raw<Verdict | null>(untrack(() => data.verdict));

  const index = $derived(
    new Fuse(data.species, {
      keys: ['name', 'alsoCalled', 'scientific'],
      threshold: 0.34,
      ignoreLocation: true,
      ignoreDiacritics: true
    })
  );
  const chosen = $derived(data.species.find(({ id }) => id === species));
  const found = $derived(
    text.trim() === '' || chosen?.name === text ? [] : index.search(text, { limit: 6 }).map(({ item }) => item)
  );
  /** A market name that several species answer to settles nothing. */
  const sameName = $derived.by(() => {
    const wanted = text.trim().toLowerCase();
    const exact = data.species.filter((each) =>
      [each.name, ...each.alsoCalled].some((known) => known.toLowerCase() === wanted)
    );
    return exact.length > 1 ? exact : [];
  });

  function pick(id: string) {
    species = id;
    const now = data.species.find((each) => each.id === id)!;
    text = now.name;
    if (now.usualSource !== 'either') source = now.usualSource;
    if (now.water === 'fresh') water = 'fresh';
  }

  let turn = 0;
  $effect(() => {
    const asked = new URLSearchParams({
      species,
      form,
      source,
      farmSystem,
      water,
      commercial,
      caughtOn,
      frozen,
      decision
    });
    if (core.trim() !== '') asked.set('core', /[a-z°]/i.test(core) ? core : `${core} ${coreUnit ?? '°C'}`);
    if (species === '') {
      verdict = null;
      return;
    }
    const mine = ++turn;
    const timer = setTimeout(async () => {
      const answer = await fetch(`/api/v1/preview/verdict?${asked}`);
      if (answer.ok && mine === turn) verdict = (await answer.json()) as Verdict;
    }, 150);
    return () => clearTimeout(timer);
  });

  const forms = ['whole', 'gutted', 'fillet', 'loin', 'block', 'shucked', 'live', 'roe'].map((value) => ({
    value,
    name: value
  }));
  const sources = [
    { value: 'wild', name: 'wild' },
    { value: 'farmed', name: 'farmed' },
    { value: 'unknown', name: 'nobody said' }
  ];
  const systems = [
    { value: '', name: 'choose' },
    { value: 'net-pen-open-water', name: 'net pen in open water' },
    { value: 'land-based', name: 'tanks on land' },
    { value: 'pond', name: 'pond' },
    { value: 'other', name: 'another way' }
  ];
  const waters = ['sea', 'fresh', 'brackish', 'unknown'].map((value) => ({ value, name: value }));
  const decisions = [
    { value: 'accept', name: 'Accept' },
    { value: 'cooked-only', name: 'For cooking only' },
    { value: 'hold-freeze', name: 'Hold for freezing' },
    { value: 'send-back', name: 'Send back' }
  ];
</script>

<h1>Receive a lot</h1>
{#if verdict}
  <div class="strip" aria-hidden="true">
    {#each verdict.windows as window (window.route)}
      <WindowLine
        {window}
        now={houseNow()}
        warnSeconds={data.house.warnMinutes * 60}
        zone={data.house.zone}
        size={22}
      />
    {/each}
  </div>
{/if}
<div class="two">
  <OperationForm operation="receive-lot" submit="Take it in" tone="ember">
    <fieldset>
      <legend>What is it</legend>
      <div class="search">
        <label for="species-text">Species, by any market name</label>
        <input
          id="species-text"
          autocomplete="off"
          placeholder="char, iwashi, lubina …"
          bind:value={text}
          oninput={() => (species = '')}
          onkeydown={(event) => {
            if (event.key === 'Enter' && found[0] && species === '') {
              event.preventDefault();
              if (sameName.length === 0) pick(found[0].id);
            }
          }}
        />
        <input type="hidden" name="species" value={species} />
        <noscript>
          <select name="species">
            {#each data.species as each (each.id)}<option value={each.id}>{each.name}</option>{/each}
          </select>
        </noscript>
        {#if species === '' && sameName.length > 1}
          <p class="ask">
            “{text.trim()}” is the market name of {sameName.length} species, and they are judged differently. Which one?
          </p>
        {/if}
        {#if species === ''}
          <div class="found">
            {#each sameName.length > 1 ? sameName : found as each (each.id)}
              <button type="button" onclick={() => pick(each.id)}><b>{each.name}</b> <i>{each.scientific[0]}</i></button
              >
            {/each}
          </div>
        {:else if chosen}
          <p class="soft"><i>{chosen.scientific.join(', ')}</i>{chosen.note ? ` · ${chosen.note}` : ''}</p>
        {/if}
      </div>
      <div class="row">
        <Field name="form" label="Form" kind="choice" options={forms} bind:value={form} />
        <Field name="mass" label="Weight" kind="quantity" units={massUnits(data.house.units)} />
        <Field name="thickness" label="Thickness" kind="quantity" units={lengthUnits(data.house.units)} optional />
      </div>
      <Field name="frozen" label="It arrived frozen" kind="tick" bind:value={frozen} />
    </fieldset>
    <fieldset>
      <legend>Where from</legend>
      <div class="row">
        <Field name="source" label="Wild or farmed" kind="choice" options={sources} bind:value={source} />
        {#if source === 'farmed'}
          <Field name="farmSystem" label="How it was farmed" kind="choice" options={systems} bind:value={farmSystem} />
        {/if}
        <Field name="water" label="Water" kind="choice" options={waters} bind:value={water} />
        <Field name="area" label="Grounds or farm" optional />
        <Field name="caughtOn" label="Caught or harvested" kind="date" bind:value={caughtOn} />
        <Field name="supplier" label="Supplier" />
        <Field name="supplierLot" label="Supplier’s lot" optional />
        <Field
          name="commercial"
          label="Commercial source"
          kind="choice"
          options={[
            { value: 'yes', name: 'yes' },
            { value: 'no', name: 'no: own line' },
            { value: 'unknown', name: 'nobody said' }
          ]}
          bind:value={commercial}
        />
        <Field name="pricePerKg" label="Price per kg, {data.house.currency}" kind="number" optional />
      </div>
      <Field
        name="claim"
        label="The seller’s words"
        hint="“Sushi grade” is written down as a claim. It clears nothing."
        optional
      />
    </fieldset>
    <fieldset>
      <legend>At the door</legend>
      <div class="row">
        <Field
          name="core"
          label="Core temperature"
          kind="quantity"
          units={temperatureUnits(data.house.units)}
          bind:value={core}
          bind:unit={coreUnit}
          optional={form === 'live'}
        />
        <Field name="decision" label="Your decision" kind="choice" options={decisions} bind:value={decision} />
        <Field name="reason" label="Reason" optional={decision === 'accept'} />
      </div>
    </fieldset>
  </OperationForm>

  <aside class="sheet" aria-live="polite">
    <h2>The verdict so far</h2>
    {#if verdict}
      <div class="windows">
        {#each verdict.windows as window (window.route)}
          <WindowLine {window} now={houseNow()} warnSeconds={data.house.warnMinutes * 60} zone={data.house.zone} />
        {/each}
      </div>
      <p class="soft small">Under {verdict.pins.profile}. Papers are attached on the lot’s page once it is in.</p>
      <Reasons reasons={verdict.reasons.filter(({ effect }) => effect.kind !== 'pass')} zone={data.house.zone} />
    {:else}
      <p class="soft">Name the species, and its windows form here while you write.</p>
    {/if}
    <p class="caution">Spines and gill plates cut. Cover a cut hand and glove it, or keep off raw work.</p>
  </aside>
</div>

<style>
  /* On a tablet held upright the windows stay in sight above the form, the reasons come below it. */
  .strip {
    display: none;
    flex-wrap: wrap;
    gap: 0.2rem 1.1rem;
    position: sticky;
    top: 0;
    z-index: 2;
    padding: 0.5rem 0;
    background-color: var(--ground);
    border-bottom: 1px solid var(--line);
  }
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1.25fr) minmax(320px, 1fr);
    gap: 1.4rem;
    align-items: start;
    margin-top: 0.8rem;
  }
  fieldset {
    display: grid;
    gap: 0.7rem;
  }
  legend {
    font-weight: 700;
    font-size: 1.1rem;
    padding-bottom: 0.35rem;
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
    gap: 0.7rem 0.9rem;
  }
  .search {
    display: grid;
    gap: 0.3rem;
  }
  .search label {
    font-weight: 600;
  }
  .search input {
    min-height: 52px;
    padding-inline: 0.7rem;
    font-size: 1.25rem;
    font-weight: 600;
    background-color: var(--surface);
    color: var(--ink);
    border: 1px solid var(--strong-line);
    border-radius: 3px;
  }
  .found {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
  .found button {
    min-height: 48px;
    padding: 0 0.9rem;
    border: 1px solid var(--water);
    border-radius: 3px;
    background: var(--surface);
  }
  .found i {
    color: var(--soft);
  }
  .ask {
    color: var(--ember);
    font-weight: 600;
  }
  .windows {
    display: grid;
    gap: 0.3rem;
    margin: 0.6rem 0;
    font-size: 1.1rem;
  }
  .small {
    font-size: 0.9rem;
    margin-bottom: 0.4rem;
  }
  aside {
    position: sticky;
    top: 1rem;
  }
  .caution {
    margin-top: 0.8rem;
  }
  @media (max-width: 1000px) {
    .two {
      grid-template-columns: 1fr;
    }
    aside {
      position: static;
    }
    .strip {
      display: flex;
    }
  }
</style>
