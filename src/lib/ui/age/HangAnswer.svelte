<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { hangForm as t } from '$lib/words/screens/age.ts';
  import Answer from '$lib/ui/kit/Answer.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import type { HangingAnswer } from '$lib/server/plans/age.ts';

  /** A hanging in one line: whether it loses what is wanted in the days it may hang, and what it will have lost. One touch sets it. */
  let {
    asked,
    onTarget
  }: {
    /** What is set, as the forecast is asked; null where it cannot be read. */
    asked: string | null;
    onTarget: (share: number) => void;
  } = $props();
  let answer = $state.raw<HangingAnswer | null>(null);
  /** A hand rests this long before it is asked. ms */
  const REST_MS = 200;
  $effect(() => {
    const query = asked;
    if (query === null) return void (answer = null);
    let isOver = false;
    const timer = setTimeout(async () => {
      const got = await fetch(`/api/v1/preview/age?${query}`).catch(() => null);
      const body = got?.ok ? ((await got.json()) as HangingAnswer) : null;
      if (!isOver) answer = body;
    }, REST_MS);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  });
  const days = (value: number) => say.number(value, 1);
  const share = (value: number) => say.points(value * 100);
  /** As it is set on the form: a tenth of a per cent. */
  const least = $derived(answer ? Math.max(0.005, Math.floor(answer.lossByThen.likely * 1000) / 1000) : 0);
</script>

{#if answer}
  <Answer reached={answer.inTime ? 'yes' : 'no'} ways={answer.inTime && answer.ready ? undefined : ways}>
    {#if answer.inTime && answer.ready}
      {@const { likely, low, high } = answer.ready}
      <p>
        <b>{t.reaches(share(answer.wanted), days(likely), days(low), days(high))}</b>
        {t.inTime(days(answer.days))}
      </p>
    {:else}
      <p><b>{t.notInTime(share(answer.wanted), days(answer.days))}</b></p>
    {/if}
  </Answer>
{/if}
{#snippet ways()}
  {#if answer}
    {t.byThen(share(answer.lossByThen.likely), share(answer.lossByThen.low), share(answer.lossByThen.high))}
    <Button onclick={() => onTarget(least)}>{t.takeThat(share(least))}</Button>
  {/if}
{/snippet}
