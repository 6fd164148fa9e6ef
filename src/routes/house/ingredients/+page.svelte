<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common, titled } from '$lib/words/screens/common.ts';
  import { houseIngredientsPage as t } from '$lib/words/screens/house.ts';
  import Line from '$lib/ui/kit/Line.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { TELLS } from '$lib/core/ingredients/ingredient.ts';
  import { TELL_WORDS } from '$lib/words/plates.ts';
  import { ALLERGENS } from '$lib/core/codes/allergens.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import Ticks from '$lib/ui/controls/Ticks.svelte';
  import { allergenWord, INGREDIENT_PAGE_WORDS as SAY, toldLine, toldWords } from '$lib/words/notices.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  let filter = $state('');
  const chosen = $derived(data.chosen);
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name ?? 'forgotten'])));
  const shown = $derived(
    data.rows.filter(({ name, alsoCalled }) =>
      [name, ...alsoCalled].some((each) => each.toLowerCase().includes(filter.trim().toLowerCase()))
    )
  );
  const tells = TELLS.map((value) => ({ value, name: TELL_WORDS[value] }));
  const allergens = ALLERGENS.map((value) => ({ value, name: allergenWord(value) }));
  const heldLine = (row: { holds: readonly string[]; mayHold: readonly string[] }) => {
    const { holds, mayHold } = toldWords({ ...row, unsaid: [] });
    return [holds, mayHold].filter((each) => each !== '').join(' · ') || SAY.holdsNothing;
  };
</script>

<svelte:head><title>{titled(t.ingredients)}</title></svelte:head>
<p><a class="link way" href="/house">{common.house}</a></p>
<h1>{SAY.title(data.rows.length)}</h1>
<p class="soft">{SAY.lead}</p>
<div class="halves">
  <section class="sheet">
    <div class="title">
      <Line aria-label={SAY.narrow} placeholder={SAY.narrow} bind:value={filter} />
      <a class="link" href="/house/ingredients?add">{SAY.add}</a>
    </div>
    <ul data-ingredients={data.rows.length}>
      {#each shown as row (row.id)}
        <li>
          <a class="row" class:on={row.id === chosen?.id} href="?id={row.id}" data-sveltekit-noscroll>
            <b>{row.name}</b>
            {#if row.instead}<span class="out" data-out={row.id}>{SAY.outOf(row.instead.name)}</span>{/if}
            <span class="soft">{heldLine(row)}{row.own ? ` · ${SAY.own}` : ''}</span>
          </a>
        </li>
      {:else}<li class="soft">{SAY.none}</li>{/each}
    </ul>
  </section>
  <div class="stack">
    {#if chosen}
      <section class="sheet" data-ingredient={chosen.id}>
        <h2>{chosen.name}</h2>
        <p class="told">{heldLine(chosen)}</p>
        {#if chosen.lately.length > 0}<p>{SAY.lately(chosen.lately)}</p>{/if}
        {#if chosen.note}<p class="soft">{chosen.note}</p>{/if}
        {#if chosen.alsoCalled.length > 0}<p class="soft">{SAY.alsoCalled} {chosen.alsoCalled.join(', ')}</p>{/if}
        {#if chosen.instead}
          <p data-out>
            <b>{SAY.outOf(chosen.instead.name)}</b>
            <span class="soft"
              >{names[chosen.instead.by] ?? chosen.instead.by}, {say.dayAndTime(chosen.instead.since)}{chosen.instead
                .reason
                ? `: ${chosen.instead.reason}`
                : ''}</span
            >
          </p>
          <OperationForm operation="ingredient-back" subject={chosen.id} submit={SAY.back} also={{ id: chosen.id }}
          ></OperationForm>
        {:else}
          <OperationForm
            operation="use-instead"
            subject={chosen.id}
            submit={SAY.swap}
            tone="ember"
            also={{ id: chosen.id }}
          >
            <Field
              name="instead"
              label={SAY.instead}
              kind="choice"
              options={[
                { value: '', name: SAY.leaveOut },
                ...data.rows.filter(({ id }) => id !== chosen.id).map(({ id, name }) => ({ value: id, name }))
              ]}
            />
            <Field name="reason" label={SAY.why} optional />
          </OperationForm>
        {/if}
        <h3>{SAY.madeWith(data.madeWith.length)}</h3>
        <ul>
          {#each data.madeWith as made (made.path)}
            <li>
              <a class="row" href={made.path}><b>{made.name}</b><span class="soft">{toldLine(made.told)}</span></a>
            </li>
          {:else}<li class="soft">{SAY.madeWithNothing}</li>{/each}
        </ul>
        {#if chosen.own}
          <OperationForm
            operation="withdraw-ingredient"
            subject={chosen.id}
            submit={SAY.withdraw}
            tone="quiet"
            also={{ id: chosen.id }}
          ></OperationForm>
        {/if}
      </section>
    {/if}
    {#if chosen || data.adding}
      {#key chosen?.id}
        <Fold class="sheet" open={data.adding} title={chosen ? SAY.more : SAY.add}>
          <OperationForm
            operation="set-ingredient"
            subject={chosen?.id ?? ''}
            submit={SAY.keep}
            also={{ id: chosen?.id ?? '' }}
          >
            <Field name="name" label={SAY.name} start={chosen?.name ?? ''} />
            <Field name="alsoCalled" label={SAY.alsoCalled} optional start={chosen?.alsoCalled.join(', ') ?? ''} />
            {#each [{ name: 'holds', label: SAY.holds }, { name: 'mayHold', label: SAY.mayHold }] as const as { name, label } (name)}
              <Ticks {name} legend={label} options={allergens} chosen={chosen?.[name]} />
            {/each}
            <Field name="raw" label={SAY.raw} kind="tick" start={chosen?.raw ? 'on' : ''} />
            <Ticks name="tell" legend={SAY.tell} options={tells} chosen={chosen?.tell} />
            <Field name="nothing" label={SAY.nothing} kind="tick" />
            <Field name="note" label={SAY.note} optional start={chosen?.note ?? ''} />
            <Field name="reason" label={SAY.why} optional />
          </OperationForm>
        </Fold>
      {/key}
    {:else}
      <section class="sheet"><p class="soft">{SAY.choose}</p></section>
    {/if}
  </div>
</div>
<p class="caution">{SAY.caution}</p>

<style>
  .title {
    margin-bottom: 0.5rem;
  }
  h3 {
    font-weight: 600;
    margin-top: 1rem;
  }
  .row {
    display: grid;
    min-height: 56px;
    padding: 0.4rem 0.3rem;
    border-top: 1px solid var(--line);
    align-content: center;
    overflow-wrap: anywhere;
  }
  .row.on {
    background: var(--sunk);
  }
  .out {
    color: var(--ember);
    font-weight: 600;
  }
  .told {
    font-weight: 600;
  }
  @media (max-width: 62.5em) {
    /* What was chosen stands above the long list, not a screen below it. */
    .stack {
      order: -1;
    }
  }
</style>
