<script lang="ts">
  import { cureGuide as t } from '$lib/words/screens/cure.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { page } from '$app/state';
  import { guardsOf } from '$lib/core/bench/cure/guards.ts';
  import type { School } from '$lib/core/activity/cure/lists.ts';
  import { SCHOOL_WORDS } from '$lib/words/cure.ts';
  import { CURE_NAMES } from '$lib/words/cure-names.ts';
  import { sentence } from '$lib/words/findings.ts';

  /** A school's steps with their reasons, and what is to be said of every cure. */
  let {
    method,
    guards,
    histamine
  }: { method: School; guards: Parameters<typeof guardsOf>[0] | null; histamine: boolean } = $props();
  const words = $derived(SCHOOL_WORDS[method]);
  const said = $derived(
    guards
      ? guardsOf(guards).flatMap(({ code, seen }) =>
          code === 'cure.open' ? [] : [{ code, text: sentence({ code, seen }, page.data.house.units) }]
        )
      : []
  );
</script>

<Fold class="sheet guide" title={t.stepsReasonsMistakes(CURE_NAMES[method].name)}>
  <ol>
    {#each words.steps as step (step.do)}<li><b>{step.do}</b> <span class="soft">{step.why}</span></li>{/each}
  </ol>
  <p><b>{t.usual}</b> {words.usual}</p>
  <p><b>{t.lookAt}</b> {words.inspect.join('; ')}.</p>
  <p><b>{t.mistakes}</b> {words.mistakes.join('; ')}.</p>
  <p class="soft">
    {t.saltDiffusesThroughThe}
  </p>
</Fold>
<section class="caution" aria-label={t.cautions}>
  {#each said as guard (guard.code)}<p data-guard={guard.code}>{guard.text}</p>{/each}
  {#if histamine}<p>{t.aHistamineSpeciesEvery}</p>{/if}
  <p>
    {t.theDateMarkCounts}
  </p>
</section>

<style>
  ol {
    list-style: decimal;
    padding-left: 1.4rem;
    display: grid;
    gap: 0.25rem;
  }
  .caution {
    display: grid;
    gap: 0.35rem;
    margin-top: 0.9rem;
  }
</style>
