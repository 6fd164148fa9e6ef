<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { taken as t } from '$lib/words/screens/break.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import LevelMark from '$lib/ui/marks/LevelMark.svelte';
  import { USE_WORDS, WASTE_WORDS } from '$lib/words/cuts.ts';
  import type { BoardView } from '$lib/server/views/board.ts';

  /** What came off so far; what was weighed in error goes back on the board. */
  let { view }: { view: BoardView } = $props();
</script>

{#snippet putBack(subject: string, name: string, value: string | number)}
  <OperationForm
    operation="put-back"
    {subject}
    seen={view.piece.lastSeq}
    submit={t.putBack}
    tone="quiet"
    also={{ piece: view.piece.id, [name]: value }}
  ></OperationForm>
{/snippet}
<section class="sheet">
  <div class="head">
    <h2>{t.whatCameOff}</h2>
    {#if view.taken.length > 0}
      <a
        class="link way"
        href="/labels?{view.taken
          .filter(({ gone }) => !gone)
          .map(({ id }) => `piece=${id}`)
          .join('&')}"
      >
        {t.labelsForThese}
      </a>
    {/if}
  </div>
  {#if view.taken.length + view.wastes.length === 0}
    <p class="soft">{t.nothingYetTheFirst}</p>
  {:else}
    <Table>
      <thead>
        <tr
          ><th>{common.piece}</th><th>{t.use}</th><th class="n">{common.weight}</th><th class="n"
            >{view.board ? t.costSoFar : t.cost}</th
          ><th></th></tr
        >
      </thead>
      <tbody>
        {#each view.taken as part (part.id)}
          <tr class:soft={part.gone !== null} data-taken={part.id}>
            <td>
              <span class="name">
                <LevelMark state={part.raw} size={22} />
                <span
                  ><a class="link" href="/piece/{part.id}">{part.name}</a><br /><span class="soft"
                    >{part.id}{part.place ? ` · ${part.place}` : ''}</span
                  ></span
                >
              </span>
            </td>
            <td>{USE_WORDS[part.use] ?? part.use}{part.grade === 'by-product' ? t.byProduct : ''}</td>
            <td class="n">{say.mass(part.grams)}</td>
            <td class="n">{part.cost?.priced ? say.money(part.cost.in, part.cost.currency) : t.notKnown}</td>
            <td>
              {#if view.board && part.onThisBoard && part.untouched}
                {@render putBack(part.id, 'child', part.id)}
              {/if}
            </td>
          </tr>
        {/each}
        {#each view.wastes as waste (waste.seq)}
          <tr data-waste={waste.what}>
            <td>{WASTE_WORDS[waste.what]}</td>
            <td class="soft">{t.waste}</td>
            <td class="n">{say.mass(waste.grams)}</td>
            <td class="n soft">{t.borneByTheParts}</td>
            <td>
              {#if view.board}
                {@render putBack(t.waste2(waste.seq), 'entry', waste.seq)}
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </Table>
  {/if}
</section>

<style>
  .head {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
  }
  td,
  th {
    padding: 0.3rem 0.5rem 0.3rem 0;
    text-align: left;
    vertical-align: middle;
  }
  td:first-child {
    overflow-wrap: anywhere;
    min-width: 11rem;
  }
  td:last-child {
    white-space: nowrap;
  }
  .n {
    text-align: right;
    white-space: nowrap;
  }
  .name {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    line-height: 1.2;
  }
</style>
