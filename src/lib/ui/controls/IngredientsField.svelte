<script lang="ts">
  import Button from '$lib/ui/kit/Button.svelte';
  import { ALLERGENS } from '$lib/core/codes/allergens.ts';
  import { EmberError } from '$lib/core/errors.ts';
  import { ingredientsOf, swapsOfLines, toldOfLines, type HouseIngredients } from '$lib/core/ingredients/kitchen.ts';
  import { NOTHING_TOLD, toldTogether, type LinkedLine } from '$lib/core/ingredients/ingredient.ts';
  import { readIngredient } from '$lib/core/ingredients/read.ts';
  import { allergenWord, INGREDIENT_FIELD_WORDS as SAY, TOLD_WORDS, toldLine } from '$lib/words/notices.ts';
  import { followStart } from '$lib/ui/start.svelte.ts';
  import Swapped from './Swapped.svelte';
  import Field from './Field.svelte';
  import { getContext } from 'svelte';
  import { FORM_CONTEXT, type FormContext } from './OperationForm.svelte';

  /**
   * Ingredients as they are typed, with commas between or one a line, and what they make to be told, read while typing. One
   * that is not on the list is asked after before it is taken.
   */
  let {
    name,
    label,
    ingredients,
    at,
    value = $bindable(''),
    start,
    lines = false,
    optional = false,
    hint = '',
    placeholder = '',
    before = []
  }: {
    name: string;
    label: string;
    ingredients: HouseIngredients;
    /** Now, ms: what is used instead of what the house is out of. */
    at: number;
    value?: string;
    /** What stands in it before anything is typed, where the page does not bind it. */
    start?: string;
    /** One a line, figures behind a semicolon. */
    lines?: boolean;
    optional?: boolean;
    hint?: string;
    placeholder?: string;
    /** Allergens typed into it before ingredients were a list. */
    before?: readonly string[];
  } = $props();

  const form = getContext<FormContext | undefined>(FORM_CONTEXT);
  followStart(
    () => start,
    (text) => (value = text),
    () => form?.emptied() ?? 0
  );
  interface Part {
    readonly index: number;
    readonly text: string;
    readonly line: LinkedLine | null;
    readonly near: readonly string[];
  }
  const apart = $derived(lines ? '\n' : ',');
  const read = (text: string, index: number): Part => {
    const named = (lines ? text.split(';')[0]! : text).trim();
    try {
      return { index, text: named, line: readIngredient(named, ingredients, name), near: [] };
    } catch (error) {
      const near = error instanceof EmberError ? ((error.details.candidates as string[] | undefined) ?? []) : [];
      return { index, text: named, line: null, near };
    }
  };
  const parts = $derived(
    value
      .split(apart)
      .map(read)
      .filter(({ text }) => text !== '')
  );
  const told = $derived(
    toldTogether([
      ...parts.map(({ line }) => (line ? toldOfLines(ingredients, [line], at) : NOTHING_TOLD)),
      { ...NOTHING_TOLD, holds: before }
    ])
  );
  /** Not on the list: asked what they hold, and may be told more. */
  const strange = $derived(parts.filter(({ line, text }) => line === null || text.includes('=')));
  const swaps = $derived(
    swapsOfLines(
      ingredients,
      parts.flatMap(({ line }) => (line ? [line] : [])),
      at
    )
  );
  /** The ingredient of one part written anew; its figures stay. */
  function rename(index: number, wanted: string) {
    const all = value.split(apart);
    const [, ...figures] = lines ? all[index]!.split(';') : [''];
    all[index] = [(lines || index === 0 ? '' : ' ') + wanted, ...figures].join(';');
    value = all.join(apart);
  }
  /** What one holds that is not on the list: nothing and "nobody knows" stand alone, allergens add up. */
  function hold(index: number, text: string, chosen: string) {
    if (chosen === '') return;
    const [what = '', said = ''] = text.split('=').map((each) => each.trim());
    const stands = said === '' || said === 'nothing' || said === '?' || chosen === 'nothing' || chosen === '?';
    rename(index, `${what} = ${stands ? chosen : `${said} + ${chosen}`}`);
  }
  function add(wanted: string) {
    if (wanted === '') return;
    value = value.trim() === '' ? wanted : `${value.replace(/[,\s]+$/, '')}${lines ? '\n' : ', '}${wanted}`;
    if (lines) value += '; ';
  }
  let picked = $state('');
</script>

<div class="ingredients">
  <Field {name} {label} kind={lines ? 'long' : 'text'} bind:value {optional} {hint} {placeholder} />
  <label class="add">
    <span class="soft">{SAY.add}</span>
    <select
      bind:value={picked}
      onchange={() => {
        add(picked);
        picked = '';
      }}
    >
      <option value=""></option>
      {#each ingredientsOf(ingredients) as each (each.id)}<option value={each.name}>{each.name}</option>{/each}
    </select>
  </label>
  {#each strange as { index, text, line, near } (index)}
    <div class="strange" class:said={line !== null} data-strange={line ? 'said' : 'asked'}>
      <p><b>“{text.split('=')[0]!.trim()}”</b> {line ? SAY.other : SAY.strange}</p>
      <div class="ways">
        {#each near as each (each)}<Button onclick={() => rename(index, each)}>{each}</Button>{/each}
        <select
          aria-label="{SAY.holds} {text}"
          onchange={(event) => {
            hold(index, text, event.currentTarget.value);
            event.currentTarget.value = '';
          }}
        >
          <option value="">{line ? SAY.holdsToo : SAY.holds}</option>
          <option value="nothing">{SAY.nothing}</option>
          <option value="?">{SAY.nobody}</option>
          {#each ALLERGENS as allergen (allergen)}<option value={allergen}>{allergenWord(allergen)}</option>{/each}
        </select>
      </div>
    </div>
  {/each}
  <Swapped {swaps} />
  {#if parts.length > 0}
    <p class="told" data-told-live>
      {TOLD_WORDS.tell}
      {toldLine(told)}
    </p>
  {/if}
</div>

<style>
  .ingredients {
    display: grid;
    gap: 0.4rem;
    min-width: 0;
  }
  .add {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    flex-wrap: wrap;
  }
  select {
    min-height: 48px;
    max-width: 100%;
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    background-color: var(--surface);
    color: var(--ink);
  }
  .strange {
    border-left: 4px solid var(--ember);
    padding-left: 0.6rem;
    overflow-wrap: anywhere;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    margin-top: 0.3rem;
  }
  .strange.said {
    border-left-color: var(--strong-line);
  }
  .told {
    font-weight: 600;
  }
</style>
