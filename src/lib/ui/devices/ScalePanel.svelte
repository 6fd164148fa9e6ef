<script lang="ts">
  import { keyReader } from '$lib/ui/keys.ts';
  import * as say from '$lib/words/say.ts';
  import { scalePanel as t } from '$lib/words/screens/controls.ts';
  import Line from '$lib/ui/kit/Line.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import { browser } from '$app/environment';
  import { liftStep, PAN_HABITS, PAN_UNKNOWN, panStep, type PanState } from '$lib/core/device/pan.ts';
  import { SCALE_BY_ITSELF } from './habit.ts';
  import { onMount } from 'svelte';

  /**
   * What the scale shows, live. One key takes a weight that is at rest; by itself it takes what settles, part after part, and no hand
   * touches the glass. Typing works with or without it.
   */
  let {
    onTake,
    playable,
    usual = null,
    onLift = null,
    onByItself
  }: {
    onTake: ((grams: number) => void) | null;
    playable: boolean;
    /** What such a part weighs, g: anything else is shown and not taken by itself. */
    usual?: { readonly low: number; readonly high: number } | null;
    /** Takes what each slice lifted from a heap on the pan weighed, instead of what lies there. */
    onLift?: ((grams: number) => void) | null;
    /** It is read by itself from now on. */
    onByItself?: () => void;
  } = $props();
  interface Shown {
    status: 'none' | 'lost' | 'weight' | 'over' | 'under' | 'asking';
    grams: number;
    tare: number;
    stable: boolean;
    name: string;
    interval: number;
  }
  let shown = $state<Shown>({ status: 'asking', grams: 0, tare: 0, stable: false, name: '', interval: 1 });
  let put = $state('');
  let said = $state('');
  /** What was taken last, while it still lies on the pan: it is not weighed twice. */
  let taken = $state<number | null>(null);
  const takeable = $derived(taken === null && shown.status === 'weight' && shown.stable && shown.grams > 0);

  /** This tablet's own habit: a scale at its side is read by itself. */
  let byItself = $state(browser && localStorage.getItem(SCALE_BY_ITSELF) === 'on');
  function setByItself(isOn: boolean) {
    byItself = isOn;
    localStorage.setItem(SCALE_BY_ITSELF, isOn ? 'on' : 'off');
    pan = PAN_UNKNOWN;
    if (isOn) onByItself?.();
    watch();
  }
  let pan = $state.raw<PanState>(PAN_UNKNOWN);
  let settling: ReturnType<typeof setTimeout> | undefined;
  /** Reads the pan as it is now, and once more when what lies there would have settled: a scale at rest says nothing. */
  function watch() {
    clearTimeout(settling);
    if ((!byItself && !onLift) || shown.status !== 'weight') return;
    const habits = { ...PAN_HABITS, interval: shown.interval };
    const reading = { grams: shown.grams, stable: shown.stable, at: performance.now() };
    settling = setTimeout(watch, habits.settleMs + 20);
    if (onLift) {
      const { state, lifted } = liftStep(pan, reading, habits);
      pan = state;
      if (lifted !== null) onLift(lifted);
      return;
    }
    const { state, weighed } = panStep(pan, reading, habits);
    pan = state;
    if (weighed === null || !onTake) return;
    if (usual && (weighed < usual.low / ODD_FACTOR || weighed > usual.high * ODD_FACTOR)) {
      said = t.oddForIt(say.mass(weighed));
    } else take();
  }
  /** So many times less or more than such parts weigh is asked about. */
  const ODD_FACTOR = 2;

  onMount(() => {
    const source = new EventSource('/api/v1/devices/scale');
    source.addEventListener('scale', (event) => {
      shown = JSON.parse((event as MessageEvent<string>).data) as Shown;
      watch();
      if (taken !== null && hasChanged(taken)) {
        if (said === t.wasTaken(say.mass(taken))) said = '';
        taken = null;
      }
    });
    source.addEventListener('error', () => (shown = { ...shown, status: 'lost', stable: false }));
    if (byItself) onByItself?.();
    return () => {
      clearTimeout(settling);
      source.close();
    };
  });

  /** Less or more lies on it than was taken: by more than it flickers. A scale that is gone says nothing of its pan. */
  const hasChanged = (grams: number) =>
    ['over', 'under'].includes(shown.status) ||
    (shown.status === 'weight' && Math.abs(shown.grams - grams) >= 2 * shown.interval);

  function take() {
    if (takeable && onTake) {
      taken = shown.grams;
      said = t.wasTaken(say.mass(shown.grams));
      onTake(shown.grams);
    } else if (!shown.stable) said = t.notAtRestYet;
    else said = taken !== null ? t.wasTaken(say.mass(taken)) : t.nothingOnItTo;
  }
  // A weight field holds figures: the key means the scale there too. What a scanner types is no key.
  const keys = keyReader((key) => key === 'w' && onTake !== null, take, null, {
    fields: 'input:not([inputmode="decimal"]), textarea, [contenteditable]'
  });
  async function tell(body: object) {
    said = '';
    const answer = await fetch('/api/v1/devices/scale', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body)
    }).catch(() => null);
    if (!answer?.ok) said = t.theScaleDidNot;
  }
  const words: Record<Shown['status'], string> = {
    asking: t.lookingForTheScale,
    none: t.noScaleIsSet,
    lost: t.theScaleDoesNot,
    weight: '',
    over: t.tooMuchOnThe,
    under: t.belowZeroSetIt
  };
