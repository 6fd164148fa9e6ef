<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { aged as t } from '$lib/words/screens/age.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { RackedPiece, RackView } from '$lib/server/views/rack.ts';
  import { sentence } from '$lib/words/findings.ts';
  import { lookWords, PREPARATION_WORDS } from '$lib/words/age.ts';
  import { goto } from '$app/navigation';
  import { answered } from '$lib/ui/answered.svelte.ts';
  import { HOUR } from '$lib/core/measure/spans.ts';
  import { SCALE_BY_ITSELF } from '../devices/habit.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import ScalePanel from '../devices/ScalePanel.svelte';
  import WindowLine from '../marks/WindowLine.svelte';
  import { massUnits } from '../units.ts';
  import AgeChart from './AgeChart.svelte';
  import LookForm from './LookForm.svelte';
  import { adviceWords, readyWords } from '$lib/words/ageing.ts';
  import { lossWanted } from '$lib/core/activity/age/plan.ts';

  /** One piece on the rack: its weights, what they say, the daily look, and the way off. */
  let {
    piece,
    rack,
    units,
    now,
    warnSeconds,
    names,
    places,
    playable
  }: {
    piece: RackedPiece;
    rack: RackView;
    units: UnitPreferences;
    now: number;
    warnSeconds: number;
    names: Readonly<Record<string, string>>;
    places: readonly { id: string; name: string }[];
    playable: boolean;
  } = $props();
  const run = $derived(piece.run);
  const ageing = $derived(piece.verdict.reasons.filter(({ hazard }) => hazard === 'ageing'));
  const raw = $derived(piece.verdict.windows.filter(({ route }) => route === 'raw' || route === 'cooked'));
  const answer = $derived(answered());
  const refused = (operation: string, field: string) =>
    answer?.operation === operation && answer.fields[field] !== undefined;
  let mass = $state('');
  let unit = $state<string>();
  let box = $state<HTMLElement>();
  function take(grams: number) {
    [mass, unit] = [String(grams), 'g'];
    // The field has to hold the figure before the form is sent.
    setTimeout(() => box?.querySelector<HTMLFormElement>('form[data-operation="weigh-aged"]')?.requestSubmit(), 0);
  }
  /** Not weighed since so long, the next that hangs there waits for its weight. */
  const WEIGHED_MS = 12 * HOUR;
  const weighedAt = ({ run: { at, weighIns } }: RackedPiece) => weighIns.at(-1)?.at ?? at;
  function weighed() {
    mass = '';
    if (localStorage.getItem(SCALE_BY_ITSELF) !== 'on') return;
    const place = rack.pieces.findIndex(({ id }) => id === piece.id);
    const after = [...rack.pieces.slice(place + 1), ...rack.pieces.slice(0, Math.max(0, place))];
    const next = after.find((each) => now - weighedAt(each) > WEIGHED_MS);
    if (next) void goto(`/age?piece=${next.id}`, { noScroll: true, keepFocus: true });
  }
  const leans = $derived(
    piece.forecast.from === 'weights'
      ? t.fromOfItsOwn(
          piece.forecast.weighIns,
          piece.forecast.weighIns === 1 ? 'weight' : 'weights',
          piece.forecast.earlierFish > 0 ? t.andEarlierFishOf(piece.forecast.earlierFish) : ''
        )
      : piece.forecast.from === 'house'
        ? t.fromEarlierFishOf(piece.forecast.earlierFish)
        : t.fromPublishedRangesAlone
  );
  const lastLook = $derived(run.looks.at(-1) ?? null);
</script>

