<script lang="ts">
  import { field as t } from '$lib/words/screens/controls.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import { followStart } from '$lib/ui/start.svelte.ts';
  import When from '$lib/ui/kit/When.svelte';
  import { getContext, tick, untrack } from 'svelte';
  import { Input, Textarea } from 'flowbite-svelte';
  import { FORM_CONTEXT, type FormContext } from './OperationForm.svelte';

  /** One labelled field of an operation's form: text, number, day, time, choice, long text, or a quantity with its unit. */
  let {
    name,
    label,
    hint = '',
    kind = 'text',
    options = [],
    units = [],
    value = $bindable(''),
    start,
    unit = $bindable(),
    startUnit,
    optional = false,
    placeholder = '',
    among = []
  }: {
    name: string;
    label: string;
    hint?: string;
    kind?: 'text' | 'number' | 'date' | 'time' | 'choice' | 'long' | 'quantity' | 'tick' | 'file';
    /** What is to choose from: in a list, or its words by value. */
    options?: readonly { value: string; name: string }[] | Readonly<Record<string, string>>;
    units?: readonly string[];
    value?: string;
    /** What stands in it before anything is typed, where the page does not bind it. */
    start?: string | undefined;
    unit?: string;
    startUnit?: string | undefined;
    optional?: boolean;
    placeholder?: string;
    /** What is offered while typing: names, or what bears one. Anything else may be typed still. */
    among?: readonly (string | { readonly name: string; readonly value?: string })[];
  } = $props();

  const choices = $derived(
    Array.isArray(options)
      ? (options as readonly { value: string; name: string }[])
      : Object.entries(options as Readonly<Record<string, string>>).map(([value, name]) => ({ value, name }))
  );
  const chips = $derived(
    among.map((each) =>
      typeof each === 'string' ? { name: each, value: each } : { name: each.name, value: each.value ?? each.name }
    )
  );
  const names = $derived(kind === 'date' ? [] : chips.map(({ value: each }) => each));
  /** So many names stand beside the field, each at a touch; of more the first letters have to be typed. */
  const MOST_CHIPS = 8;
  let field = $state<HTMLElement>();
  async function pickName(each: string) {
    value = value === each ? '' : each;
    await tick();
    field?.querySelector('input, textarea')?.dispatchEvent(new Event('input', { bubbles: true }));
  }
  const form = getContext<FormContext | undefined>(FORM_CONTEXT);
  // Without scripts a refused form comes back with what was typed.
  const emptied = () => form?.emptied() ?? 0;
  followStart(
    () => start,
    (text) => (value = text),
    emptied
  );
  followStart(
    () => startUnit,
    (text) => (unit = text),
    emptied
  );
  untrack(() => {
    const typed = form?.value(name);
    if (typed !== undefined && kind !== 'tick') value = typed;
    const typedUnit = form?.value(`${name}:unit`);
    if (typedUnit !== undefined) unit = typedUnit;
    unit ??= units[0];
    // A choice always shows one: the first, where nothing else was said.
    if (kind === 'choice' && !choices.some((option) => option.value === value)) value = choices[0]?.value ?? '';
  });
  const trouble = $derived(form?.answer()?.fields[name]);
  const id = $props.id();
  const described = $derived(
    [hint ? `${id}-hint` : '', trouble ? `${id}-trouble` : ''].filter(Boolean).join(' ') || undefined
  );
  const look =
    'min-h-12 text-base bg-(--surface) dark:bg-(--surface) text-(--ink) dark:text-(--ink) border-(--strong-line) dark:border-(--strong-line) rounded-[3px] placeholder:text-(--soft)';
  const shared = $derived({
    id,
    name,
    'aria-invalid': trouble ? ('true' as const) : undefined,
    'aria-describedby': described
  });
</script>

