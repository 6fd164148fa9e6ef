<script lang="ts">
  import { acidFigures as t } from '$lib/words/screens/acid.ts';
  import Answer from '$lib/ui/kit/Answer.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import type { AcidResult, AcidSettings } from '$lib/core/bench/acid/plan.ts';
  import { acidRange as range, acidSpan as coarse, LOOK_WORDS, millilitres } from '$lib/words/acid.ts';
  import type { AcidOutlook } from '$lib/workers/acid.ts';

  /** When it is as wanted and when past its best; where the acid runs out first, what would get there. One touch sets it. */
  let {
    result,
    band,
    settings,
    working = false,
    onMl = null,
    onWanted = null
  }: {
    result: AcidResult;
    /** Null while it is worked out. */
    band: AcidOutlook | null;
    settings: AcidSettings;
    /** It answers what was set before: the newest is being worked out. */
    working?: boolean;
    onMl?: ((ml: number) => void) | null;
    onWanted?: ((look: AcidSettings['wanted']) => void) | null;
  } = $props();
  const through = $derived(result.readySeconds === null ? (band?.through ?? null) : null);
  const isFlat = $derived(settings.cut === 'fillet' && settings.faces === 1);
</script>

<Answer reached={working ? 'asking' : result.readySeconds === null ? 'no' : 'yes'} ways={through ? ways : undefined}>
  {#if working}<p><b>{t.workingItOut}</b></p>{/if}
  {#if !result.sour}
    <p class="trouble" data-no-acid>{t.noAcidToSpeak}</p>
  {:else}
    <div class="times" class:working>
      <p class="figure" data-ready>
        {result.readySeconds === null ? t.never : coarse(result.readySeconds)}
        <small
          >{t.to(
            LOOK_WORDS[settings.wanted],
            result.readySeconds === null ? t.theAcidRunsOut : `, ${range(band?.readySeconds, band?.never.ready)}`
          )}</small
        >
      </p>
      <p class="figure">
        {result.pastSeconds === null ? t.not : coarse(result.pastSeconds)}
        <small
          >{t.pastItsBest(
            result.pastSeconds === null ? t.withThisLittleAcid : `, ${range(band?.pastSeconds, band?.never.past)}`
          )}</small
        >
      </p>
    </div>
  {/if}
  {#if result.topUpMl > 0}
    <p class="uncovered" data-cover>
      {t.pokesOut(
        millilitres(result.coverMl),
        isFlat ? t.standMmDeepUnder : t.coverIt,
        millilitres(result.topUpMl),
        isFlat ? '' : t.orTurnIt
      )}
    </p>
  {/if}
</Answer>
{#snippet ways()}
  {#if through?.ml != null && onMl}
    <Button onclick={() => onMl(through.ml!)}>{t.takesMl(through.ml)}</Button>
  {/if}
  {#if through?.reaches != null && onWanted}
    <Button onclick={() => onWanted(through.reaches!)}>{t.orAsFarAs(LOOK_WORDS[through.reaches])}</Button>
  {/if}
  {#if through?.ml == null && through?.reaches == null}<span>{t.noneGetsThere}</span>{/if}
{/snippet}

<style>
  .working :global(*) {
    color: var(--soft);
  }
  .times {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 2rem;
  }
  .uncovered {
    font-weight: 600;
    color: var(--ember);
  }
</style>
