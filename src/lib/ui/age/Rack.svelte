<script lang="ts">
  import { rack as t } from '$lib/words/screens/age.ts';
  import { dndzone, TRIGGERS, type DndEvent } from 'svelte-dnd-action';
  import { untrack } from 'svelte';
  import type { RackedPiece, RackView } from '$lib/server/views/rack.ts';
  import Silhouette from './Silhouette.svelte';
  import { lossWanted } from '$lib/core/activity/age/plan.ts';

  /** A cabinet drawn: hooks on a rail, shelves under it, a fish on each place. Dragged, or carried with the keys, it moves. */
  let {
    cabinet,
    pieces,
    chosen,
    spots,
    onmove
  }: {
    cabinet: RackView['cabinets'][number];
    pieces: readonly RackedPiece[];
    chosen: string | null;
    spots: { hooks: readonly string[]; shelves: readonly (readonly string[])[] };
    onmove: (piece: string, spot: string) => void;
  } = $props();

  type Item = { id: string };
  const all = $derived([...spots.hooks, ...spots.shelves.flat()]);
  const placed = (spot: string): Item[] => pieces.filter(({ run }) => run.spot === spot).map(({ id }) => ({ id }));
  let items = $state<Record<string, Item[]>>(
    untrack(() => Object.fromEntries([...spots.hooks, ...spots.shelves.flat()].map((spot) => [spot, placed(spot)])))
  );
  const told = $derived(`${all.join(' ')}|${pieces.map(({ id, run }) => `${id} ${run.spot}`).join(' ')}`);
  $effect(() => {
    void told;
    items = untrack(() => Object.fromEntries(all.map((spot) => [spot, placed(spot)])));
  });
  const byId = $derived(new Map(pieces.map((piece) => [piece.id, piece])));
  /** Those on no place of the drawing: the rack was made smaller, or nobody said. */
  const loose = $derived(pieces.filter(({ run }) => !all.includes(run.spot)));

  const see = (spot: string) => (event: CustomEvent<DndEvent<Item>>) => {
    items[spot] = event.detail.items;
  };
  const drop = (spot: string) => (event: CustomEvent<DndEvent<Item>>) => {
    items[spot] = event.detail.items;
    const { trigger, id } = event.detail.info;
    if (trigger === TRIGGERS.DROPPED_INTO_ZONE && byId.get(id)?.run.spot !== spot) onmove(id, spot);
  };
</script>

{#snippet place(spot: string, hung: boolean)}
  <div
    class="spot"
    class:hung
    aria-label="{cabinet.place}, {spot}"
    data-spot={spot}
    use:dndzone={{
      items: items[spot] ?? [],
      type: `rack ${cabinet.place}`,
      flipDurationMs: 0,
      dropFromOthersDisabled: (items[spot]?.length ?? 0) > 0,
      dropTargetStyle: {},
      dropTargetClasses: ['aimed'],
      morphDisabled: true
    }}
    onconsider={see(spot)}
    onfinalize={drop(spot)}
  >
    {#each items[spot] ?? [] as item (item.id)}
      {@const piece = byId.get(item.id)}
      <div class="fish" class:chosen={item.id === chosen} data-piece={item.id} aria-label={piece?.name ?? item.id}>
        {#if piece}
          <Silhouette
            {hung}
            kind={piece.run.plan.kind}
            share={Math.min(1, Math.max(0, piece.forecast.loss.likely / lossWanted(piece.run.plan)))}
            stopped={piece.stops.length > 0}
          />
          <a href="/age?piece={item.id}" data-sveltekit-noscroll>
            <b>{piece.name}</b>
            <span>{t.day(Math.floor(piece.day) + 1)}</span>
          </a>
        {/if}
      </div>
    {/each}
    {#if (items[spot]?.length ?? 0) === 0}<span class="name">{spot}</span>{/if}
  </div>
{/snippet}

<div class="rack" data-rack={cabinet.place}>
  {#if spots.hooks.length > 0}
    <div class="rail">
      {#each spots.hooks as spot (spot)}{@render place(spot, true)}{/each}
    </div>
  {/if}
  {#each spots.shelves as shelf, index (index)}
    <div class="shelf">
      {#each shelf as spot (spot)}{@render place(spot, false)}{/each}
    </div>
  {/each}
  {#if loose.length > 0}
    <p class="soft">
      {t.onNoPlaceOf}
      {#each loose as piece, index (piece.id)}{index > 0 ? ', ' : ''}<a class="link" href="/age?piece={piece.id}"
          >{piece.name}</a
        >{/each}
    </p>
  {/if}
</div>

<style>
  .rack {
    border: 2px solid var(--ink);
    border-radius: 4px;
    background: var(--sunk);
    padding: 0.6rem;
    display: grid;
    gap: 0.6rem;
  }
  .rail,
  .shelf {
    display: grid;
    grid-auto-flow: column;
    grid-auto-columns: minmax(84px, 1fr);
    gap: 0.35rem;
    overflow-x: auto;
  }
  .rail {
    border-top: 5px solid var(--strong-line);
  }
  .shelf {
    border-bottom: 5px solid var(--strong-line);
  }
  .spot {
    position: relative;
    min-height: 96px;
    border-radius: 3px;
    border: 1px dashed transparent;
  }
  .spot.hung {
    min-height: 186px;
  }
  .spot:global(.aimed) {
    border-color: var(--water-deep);
    background: var(--water-pale);
  }
  .name {
    position: absolute;
    left: 50%;
    translate: -50% 0;
    top: 40%;
    color: var(--soft);
    font-size: 0.9rem;
  }
  .fish {
    display: grid;
    justify-items: center;
    align-content: start;
    cursor: grab;
    border-radius: 3px;
    border: 2px solid transparent;
    touch-action: manipulation;
    height: 100%;
  }
  .fish.chosen {
    border-color: var(--ink);
    background: var(--surface);
  }
  a {
    display: grid;
    justify-items: center;
    min-height: 48px;
    align-content: center;
    text-align: center;
    line-height: 1.15;
    font-size: 0.9rem;
    overflow-wrap: anywhere;
  }
  a b {
    display: -webkit-box;
    -webkit-line-clamp: 2;
    line-clamp: 2;
    -webkit-box-orient: vertical;
    overflow: hidden;
  }
  a span {
    color: var(--soft);
  }
</style>
