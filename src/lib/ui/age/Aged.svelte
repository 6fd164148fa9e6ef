<script lang="ts">
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { RackedPiece, RackView } from '$lib/server/views/rack.ts';
  import { sentence } from '$lib/words/findings.ts';
  import { lookWords, PREPARATION_WORDS } from '$lib/words/age.ts';
  import { page } from '$app/state';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import ScalePanel from '../devices/ScalePanel.svelte';
  import { dayAndTime, formatMass, formatTemperature } from '../format.ts';
  import WindowLine from '../marks/WindowLine.svelte';
  import { money, perKilo } from '../money.ts';
  import { massUnits } from '../units.ts';
  import AgeChart from './AgeChart.svelte';
  import LookForm from './LookForm.svelte';
  import { adviceWords, percent, readyWords } from './say.ts';
  import { lossWanted } from '$lib/core/activity/age/plan.ts';

  /** One piece on the rack: its weights, what they say, the daily look, and the way off. */
  let {
    piece,
    rack,
    units,
    zone,
    now,
    warnSeconds,
    names,
    places,
    playable
  }: {
    piece: RackedPiece;
    rack: RackView;
    units: UnitPreferences;
    zone: string;
    now: number;
    warnSeconds: number;
    names: Readonly<Record<string, string>>;
    places: readonly { id: string; name: string }[];
    playable: boolean;
  } = $props();
  const run = $derived(piece.run);
  const ageing = $derived(piece.verdict.reasons.filter(({ hazard }) => hazard === 'ageing'));
  const raw = $derived(piece.verdict.windows.filter(({ route }) => route === 'raw' || route === 'cooked'));
  const answer = $derived(page.form as { operation?: string; fields?: Record<string, unknown> } | null);
  const refused = (operation: string, field: string) =>
    answer?.operation === operation && answer.fields?.[field] !== undefined;
  let mass = $state('');
  let unit = $state<string>();
  let box = $state<HTMLElement>();
  function take(grams: number) {
    [mass, unit] = [String(grams), 'g'];
    // The field has to hold the figure before the form is sent.
    setTimeout(() => box?.querySelector<HTMLFormElement>('form[data-operation="weigh-aged"]')?.requestSubmit(), 0);
  }
  const leans = $derived(
    piece.forecast.from === 'weights'
      ? `from ${piece.forecast.weighIns} ${piece.forecast.weighIns === 1 ? 'weight' : 'weights'} of its own${piece.forecast.earlierFish > 0 ? ` and ${piece.forecast.earlierFish} earlier fish of this house` : ''}`
      : piece.forecast.from === 'house'
        ? `from ${piece.forecast.earlierFish} earlier fish of this house; none of its own weights yet`
        : 'from published ranges alone: wide until it is weighed once'
  );
  const lastLook = $derived(run.looks.at(-1) ?? null);
</script>

