<script lang="ts" generics="Shape extends PlanShape">
  import type { PlanShape } from '$lib/core/record/recorded.ts';
  import { unitsOffered } from '$lib/core/fields/written.ts';
  import Field from '../controls/Field.svelte';
  import type { PlanDraft } from './draft.svelte.ts';

  /** One field of a plan: kind, unit and choices from its schema, its words from its bench. */
  let {
    draft,
    name,
    hint,
    label,
    among,
    placeholder,
    optional = false,
    only,
    units
  }: {
    draft: PlanDraft<Shape>;
    name: keyof Shape & string;
    /** Instead of its own line, where the bench knows more. */
    hint?: string;
    label?: string;
    among?: readonly (string | { readonly name: string })[];
    placeholder?: string;
    /** Say beside it that it may stay empty. */
    optional?: boolean;
    /** Of a choice, the values offered here; all of them where left out. */
    only?: readonly string[];
    /** Instead of the units it offers by itself. */
    units?: readonly string[];
  } = $props();

  const KINDS = {
    quantity: 'quantity',
    number: 'number',
    choice: 'choice',
    tick: 'tick',
    moment: 'time',
    text: 'text',
    list: 'text',
    piece: 'text'
  } as const;
  const meta = $derived(draft.meta(name));
  const words = $derived(draft.words[name]);
  const options = $derived(
    (only ?? meta.values ?? []).map((value) => ({ value, name: words.values?.[value] ?? value }))
  );
</script>

<Field
  {name}
  label={label ?? draft.label(name)}
  hint={hint ?? words.hint ?? ''}
  kind={KINDS[meta.kind]}
  units={units ?? unitsOffered(meta, draft.house)}
  {options}
  {optional}
  {among}
  placeholder={placeholder ?? words.placeholder ?? ''}
  bind:value={draft.texts[name]}
  bind:unit={draft.units[name]}
/>