</script>

<svelte:window onkeydown={keys} />
<div class="scale" data-scale={shown.status} data-stable={shown.stable} data-pan={pan.taken ?? ''}>
  {#if shown.status === 'weight'}
    <p class="figure" class:moving={!shown.stable}>
      {say.mass(shown.grams)}
      <small>{shown.stable ? t.atRest : t.moving}{shown.tare > 0 ? t.tare2(say.mass(shown.tare)) : ''}</small>
    </p>
  {:else}
    <p class="soft" role="status">{words[shown.status]}</p>
  {/if}
  {#if shown.status !== 'none' && shown.status !== 'asking'}
    <div class="row">
      {#if onTake}
        <Button disabled={!takeable} onclick={take} aria-keyshortcuts="w">
          {t.takeThisWeight} <kbd>w</kbd>
        </Button>
      {/if}
      {#if (onTake || onByItself) && !onLift}
        <Button aria-pressed={byItself} onclick={() => setByItself(!byItself)}>{t.byItself}</Button>
      {/if}
      <Button onclick={() => tell({ command: 'TARE' })} disabled={shown.status !== 'weight'}>{t.tare}</Button>
      <Button onclick={() => tell({ command: 'ZERO' })} disabled={shown.status === 'lost'}>{t.zero}</Button>
    </div>
    {#if playable && shown.name === 'simulated'}
      <form
        class="row play"
        onsubmit={(event) => {
          event.preventDefault();
          void tell({ put: Number(put) });
        }}
      >
        <label>{t.onTheSimulatedPan} <Line class="w-24" inputmode="numeric" bind:value={put} name="_pan" /></label>
        <Button type="submit">{t.put}</Button>
      </form>
    {/if}
  {/if}
  <p class="soft" role="status">{said}</p>
</div>

<style>
  .scale {
    border: 1px solid var(--line);
    border-left: 4px solid var(--water-deep);
    padding: 0.5rem 0.8rem;
    border-radius: 3px;
    background: var(--sunk);
  }
  .moving {
    color: var(--soft);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    align-items: center;
    margin-top: 0.4rem;
  }
  kbd {
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    padding: 0 0.35rem;
  }
  .play label {
    font-size: 0.9rem;
    color: var(--soft);
  }
  p:empty {
    display: none;
  }
</style>
