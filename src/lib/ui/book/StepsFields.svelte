<script lang="ts">
  import { common } from '$lib/words/screens/common.ts';
  import { stepsFields as t } from '$lib/words/screens/book.ts';
  import Field from '../controls/Field.svelte';

  /** What closes the form of any page of the book: its steps, and of a page that is changed why. */
  let { steps = [], changes }: { steps?: readonly string[] | undefined; changes: boolean } = $props();
</script>

<Field name="steps" label={common.steps} kind="long" optional start={steps.join('\n')} hint={common.oneALine} />
{#if changes}<Field name="reason" label={t.whatIsDifferentIn} optional />{/if}
