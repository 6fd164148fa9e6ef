<script lang="ts">
  import { legible } from './legible.ts';
  import { blockDrawing as t } from '$lib/words/screens/charts.ts';
  import type { Block, CutPlan } from '$lib/core/bench/slice/geometry.ts';

  /** The block from the side with its cuts, drawn to scale, and the face of one slice. */
  let { block, plan }: { block: Block; plan: CutPlan } = $props();

  const W = 700;
  const side = $derived(Math.min(470 / block.length, 150 / block.height, 4));
  const L = $derived(block.length * side);
  const H = $derived(block.height * side);
  const lean = $derived(plan.angle === 90 ? 0 : H / Math.tan((plan.angle * Math.PI) / 180));
  const step = $derived(plan.advance * side);
  const x0 = 20;
  const y0 = 190;
  // More lines than the eye can part are drawn as every second, fourth …
  const stride = $derived(Math.max(1, Math.ceil(2.4 / Math.max(step, 0.1))));
  const cuts = $derived(
    Array.from({ length: Math.floor(plan.pieces / stride) + 1 }, (_, index) => index * stride).filter(
      (index) => index <= plan.pieces
    )
  );
  const end = $derived(plan.pieces * step);
  const slab = $derived(`M${x0} ${y0} L${x0 + lean} ${y0 - H} H${x0 + lean + end} L${x0 + end} ${y0}Z`);
  const faceScale = $derived(Math.min(150 / block.width, 130 / plan.face, side));
</script>

<svg
  {@attach legible}
  viewBox="0 0 {W} 220"
  role="img"
  aria-label={t.slicesOfMmAt(plan.pieces, plan.thickness, plan.angle, block.length, block.height, block.width)}
>
  <path class="top" d="M{x0} {y0 - H} l26 -16 h{L} l-26 16z" />
  <path class="far" d="M{x0 + L} {y0} v{-H} l26 -16 v{H}z" />
  <rect class="block" x={x0} y={y0 - H} width={L} height={H} />
  <path class="good" d={slab} />
  {#each cuts as index (index)}
    <line class="cut" x1={x0 + index * step} y1={y0} x2={x0 + index * step + lean} y2={y0 - H} />
  {/each}
  <path class="board" d="M0 {y0} H{W - 170}" />
  <text x={x0} y={y0 + 20}>{t.mmAlongTheBoard(Math.round(block.length), plan.angle)}</text>
  <g transform="translate({W - 160} {y0 - plan.face * faceScale})">
    <rect class="face" width={block.width * faceScale} height={plan.face * faceScale} rx="5" />
    <path
      class="grain"
      d="M6 {plan.face * faceScale * 0.3} q{block.width * faceScale * 0.4} 10 {block.width * faceScale -
        12} 0 M6 {plan.face * faceScale * 0.65} q{block.width * faceScale * 0.4} 10 {block.width * faceScale - 12} 0"
    />
    <text x="0" y={plan.face * faceScale + 20}>{t.faceMm(Math.round(block.width), Math.round(plan.face))}</text>
  </g>
</svg>

<style>
  svg {
    width: 100%;
    height: auto;
  }
  text {
    font-size: calc(14px * var(--drawn, 1));
    fill: var(--soft);
  }
  .block,
  .top,
  .far {
    fill: var(--sunk);
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-linejoin: round;
  }
  .good {
    fill: #efc9b4;
    stroke: none;
  }
  .cut {
    stroke: #132334;
    stroke-width: 1.4;
  }
  .board {
    stroke: var(--strong-line);
    stroke-width: 4;
  }
  .face {
    fill: #efc9b4;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .grain {
    fill: none;
    stroke: #fff;
    stroke-width: 2;
  }
</style>
