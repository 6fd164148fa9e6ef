<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { cureAnswer as t } from '$lib/words/screens/cure.ts';
  import Answer from '$lib/ui/kit/Answer.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import type { CureThrough } from '$lib/core/bench/cure/through.ts';
  import type { CureSettings } from '$lib/core/bench/cure/plan.ts';

  /** The plan in one line: whether it does what is wanted, and what would. One touch sets it. */
  let {
    through,
    settings,
    onHours,
    onSalt
  }: {
    /** Null while it is worked out. */
    through: CureThrough | null;
    settings: CureSettings;
    onHours: (hours: number) => void;
    onSalt: (share: number) => void;
  } = $props();
  const wanted = $derived(say.points(settings.target * 100));
  const span = $derived(say.span(settings.hours * 3600));
  const isWet = $derived(['brine', 'marinade'].includes(settings.method));
</script>

<Answer
  reached={through ? (through.isThrough ? 'yes' : 'no') : 'asking'}
  ways={through && !through.isThrough ? ways : undefined}
>
  {#if !through}
    <p><b>{t.workingItOut}</b></p>
  {:else}
    <p>
      <b>{through.isThrough ? t.through(span) : t.notThrough(span)}</b>
      {t.middleHas(say.points(through.middlePercent), wanted)}
    </p>
  {/if}
</Answer>
{#snippet ways()}
  {#if through?.hours != null}
    <Button onclick={() => onHours(through.hours!)}>{t.takes(say.span(through.hours * 3600))}</Button>
  {/if}
  {#if through?.salt != null}
    <Button onclick={() => onSalt(through.salt!)}>
      {isWet ? t.strongerBrine(say.points(through.salt * 100), span) : t.moreSalt(say.points(through.salt * 100), span)}
    </Button>
  {/if}
  {#if through?.hours == null && through?.salt == null}<span>{t.neither}</span>{/if}
{/snippet}
