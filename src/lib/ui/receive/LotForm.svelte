<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { untrack } from 'svelte';
  import { FAO_AREAS } from '$lib/core/fish/fao-areas.ts';
  import type { Species } from '$lib/core/fish/species.ts';
  import type { HouseState } from '$lib/core/record/house.ts';
  import type { RuleProfile } from '$lib/core/codes/profile.ts';
  import type { Verdict } from '$lib/core/rules/verdict.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { formatTemperature } from '../format.ts';
  import { lengthUnits, massUnits, temperatureUnits } from '../units.ts';
  import SpeciesPick from './SpeciesPick.svelte';
  import * as options from './options.ts';

  /** The form of one lot; `verdict` forms while it is filled. */
  let {
    catalogue,
    profile,
    house,
    given,
    delivery,
    supplier,
    verdict = $bindable(null)
  }: {
    catalogue: readonly Species[];
    profile: RuleProfile;
    house: Pick<HouseState, 'units' | 'currency'>;
    given: Record<string, string>;
    delivery: string;
    supplier: string;
    verdict?: Verdict | null;
  } = $props();

  /** A sea fish is from the sea; what lives in both is asked about. */
  const waterOf = (of: Species | undefined) => (!of || of.water === 'anadromous' ? 'unknown' : of.water);
  const start = untrack(() => given);
  const [givenCore = '', givenCoreUnit] = (start.core ?? '').split(/\s+(?=[CF°])/);
  let species = $state(start.species ?? '');
  let candidates = $state(start.candidates ? start.candidates.split(',') : []);
  let form = $state(start.form ?? 'whole');
  let source = $state(start.source ?? 'unknown');
  let farmSystem = $state(start.farmSystem ?? '');
  let water = $state(start.water ?? waterOf(untrack(() => catalogue).find(({ id }) => id === start.species)));
  let commercial = $state(start.commercial ?? 'yes');
  let purpose = $state(start.purpose ?? 'sale');
  let caughtOn = $state(start.caughtOn ?? '');
  let core = $state(givenCore);
  let air = $state(start.air ?? '');
  let airUnit = $state<string | undefined>(undefined);
  let pack = $state(start.pack ?? 'none');
  let packIndicator = $state(start.packIndicator ?? 'unknown');
  let ice = $state(start.ice ?? 'unknown');
  let coreUnit = $state(givenCoreUnit ? `°${givenCoreUnit.replace('°', '')}` : undefined);
  let frozen = $state(start.frozen === 'on' ? 'on' : '');
  let previouslyFrozen = $state(start.previouslyFrozen ?? 'unknown');
  let roeRinsed = $state(start.roeRinsed === 'on' ? 'on' : '');
  let decision = $state(start.decision ?? 'accept');
  let pricePer = $state('kg');

  const isRoe = $derived(catalogue.find(({ id }) => id === species)?.group === 'roe' || form === 'roe');

  function settle(each: Species) {
    if (each.usualSource !== 'either') source = each.usualSource;
    water = waterOf(each);
    if (each.group === 'mollusc') form = 'live';
    else if (each.group === 'roe') form = 'roe';
  }

  let turn = 0;
  $effect(() => {
    const asked = new URLSearchParams({
      species,
      candidates: candidates.join(','),
      form,
      source,
      farmSystem,
      water,
      commercial,
      purpose,
      caughtOn,
      frozen,
      previouslyFrozen,
      roeRinsed,
      pack,
      packIndicator,
      ice,
      decision
    });
    // A figure half typed is not asked about yet.
    const put = (name: string, text: string, unit: string | undefined) => {
      const typed = /^[-+\u2212]?\d+(?:[.,]\d+)?\s*(°?\s*[CF])?$/i.exec(text.trim());
      if (typed) asked.set(name, typed[1] ? text.trim() : `${text.trim()} ${unit ?? '°C'}`);
    };
    put('core', core, coreUnit);
    if (form === 'live') put('air', air, airUnit);
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
</script>

<OperationForm operation="receive-lot" subject={delivery} submit="Take it in" tone="ember" also={{ delivery }}>
  <fieldset>
    <legend>What is it</legend>
    <SpeciesPick {catalogue} {profile} bind:species bind:candidates given={start.species ?? ''} onpick={settle} />
    <div class="fields">
      <Field name="form" label="Form" kind="choice" options={options.FORM_OPTIONS} bind:value={form} />
      <Field name="mass" label="Weight" kind="quantity" units={massUnits(house.units)} />
      <Field name="count" label="Pieces" kind="number" optional />
    </div>
    {#if isRoe}<Field name="roeRinsed" label="Out of the skein, and rinsed" kind="tick" bind:value={roeRinsed} />{/if}
  </fieldset>
  <fieldset>
    <legend>Where from</legend>
    <div class="fields">
      <Field name="source" label="Wild or farmed" kind="choice" options={options.SOURCE_OPTIONS} bind:value={source} />
      {#if source === 'farmed'}
        <Field
          name="farmSystem"
          label="How it was farmed"
          kind="choice"
          options={options.SYSTEM_OPTIONS}
          bind:value={farmSystem}
        />
      {/if}
      <Field name="water" label="Water" kind="choice" options={options.WATER_OPTIONS} bind:value={water} />
      <Field name="caughtOn" label="Caught or harvested" kind="date" bind:value={caughtOn} />
      <Field name="caughtAt" label="At what hour" placeholder="05:30" optional />
      <Field name="area" label="Grounds or farm" optional />
      <Field name="supplier" label="Supplier" value={supplier} />
      <Field
        name="commercial"
        label="Commercial source"
        kind="choice"
        options={options.COMMERCIAL_OPTIONS}
        bind:value={commercial}
      />
      {#if commercial !== 'yes' || purpose !== 'sale'}
        <Field
          name="purpose"
          label="Taken in for"
          kind="choice"
          options={options.PURPOSE_OPTIONS}
          bind:value={purpose}
        />
      {/if}
    </div>
  </fieldset>
  <fieldset>
    <legend>At the door</legend>
    <div class="fields">
      <Field
        name="core"
        label="Core temperature"
        kind="quantity"
        units={temperatureUnits(house.units)}
        bind:value={core}
        bind:unit={coreUnit}
        optional={form === 'live'}
      />
      {#if form === 'live'}
        <Field
          name="air"
          label="Air round it"
          kind="quantity"
          units={temperatureUnits(house.units)}
          bind:value={air}
          bind:unit={airUnit}
          hint="Of the truck or the crate."
        />
      {/if}
      <Field name="ice" label="Ice" kind="choice" options={options.ICE_OPTIONS} bind:value={ice} />
      {#if form !== 'live'}
        <Field name="pack" label="Packed" kind="choice" options={options.PACK_OPTIONS} bind:value={pack} />
      {/if}
      {#if form !== 'live' && pack === 'closed' && frozen !== 'on'}
        <Field
          name="packIndicator"
          label="Time-temperature indicator"
          kind="choice"
          options={options.INDICATOR_OPTIONS}
          bind:value={packIndicator}
          hint="Without one it must be at or below {formatTemperature(3.3, house.units)}."
        />
      {/if}
      <Field
        name="previouslyFrozen"
        label="Frozen before"
        kind="choice"
        options={options.FROZEN_OPTIONS}
        bind:value={previouslyFrozen}
      />
    </div>
    <Field name="frozen" label="It arrived frozen" kind="tick" bind:value={frozen} />
  </fieldset>
  <Fold class="stack" headClass="further" title="More from the paper: area, gear, killing, price, lot">
    <div class="fields">
      <Field
        name="faoArea"
        label="FAO area"
        kind="choice"
        options={[
          { value: '', name: 'not given' },
          ...FAO_AREAS.map(({ code, name }) => ({ value: code, name: `${code} · ${name}` }))
        ]}
      />
      <Field name="landedOn" label="Landed" kind="date" optional />
      <Field name="gear" label="Gear" kind="choice" options={options.GEAR_OPTIONS} />
      <Field name="killing" label="How it was killed" kind="choice" options={options.KILLING_OPTIONS} />
      <Field name="supplierLot" label="Supplier’s lot" optional />
      <Field name="thickness" label="Thickness" kind="quantity" units={lengthUnits(house.units)} optional />
      <Field name="price" label="Price, {house.currency}" kind="number" optional />
      <Field name="pricePer" label="Price is for" kind="choice" options={options.PRICE_OPTIONS} bind:value={pricePer} />
      {#if pricePer === 'case'}<Field name="cases" label="Cases" kind="number" />{/if}
    </div>
    <Field
      name="claim"
      label="The seller’s words"
      hint="“Sushi grade” is written down as a claim. It clears nothing."
      optional
    />
  </Fold>
  <div class="fields">
    <Field
      name="decision"
      label="Your decision"
      kind="choice"
      options={options.DECISION_OPTIONS}
      bind:value={decision}
    />
    <Field name="reason" label="Reason" optional={decision === 'accept'} />
  </div>
</OperationForm>

<style>
  fieldset {
    display: grid;
    gap: 0.7rem;
  }
  legend {
    font-weight: 700;
    font-size: 1.1rem;
    padding-bottom: 0.35rem;
  }
</style>
