<script lang="ts">
  /** The block from above: how its grain runs, and the blade across it. */
  let { grain, says }: { /** Degrees off its length. */ grain: number; says: string } = $props();
  const W = 320;
  const H = 96;
  const lines = Array.from({ length: 23 }, (_, index) => -80 + index * 22);
</script>

<svg class="grain" viewBox="0 0 {W} {H}" role="img" aria-label={says}>
  <defs><clipPath id="grain-block"><rect x="10" y="10" width={W - 20} height={H - 20} rx="3" /></clipPath></defs>
  <rect class="block" x="10" y="10" width={W - 20} height={H - 20} rx="3" />
  <g clip-path="url(#grain-block)">
    <g transform="rotate({-grain} {W / 2} {H / 2})">
      {#each lines as y (y)}<path class="fibre" d="M-120 {y / 2 + 20} H{W + 120}" />{/each}
    </g>
    <g transform="rotate({-grain} {W / 2} {H / 2})"><path class="blade" d="M{W / 2} -80 V{H + 80}" /></g>
  </g>
</svg>

<style>
  .grain {
    max-width: 20rem;
    width: 100%;
  }
  .block {
    fill: var(--sunk);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .fibre {
    stroke: #b9795f;
    stroke-width: 1.6;
  }
  .blade {
    stroke: var(--ink);
    stroke-width: 3.5;
  }
</style>
