<script lang="ts">
  import Computing from '$lib/ui/kit/Computing.svelte';
  import * as say from '$lib/words/say.ts';
  import { acidBench as t } from '$lib/words/screens/acid.ts';
  import Answer from '$lib/ui/kit/Answer.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { safety } from '$lib/words/safety.ts';
  import { type AcidResult, type AcidSettings } from '$lib/core/bench/acid/plan.ts';
  import { SET_POINTS, type SetPoint } from '$lib/core/activity/acid/lists.ts';
  import type { AcidSubject } from '$lib/core/bench/acid/settings.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { openAcidWorker, type AcidOutlook } from '$lib/workers/acid.ts';
  import { untrack } from 'svelte';
  import { ALSO_WORDS } from '$lib/words/notices.ts';
  import IngredientsField from '../controls/IngredientsField.svelte';
  import { page } from '$app/state';
  import Beside from '../plan/Beside.svelte';
  import { PlanPair } from '../plan/pair.svelte.ts';
  import PlanField from '../plan/PlanField.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import WithOthers from '../controls/WithOthers.svelte';
  import type { PieceChoice } from '$lib/server/facts/choices.ts';
  import AcidFields from './AcidFields.svelte';
  import AcidAnswer from './AcidAnswer.svelte';
  import AcidFigures from './AcidFigures.svelte';
  import AcidSection from './AcidSection.svelte';
  import { AcidDraft } from './draft.svelte.ts';

  /** Fish on its way into acid: set, seen, laid beside another size or liquid, and begun. */
  let {
    view,
    piece,
    places,
    units,
    skinned,
    more
  }: {
    view: PieceView;
    piece: AcidSubject & { readonly runs: number };
    places: readonly { id: string; name: string }[];
    units: UnitPreferences;
    /** Its skin was weighed off it. */
    skinned: boolean;
    /** Other pieces that could lie in the same bath. */
    more: readonly PieceChoice[];
  } = $props();

  const pair = untrack(
    () =>
      new PlanPair<AcidDraft, AcidSettings, AcidResult, AcidOutlook>(
        openAcidWorker,
        () => new AcidDraft(units, piece.grams, skinned),
        (draft) => draft.settings(piece)
      )
  );
  const { first, second } = pair;
  let picked = $state<string[]>([]);
  /** All that lies in the bath shares its liquid: what is computed here is what is begun. */
  function share(ids: string[]) {
    picked = ids;
    const grams = more.filter(({ id }) => ids.includes(id)).reduce((sum, piece) => sum + piece.grams, piece.grams);
    if (ids.length > 0) first.figure('mass', grams);
    else first.texts.mass = '';
  }
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

{#if one?.trouble}
  <p class="trouble" role="alert">{one.trouble}</p>
{:else if result && shown}
  <AcidAnswer
    {result}
    band={one!.band}
    settings={shown}
    working={one!.working}
    onMl={(ml) => first.pour(ml)}
    onWanted={(look) => (first.texts.wanted = look)}
  />
{:else}
  <Answer reached="asking"><Computing /></Answer>
{/if}
<div class="halves bench">
  <section class="sheet">
    <h2>{t.intoAcid}</h2>
    <OperationForm
      operation="start-acid"
      piece={view.piece}
      submit={t.coverItNow}
      tone="ember"
      also={{ others: picked.join(',') }}
    >
      <AcidFields draft={first} isForm />
      <div class="fields">
        <PlanField
          draft={first}
          name="later"
          only={['', ...SET_POINTS.slice(SET_POINTS.indexOf(first.texts.wanted as SetPoint) + 1)]}
        />
        <PlanField draft={first} name="place" optional among={places} />
      </div>
      <WithOthers pieces={more} bind:picked={() => picked, share} hint={t.oneBathIsShared} />
      <IngredientsField
        name="also"
        label={first.label('also')}
        optional
        ingredients={page.data.house.ingredients}
        at={page.data.now}
        placeholder={first.words.also.placeholder}
        hint={ALSO_WORDS.hint}
      />
    </OperationForm>
  </section>
  <section class="sheet" data-simulated={result ? 'yes' : 'no'}>
    <div class="title">
      <h2>{t.cutOpen}</h2>
      {#if !pair.comparing}
        <Button onclick={() => pair.compare()}>{t.layAnotherBesideIt}</Button>
      {/if}
    </div>
    {#if result && shown}
      <AcidSection
        {result}
        faces={shown.faces}
        seconds={scrubbed ?? result.readySeconds ?? 600}
        until={untilOf(result)}
        onscrub={(seconds) => (scrubbed = seconds)}
      />
      <div class="ask">
        <Field
          name="after"
          label={t.whatDoIHave}
          hint={t.emptyWhenItIs}
          kind="number"
          optional
          bind:value={() => after, (text) => askAfter(text)}
        />
      </div>
      <Fold title={t.allFigures}><AcidFigures {result} band={one!.band} settings={shown} /></Fold>
      <p class="soft" data-taught>
        {piece.runs > 0
          ? t.forecastAtOfThe(say.exactly(piece.pace, 2), piece.runs, piece.runs === 1 ? 'run' : 'runs')
          : t.forecastWithPublishedRanges}
      </p>
      <p class="still" data-still-raw>
        {safety('acid')}
      </p>
    {/if}
  </section>
</div>
{#if pair.comparing && two}
  <Beside name={t.theOther} outcome={t.theOtherCutOpen} trouble={two.trouble} onclose={() => (pair.comparing = false)}>
    {#snippet fields()}<AcidFields draft={second} />{/snippet}
    {#if two.result && two.shown}
      <AcidSection
        name="The other, cut open"
        result={two.result}
        faces={two.shown.faces}
        seconds={scrubbed ?? result?.readySeconds ?? 600}
        until={untilOf(two.result)}
      />
      <AcidAnswer
        result={two.result}
        band={two.band}
        settings={two.shown}
        working={two.working}
        onMl={(ml) => second.pour(ml)}
        onWanted={(look) => (second.texts.wanted = look)}
      />
      <AcidFigures result={two.result} band={two.band} settings={two.shown} />
    {/if}
  </Beside>
{/if}
<Fold class="sheet" title={t.whyTheseTimes}>
  <p class="soft">
    {t.acidMovesThroughFlesh}
  </p>
</Fold>
<p class="caution">
  {t.liftItOutWhen}
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
