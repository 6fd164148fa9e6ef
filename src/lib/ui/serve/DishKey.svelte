<script lang="ts">
  import Fold from '../kit/Fold.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import type { PassDish } from '$lib/server/facts/pass.ts';
  import { ROUTE_WORDS } from '$lib/words/findings.ts';
  import { TOLD_WORDS, toldLine } from '$lib/words/notices.ts';
  import { page } from '$app/state';
  import { platesWaiting, touch } from './unsent.svelte.ts';
  import { FEW_PLATES, MOST_AT_ONCE } from '$lib/core/service/pass.ts';
  import * as say from '$lib/words/say.ts';
  import { passPage as t } from '$lib/words/screens/serve.ts';

  /** A dish at the pass: plates left, until when, and a plate of it at one touch. */
  let { dish, now, warnMs }: { dish: PassDish; now: number; warnMs: number } = $props();
  let plates = $state('1');
  const isGone = $derived(dish.until !== null && dish.until <= now);
  const waits = $derived(platesWaiting(dish.id));
  const left = $derived(isGone ? 0 : Math.max(0, dish.plates - waits));
  const isSoon = $derived(dish.until !== null && dish.until - now < warnMs);
  const withOther = $derived(left === 0 && !isGone && dish.instead > 0);
  /** A touch that cannot be of what is left is not sent: it stays one. */
  function serve(key: string, instead: boolean) {
    const count = instead ? 1 : Math.max(1, Math.min(left, MOST_AT_ONCE, Math.round(Number(plates)) || 1));
    touch({ key, by: page.data.person?.id ?? '', dish: dish.id, name: dish.name, plates: count, instead });
    plates = '1';
  }
  const many = $derived(Number(plates) > 1 ? t.plates(plates) : '');
</script>

<div
  class="key"
  class:few={left > 0 && left <= FEW_PLATES}
  class:soon={isSoon && left > 0}
  class:none={left === 0}
  data-dish={dish.id}
  data-left={left}
>
  <p class="top">
    <span class="figure">{left}</span>
    <span class="soft">
      {ROUTE_WORDS[dish.route]}
      {#if dish.until !== null && left > 0}· {t.until(say.until(dish.until, now))}{/if}
    </span>
  </p>
  {#if left > 0}
    <OperationForm
      operation="serve-dish"
      subject={`dish ${dish.id}`}
      submit={many === '' ? dish.name : `${many} ${dish.name}`}
      also={{ dish: dish.id, plates }}
      onTouch={(key) => serve(key, false)}
    />
    {#if left <= FEW_PLATES}<p><b>{t.few(left)}</b> {dish.short === '' ? '' : t.ends(dish.short)}</p>{/if}
  {:else}
    <p><b>{dish.name}</b></p>
    <p>{isGone ? t.timeIsUp : t.noMore(dish.short)}</p>
    {#if withOther}
      <OperationForm
        operation="serve-dish"
        subject={`dish ${dish.id} instead`}
        submit={t.withOther(dish.insteadOf)}
        also={{ dish: dish.id, plates: '1', instead: true }}
        onTouch={(key) => serve(key, true)}
      />
    {/if}
  {/if}
  {#if left > 1}
    <Fold title={t.several}>
      <Field name="plates-{dish.id}" label={t.howMany} kind="number" bind:value={plates} />
    </Fold>
  {/if}
  <p class="soft told">
    {TOLD_WORDS.tell}
    {toldLine({ holds: dish.allergens, mayHold: dish.mayHold, unsaid: dish.unsaid })}
  </p>
</div>

<style>
  .key {
    display: flex;
    flex-direction: column;
    gap: 0.45rem;
    height: 100%;
    padding: 0.7rem 0.9rem;
    background: var(--surface);
    border: 1px solid var(--line);
    border-left: 6px solid var(--water);
  }
  .soon,
  .few {
    border-left-color: var(--ember-glow);
    background: var(--ember-wash);
  }
  .none {
    border-left-color: var(--strong-line);
    background: var(--sunk);
  }
  .top {
    display: flex;
    align-items: baseline;
    gap: 0.7rem;
  }
  .key :global(form button) {
    width: 100%;
    min-height: 4.5rem;
    font-size: 1.15rem;
    white-space: normal;
  }
  .told {
    font-size: 0.9rem;
    margin-top: auto;
  }
</style>
