<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { serveDishesOnePage as t } from '$lib/words/screens/serve.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import PageChanges from '$lib/ui/book/PageChanges.svelte';
  import PageSheet from '$lib/ui/book/PageSheet.svelte';
  import PageSide from '$lib/ui/book/PageSide.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import DishForm from '$lib/ui/serve/DishForm.svelte';
  import ServeTabs from '$lib/ui/serve/ServeTabs.svelte';
  import { TOLD_WORDS, toldLine } from '$lib/words/notices.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const dish = $derived(data.dish);
  const scaled = $derived(data.scaled);
  const ROOMS = { recipe: '/cure/recipes', sauce: '/acid/sauces', dish: '/serve/dishes' } as const;
  function portions(text: string) {
    if (!(Number(text) >= 1)) return;
    const asked = new URLSearchParams(page.url.searchParams);
    asked.set('portions', text.trim());
    void goto(`?${asked}`, { replaceState: true, noScroll: true, keepFocus: true });
  }
</script>

<PageSheet page={dish} version={scaled.version} kind="Dish" goodFor={scaled.body.goodFor} caution={t.whatADishHolds}>
  {#snippet tabs()}<ServeTabs />{/snippet}
  <h2>{t.forText(scaled.portions, scaled.portions === 1 ? 'portion' : 'portions')}</h2>
  <Table data-dish-lines>
    <thead><tr><th>{common.what}</th><th>{t.onOne}</th><th>{common.weigh}</th></tr></thead>
    <tbody>
      {#each scaled.lines as line, index (index)}
        <tr>
          <td>
            {#if line.page === ''}{line.what}{:else}<a
                class="link"
                href="{ROOMS[line.kind as keyof typeof ROOMS]}/{line.page}">{line.what}</a
              >{/if}
            {#if line.kind === 'fish'}<span class="soft">{t.fish}</span>{/if}
            {#if line.kind === 'garnish'}<span class="soft">{t.garnish}</span>{/if}
            {#if line.kind === 'rice'}<span class="soft">{t.rice}</span>{/if}
          </td>
          <td>{say.weighed(line.each)}</td>
          <td><b>{say.weighed(line.weighed)}</b></td>
        </tr>
      {/each}
    </tbody>
  </Table>
  <p class="soft">{t.roundedToGWhich(scaled.interval)}</p>
  <p class="told" data-told>{t.andTheFish(TOLD_WORDS.tell, toldLine(data.told))}</p>
  <PageChanges changes={scaled.changes} per={t.tenPortions} />
  {#if scaled.body.steps.length > 0}
    <ol>
      {#each scaled.body.steps as step (step)}<li>{step}</li>{/each}
    </ol>
  {/if}
  <p class="no-print">
    <a class="link way" href="/serve/dishes/export?id={dish.id}" download="{dish.id}.json">{common.asAFile}</a>
  </p>
  {#snippet side()}
    <section class="sheet">
      <h2>{t.scaledTo}</h2>
      <Field
        name="portions"
        label={t.portions}
        kind="number"
        bind:value={() => String(scaled.portions), (text) => portions(text)}
      />
    </section>
    <PageSide shape="dish" page={dish} people={data.people} />
  {/snippet}
  {#snippet next()}
    {#key `${dish.id} ${scaled.version} ${dish.version}`}
      <Fold class="sheet" title={t.writeTheNextVersion(scaled.version)}>
        <DishForm id={dish.id} dish={scaled.body} />
      </Fold>
    {/key}
  {/snippet}
</PageSheet>
