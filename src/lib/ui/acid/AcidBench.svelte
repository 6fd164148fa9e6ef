<script lang="ts">
  import Button from '$lib/ui/kit/Button.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { safety } from '$lib/words/safety.ts';
  import { type AcidBand, type AcidResult, type AcidSettings } from '$lib/core/bench/acid/plan.ts';
  import { SET_POINTS, type SetPoint } from '$lib/core/activity/acid/lists.ts';
  import type { AcidSubject } from '$lib/core/bench/acid/settings.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { openAcidWorker } from '$lib/workers/acid.ts';
  import { untrack } from 'svelte';
  import { ALSO_HINT } from '$lib/words/notices.ts';
  import IngredientsField from '../controls/IngredientsField.svelte';
  import { page } from '$app/state';
  import Beside from '../plan/Beside.svelte';
  import { PlanPair } from '../plan/pair.svelte.ts';
  import PlanField from '../plan/PlanField.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import AcidFields from './AcidFields.svelte';
  import AcidFigures from './AcidFigures.svelte';
  import AcidSection from './AcidSection.svelte';
  import { AcidDraft } from './draft.svelte.ts';

  /** Fish on its way into acid: set, seen, laid beside another size or liquid, and begun. */
  let {
    view,
    piece,
    places,
    units
  }: {
    view: PieceView;
    piece: AcidSubject & { readonly runs: number };
    places: readonly { id: string; name: string }[];
    units: UnitPreferences;
  } = $props();

  const pair = untrack(
    () =>
      new PlanPair<AcidDraft, AcidSettings, AcidResult, AcidBand>(
        openAcidWorker,
        () => new AcidDraft(units, piece.grams),
        (draft) => draft.settings(piece)
      )
  );
  const { first, second } = pair;
  /** s; null follows the moment it is ready. */
  let scrubbed = $state<number | null>(null);
  let after = $state('');
  function askAfter(text: string) {
    after = text;
    const minutes = Number(text.replace(',', '.'));
    scrubbed = text.trim() === '' || !(minutes >= 0) ? null : minutes * 60;
  }
  const one = $derived(pair.one);
  const two = $derived(pair.two);
  const result = $derived(one?.result ?? null);
  const shown = $derived(one?.shown ?? null);
  const untilOf = (of: AcidResult) =>
    Math.max(600, (of.pastSeconds ?? of.setSeconds ?? of.readySeconds ?? 3600) * 1.4, scrubbed ?? 0);
</script>

<div class="halves bench">
  <section class="sheet">
    <h2>Into acid</h2>
    <OperationForm operation="start-acid" piece={view.piece} submit="Cover it now" tone="ember">
      <AcidFields draft={first} isForm />
      <div class="fields">
        <PlanField
          draft={first}
          name="later"
          only={['', ...SET_POINTS.slice(SET_POINTS.indexOf(first.texts.wanted as SetPoint) + 1)]}
        />
        <PlanField draft={first} name="place" optional among={places} />
      </div>
      <IngredientsField
        name="also"
        label={first.label('also')}
        optional
        ingredients={page.data.house.ingredients}
        at={page.data.now}
        placeholder={first.words.also.placeholder}
        hint={ALSO_HINT}
      />
    </OperationForm>
  </section>
  <section class="sheet" data-simulated={result ? 'yes' : 'no'}>
    <div class="title">
      <h2>Cut open</h2>
      {#if !pair.comparing}
        <Button onclick={() => pair.compare()}>Lay another beside it</Button>
      {/if}
    </div>
    {#if one?.trouble}<p class="trouble" role="alert">{one.trouble}</p>{/if}
    {#if result && shown}
      <AcidSection
        {result}
        faces={shown.faces}
        {units}
        seconds={scrubbed ?? result.readySeconds ?? 600}
        until={untilOf(result)}
        onscrub={(seconds) => (scrubbed = seconds)}
      />
      <div class="ask">
        <Field
          name="after"
          label="What do I have after, min"
          hint="empty: when it is ready"
          kind="number"
          optional
          bind:value={() => after, (text) => askAfter(text)}
        />
      </div>
      <AcidFigures {result} band={one!.band} settings={shown} {units} />
      <p class="soft" data-taught>
        {piece.runs > 0
          ? `Forecast at ${piece.pace.toFixed(2)} of the shipped pace, as ${piece.runs} ${piece.runs === 1 ? 'run' : 'runs'} of this species cut open here taught.`
          : 'Forecast with published ranges: none of this species was cut open here yet.'}
      </p>
      <p class="still" data-still-raw>
        {safety('acid')}
      </p>
    {:else if !one?.trouble}<p class="soft">Computing …</p>{/if}
  </section>
</div>
{#if pair.comparing && two}
  <Beside name="The other" outcome="The other, cut open" trouble={two.trouble} onclose={() => (pair.comparing = false)}>
    {#snippet fields()}<AcidFields draft={second} />{/snippet}
    {#if two.result && two.shown}
      <AcidSection
        name="The other, cut open"
        result={two.result}
        faces={two.shown.faces}
        {units}
        seconds={scrubbed ?? result?.readySeconds ?? 600}
        until={untilOf(two.result)}
      />
      <AcidFigures result={two.result} band={two.band} settings={two.shown} {units} />
    {/if}
  </Beside>
{/if}
<Fold class="sheet" title="Why these times">
  <p class="soft">
    Acid moves through flesh that has turned and is bound where it arrives, so the white rim has a sharp edge (a moving
    boundary; Crank 1975, ch. 13). Its pace follows from diffusivity (5 × 10⁻¹⁰ m²/s, drawn from 2.5 to 9), from what
    the flesh binds (0.075 mol/kg, 0.055 to 0.1; dark fish more) and from what the liquid can give down to pH 5.1: what
    a titration still finds in it, water, and how much of it there is. Twice the size is four times the time. Bands: 200
    seeded draws. Cut one open: it says more than any of this.
  </p>
</Fold>
<p class="caution">
  Lift it out when it is as you want it and keep fish and liquid cold and apart; left in, it goes mushy. Guidance only:
  your local code and licensed practice decide.
</p>

<style>
  .halves > section {
    contain: layout;
  }
  .title {
    margin-bottom: 0.4rem;
  }
  .ask {
    max-width: 20rem;
    margin-top: 0.4rem;
  }
  .still {
    margin-top: 0.6rem;
    font-weight: 600;
  }
  .caution {
    margin-top: 0.9rem;
  }
</style>
