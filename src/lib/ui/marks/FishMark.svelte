<script lang="ts">
  import type { MarkDrawing } from '$lib/core/fish/lookalikes.ts';

  /** A fish drawn from figures: only what tells it from its look-alikes. The marks stand beside it in words. */
  let { drawing }: { drawing: MarkDrawing } = $props();
  const half = $derived(drawing.depth * 66);
  const top = $derived(44 - half);
  const bottom = $derived(44 + half);
  /** Height of the body's upper edge at x, a half ellipse from nose to wrist. */
  const edge = (x: number) => half * Math.sqrt(Math.max(0, 1 - ((x - 62) / 54) ** 2));
  const tails: Record<MarkDrawing['tail'], string> = {
    forked: 'M114 44 L140 22 L130 44 L140 66 Z',
    lunate: 'M114 44 Q132 32 144 12 Q132 44 144 76 Q132 56 114 44',
    square: 'M114 44 L136 26 V62 Z',
    round: 'M114 44 L128 28 Q146 44 128 60 Z'
  };
  const columns = [42, 51, 60, 69, 78, 90];
  /** The back fin: a row of spines, or a soft sail. */
  const back = $derived(
    drawing.spiny
      ? `M40 ${44 - edge(40)} ${[44, 50, 56, 62, 68, 74].map((x) => `L${x} ${44 - edge(x) - 9} L${x + 3} ${44 - edge(x + 3) - 2}`).join(' ')} L92 ${44 - edge(92)}`
      : `M52 ${44 - edge(52)} Q60 ${44 - edge(60) - 12} 66 ${44 - edge(66) - 7} L94 ${44 - edge(94)}`
  );
  const lines = $derived({
    straight: 'M22 44 H112',
    arched: `M22 ${44 - half * 0.4} Q36 ${44 - half * 0.9} 54 44 L112 44`,
    wavy: 'M22 38 Q34 30 46 42 T70 44 T94 46 T112 44'
  });
</script>

<svg viewBox="0 0 152 88" aria-hidden="true">
  {#if !drawing.flat}
    <path class="sail" d={back} />
    <path class="sail" d="M74 {44 + edge(74)} q6 9 12 6 l6 {-edge(74) + edge(92) - 6}" />
  {/if}
  <path
    class="body"
    d="M8 44 Q34 {top - 2} 66 {top} Q98 {top + half * 0.3} 114 44 Q98 {bottom - half * 0.3} 66 {bottom} Q34 {bottom +
      2} 8 44 Z"
  />
  <path class="body" d={tails[drawing.tail]} />
  {#if drawing.stripes === 'back-oblique'}
    {#each columns as x (x)}<path class="mark" d="M{x} {44 - edge(x) + 3} l9 {half * 0.5}" />{/each}
  {:else if drawing.stripes === 'belly-long'}
    {#each [0.35, 0.55, 0.75] as share (share)}<path
        class="mark"
        d="M30 {44 + half * share} Q66 {44 + half * share * 1.1} 98 {44 + half * share * 0.6}"
      />{/each}
  {:else if drawing.stripes === 'side-long'}
    {#each [-0.4, -0.15, 0.1, 0.35] as share (share)}<path class="mark" d="M26 {44 + half * share} H104" />{/each}
  {:else if drawing.stripes === 'bars'}
    {#each columns as x (x)}<path class="mark wide" d="M{x} {44 - edge(x) + 3} V{44 + edge(x) * 0.35}" />{/each}
  {/if}
  {#if drawing.spots}
    {#each columns as x, index (x)}
      <circle
        class={drawing.spots === 'pale' ? 'pale' : 'spot'}
        cx={x}
        cy={44 - edge(x) * (0.3 + (index % 2) * 0.3)}
        r="2.6"
      />
      <circle
        class={drawing.spots === 'pale' ? 'pale' : 'spot'}
        cx={x + 6}
        cy={44 + edge(x) * (index % 2 ? 0.25 : -0.05)}
        r="2.2"
      />
    {/each}
  {/if}
  {#if drawing.band}<path class="mark wide" d="M22 38 Q66 34 112 43" />{/if}
  {#if drawing.scutes}<path class="mark" d="M70 44 l5 -4 l5 4 l5 -4 l5 4 l5 -4 l5 4 l5 -4 l5 4" />{/if}
  {#if drawing.line}<path class="fine" d={lines[drawing.line]} />{/if}
  {#if drawing.finlets}
    {#each [92, 98, 104, 110] as x (x)}
      <path class="spot" d="M{x} {44 - edge(x)} l3 -5 l2 5 Z M{x} {44 + edge(x)} l3 5 l2 -5 Z" />
    {/each}
  {/if}
  {#if drawing.breastFin}<path
      class="fin"
      d="M34 46 q{drawing.breastFin * 70} 2 {drawing.breastFin * 132} 12 q{drawing.breastFin *
        -60} 0 {drawing.breastFin * -132} -6 Z"
    />{/if}
  {#if drawing.flat}
    <path
      class="fine"
      d="M26 {top + 6} Q66 {top - 8} 106 {top + half * 0.55} M26 {bottom - 6} Q66 {bottom + 8} 106 {bottom -
        half * 0.55}"
    />
    <circle class="eye" cx={drawing.flat === 'left' ? 18 : 22} cy="36" r="2.6" />
    <circle class="eye" cx={drawing.flat === 'left' ? 22 : 18} cy="47" r="2.6" />
  {:else}
    <circle class="eye" cx="21" cy="40" r={drawing.largeEye ? 4.6 : 2.8} />
    <path class="fine" d="M9 45 q5 2 9 1" />
    <path class="fine" d="M30 34 Q35 44 30 54" />
  {/if}
</svg>

<style>
  svg {
    width: 100%;
    max-width: 11rem;
    aspect-ratio: 152 / 88;
  }
  path,
  circle {
    fill: none;
    stroke: none;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .body {
    fill: var(--water-pale);
    stroke: var(--ink);
    stroke-width: 1.8;
  }
  .sail {
    fill: var(--surface);
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .mark {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .wide {
    stroke-width: 4;
    stroke-opacity: 0.7;
  }
  .fine {
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .spot,
  .eye {
    fill: var(--ink);
  }
  .pale {
    fill: var(--surface);
    stroke: var(--soft);
  }
  .fin {
    fill: var(--surface);
    stroke: var(--ink);
    stroke-width: 1.4;
  }
</style>
