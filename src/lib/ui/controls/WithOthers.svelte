<script lang="ts">
  import { withOthers as t } from '$lib/words/screens/controls.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { PieceChoice } from '$lib/server/facts/choices.ts';
  import PieceTicks from './PieceTicks.svelte';

  /** More pieces that the same step is done to. */
  let {
    pieces,
    picked = $bindable([]),
    hint = ''
  }: { pieces: readonly PieceChoice[]; picked?: string[]; hint?: string } = $props();
</script>

{#if pieces.length > 0}
  <Fold title={picked.length > 0 ? t.some(picked.length) : t.none} data-others>
    {#if hint}<p class="soft">{hint}</p>{/if}
    <PieceTicks {pieces} bind:picked />
  </Fold>
{/if}
