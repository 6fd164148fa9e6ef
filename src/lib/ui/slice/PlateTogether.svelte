<script lang="ts">
  import { untrack } from 'svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Field from '../controls/Field.svelte';
  import PlanField from '../plan/PlanField.svelte';
  import { PlanDraft } from '../plan/draft.svelte.ts';
  import { plateSet } from '$lib/core/activity/slice/plate.ts';
  import { layTogether, MOST_KINDS } from '$lib/core/bench/slice/together.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { Ready } from '$lib/server/facts/plate.ts';
  import { PLATE_FIELDS } from '$lib/words/plans/slice.ts';
  import * as say from '$lib/words/say.ts';
  import { plateWords, togetherPage as t } from '$lib/words/screens/slice.ts';
  import PlateDrawing from './PlateDrawing.svelte';

  /** Slices of several kinds on one plate: so many of each, in the order in which they are eaten. */
  let { ready, units }: { ready: readonly Ready[]; units: UnitPreferences } = $props();

  const size = { plate: plateSet.plate };
  const draft = untrack(() => new PlanDraft(size, { plate: PLATE_FIELDS.plate }, units));
  /** Begins with three of each of the newest kinds. */
  const counts = $state(
    untrack(() =>
      Object.fromEntries(ready.map(({ id, left }, index) => [id, index < 3 ? String(Math.min(3, left)) : '']))
    )
  );
  let isLeft = $state(false);
  const wanted = $derived(
    ready
      .map((each) => ({ each, count: Math.floor(Number(counts[each.id])) }))
      .filter(({ count }) => Number.isFinite(count) && count > 0)
  );
  const isOver = $derived(wanted.find(({ each, count }) => count > each.left));
  const read = $derived(draft.read());
  const laid = $derived.by(() => {
    if (typeof read === 'string') return read;
    if (wanted.length === 0) return t.saySome;
    if (wanted.length > MOST_KINDS) return t.tooManyKinds(MOST_KINDS);
    if (isOver) return t.onlySoMany(isOver.each.name, isOver.each.left);
    const plate = read.plate.si;
    return draft.attempt(() =>
      layTogether(
        wanted.map(({ each, count }) => ({ ...each, slices: each.slices.slice(0, count) })),
        { plate, left: isLeft }
      )
    );
  });
  const LETTERS = 'ABCD';
  const rows = $derived(typeof laid === 'string' ? [] : laid.kinds.map((kind) => ({ ...kind, ...wanted[kind.kind]! })));
</script>

<div class="halves bench">
  <section class="sheet stack">
    <h2>{t.howMany}</h2>
    {#each ready as { id, name, left } (id)}
      <Field name="count-{id}" label={name} hint={t.thereAre(left)} kind="number" optional bind:value={counts[id]} />
    {/each}
    <PlanField {draft} name="plate" />
    <label class="ticked"><input type="checkbox" bind:checked={isLeft} /> {t.leftHanded}</label>
  </section>
  <section class="sheet stack" data-together={typeof laid === 'string' ? 'no' : laid.fits ? 'yes' : 'over'}>
    <h2>{t.thePlate}</h2>
    {#if typeof laid === 'string'}
      <p role="status">{laid}</p>
    {:else}
      {#if !laid.fits}
        <p class="trouble" role="alert">{t.doNotFit}</p>
        {#each rows.filter(({ placed, count }) => placed.length < count) as { each, placed } (each.id)}
          <Button onclick={() => (counts[each.id] = placed.length === 0 ? '' : String(placed.length))}>
            {placed.length === 0 ? t.without(each.name) : t.only(placed.length, each.name)}
          </Button>
        {/each}
      {/if}
      <div class="plate">
        <PlateDrawing
          groups={rows.map(({ placed }, index) => ({ letter: LETTERS[index]!, placed }))}
          across={typeof read === 'string' ? 240 : read.plate.si}
          called={rows.map(({ each }) => each.name).join(', ')}
        />
      </div>
      <Table>
        <thead>
          <tr
            >{#each t.head as head (head)}<th>{head}</th>{/each}</tr
          >
        </thead>
        <tbody>
          {#each rows as { each, placed, grams }, index (each.id)}
            <tr data-kind={each.id}>
              <td><b>{LETTERS[index]}</b> {each.name}</td>
              <td>{placed.length}</td>
              <td>{say.mass(grams)}</td>
            </tr>
          {/each}
        </tbody>
      </Table>
      <p>{t.inAll(say.mass(laid.grams))}</p>
    {/if}
    <p class="soft">{plateWords.order}</p>
  </section>
</div>

<style>
  .plate {
    max-width: 26rem;
  }
</style>
