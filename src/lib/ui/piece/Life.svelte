<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { life as t } from '$lib/words/screens/piece.ts';
  import { kindWords } from '$lib/words/kinds.ts';
  import { taskWords } from '$lib/words/tasks.ts';
  import { ROUTE_WORDS } from '$lib/words/findings.ts';
  import type { Route } from '$lib/core/codes/window.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { clustered, FINGER, lifeFrame } from '$lib/ui/charts/life.ts';
  import { water } from '$lib/ui/charts/tide.ts';
  import { wallTicks } from '$lib/ui/charts/wall-ticks.ts';
  import RowDeed from '$lib/ui/now/RowDeed.svelte';
  import { deedOf } from '$lib/ui/now/deeds.ts';

  /** The life of a piece: where it lay and how warm, what was done, its window as water behind, now, and what comes next. */
  let { view, route, now, warnSeconds }: { view: PieceView; route: Route; now: number; warnSeconds: number } = $props();
  let width = $state(900);
  const HEIGHT = 176;
  const FLOOR = 74;
  const STEPS_AT = 80;
  const LINE_AT = 112;
  const window = $derived(view.verdict.windows.find((each) => each.route === route)!);
  const gone = $derived(view.piece.gone?.stamp.at ?? null);
  const until = $derived(window.never || window.missing ? null : window.closes);
  const of = $derived(
    lifeFrame(
      view.history.map(({ happened }) => happened),
      now,
      gone,
      until,
      width
    )
  );
  const ticks = $derived(wallTicks([of.from, of.to], width < 700 ? 5 : 9, say.wallInput).at);
  const clusters = $derived(clustered(view.history, of));
  const stays = $derived(
    view.clocks.where
      .filter(({ from }) => from < of.to)
      .map(({ place, from, to, log }) => ({
        place,
        x: of.x(from),
        wide: Math.max(2, of.x(to ?? gone ?? now) - of.x(from)),
        degrees: log ? say.temperature(log.mean) : '',
        // Air of a freezer, of the cold, or neither; nobody's word is none of them.
        look: log === null ? 'unread' : log.mean <= -12 ? 'frozen' : log.mean <= 5 ? 'cold' : 'warm'
      }))
  );
  const end = $derived(gone ?? now);
  const pieceLink = $derived({ id: view.piece.id, seq: view.piece.lastSeq });
  const fits = (words: string, wide: number) => words.length * 7.4 + 8 < wide;
</script>

