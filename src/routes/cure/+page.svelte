<script lang="ts">
  import CureSection from '$lib/ui/charts/CureSection.svelte';
  import { thickest } from '$lib/core/bench/breakdown/depth.ts';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import { dayAndTime, formatDuration, formatMass, until } from '$lib/ui/format.ts';
  import { lengthUnits, massUnits, startWith, temperatureUnits } from '$lib/ui/units.ts';
  import { EmberError } from '$lib/core/errors.ts';
  import { parseQuantity } from '$lib/core/measure/parse.ts';
  import type { CureBand, CureInput, CureResult } from '$lib/core/bench/cure/plan.ts';
  import { openCureWorker } from '$lib/workers/cure.ts';
  import { errorSentence } from '$lib/words/errors.ts';
  import { onMount, untrack } from 'svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const zone = $derived(data.house.zone);
  const units = $derived(data.house.units);
  const now = $derived(houseNow());
  const run = $derived(view?.piece.cures.at(-1) ?? null);
  const running = $derived(run && !run.ended ? run : null);

  let method = $state<'weighed' | 'cover'>('weighed');
  // svelte-ignore state_referenced_locally
  const [firstThickness, lengthUnit] = startWith('length', 25, data.house.units);
  // svelte-ignore state_referenced_locally
  const [firstCelsius, temperatureUnit] = startWith('temperature', 3, data.house.units);
  let thickness = $state(firstThickness);
  let thicknessUnit = $state(lengthUnit);
  let faces = $state('1');
  let celsius = $state(firstCelsius);
  let celsiusUnit = $state(temperatureUnit);
  let salt = $state('2.5');
  let sugar = $state('1');
  let hours = $state('24');
  let target = $state('1');
  let scrub = $state(48);
  let result = $state.raw<CureResult | null>(null);
  let band = $state.raw<CureBand | null>(null);
  let trouble = $state('');
  let worker: ReturnType<typeof openCureWorker> | null = null;
  let ready = $state(false);
  onMount(() => {
    worker = openCureWorker();
    ready = true;
    return () => worker?.end();
  });
  const deepest = $derived(thickest(view?.piece.depth ?? null) ?? view?.piece.made.thicknessMm ?? 0);
  const pieceId = $derived(view?.piece.id);
  // What was typed stands until the choice itself changes: the page's data come anew with every reading of the house.
  $effect(() => {
    const millimetres = deepest;
    void pieceId;
    untrack(() => {
      if (millimetres > 0) [thickness, thicknessUnit] = startWith('length', millimetres, data.house.units);
    });
  });

  const read = (kind: Parameters<typeof parseQuantity>[0], text: string, unit: string, field: string) =>
    parseQuantity(kind, text, { field, defaultUnit: unit }).si;
  const key = (unit: string | undefined, fallback: string) => (unit ?? fallback).replace('°', '');

  const input = $derived.by((): CureInput | string => {
    if (!view || !data.fat) return '';
    try {
      return {
        method,
        grams: running ? running.plan.grams : view.piece.grams,
        thicknessMm: read('length', thickness, key(thicknessUnit, 'mm'), 'thickness'),
        faces: faces === '2' ? 2 : 1,
        celsius: read('temperature', celsius, key(celsiusUnit, 'C'), 'celsius'),
        fat: data.fat,
        thawed: view.lot.received.frozen || view.piece.freezes.some((each) => each.ended !== null),
        salt: read('concentration', salt, '%', 'salt'),
        sugar: read('concentration', sugar, '%', 'sugar'),
        hours: read('duration', hours, 'h', 'hours') / 3600,
        target: read('concentration', target, '%', 'target')
      };
    } catch (error) {
      if (error instanceof EmberError) return errorSentence(error.code, error.details);
      throw error;
    }
  });

  let turn = 0;
  $effect(() => {
    const asked = input;
    if (!ready || !worker) return;
    if (typeof asked === 'string') {
      trouble = asked;
      return;
    }
    const mine = ++turn;
    void (async () => {
      const answer = await worker!.cure(asked);
      if (mine !== turn) return;
      if (!answer.ok) {
        trouble = errorSentence(answer.code, answer.details);
        return;
      }
      trouble = '';
      result = answer.value;
      // The band is for a hand that rests: it waits until nothing has moved for a moment.
      await new Promise((resolve) => setTimeout(resolve, 180));
      if (mine !== turn) return;
      const wide = await worker!.band(asked);
      if (mine === turn && wide.ok) band = wide.value;
    })();
  });

  const frame = $derived(result ? result.frames[Math.min(scrub, result.frames.length) - 1]! : null);
  const most = $derived(
    result ? Math.max(...result.frames.map((each) => each.surfacePercent), Number(target) || 1) * 1.02 : 1
  );
  const percent = (value: number) => `${value.toFixed(value < 1 ? 2 : 1)} %`;
  const show = (value: { low: number; likely: number; high: number }) =>
    `${percent(value.low)} to ${percent(value.high)}`;