<div class="stack">
  <section class="sheet" data-aged={piece.id}>
    <h2>{piece.name}, day {Math.floor(piece.day) + 1}</h2>
    <p class="soft">
      Hung {dayAndTime(run.at, zone)} in {run.place}{run.spot ? `, ${run.spot}` : ''} at
      {formatTemperature(run.plan.celsius.si, units)}{run.plan.humidity === null
        ? ', humidity not read'
        : `, ${Math.round(run.plan.humidity.si * 100)} % humidity`}; {formatMass(run.plan.mass.si, units)} then.
    </p>
    <div class="figures">
      <p class="figure" data-lost>
        {run.weighIns.length > 0
          ? percent(1 - piece.grams / run.plan.mass.si)
          : `about ${percent(piece.forecast.loss.likely)}`}
        <small>lost of {percent(lossWanted(run.plan))} wanted</small>
      </p>
      <p class="figure" data-ready-day>{readyWords(run, piece.forecast, zone)} <small>nine in ten</small></p>
      <p class="figure">
        {formatMass(piece.forecast.gramsADay.likely, units)}
        <small>
          a day now ({formatMass(Math.max(0, piece.forecast.gramsADay.low), units)} to {formatMass(
            piece.forecast.gramsADay.high,
            units
          )})
        </small>
      </p>
    </div>
    <p class="advice" class:hands={piece.advice.what === 'now'}>{adviceWords(piece.advice)}.</p>
    {#each piece.stops as stop, index (index)}
      <p class="trouble" role="alert" data-stopped>
        {lookWords(stop.field, stop.answer)[0]!.toUpperCase()}{lookWords(stop.field, stop.answer).slice(1)}: take it off
        the rack now.
      </p>
    {/each}
    {#if piece.forecast.odd.length > 0}
      <p class="trouble" data-odd-weights>
        {piece.forecast.odd.length === 1
          ? 'One weight does not go with the others and is left out'
          : `${piece.forecast.odd.length} weights do not go with the others and are left out`}: a fish on the rack does
        not gain, nor lose a tenth in a day.
      </p>
    {/if}
    {#if piece.forecast.merged > 0}
      <p class="soft">Weighed again within ten minutes: counted as one.</p>
    {/if}
    {#if piece.missed.length > 0}
      <p class="trouble" data-missed-days>Nobody looked at it on {piece.missed.join(', ')}.</p>
    {/if}
    <AgeChart {piece} {units} {now} />
    <p class="soft">
      The forecast leans {leans}. Loss: first at one rate while the skin is wet, then W(t) = W∞ + (W0 − W∞) e<sup
        >−kt</sup
      >, fitted by least squares.
    </p>
    <p data-cost>
      {#if run.weighIns.length === 0}
        Nothing weighed off yet{piece.cost.perGramStart === null
          ? ''
          : `; hung at ${perKilo(piece.cost.perGramStart, piece.cost.currency)}`}.
      {:else}
        {formatMass(piece.cost.lostGrams, units)} gone{piece.cost.lostCents === null
          ? '; what it cost, nobody wrote down.'
          : `, ${money(piece.cost.lostCents, piece.cost.currency)} of what was paid; what is left costs ${perKilo(piece.cost.perGramNow, piece.cost.currency)}, ${perKilo(piece.cost.perGramStart, piece.cost.currency)} when it was hung.`}
      {/if}
    </p>
    <div class="windows">
      {#each raw as window (window.route)}
        <WindowLine {window} {now} {warnSeconds} {zone} />
      {/each}
    </div>
    <ul class="reasons">
      {#each ageing as each, index (index)}
        <li class:against={each.effect.kind === 'closes' || each.effect.kind === 'missing'}>
          {sentence(each, units)}{each.effect.kind === 'closes' ? ` (${dayAndTime(each.effect.at, zone)})` : ''}
        </li>
      {/each}
    </ul>
    <p><a class="link" href="/piece/{piece.id}">Every reason, and its papers</a></p>
  </section>
  <section class="sheet">
    <h2>Off the rack</h2>
    <OperationForm
      operation="end-age"
      {piece}
      submit="Take it off"
      tone={piece.advice.what === 'now' || piece.stops.length > 0 ? 'ember' : 'plain'}
    >
      <Field
        name="how"
        label="Because"
        kind="choice"
        value={piece.stops.length > 0 ? 'stopped' : 'pulled'}
        options={{ pulled: 'it is wanted', stopped: 'a sign stopped it' }}
      />
      <div class="fields">
        <Field
          name="service"
          label="For"
          kind="choice"
          value={piece.advice.service?.id ?? ''}
          options={[
            { value: '', name: 'no service named' },
            ...rack.services.map(({ id, name, at }) => ({ value: id, name: `${name}, ${dayAndTime(at, zone)}` }))
          ]}
        />
        <Field name="massAfter" label="Weight now" kind="quantity" units={massUnits(units)} optional />
        <Field name="place" label="Where to" optional among={places} placeholder="Drawer 1" />
      </div>
      {#if refused('end-age', 'massAfter')}<Field name="sure" label="It really weighs that" kind="tick" />{/if}
      <Field name="note" label="Note" optional />
    </OperationForm>
  </section>
</div>
<div class="stack" bind:this={box}>
  <section class="sheet">
    <h2>Weigh it</h2>
    <ScalePanel {units} {playable} onTake={take} />
    <OperationForm
      operation="weigh-aged"
      {piece}
      submit="Write the weight down"
      tone="ember"
      onDone={() => (mass = '')}
    >
      <Field name="mass" label="Weight now" kind="quantity" units={massUnits(units)} bind:value={mass} bind:unit />
      {#if refused('weigh-aged', 'mass')}<Field name="sure" label="It really weighs that" kind="tick" />{/if}
    </OperationForm>
  </section>
  <section class="sheet">
    <h2>Look at it</h2>
    {#if lastLook}
      <p class="soft">
        Last: {dayAndTime(lastLook.at, zone)}, {names[lastLook.by] ?? lastLook.by}{lastLook.note
          ? ` (${lastLook.note})`
          : ''}.
      </p>
    {:else}<p class="soft">Not looked at yet.</p>{/if}
    {#key run.looks.length}<LookForm {piece} />{/key}
  </section>
  {#if piece.unprepared.length > 0}
    <p class="caution">
      Hung without being {piece.unprepared
        .map((step) => PREPARATION_WORDS[step as keyof typeof PREPARATION_WORDS])
        .join('; ')}. The rack does not stand for its days on ice.
    </p>
  {/if}
</div>

<style>
  .figures .figure {
    font-size: 1.5rem;
  }
  .advice {
    font-size: 1.15rem;
    font-weight: 700;
    margin-bottom: 0.5rem;
  }
  .advice.hands {
    color: var(--ember);
  }
  .windows {
    margin: 0.5rem 0;
  }
  .reasons {
    list-style: disc;
    padding-left: 1.2rem;
    margin: 0.4rem 0;
  }
  .against {
    font-weight: 600;
  }
</style>