<section class="life" aria-labelledby="life">
  <h2 id="life" class="unseen">{t.itsLife}</h2>
  <div class="drawing" bind:clientWidth={width}>
    <svg
      {width}
      height={HEIGHT}
      viewBox="0 0 {width} {HEIGHT}"
      role="group"
      aria-label={t.fromDoorToPlate(ROUTE_WORDS[route])}
    >
      <path class="water" d={water(window, view.piece.made.at, { ...of, invert: () => 0 }, 8, FLOOR, warnSeconds)} />
      {#each ticks as at (at)}
        <line class="tick" x1={of.x(at)} x2={of.x(at)} y1="4" y2={HEIGHT - 20} />
        <text class="axis" x={of.x(at)} y={HEIGHT - 5} text-anchor="middle"
          >{say.wallInput(at).endsWith('T00:00') ? say.shortDay(at) : say.clockTime(at)}</text
        >
      {/each}
      {#each view.steps as step (step.kind + step.from)}
        {@const x = of.x(step.from)}
        {@const wide = Math.max(6, of.x(step.to ?? end) - x)}
        <rect class="step" {x} y={STEPS_AT} width={wide} height="20"><title>{step.label}</title></rect>
        {#if fits(step.label, wide)}<text class="label" x={x + 5} y={STEPS_AT + 15}>{step.label}</text>{/if}
      {/each}
      <line class="thread" x1={of.x(of.from)} x2={of.x(end)} y1={LINE_AT} y2={LINE_AT} />
      {#each stays as stay (stay.x + stay.place)}
        <rect class="stay {stay.look}" x={stay.x} y={LINE_AT - 7} width={stay.wide} height="14">
          <title>{stay.place} {stay.degrees || t.nobodyRead}</title>
        </rect>
        {#if fits(`${stay.place} ${stay.degrees}`, stay.wide)}
          <text class="label" x={stay.x + 4} y={LINE_AT + 32}>{stay.place} {stay.degrees}</text>
        {:else if fits(stay.place, stay.wide)}
          <text class="label" x={stay.x + 4} y={LINE_AT + 32}>{stay.place}</text>
        {/if}
      {/each}
      {#each clusters as { x, moments } (moments[0]!.seq)}
        {@const first = moments[0]!}
        <a
          href="/ledger?seq={moments.at(-1)!.seq}#e{first.seq}"
          aria-label={t.moment(kindWords(first.kind), say.dayAndTime(first.happened), moments.length - 1)}
          data-moment={moments.length}
        >
          <rect class="hit" x={x - FINGER / 2} y={LINE_AT - 22} width={FINGER} height="44" />
          <circle cx={x} cy={LINE_AT} r={moments.length > 1 ? 11 : 7} />
          {#if moments.length > 1}<text class="count" {x} y={LINE_AT + 5} text-anchor="middle">{moments.length}</text
            >{/if}
          <title
            >{moments.map(({ kind, happened }) => `${say.dayAndTime(happened)} ${kindWords(kind)}`).join('\n')}</title
          >
        </a>
      {/each}
      {#if gone === null}
        <line class="now" x1={of.x(now)} x2={of.x(now)} y1="0" y2={HEIGHT - 20} />
        <text class="now-word" x={of.x(now) - 5} y="14" text-anchor="end">{t.now}</text>
      {/if}
    </svg>
  </div>
  {#if view.next.length > 0}
    <ul class="next">
      {#each view.next.slice(0, 3) as task (task.code)}
        <li data-next={task.code}>
          <p>
            <b>{taskWords(task)}</b> <span class="soft">{task.danger === 'paper' ? '' : say.until(task.at, now)}</span>
          </p>
          <RowDeed deed={deedOf(task, now)} piece={pieceLink} subject={task.code} />
        </li>
      {/each}
    </ul>
  {/if}
</section>

<style>
  .life {
    margin: 0.5rem 0 0.8rem;
  }
  .drawing {
    overflow: hidden;
  }
  svg {
    display: block;
  }
  .water {
    fill: var(--water-pale);
    stroke: var(--water);
  }
  .tick {
    stroke: var(--line);
  }
  .axis {
    font-size: 14px;
    fill: var(--soft);
  }
  .step {
    fill: var(--surface);
    stroke: var(--ink);
  }
  .label {
    font-size: 14px;
    fill: var(--ink);
  }
  .thread {
    stroke: var(--strong-line);
    stroke-width: 3;
    stroke-dasharray: 4 4;
  }
  .stay {
    stroke: var(--ink);
  }
  .cold {
    fill: var(--water);
  }
  .frozen {
    fill: var(--water-deep);
  }
  .warm {
    fill: var(--ember-glow);
  }
  .unread {
    fill: var(--sunk);
    stroke-dasharray: 4 3;
  }
  .hit {
    fill: transparent;
  }
  circle {
    fill: var(--surface);
    stroke: var(--ink);
    stroke-width: 2;
  }
  a:focus-visible circle,
  a:hover circle {
    fill: var(--ember-wash);
    stroke: var(--ember);
  }
  .count {
    font-size: 14px;
    font-weight: 650;
    fill: var(--ink);
  }
  .now {
    stroke: var(--ember-glow);
    stroke-width: 2;
  }
  .now-word {
    font-size: 14px;
    font-weight: 650;
    fill: var(--ember);
  }
  .next {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    margin-top: 0.4rem;
  }
  .next li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem 0.9rem;
    flex: 1 1 20rem;
    padding: 0.3rem 0.8rem;
    background: var(--surface);
    border: 1px solid var(--line);
    border-left: 5px solid var(--ember-glow);
    border-radius: 3px;
  }
  .next p {
    flex: 1 1 12rem;
  }
</style>
