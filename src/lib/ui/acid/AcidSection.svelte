<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { acidSection as t } from '$lib/words/screens/acid.ts';
  import Slide from '$lib/ui/kit/Slide.svelte';
  import { lookAt, type AcidResult } from '$lib/core/bench/acid/plan.ts';
  import { LOOK_WORDS } from '$lib/words/acid.ts';
  import { paintSection, rawFromTouch, sectionSize } from './section.ts';

  /** One piece cut open: the rim growing inwards, scrubbed through time. Touched, it tells how wide the raw middle was. */
  let {
    result,
    faces,
    seconds,
    until,
    name = 'A piece cut open',
    onscrub,
    ontouch
  }: {
    result: AcidResult;
    faces: 1 | 2;
    seconds: number;
    /** Right end of the time slider, s. */
    until: number;
    name?: string;
    onscrub?: (seconds: number) => void;
    ontouch?: (rawMm: number) => void;
  } = $props();

  const MOST_WIDE = 330;
  const MOST_HIGH = 190;
  let canvas = $state<HTMLCanvasElement>();
  const size = $derived(sectionSize(result, faces));
  const scale = $derived(Math.min(MOST_WIDE / size.width, MOST_HIGH / size.height));
  const wide = $derived(Math.round(size.width * scale));
  const high = $derived(Math.round(size.height * scale));
  const look = $derived(lookAt(result, seconds));
  let image: ImageData | null = null;
  $effect(() => {
    const context = canvas?.getContext('2d');
    if (!context) return;
    const [width, height] = [Math.round(wide / 2), Math.round(high / 2)];
    if (image?.width !== width || image.height !== height) image = context.createImageData(width, height);
    paintSection(image.data, width, height, result, look.rim, seconds, faces);
    context.putImageData(image, 0, 0);
  });
  const said = $derived(
    t.afterRimOfIt(say.span(seconds), say.length(look.rimMm), Math.round(look.raw * 100), LOOK_WORDS[look.look])
  );
  function touch(event: PointerEvent & { currentTarget: HTMLElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    ontouch?.(rawFromTouch(result, faces, (event.clientX - box.x) / box.width, (event.clientY - box.y) / box.height));
  }
</script>

<figure>
  <div class="cut" role="img" aria-label="{name}. {said}." style:width="{wide}px" style:height="{high}px">
    <canvas
      bind:this={canvas}
      width={Math.round(wide / 2)}
      height={Math.round(high / 2)}
      aria-hidden="true"
      onpointerdown={ontouch ? touch : undefined}
      class:touch={ontouch}
    ></canvas>
  </div>
  {#if faces === 1}<span class="skin" style:width="{wide}px"></span>{/if}
  <p class="soft scale">
    <span class="bar" style:width="{Math.round(5 * scale)}px"></span> 5 mm
  </p>
  <figcaption>
    {#if onscrub}
      <label>
        <span class="unseen">{t.timeInAcid}</span>
        <Slide
          min="0"
          max="1000"
          value={Math.round(Math.sqrt(Math.min(1, seconds / until)) * 1000)}
          aria-valuetext={said}
          onslide={(at) => onscrub((at / 1000) ** 2 * until)}
        />
      </label>
    {/if}
    <span data-look={look.look}>{said}.</span>
  </figcaption>
</figure>

<style>
  figure {
    contain: layout;
  }
  .cut {
    border: 2px solid var(--ink);
    border-radius: 4px;
    overflow: hidden;
    max-width: 100%;
  }
  canvas {
    display: block;
    width: 100%;
    height: 100%;
  }
  .touch {
    cursor: crosshair;
    touch-action: none;
  }
  .skin {
    display: block;
    height: 6px;
    background: var(--ink);
    max-width: 100%;
  }
  .scale {
    display: flex;
    align-items: center;
    gap: 0.4rem;
    font-size: 0.9rem;
    margin-top: 0.3rem;
  }
  .bar {
    height: 3px;
    background: var(--soft);
  }
</style>
