<script lang="ts">
  import type { GuideDrawing } from '$lib/core/inspect/sheets.ts';

  /** A drawn guide of our own: one thing to look at, at one of four levels. The words beside it say the same. */
  let { drawing, level }: { drawing: GuideDrawing; level: number } = $props();
  const worn = $derived(Math.min(3, Math.max(0, level)) / 3);
  const steps = (count: number) => Array.from({ length: count }, (_, index) => index);
  const block = 'M12 18 H60 V46 H12 Z';
</script>

<svg viewBox="0 0 72 56" aria-hidden="true">
  {#if drawing === 'eye'}
    <path class="line" d="M6 34 Q36 {34 - 40 * (1 - worn * 1.35)} 66 34" />
    <path class="line" d="M6 34 Q36 48 66 34" />
    <circle class="ink" cx="36" cy={27 + 6 * worn} r="8" fill-opacity={1 - 0.85 * worn} />
    <circle class="line" cx="36" cy={27 + 6 * worn} r="8" />
    {#if level === 0}<circle class="paper" cx="39" cy="24" r="2.2" />{/if}
  {:else if drawing === 'gill'}
    <path class="line" d="M14 10 Q40 28 14 48" />
    {#each steps(7) as row (row)}
      <path class="ember" stroke-opacity={1 - worn} d="M{20 + Math.sin(row / 2) * 6} {12 + row * 5.5} q18 -2 34 4" />
      <path
        class="soft"
        stroke-opacity={worn}
        d="M{20 + Math.sin(row / 2) * 6} {12 + row * 5.5} q18 {-2 + 5 * worn} 34 4"
      />
    {/each}
    {#if level >= 2}<path class="line thin" d="M30 22 q6 {6 * worn} 12 0 M36 36 q6 {8 * worn} 12 0" />{/if}
  {:else if drawing === 'skin'}
    {#each steps(3) as row (row)}
      {#each steps(5) as column (column)}
        <path
          class="line thin"
          stroke-opacity={1 - 0.6 * worn}
          d="M{8 + column * 12 + (row % 2) * 6} {14 + row * 13} q6 9 12 0"
        />
      {/each}
    {/each}
    {#each steps(3 - level) as shine (shine)}
      <path class="water" d="M{14 + shine * 17} 8 l-5 40" />
    {/each}
  {:else if drawing === 'spring'}
    <path class="line" d="M6 34 H22 Q36 {34 + 22 * worn} 50 34 H66" />
    <path class="line thin" d="M6 48 H66" />
    <path
      class="soft"
      d="M31 {6 + 12 * worn} V{26 + 16 * worn} M41 {6 + 12 * worn} V{26 + 16 * worn} a5 4 0 0 1 -10 0"
    />
    {#if level === 0}<path class="water" d="M54 24 V10 m-5 5 l5 -6 l5 6" />{/if}
  {:else if drawing === 'belly'}
    <path class="line" d="M6 14 Q36 8 66 14" />
    {#if level < 3}
      <path class="line" d="M6 14 Q36 {44 + 14 * worn} 66 14" />
      {#if level === 2}<path class="line thin" d="M44 36 q4 5 8 -2" />{/if}
    {:else}
      <path class="line" d="M6 14 Q16 36 28 38 M44 38 Q56 34 66 14" />
      <path class="ember" d="M28 38 l4 5 l4 -6 l4 7 l4 -6" />
    {/if}
  {:else if drawing === 'smell'}
    {#each steps(level + 1) as wave (wave)}
      <path class={level >= 2 ? 'ember' : 'water'} d="M{12 + wave * 15} 46 q-6 -9 0 -18 t0 -18" />
    {/each}
  {:else if drawing === 'colour'}
    <path class="ember-fill" fill-opacity={0.85 - 0.7 * worn} d={block} />
    <path class="line" d={block} />
    {#if level >= 2}<path class="soft" d="M18 42 L34 20 M30 44 L46 20 M42 44 L56 24" />{/if}
  {:else if drawing === 'gaping'}
    <path class="line" d={block} />
    {#each steps(level * 2) as slit (slit)}
      <path class="ember" d="M{17 + slit * 7} {24 + (slit % 2) * 6} q{2 + level} 6 0 {10 + level}" />
    {/each}
  {:else if drawing === 'drip'}
    <path class="line" d="M12 10 H60 V32 H12 Z" />
    {#each steps(level) as drop (drop)}
      <path class="water-fill" d="M{22 + drop * 14} 34 q5 8 0 11 q-5 -3 0 -11" />
    {/each}
    {#if level === 3}<path class="water" d="M8 50 H64" />{/if}
  {:else if drawing === 'tap'}
    <path class="line" d="M60 40 Q36 56 12 40" />
    <path class="line" transform="rotate({level * 11} 60 40)" d="M60 40 Q36 12 12 40" />
    {#if level === 0}<path class="water" d="M26 8 l6 8 M40 6 v9 M54 8 l-6 8" />{/if}
    {#if level === 3}<path class="ember" d="M14 14 l8 8 m0 -8 l-8 8" />{/if}
  {:else if drawing === 'shell'}
    <path class="line" d="M36 50 L8 24 Q36 -4 64 24 Z" />
    <path class="line thin" d="M36 50 L22 16 M36 50 L36 11 M36 50 L50 16" />
    {#each steps(level) as crack (crack)}
      <path class="ember" d="M{18 + crack * 14} {14 + (crack % 2) * 3} l4 7 l-5 5 l4 7" />
    {/each}
  {:else if drawing === 'legs'}
    <path class="line" d="M8 24 Q36 8 64 24 Q36 32 8 24" />
    {#each steps(5) as leg (leg)}
      <path class="line thin" d="M{18 + leg * 9} 27 q{4 - 5 * worn} 6 {6 - 8 * worn} {9 + 9 * worn}" />
    {/each}
    {#if level === 0}<path class="water" d="M58 6 q6 4 4 10 M50 4 q4 2 4 6" />{/if}
  {:else if drawing === 'head'}
    <path class="line" d="M30 14 Q10 16 6 30 Q14 42 30 42 Z" />
    <path class="line" d="M{32 + 5 * worn} 14 H64 M{32 + 5 * worn} 42 H64" />
    <circle class="ink" cx="13" cy="26" r="2.4" />
    <path class="ink" fill-opacity={0.85 * worn} d="M30 16 Q20 20 20 30 Q22 40 30 41 Z" />
  {:else if drawing === 'mantle'}
    <path class="ember-fill" fill-opacity={0.75 * worn} d="M8 28 Q30 6 64 14 V42 Q30 50 8 28 Z" />
    <path class="line" d="M8 28 Q30 6 64 14 V42 Q30 50 8 28 Z" />
    {#each steps(9 - level * 2) as dot (dot)}
      <circle class="ink" cx={22 + (dot % 4) * 11} cy={20 + Math.floor(dot / 4) * 8} r={1.6 + worn} />
    {/each}
  {:else if drawing === 'suckers'}
    <path class="line" d="M6 18 Q36 8 66 18" />
    {#each steps(5 - (level === 3 ? 2 : 0)) as ring (ring)}
      <circle class="line" cx={14 + ring * 11} cy={26 + 3 * worn} r={5 - 1.6 * worn} />
    {/each}
    {#if level === 0}<path class="soft" d="M6 34 H66" />{/if}
  {:else if drawing === 'worms'}
    <path class="line" d={block} />
    {#each steps([0, 1, 4, 9][level] ?? 0) as worm (worm)}
      <path class="ember" d="M{17 + (worm % 4) * 11} {24 + Math.floor(worm / 4) * 8} q3 -4 6 0 t-1 5 t-5 -1" />
    {/each}
  {:else}
    {#each steps(8) as grain (grain)}
      <circle
        class={level >= 2 && grain < level ? 'ember-fill' : 'line'}
        fill-opacity="0.7"
        cx={16 + (grain % 4) * 13}
        cy={18 + Math.floor(grain / 4) * 17}
        r={6.5 - 2 * worn + (grain % 2) * worn * 4}
      />
    {/each}
  {/if}
</svg>

<style>
  svg {
    width: 100%;
    max-width: 4.4rem;
    aspect-ratio: 72 / 56;
  }
  path,
  circle {
    fill: none;
    stroke-linecap: round;
    stroke-linejoin: round;
    stroke-width: 2;
  }
  .line {
    stroke: var(--ink);
  }
  .thin {
    stroke-width: 1.3;
  }
  .soft {
    stroke: var(--soft);
    stroke-width: 1.6;
  }
  .water {
    stroke: var(--water);
  }
  .ember {
    stroke: var(--ember-glow);
  }
  .ink {
    fill: var(--ink);
    stroke: none;
  }
  .paper {
    fill: var(--surface);
  }
  .water-fill {
    fill: var(--water);
  }
  .ember-fill {
    fill: var(--ember-glow);
  }
</style>
