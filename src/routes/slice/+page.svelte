<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import * as say from '$lib/words/say.ts';
  import { slicePage as t } from '$lib/words/screens/slice.ts';
  import Line from '$lib/ui/kit/Line.svelte';
  import Slide from '$lib/ui/kit/Slide.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import { untrack } from 'svelte';
  import BlockDrawing from '$lib/ui/charts/BlockDrawing.svelte';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import WindowLine from '$lib/ui/marks/WindowLine.svelte';
  import { PlanDraft } from '$lib/ui/plan/draft.svelte.ts';
  import PlanField from '$lib/ui/plan/PlanField.svelte';
  import { SLICE_FIELDS } from '$lib/words/plans/slice.ts';
  import { sliceSet } from '$lib/core/activity/slice/plan.ts';
  import { usualThickness, weightOfOne } from '$lib/core/bench/thickness.ts';
  import { cutFor } from '$lib/core/bench/slice/settings.ts';
  import { startOf } from '$lib/core/fields/field.ts';
  import { FLESH_GRAMS_PER_MM3, thicknessFor, type Block, type CutPlan } from '$lib/core/bench/slice/geometry.ts';
  import { EmberError } from '$lib/core/errors.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const draft = untrack(() => new PlanDraft(sliceSet, SLICE_FIELDS, data.house.units));
  const isOblique = $derived(draft.texts.cut === 'oblique');
  let want = $state('12');

  // A block as long as its weight says, until somebody lays a ruler on it.
  const pieceId = $derived(view?.piece.id);
  // What was typed stands until the choice itself changes: the page's data come anew with every reading of the house.
  $effect(() => {
    void pieceId;
    untrack(usualBlock);
  });
  function usualBlock() {
    if (!view) return;
    const high =
      view.piece.made.thicknessMm ??
      usualThickness(view.piece.made.form, view.piece.grams, weightOfOne(view.lot.received)) ??
      startOf(sliceSet.height);
    const wide = startOf(sliceSet.width);
    const long = view.piece.grams / (FLESH_GRAMS_PER_MM3 * high * wide);
    draft.figure('height', high);
    draft.figure('width', wide);
    draft.figure('length', Math.max(20, Math.min(600, Math.floor(long))));
  }

  const computed = $derived.by((): { block: Block; plan: CutPlan } | string => {
    const set = draft.read();
    if (typeof set === 'string') return set;
    const { length, height, width } = set;
    return draft.attempt(() => ({
      block: { length: length.si, height: height.si, width: width.si },
      plan: cutFor(set)
    }));
  });
  let cannot = $state('');
  function hit() {
    cannot = '';
    if (typeof computed === 'string') return;
    try {
      const wanted = thicknessFor(computed.block, computed.plan.angle, Number(want));
      draft.figure('thickness', wanted);
    } catch (error) {
      if (!(error instanceof EmberError)) throw error;
      cannot = draft.sentence(error);
    }
  }
  const advice: Record<string, string> = {
    firm: t.tightFleshCutIt,
    medium: t.acrossTheGrainAt,
    soft: t.softFleshAThicker
  };
</script>

<svelte:head><title>{titled(t.slice)}</title></svelte:head>
<h1>{t.slice}</h1>
<PiecePick pieces={data.pieces} chosen={data.chosen} away={data.away} left={data.left} empty={t.nothingToSliceYet} />
{#if view}
  <div class="halves bench">
    <section class="sheet">
      <h2>{t.theBlockAndThe}</h2>
      <OperationForm
        operation="record-slice"
        piece={view.piece}
        submit={t.recordTheseSlices}
        tone="ember"
        resets={false}
      >
        <PlanField {draft} name="cut" />
        <div class="fields">
          {#each ['length', 'height', 'width', 'thickness'] as const as name (name)}<PlanField {draft} {name} />{/each}
          {#if isOblique}<PlanField {draft} name="angle" />{/if}
        </div>
        {#if isOblique}
          <Slide
            min="15"
            max="85"
            aria-label={t.bladeAngleInDegrees}
            value={draft.texts.angle}
            onslide={(at) => (draft.texts.angle = String(at))}
          />
        {/if}
      </OperationForm>
      <div class="hit">
        <label for="want">{t.toHit}</label>
        <Line class="w-24" id="want" inputmode="decimal" bind:value={want} /> <span>{t.gASlice}</span>
        <Button onclick={hit}>{t.setTheThickness}</Button>
      </div>
      {#if cannot}<p class="trouble" role="alert">{cannot}</p>{/if}
    </section>
    <section class="sheet" aria-live="polite">
      <div class="title">
        <h2>{view.piece.made.name}</h2>
        <WindowLine
          window={view.verdict.windows.find(({ route }) => route === (view.piece.cures.length > 0 ? 'cured' : 'raw'))!}
          now={houseNow()}
          warnSeconds={data.house.warnMinutes * 60}
        />
      </div>
      {#if typeof computed === 'string'}
        <p class="trouble">{computed}</p>
      {:else}
        <BlockDrawing block={computed.block} plan={computed.plan} />
        <div class="figures">
          <p class="figure">{computed.plan.pieces} <small>{t.slices}</small></p>
          <p class="figure">{say.mass(computed.plan.gramsEach)} <small>{t.each}</small></p>
          <p class="figure">{say.mass(computed.plan.offcutGrams)} <small>{t.offCut}</small></p>
        </div>
        <p class="soft">
          {t.sliceFaceLongThe(
            say.length(computed.plan.thickness),
            say.length(computed.plan.face),
            say.length(computed.plan.advance),
            say.mass(computed.plan.blockGrams),
            say.mass(view.piece.grams)
          )}
        </p>
        {#if computed.plan.blockGrams > view.piece.grams * 1.25 + 5}
          <p class="trouble">{t.theRulerSaysMore}</p>
        {/if}
        <p>{advice[view.species?.texture ?? 'medium']}</p>
      {/if}
      {#each view.piece.slices as slice (slice.seq)}
        <p class="soft">
          {t.slicesOf(say.dayAndTime(slice.at), slice.plan.pieces, say.mass(slice.plan.pieceGrams))}
        </p>
      {/each}
      <p class="caution">
        {t.oneLongDrawFingers}
      </p>
    </section>
  </div>
{/if}

<style>
  .hit {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    margin-top: 1rem;
    border-top: 1px solid var(--line);
    padding-top: 0.8rem;
    flex-wrap: wrap;
  }
  .caution {
    margin-top: 0.8rem;
  }
</style>
