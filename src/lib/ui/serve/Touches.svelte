<script lang="ts">
  import { onMount } from 'svelte';
  import Button from '../kit/Button.svelte';
  import { passPage as t } from '$lib/words/screens/serve.ts';
  import * as say from '$lib/words/say.ts';
  import { lineIsLost } from '../line.svelte.ts';
  import {
    putAwayRefused,
    sendWaiting,
    takeBackWaiting,
    touchesRefused,
    touchesWaiting,
    type Touch
  } from './unsent.svelte.ts';

  /** Touches that wait for the house, and what it did not take. */
  const refused = $derived(touchesRefused());
  // What goes at once is seen on its key; what waits is told.
  const waiting = $derived(lineIsLost() ? touchesWaiting() : []);
  const line = ({ at, name, plates }: Touch) => t.touched(say.clockTime(at), plates > 1 ? `${plates} × ${name}` : name);
  // What a reload left behind goes on.
  onMount(() => void sendWaiting());
</script>

<div aria-live="polite">
  {#if refused.length > 0}
    <section class="sheet stack trouble" aria-labelledby="refused" data-refused={refused.length}>
      <h2 id="refused">{t.notTaken(refused.length)}</h2>
      <ul>
        {#each refused as each (each.key)}
          <li>
            <span>{line(each)}: {each.why}</span>
            <Button onclick={() => putAwayRefused(each.key)}>{t.seen}</Button>
          </li>
        {/each}
      </ul>
    </section>
  {/if}
  {#if waiting.length > 0}
    <section class="sheet stack" aria-labelledby="waiting" data-waiting={waiting.length}>
      <h2 id="waiting">{t.waiting(waiting.length)}</h2>
      <p class="soft">{t.waitingWhy}</p>
      <ul>
        {#each waiting as each (each.key)}
          <li>
            <span>{line(each)}</span>
            <Button onclick={() => takeBackWaiting(each.key)}>{t.takeBack}</Button>
          </li>
        {/each}
      </ul>
    </section>
  {/if}
</div>

<style>
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: center;
    justify-content: space-between;
    padding: 0.2rem 0;
  }
  .trouble {
    border-left: 6px solid var(--ember-glow);
  }
</style>
