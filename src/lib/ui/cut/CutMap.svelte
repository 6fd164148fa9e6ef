<script lang="ts">
  import { legible } from '$lib/ui/charts/legible.ts';
  import { cutMap as t } from '$lib/words/screens/break.ts';
  import { page } from '$app/state';
  import { drawingOf, drawnLast, VIEW } from './shapes.ts';
  import { partWord, USE_WORDS } from '$lib/words/cuts.ts';
  import type { MapId } from '$lib/core/bench/breakdown/map-types.ts';
  import type { CutTemplate } from '$lib/core/activity/board/fold.ts';

  /** A fish, drawn: each part is a link that puts it on the scale. The same parts stand in a list below it. */
  let {
    map,
    parts,
    division,
    taken,
    chosen,
    touchable,
    onTouch
  }: {
    map: MapId;
    parts: readonly { id: string; name?: string; use: string; grade: string; waste: string | null }[];
    division: CutTemplate['parts'];
    /** Grams taken of each part. */
    taken: Readonly<Record<string, number>>;
    chosen: string | null;
    touchable: boolean;
    /** Told at once, before the page follows. */
    onTouch: (part: string) => void;
  } = $props();
  const drawing = $derived(drawingOf(map, division));
  const href = (id: string) => {
    const url = new URL(page.url);
    url.searchParams.set('part', id);
    return url.pathname + url.search;
  };
  const standing = (id: string) => (id === chosen ? 'chosen' : (taken[id] ?? 0) > 0 ? 'off' : 'on');
</script>

<svg
  {@attach legible}
  viewBox="0 0 {VIEW.width} {VIEW.height}"
  role="group"
  aria-label={t.cutMapTouchA}
  class:touchable
>
  <defs>
    <pattern id="ebbed" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
      <rect width="7" height="7" class="wash" />
      <path d="M0 0 V7" class="hatch" />
    </pattern>
  </defs>
  {#each drawnLast(parts) as part (part.id)}
    {@const shape = drawing.parts[part.id]}
    {#if shape}
      {#if touchable}
        <a
          href={href(part.id)}
          onclick={() => onTouch(part.id)}
          class="part {standing(part.id)}"
          class:waste={part.use === ''}
          aria-label={partWord(part)}
          aria-current={part.id === chosen ? 'true' : undefined}
          data-sveltekit-noscroll
          data-sveltekit-keepfocus
          data-part={part.id}
        >
          <path d={shape.d} />
        </a>
      {:else}
        <g class="part {standing(part.id)}" class:waste={part.use === ''}><path d={shape.d} /></g>
      {/if}
    {/if}
  {/each}
  {#each drawing.lines as line (line)}<path d={line} class="line" />{/each}
  {#each parts as part (part.id)}
    {@const at = drawing.parts[part.id]?.at}
    {#if at}<text x={at[0]} y={at[1]} class={standing(part.id)}>{partWord(part)}</text>{/if}
  {/each}
</svg>
<ul class:touchable aria-label={t.parts}>
  {#each parts as part (part.id)}
    <li>
      <a
        href={touchable ? href(part.id) : undefined}
        onclick={() => touchable && onTouch(part.id)}
        class={standing(part.id)}
        aria-current={part.id === chosen ? 'true' : undefined}
        data-sveltekit-noscroll
        data-sveltekit-keepfocus
      >
        <b>{partWord(part)}</b>
        <span class="soft">{part.use === '' ? t.waste : USE_WORDS[part.use]}</span>
      </a>
    </li>
  {/each}
</ul>

<style>
  svg {
    width: 100%;
    height: auto;
    max-height: 42vh;
    display: block;
  }
  .part path {
    fill: var(--water-pale);
    stroke: var(--ink);
    stroke-width: 1.6;
    stroke-linejoin: round;
  }
  .part.waste path {
    fill: var(--sunk);
  }
  .part.off path {
    fill: url(#ebbed);
    stroke-width: 1.1;
  }
  .part.chosen path {
    fill: var(--ember-wash);
    stroke: var(--ember);
    stroke-width: 3.2;
  }
  .touchable .part {
    cursor: pointer;
  }
  .part:focus-visible {
    outline: none;
  }
  .part:focus-visible path {
    stroke: var(--focus);
    stroke-width: 4;
  }
  .wash {
    fill: var(--surface);
  }
  .hatch {
    stroke: var(--water);
    stroke-width: 1.4;
  }
  .line {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.2;
    pointer-events: none;
  }
  text {
    font-size: calc(14px * var(--drawn, 1));
    font-weight: 600;
    text-anchor: middle;
    fill: var(--ink);
    pointer-events: none;
    paint-order: stroke;
    stroke: var(--surface);
    stroke-width: 3px;
    stroke-linejoin: round;
  }
  text.chosen {
    fill: var(--ember);
  }
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 0.35rem;
    margin-top: 0.6rem;
  }
  li a {
    display: grid;
    align-content: center;
    min-height: 48px;
    padding: 0.15rem 0.7rem;
    border: 1px solid var(--line);
    border-radius: 3px;
    line-height: 1.15;
    background: var(--surface);
  }
  li a.off {
    border-style: dashed;
    border-color: var(--water);
  }
  li a.chosen {
    border: 2px solid var(--ember);
    background: var(--ember-wash);
  }
  li b {
    font-weight: 600;
  }
  li .soft {
    font-size: 0.9rem;
  }
  li .chosen .soft {
    color: var(--ink);
  }
</style>
