<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { pageChanges as t } from '$lib/words/screens/book.ts';
  /** What is different from the version before, in grams. */
  let { changes, per }: { changes: readonly { readonly what: string; readonly grams: number }[]; per: string } =
    $props();
</script>

{#if changes.length > 0}
  <p class="soft" data-changes>
    {t.againstTheVersionBefore(
      per,
      changes
        .map(({ what, grams }) => `${what} ${grams > 0 ? '+' : '−'}${say.exactly(Math.abs(grams), 1)} g`)
        .join(', ')
    )}
  </p>
{/if}