</script>

<h1>Cure</h1>
<PiecePick pieces={data.pieces} chosen={data.chosen} empty="Nothing to cure yet." />
{#if view && run && running}
  <section class="sheet running">
    <div>
      <h2>{view.piece.made.name} is in a {running.plan.method} cure</h2>
      <p>
        {formatMass(running.plan.saltGrams, units)} salt, {formatMass(running.plan.sugarGrams, units)} sugar on {formatMass(
          running.plan.grams,
          units
        )}, since
        {dayAndTime(running.at, zone)}.
      </p>
      <p class="soft">
        Forecast when it comes out: {show(running.plan.forecast.meanSaltPercent)} salt on average, {show(
          running.plan.forecast.middleSaltPercent
        )} in the middle,
        {formatMass(running.plan.forecast.gramsAfter.low, units)} to {formatMass(
          running.plan.forecast.gramsAfter.high,
          units
        )}.
      </p>
    </div>
    <p class="figure">{until(running.plan.dueAt, now)} <small>due {dayAndTime(running.plan.dueAt, zone)}</small></p>
    <OperationForm
      operation="end-cure"
      subject={view.piece.id}
      seen={view.piece.lastSeq}
      submit="Take it out"
      tone="ember"
    >
      <input type="hidden" name="piece" value={view.piece.id} />
      <div class="row">
        <Field name="massAfter" label="Weight now" kind="quantity" units={massUnits(units)} optional />
        <Field name="note" label="How it feels and tastes" optional />
      </div>
    </OperationForm>
  </section>
{:else if view}
  <div class="two">
    <section class="sheet">
      <h2>The cure</h2>
      <OperationForm
        operation="start-cure"
        subject={view.piece.id}
        seen={view.piece.lastSeq}
        submit="Begin the cure"
        tone="ember"
      >
        <input type="hidden" name="piece" value={view.piece.id} />
        <Field
          name="method"
          label="School"
          kind="choice"
          bind:value={method}
          options={[
            { value: 'weighed', name: 'Weighed: salt as wanted in the finished piece' },
            { value: 'cover', name: 'Cover: laid on by a rate of the fish’s weight' }
          ]}
        />
        <div class="row">
          <Field
            name="salt"
            label={method === 'weighed' ? 'Salt, finished' : 'Salt, of fish'}
            kind="quantity"
            units={['%']}
            bind:value={salt}
          />
          <Field name="sugar" label="Sugar, of fish" kind="quantity" units={['%']} bind:value={sugar} />
          <Field name="hours" label="Time" kind="quantity" units={['h']} bind:value={hours} />
          <Field
            name="thickness"
            label="Thickness"
            hint={view.piece.depth ? 'the thickest of its measured depth' : ''}
            kind="quantity"
            units={lengthUnits(units)}
            bind:value={thickness}
            bind:unit={thicknessUnit}
          />
          <Field
            name="faces"
            label="Open to the salt"
            kind="choice"
            bind:value={faces}
            options={[
              { value: '1', name: 'one face (skin on)' },
              { value: '2', name: 'both faces' }
            ]}
          />
          <Field
            name="celsius"
            label="Kept at"
            kind="quantity"
            units={temperatureUnits(units)}
            bind:value={celsius}
            bind:unit={celsiusUnit}
          />
          <Field name="target" label="Salt wanted in the middle" kind="quantity" units={['%']} bind:value={target} />
        </div>
        <label class="slide">
          <span>Drag the time</span>
          <input
            type="range"
            min="1"
            max="96"
            step="1"
            value={Number(hours) || 24}
            oninput={(event) => (hours = event.currentTarget.value)}
            aria-label="Time in hours"
          />
        </label>
      </OperationForm>
    </section>
    <section class="sheet" aria-live="off" data-simulated={result ? 'yes' : 'no'}>
      <div class="title">
        <h2>Salt moving in</h2>
        {#if frame}<b class="clock">{frame.hours.toFixed(1)} h</b>{/if}
      </div>
      {#if trouble}<p class="trouble" role="alert">{trouble}</p>{/if}
      {#if result && frame && typeof input !== 'string'}
        <CureSection {frame} faces={input.faces} thicknessMm={input.thicknessMm} target={Number(target) || 0} {most} />
        <label class="slide">
          <span class="unseen">Hour shown</span>
          <input
            type="range"
            min="1"
            max={result.frames.length}
            bind:value={scrub}
            aria-label="Hour shown"
            aria-valuetext="{frame.hours.toFixed(1)} hours"
          />
        </label>
        <div class="grams">
          <p class="figure">{formatMass(result.saltGrams, units)} <small>salt</small></p>
          <p class="figure">{formatMass(result.sugarGrams, units)} <small>sugar</small></p>
          <p class="figure">{formatMass(result.end.gramsAfter, units)} <small>after</small></p>
        </div>
        <table class="plain">
          <thead><tr><th>At {result.end.hours.toFixed(0)} h</th><th>Likely</th><th>Nine times in ten</th></tr></thead>
          <tbody>
            <tr
              ><td>Salt, on average</td><td>{percent(result.end.meanPercent)}</td><td
                >{band ? show(band.meanSaltPercent) : '…'}</td
              ></tr
            >
            <tr
              ><td>Salt, in the middle</td><td>{percent(result.end.middlePercent)}</td><td
                >{band ? show(band.middleSaltPercent) : '…'}</td
              ></tr
            >
            <tr
              ><td>Water-phase salt at the face</td><td>{percent(result.end.surfaceWps)}</td><td
                >{band ? show(band.surfaceWps) : '…'}</td
              ></tr
            >
            <tr>
              <td>Weight after</td><td>{formatMass(result.end.gramsAfter, units)}</td>
              <td
                >{band
                  ? `${formatMass(band.gramsAfter.low, units)} to ${formatMass(band.gramsAfter.high, units)}`
                  : '…'}</td
              >
            </tr>
            <tr>
              <td>Middle reaches {target} %</td>
              <td colspan="2"
                >{result.middleReachesHours === null
                  ? `not within ${(result.end.hours * 3).toFixed(0)} h`
                  : `after ${formatDuration(result.middleReachesHours * 3600)}`}</td
              >
            </tr>
            <tr>
              <td>Evened out (face and middle within 0.5 %)</td>
              <td colspan="2"
                >{result.evenHours === null
                  ? `not within ${(result.end.hours * 3).toFixed(0)} h`
                  : `after ${formatDuration(result.evenHours * 3600)}`}</td
              >
            </tr>
            <tr><td>Water activity, on average</td><td colspan="2">{result.meanWaterActivity.toFixed(3)}</td></tr>
          </tbody>
        </table>
        <details class="soft">
          <summary>Why these figures</summary>
          <p>
            Salt diffuses through the water of the flesh (Fick’s second law, solved in 60 layers). The face stands at
            saturated brine while undissolved salt remains, then at a brine that weakens. Likely diffusivity 3 × 10⁻¹⁰
            m²/s at 4 °C for lean fish, drawn from 1.5 to 8 × 10⁻¹⁰; slower in fat, faster in the warm and in thawed
            flesh. Band: 200 seeded draws. Sources: Crank 1975; Resnik and Chirife 1988; Ross 1975.
          </p>
        </details>
        <p class="caution">
          Cured is still a raw route: salt kills no worms. Lightly cured fish is not shelf-stable, and an airless bag
          wants 5 % water-phase salt or another hurdle and may need a plan.{#if data.histamine}
            A histamine species: every warm minute counts.{/if} Guidance only: your local code and licensed practice decide.
        </p>
      {:else if !trouble}<p class="soft">Computing …</p>{/if}
    </section>
  </div>
{/if}

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(280px, 0.8fr) minmax(0, 1.2fr);
    gap: 1.2rem;
    align-items: start;
  }
  .running {
    display: grid;
    gap: 0.9rem;
    max-width: 60rem;
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(165px, 1fr));
    gap: 0.7rem;
  }
  .title {
    display: flex;
    justify-content: space-between;
  }
  .clock {
    font-size: 1.4rem;
  }
  .slide {
    display: grid;
    gap: 0.1rem;
    font-weight: 600;
  }
  .slide input {
    width: 100%;
    min-height: 48px;
    accent-color: var(--water-deep);
  }
  .grams {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 2rem;
    margin: 0.3rem 0 0.6rem;
  }
  details summary {
    margin-top: 0.4rem;
  }
  .caution {
    margin-top: 0.6rem;
  }
  @media (max-width: 1000px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
