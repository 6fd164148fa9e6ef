<script lang="ts">
  import { goto } from '$app/navigation';
  import { titled } from '$lib/words/screens/common.ts';
  import { tablePage as t } from '$lib/words/screens/serve.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import DishTold from '$lib/ui/serve/DishTold.svelte';
  import ServeTabs from '$lib/ui/serve/ServeTabs.svelte';
  import { allergenWord } from '$lib/words/notices.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const table = $derived(data.table);
  const MARK = { holds: '●', may: '○', '': '' } as const;
</script>

<svelte:head><title>{titled(t.atTheTable)}</title></svelte:head>
<h1>{t.atTheTable}</h1>
<ServeTabs />
{#if table.rows.length === 0}
  <section class="sheet stack">
    <p>{t.none}</p>
    <a class="way" href="/serve/dishes">{t.toDishes}</a>
  </section>
{:else}
  <div class="top no-print">
    <Field
      name="profile"
      label={t.byTheList}
      kind="choice"
      options={data.profiles.map(({ id, name }) => ({ value: id, name }))}
      bind:value={() => table.profile.id, (id) => void goto(`?profile=${id}`, { noScroll: true, keepFocus: true })}
    />
    <Button onclick={() => print()}>{t.print}</Button>
    <a class="way" href="/serve/table/export" download="allergens.csv">{t.asACsv}</a>
  </div>
  <section class="sheet" aria-labelledby="matrix">
    <h2 id="matrix">{t.whatIsInIt(table.profile.name)}</h2>
    <p class="soft">{t.marks}</p>
    <div class="sideways">
      <Table data-matrix>
        <thead>
          <tr>
            <th>{t.dish}</th>
            {#each table.matrix.columns as name (name)}<th class="mark">{allergenWord(name)}</th>{/each}
            <th>{t.askAbout}</th>
          </tr>
        </thead>
        <tbody>
          {#each table.rows as row, at (row.id)}
            <tr data-row={row.id}>
              <th scope="row"><a class="link" href="/serve/dishes/{row.id}">{row.name}</a></th>
              {#each table.matrix.cells[at]! as cell, column (column)}
                <td class="mark" data-cell={cell}
                  ><span aria-hidden="true">{MARK[cell]}</span><span class="unseen">{t.cell[cell]}</span></td
                >
              {/each}
              <td>{row.unsaid.join(', ')}</td>
            </tr>
          {/each}
        </tbody>
      </Table>
    </div>
  </section>
  <ul class="dishes" aria-label={t.dishByDish}>
    {#each table.rows as row (row.id)}<li><DishTold {row} now={table.at} currency={data.house.currency} /></li>{/each}
  </ul>
  <p>{table.notice}</p>
{/if}
<p class="caution">{t.caution}</p>

<style>
  .top {
    display: flex;
    flex-wrap: wrap;
    gap: 0.7rem 1rem;
    align-items: end;
    margin: 0.7rem 0;
  }
  .mark {
    text-align: center;
    font-size: 0.95rem;
  }
  .dishes {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 22rem), 1fr));
    gap: 0.7rem;
    margin: 0.7rem 0;
  }
</style>
