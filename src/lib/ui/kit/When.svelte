<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { when as t } from '$lib/words/screens/controls.ts';
  import { offsetText, wallReadings } from '$lib/core/measure/wall.ts';
  import type { HTMLInputAttributes } from 'svelte/elements';
  import Button from './Button.svelte';
  import Line from './Line.svelte';

  /**
   * A day and a time, typed or picked. The browser shows it in an order of its own: under it stands how the house reads it.
   * Where the clocks go back it asks which of the two was meant, and where they go forward it says that there is none.
   */
  let {
    value = $bindable(''),
    name,
    ...rest
  }: Omit<HTMLInputAttributes, 'value' | 'size' | 'color' | 'children' | 'type'> & {
    name: string;
    /** Wall time of the house, with its offset where one had to be chosen. */
    value?: string;
  } = $props();

  const wall = $derived(value.slice(0, 16));
  const offset = $derived(value.slice(16));
  const readings = $derived(wall.length < 16 ? [] : wallReadings(wall, say.wallInput));
</script>

<Line
  {...rest}
  {name}
  type="datetime-local"
  autocomplete="off"
  class="w-full"
  bind:value={() => wall, (typed) => (value = typed?.slice(0, 16) ?? '')}
/>
{#if readings.length > 1}
  {#if offset}<input type="hidden" name="{name}:offset" value={offset} />{/if}
  <div class="which" role="group" aria-label={t.comesTwice(wall.slice(11))}>
    <span>{t.comesTwice(wall.slice(11))}</span>
    {#each readings as at, index (at)}
      <Button aria-pressed={offset === offsetText(wall, at)} onclick={() => (value = wall + offsetText(wall, at))}>
        {index === 0 ? t.theFirst : t.theSecond}
      </Button>
    {/each}
  </div>
{:else if readings.length === 1}
  <span class="soft read">{say.dayAndTime(readings[0]!)}</span>
{:else if wall.length === 16}
  <span class="none" role="alert">{t.isJumpedOver(wall.slice(11))}</span>
{/if}

<style>
  .which {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.4rem 0.6rem;
  }
  .read {
    font-size: 0.9rem;
  }
  .none {
    color: var(--ember);
    font-weight: 600;
  }
</style>
