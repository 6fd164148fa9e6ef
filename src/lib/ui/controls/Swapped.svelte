<script lang="ts">
  import { INGREDIENT_FIELD_WORDS as SAY } from '$lib/words/notices.ts';

  /** What a recipe is made with just now instead of what it names. */
  let { swaps }: { swaps: readonly { readonly what: string; readonly now: string }[] } = $props();
</script>

{#each swaps as { what, now } (what)}
  <p class="swap" data-swapped>{SAY.outOf(what, now || SAY.leftOut)}</p>
{/each}

<style>
  .swap {
    border-left: 4px solid var(--ember-glow);
    padding-left: 0.6rem;
    margin: 0.4rem 0;
  }
</style>