<div class="stack">
  <section class="sheet" data-aged={piece.id}>
    <h2>{t.day(piece.name, Math.floor(piece.day) + 1)}</h2>
    <p class="soft">
      {t.hungInAtThen(
        say.dayAndTime(run.at),
        run.place,
        run.spot ? `, ${run.spot}` : '',
        say.temperature(run.plan.celsius.si),
        run.plan.humidity === null ? t.humidityNotRead : t.humidity(Math.round(run.plan.humidity.si * 100)),
        say.mass(run.plan.mass.si)
      )}
    </p>
    <div class="figures">
      <p class="figure" data-lost>
        {run.weighIns.length > 0
          ? say.percent(1 - piece.grams / run.plan.mass.si)
          : t.about(say.percent(piece.forecast.loss.likely))}
        <small>{t.lostOfWanted(say.percent(lossWanted(run.plan)))}</small>
      </p>
      <p class="figure" data-ready-day>{readyWords(run, piece.forecast)} <small>{t.nineInTen}</small></p>
      <p class="figure">
        {say.mass(piece.forecast.gramsADay.likely)}
        <small>
          {t.aDayNowTo(say.mass(Math.max(0, piece.forecast.gramsADay.low)), say.mass(piece.forecast.gramsADay.high))}
        </small>
      </p>
    </div>
    <p class="advice" class:hands={piece.advice.what === 'now'}>{adviceWords(piece.advice)}.</p>
    {#each piece.stops as stop, index (index)}
      <p class="trouble" role="alert" data-stopped>
        {t.takeItOffThe(
          lookWords(stop.field, stop.answer)[0]!.toUpperCase(),
          lookWords(stop.field, stop.answer).slice(1)
        )}
      </p>
    {/each}
    {#if piece.forecast.odd.length > 0}
      <p class="trouble" data-odd-weights>
        {t.aFishOnThe(
          piece.forecast.odd.length === 1 ? t.oneWeightDoesNot : t.weightsDoNotGo(piece.forecast.odd.length)
        )}
      </p>
    {/if}
    {#if piece.forecast.merged > 0}
      <p class="soft">{t.weighedAgainWithinTen}</p>
    {/if}
    {#if piece.missed.length > 0}
      <p class="trouble" data-missed-days>{t.nobodyLookedAtIt(say.list(piece.missed.map(say.day)))}</p>
    {/if}
    <AgeChart {piece} {now} />
    <p class="soft">
      {t.theForecastLeansLoss(leans)}
    </p>
    <p data-cost>
      {#if run.weighIns.length === 0}
        {t.nothingWeighedOffYet(
          piece.cost.perGramStart === null ? '' : t.hungAt(say.perKilo(piece.cost.perGramStart, piece.cost.currency))
        )}
      {:else}
        {t.gone(
          say.mass(piece.cost.lostGrams),
          piece.cost.lostCents === null
            ? t.whatItCostNobody
            : t.ofWhatWasPaid(
                say.money(piece.cost.lostCents, piece.cost.currency),
                say.perKilo(piece.cost.perGramNow, piece.cost.currency),
                say.perKilo(piece.cost.perGramStart, piece.cost.currency)
              )
        )}
      {/if}
    </p>
    <div class="windows">
      {#each raw as window (window.route)}
        <WindowLine {window} {now} {warnSeconds} />
      {/each}
    </div>
    <ul class="reasons">
      {#each ageing as each, index (index)}
        <li class:against={each.effect.kind === 'closes' || each.effect.kind === 'missing'}>
          {sentence(each, units)}{each.effect.kind === 'closes' ? ` (${say.dayAndTime(each.effect.at)})` : ''}
        </li>
      {/each}
    </ul>
    <p><a class="link way" href="/piece/{piece.id}">{t.everyReasonAndIts}</a></p>
  </section>
  <section class="sheet">
    <h2>{t.offTheRack}</h2>
    <OperationForm
      operation="end-age"
      {piece}
      submit={t.takeItOff}
      tone={piece.advice.what === 'now' || piece.stops.length > 0 ? 'ember' : 'plain'}
    >
      <Field
        name="how"
        label={t.because}
        kind="choice"
        start={piece.stops.length > 0 ? 'stopped' : 'pulled'}
        options={{ pulled: t.itIsWanted, stopped: t.aSignStoppedIt }}
      />
      <div class="fields">
        <Field
          name="service"
          label={t.forText}
          kind="choice"
          start={piece.advice.service?.id ?? ''}
          options={[
            { value: '', name: t.noServiceNamed },
            ...rack.services.map(({ id, name, at }) => ({ value: id, name: `${name}, ${say.dayAndTime(at)}` }))
          ]}
        />
        <Field name="massAfter" label={common.weightNow} kind="quantity" units={massUnits()} optional />
        <Field name="place" label={common.whereTo} optional among={places} placeholder={common.drawer} />
      </div>
      {#if refused('end-age', 'massAfter')}<Field name="sure" label={common.itReallyWeighsThat} kind="tick" />{/if}
      <Field name="note" label={common.note} optional />
    </OperationForm>
  </section>
</div>
<div class="stack" bind:this={box}>
  <section class="sheet">
    <h2>{t.weighIt}</h2>
    <ScalePanel {playable} onTake={take} />
    <OperationForm operation="weigh-aged" {piece} submit={t.writeTheWeightDown} tone="ember" onDone={weighed}>
      <Field name="mass" label={common.weightNow} kind="quantity" units={massUnits()} bind:value={mass} bind:unit />
      {#if refused('weigh-aged', 'mass')}<Field name="sure" label={common.itReallyWeighsThat} kind="tick" />{/if}
    </OperationForm>
  </section>
  <section class="sheet">
    <h2>{t.lookAtIt}</h2>
    {#if lastLook}
      <p class="soft">
        {t.last(
          say.dayAndTime(lastLook.at),
          names[lastLook.by] ?? lastLook.by,
          lastLook.note ? ` (${lastLook.note})` : ''
        )}
      </p>
    {:else}<p class="soft">{t.notLookedAtYet}</p>{/if}
    {#key run.looks.length}<LookForm {piece} />{/key}
  </section>
  {#if piece.unprepared.length > 0}
    <p class="caution">
      {t.hungWithoutBeingThe(
        piece.unprepared.map((step) => PREPARATION_WORDS[step as keyof typeof PREPARATION_WORDS]).join('; ')
      )}
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