<div class="field" class:bad={trouble} class:tick={kind === 'tick'} bind:this={field}>
  {#if kind === 'tick'}
    <label for={id}
      ><input
        type="checkbox"
        {...shared}
        bind:checked={() => value === 'on', (ticked) => (value = ticked ? 'on' : '')}
      />
      {label}</label
    >
  {:else}
    <label for={id}
      >{label}{#if optional}<span class="soft">{t.optional}</span>{/if}</label
    >
    {#if kind === 'choice'}
      <select {...shared} bind:value class="w-full {look}">
        {#each choices as option (option.value)}<option value={option.value}>{option.name}</option>{/each}
      </select>
    {:else if kind === 'long'}
      <Textarea {...shared} bind:value rows={3} {placeholder} class="w-full {look}" />
    {:else if kind === 'file'}
      <input {...shared} type="file" accept="application/pdf,image/jpeg,image/png" class="file" />
    {:else if kind === 'quantity'}
      <div class="pair">
        <input {...shared} class="big {look}" inputmode="decimal" autocomplete="off" bind:value {placeholder} />
        {#if units.length > 1}
          <select name="{name}:unit" aria-label={t.unitOf(label)} bind:value={unit} class={look}>
            {#each units as each (each)}<option>{each}</option>{/each}
          </select>
        {:else}
          <span class="unit">{units[0]}</span><input type="hidden" name="{name}:unit" value={units[0]} />
        {/if}
      </div>
    {:else if kind === 'time'}
      <When {...shared} bind:value />
    {:else}
      <Input
        {...shared}
        type={kind === 'date' ? 'date' : 'text'}
        inputmode={kind === 'number' ? 'decimal' : undefined}
        autocomplete="off"
        list={names.length > 0 ? `${id}-among` : undefined}
        {placeholder}
        bind:value
        class={look}
      />
      {#if names.length > 0}
        <datalist id="{id}-among">
          {#each names as each, index (index)}<option value={each}></option>{/each}
        </datalist>
      {/if}
    {/if}
  {/if}
  {#if chips.length > 0 && chips.length <= MOST_CHIPS}
    <div class="chips" role="group" aria-label={t.among(label)}>
      {#each chips as each, index (index)}
        <Button class="chip" aria-pressed={value === each.value} onclick={() => pickName(each.value)}
          >{each.name}</Button
        >
      {/each}
    </div>
  {/if}
  {#if hint}<p class="hint soft" id="{id}-hint">{hint}</p>{/if}
  {#if trouble}
    <p class="wrong" id="{id}-trouble">
      {trouble.message}
      {#each trouble.candidates ?? [] as candidate (candidate)}
        <Button class="which" onclick={() => (value = candidate)}>
          {choices.find((choice) => choice.value === candidate)?.name ?? candidate}
        </Button>
      {/each}
    </p>
  {/if}
</div>

<style>
  .field {
    display: grid;
    gap: 0.2rem;
    align-content: start;
    min-width: 0;
    grid-template-columns: minmax(0, 1fr);
  }
  label {
    font-weight: 600;
  }
  .tick label {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    min-height: 48px;
    font-weight: 400;
  }
  .tick input {
    width: 26px;
    height: 26px;
    border-color: var(--strong-line);
    background-color: var(--surface);
    accent-color: var(--water-deep);
  }
  .tick input:checked {
    /* The tick in it is white in both lights. */
    background-color: #1f5f7d;
  }
  .pair {
    display: flex;
  }
  .pair .big {
    flex: 1;
    min-width: 0;
    font-size: 1.25rem;
    font-weight: 600;
    padding: 0.3rem 0.6rem;
    border-width: 1px;
  }
  .pair select {
    border-width: 1px;
    border-left: 0;
    padding: 0 2.2rem 0 0.7rem;
    width: auto;
    flex: none;
  }
  .file {
    min-height: 48px;
    padding: 0.5rem;
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    background-color: var(--surface);
    color: var(--ink);
  }
  .unit {
    display: flex;
    align-items: center;
    padding: 0 0.8rem;
    border: 1px solid var(--strong-line);
    border-left: 0;
    border-radius: 0 3px 3px 0;
    background: var(--sunk);
  }
  .chips {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem;
  }
  .chips :global(.chip) {
    padding-inline: 0.7rem;
    font-weight: 500;
  }
  .hint {
    font-size: 0.9rem;
  }
  .wrong {
    color: var(--ember);
    font-weight: 600;
  }
  .bad :global(input),
  .bad :global(select) {
    border-color: var(--ember);
  }
</style>
