<script lang="ts">
  import OperationForm from '../controls/OperationForm.svelte';
  import type { TrayOut } from '$lib/server/facts/trays.ts';
  import * as say from '$lib/words/say.ts';
  import { passPage as t } from '$lib/words/screens/serve.ts';

  /** A tray as a ring that runs down; when it has, it goes into the bin at one held touch. */
  let { tray, now, warnMs }: { tray: TrayOut; now: number; warnMs: number } = $props();
  const RADIUS = 34;
  const ROUND = 2 * Math.PI * RADIUS;
  const left = $derived(Math.max(0, tray.discardAt - now));
  const share = $derived(Math.min(1, left / Math.max(1, tray.discardAt - tray.at)));
  const isGone = $derived(left === 0);
  const [first] = $derived(tray.pieces);
</script>

<article class="tray" class:soon={left < warnMs} class:gone={isGone} data-tray={tray.label}>
  <svg viewBox="0 0 80 80" width="80" height="80" aria-hidden="true">
    <circle class="track" cx="40" cy="40" r={RADIUS} />
    <circle
      class="runs"
      cx="40"
      cy="40"
      r={RADIUS}
      stroke-dasharray="{share * ROUND} {ROUND}"
      transform="rotate(-90 40 40)"
    />
    <text x="40" y="46" text-anchor="middle">{isGone ? '0' : Math.ceil(left / 60_000)}</text>
  </svg>
  <div class="stack">
    <p><b>{tray.label}</b> · {isGone ? t.trayOver : t.binAt(say.clockTime(tray.discardAt))}</p>
    <p class="soft">
      {tray.pieces
        .map(({ name, grams, count }) => (count === null ? `${name}, ${say.mass(grams)}` : t.counted(name, count)))
        .join(' · ')}
    </p>
    {#if first}
      <OperationForm
        operation="discard-piece"
        subject={`tray ${tray.label}`}
        submit={t.binTray}
        held
        tone={isGone ? 'ember' : 'quiet'}
        also={{
          piece: first.id,
          others: tray.pieces
            .slice(1)
            .map(({ id }) => id)
            .join(),
          all: true,
          reason: isGone ? t.timeIsUpReason : t.endedReason
        }}
      />
    {/if}
  </div>
</article>

<style>
  .tray {
    display: flex;
    gap: 0.8rem;
    align-items: center;
    padding: 0.6rem 0.8rem;
    background: var(--surface);
    border: 1px solid var(--line);
    height: 100%;
  }
  svg {
    flex: none;
  }
  circle {
    fill: none;
    stroke-width: 9;
  }
  .track {
    stroke: var(--sunk);
  }
  .runs {
    stroke: var(--water);
  }
  .soon .runs {
    stroke: var(--ember-glow);
  }
  .gone {
    background: var(--ember-wash);
  }
  text {
    font-size: 20px;
    font-weight: 600;
    fill: var(--ink);
  }
</style>
