<script lang="ts">
  import { orderOfWork as t } from '$lib/words/screens/break.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { SCHOOL_WORDS, STEP_WORDS } from '$lib/words/cuts.ts';
  import { handlingWord } from '$lib/words/species.ts';
  import type { BoardView } from '$lib/server/views/board.ts';

  /** The steps of the school in their order, each with its reason, and what this fish in particular asks. */
  let { view, fresh }: { view: BoardView; fresh: boolean } = $props();
  const cautions = $derived([...new Set(view.species.flatMap(({ handling }) => handling))]);
</script>

<section class="sheet">
  <h2>{t.orderOfWork}</h2>
  <p><b>{SCHOOL_WORDS[view.school]?.name}</b> <span class="soft">{SCHOOL_WORDS[view.school]?.why}</span></p>
  {#if cautions.length > 0}
    <p class="mind">
      <b>{view.species.map(({ name }) => name).join(', ')}:</b>
      {cautions.map((code) => handlingWord(code)).join('; ')}.
    </p>
  {/if}
  <Fold open={fresh} title={t.steps(view.order.length)}>
    <ol>
      {#each view.order as step, index (index)}
        <li>{STEP_WORDS[step]?.do} <span class="soft">{STEP_WORDS[step]?.why}</span></li>
      {/each}
    </ol>
  </Fold>
</section>

<style>
  section {
    display: grid;
    gap: 0.4rem;
  }
  .mind {
    border-left: 4px solid var(--water-deep);
    padding-left: 0.7rem;
  }
  ol {
    list-style: decimal;
    padding-left: 1.6rem;
    display: grid;
    gap: 0.25rem;
  }
  li .soft {
    display: block;
    font-size: 0.9rem;
  }
</style>
