<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { lotForm as t } from '$lib/words/screens/receive.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { answered } from '$lib/ui/answered.svelte.ts';
  import { untrack } from 'svelte';
  import { addDays } from '$lib/core/measure/day.ts';
  import { FAO_AREAS } from '$lib/core/fish/fao-areas.ts';
  import type { Species } from '$lib/core/fish/species.ts';
  import type { HouseState } from '$lib/core/record/house.ts';
  import type { RuleProfile } from '$lib/core/codes/profile.ts';
  import type { Verdict } from '$lib/core/rules/verdict.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { lengthUnits, massUnits, temperatureUnits } from '../units.ts';
  import SpeciesPick from './SpeciesPick.svelte';
  import * as options from '$lib/words/receive.ts';

  /** The form of one lot; `verdict` forms while it is filled. */
  let {
    catalogue,
    profile,
    house,
    given,
    delivery,
    supplier,
    suppliers,
    today,
    verdict = $bindable(null)
  }: {
    catalogue: readonly Species[];
    profile: RuleProfile;
    house: Pick<HouseState, 'units' | 'currency'>;
    given: Record<string, string>;
    delivery: string;
    supplier: string;
    /** Who delivered last, the newest first. */
    suppliers: readonly string[];
    /** The day of the house, as a date. */
    today: string;
    verdict?: Verdict | null;
  } = $props();

  const days = $derived([
    { name: t.today, value: today },
    { name: t.yesterday, value: addDays(today, -1) },
    { name: t.dayBefore, value: addDays(today, -2) }
  ]);
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

  let mass = $state(start.mass ?? '');
  let massUnit = $state(untrack(() => usualUnit(form)));
  /** A whole fish comes in kilograms (or pounds), what was cut of one in grams (or ounces). */
  function usualUnit(of: string): string {
    const isWhole = ['whole', 'gutted', 'live'].includes(of);
    if (house.units.mass === 'oz') return isWhole ? 'lb' : 'oz';
    return isWhole ? 'kg' : 'g';
  }
  $effect(() => {
    const usual = usualUnit(form);
    if (untrack(() => mass) === '') massUnit = usual;
  });
  const isAsked = $derived(
    ['mass', 'count', 'core', 'decision'].some((name) => answered()?.fields[name] !== undefined)
  );
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

<OperationForm operation="receive-lot" subject={delivery} submit={t.takeItIn} tone="ember" also={{ delivery }}>
  <fieldset>
    <legend>{t.whatIsIt}</legend>
    <SpeciesPick {catalogue} {profile} bind:species bind:candidates given={start.species ?? ''} onpick={settle} />
    <div class="fields">
      <Field name="form" label={t.form} kind="choice" options={options.FORM_OPTIONS} bind:value={form} />
      <Field
        name="mass"
        label={common.weight}
        kind="quantity"
        units={massUnits()}
        bind:value={mass}
        bind:unit={massUnit}
      />
      <Field name="count" label={t.pieces} kind="number" optional />
    </div>
    {#if isAsked}<Field name="sure" label={common.itReallyIsSo} kind="tick" />{/if}
    {#if isRoe}<Field name="roeRinsed" label={t.outOfTheSkein} kind="tick" bind:value={roeRinsed} />{/if}
  </fieldset>
  <fieldset>
    <legend>{t.whereFrom}</legend>
    <div class="fields">
      <Field name="source" label={t.wildOrFarmed} kind="choice" options={options.SOURCE_OPTIONS} bind:value={source} />
      {#if source === 'farmed'}
        <Field
          name="farmSystem"
          label={t.howItWasFarmed}
          kind="choice"
          options={options.SYSTEM_OPTIONS}
          bind:value={farmSystem}
        />
      {/if}
      <Field name="water" label={t.water} kind="choice" options={options.WATER_OPTIONS} bind:value={water} />
      <Field name="caughtOn" label={t.caughtOrHarvested} kind="date" among={days} bind:value={caughtOn} />
      <Field name="caughtAt" label={t.atWhatHour} placeholder="05:30" optional />
      <Field name="area" label={t.groundsOrFarm} optional />
      <Field name="supplier" label={t.supplier} start={supplier} among={suppliers} />
      <Field
        name="commercial"
        label={t.commercialSource}
        kind="choice"
        options={options.COMMERCIAL_OPTIONS}
        bind:value={commercial}
      />
      {#if commercial !== 'yes' || purpose !== 'sale'}
        <Field
          name="purpose"
          label={t.takenInFor}
          kind="choice"
          options={options.PURPOSE_OPTIONS}
          bind:value={purpose}
        />
      {/if}
    </div>
  </fieldset>
  <fieldset>
    <legend>{t.atTheDoor}</legend>
    <div class="fields">
      <Field
        name="core"
        label={t.coreTemperature}
        kind="quantity"
        units={temperatureUnits()}
        bind:value={core}
        bind:unit={coreUnit}
        optional={form === 'live'}
      />
      {#if form === 'live'}
        <Field
          name="air"
          label={t.airRoundIt}
          kind="quantity"
          units={temperatureUnits()}
          bind:value={air}
          bind:unit={airUnit}
          hint={t.ofTheTruckOr}
        />
      {/if}
      <Field name="ice" label={t.ice} kind="choice" options={options.ICE_OPTIONS} bind:value={ice} />
      {#if form !== 'live'}
        <Field name="pack" label={t.packed} kind="choice" options={options.PACK_OPTIONS} bind:value={pack} />
      {/if}
      {#if form !== 'live' && pack === 'closed' && frozen !== 'on'}
        <Field
          name="packIndicator"
          label={t.timeTemperatureIndicator}
          kind="choice"
          options={options.INDICATOR_OPTIONS}
          bind:value={packIndicator}
          hint={t.withoutOneItMust(say.temperature(3.3))}
        />
      {/if}
      <Field
        name="previouslyFrozen"
        label={t.frozenBefore}
        kind="choice"
        options={options.FROZEN_OPTIONS}
        bind:value={previouslyFrozen}
      />
    </div>
    <Field name="frozen" label={t.itArrivedFrozen} kind="tick" bind:value={frozen} />
  </fieldset>
  <Fold class="stack" headClass="further" title={t.moreFromThePaper}>
    <div class="fields">
      <Field
        name="faoArea"
        label={t.faoArea}
        kind="choice"
        options={[
          { value: '', name: t.notGiven },
          ...FAO_AREAS.map(({ code, name }) => ({ value: code, name: `${code} · ${name}` }))
        ]}
      />
      <Field name="landedOn" label={t.landed} kind="date" optional />
      <Field name="gear" label={t.gear} kind="choice" options={options.GEAR_OPTIONS} />
      <Field name="killing" label={t.howItWasKilled} kind="choice" options={options.KILLING_OPTIONS} />
      <Field name="supplierLot" label={t.suppliersLot} optional />
      <Field name="thickness" label={t.thickness} kind="quantity" units={lengthUnits()} optional />
      <Field name="price" label={t.price(house.currency)} kind="number" optional />
      <Field name="pricePer" label={t.priceIsFor} kind="choice" options={options.PRICE_OPTIONS} bind:value={pricePer} />
      {#if pricePer === 'case'}<Field name="cases" label={t.cases} kind="number" />{/if}
    </div>
    <Field name="claim" label={t.theSellersWords} hint={t.sushiGradeIsWritten} optional />
  </Fold>
  <div class="fields">
    <Field
      name="decision"
      label={t.yourDecision}
      kind="choice"
      options={options.DECISION_OPTIONS}
      bind:value={decision}
    />
    <Field name="reason" label={common.reason} optional={decision === 'accept'} />
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
