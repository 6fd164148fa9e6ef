<script lang="ts" module>
  import type { FormAnswer } from '$lib/server/forms.ts';

  export interface FormContext {
    readonly answer: () => FormAnswer | null;
    readonly value: (name: string) => string | undefined;
  }
  export const FORM_CONTEXT = Symbol('form');
</script>

<script lang="ts">
  import { operationForm as t } from '$lib/words/screens/controls.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import { browser } from '$app/environment';
  import { onDestroy, onMount, setContext, type Snippet } from 'svelte';
  import Button from '../kit/Button.svelte';

  /**
   * The form of one operation: sends once however often it is pressed, keeps what was typed through a reload or a refusal,
   * and shows each refusal on its field.
   */
  let {
    operation,
    piece,
    also = {},
    subject = piece?.id ?? '',
    seen = piece?.lastSeq ?? piece?.seq,
    submit,
    tone = 'plain',
    onDone,
    files = false,
    children
  }: {
    operation: string;
    /** The piece it is done to, as the page last saw it: it goes with the form. */
    piece?: { readonly id: string; readonly lastSeq?: number; readonly seq?: number };
    /** What goes with it unseen, by field; what is undefined or false stays behind. */
    also?: Readonly<Record<string, string | number | boolean | null | undefined>>;
    subject?: string;
    seen?: number;
    submit: string;
    tone?: 'plain' | 'ember' | 'quiet';
    onDone?: (result: Record<string, unknown>) => void;
    /** It has a file among its fields. */
    files?: boolean;
    children?: Snippet;
  } = $props();

  const mine = (form: unknown): FormAnswer | null => {
    const answer = form as FormAnswer | null;
    if (!answer || answer.operation !== operation) return null;
    return answer.values.piece === undefined || subject === '' || answer.values.piece === subject ? answer : null;
  };
  const answer = $derived(mine(page.form));
  const draftName = $derived(`ember-draft:${operation}:${subject}`);
  let busy = $state(false);
  let said = $state('');
  let element = $state<HTMLFormElement>();

  setContext<FormContext>(FORM_CONTEXT, {
    answer: () => answer,
    value: (name) => answer?.values[name]
  });

  const named = () =>
    [...(element?.elements ?? [])].filter(
      (each): each is HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement =>
        (each instanceof HTMLInputElement ||
          each instanceof HTMLSelectElement ||
          each instanceof HTMLTextAreaElement) &&
        each.name !== '' &&
        !each.name.startsWith('_') &&
        each.type !== 'hidden' &&
        each.type !== 'file'
    );
  /** Boxes of one name are told apart by what they stand for. */
  const keyOf = (each: { name: string; type: string; value: string }) =>
    each.type === 'checkbox' && each.value !== 'on' ? `${each.name}=${each.value}` : each.name;
  /** A dragged control says something every frame: what is typed is written once it rests, and at the latest when the page goes. */
  const REST_MS = 250;
  let resting: ReturnType<typeof setTimeout> | undefined;
  let unwritten: { readonly name: string; readonly values: Record<string, string | boolean> } | null = null;
  function keep() {
    const values = Object.fromEntries(
      named()
        .filter((each) => each.type !== 'radio' || (each as HTMLInputElement).checked)
        .map((each) => [
          keyOf(each),
          each instanceof HTMLInputElement && each.type === 'checkbox' ? each.checked : each.value
        ])
    );
    unwritten = { name: draftName, values };
    clearTimeout(resting);
    resting = setTimeout(write, REST_MS);
  }
  function write() {
    clearTimeout(resting);
    if (!unwritten) return;
    try {
      localStorage.setItem(unwritten.name, JSON.stringify(unwritten.values));
    } catch {
      // A full or forbidden storage only costs the draft.
    }
    unwritten = null;
  }
  function forget() {
    clearTimeout(resting);
    unwritten = null;
    localStorage.removeItem(draftName);
  }
  // A bench that is left for another piece keeps what was typed for this one.
  onDestroy(() => browser && write());
  onMount(() => {
    try {
      const kept = JSON.parse(localStorage.getItem(draftName) ?? 'null') as Record<string, string | boolean> | null;
      if (!kept) return;
      for (const each of named()) {
        const value = kept[keyOf(each)];
        if (value === undefined) continue;
        if (each instanceof HTMLInputElement && each.type === 'checkbox') each.checked = value === true;
        else if (each instanceof HTMLInputElement && each.type === 'radio') {
          if (each.value !== value || each.checked) continue;
          each.checked = true;
        } else if (typeof value === 'string' && each.value !== value) each.value = value;
        else continue;
        each.dispatchEvent(new Event('input', { bubbles: true }));
        each.dispatchEvent(new Event('change', { bubbles: true }));
      }
    } catch {
      localStorage.removeItem(draftName);
    }
  });
</script>

<svelte:window onpagehide={write} />
<form
  method="POST"
  action="?/{operation}"
  enctype={files ? 'multipart/form-data' : undefined}
  bind:this={element}
  oninput={keep}
  onchange={keep}
  novalidate
  data-operation={operation}
  use:enhance={() => {
    busy = true;
    said = '';
    return async ({ result, update }) => {
      busy = false;
      if (result.type === 'success' || result.type === 'redirect') {
        forget();
        said = t.doneAndInThe;
        if (result.type === 'success') onDone?.((result.data as unknown as FormAnswer)?.result ?? {});
      } else if (result.type === 'error') {
        said = t.itDidNotReach;
        return;
      }
      await update({ reset: result.type === 'success' });
      const wrong = element?.querySelector<HTMLElement>('[aria-invalid="true"]');
      wrong?.closest('details')?.setAttribute('open', '');
      wrong?.focus();
    };
  }}
>
  <input type="hidden" name="_key" value={page.data.formKey + subject} />
  {#if seen !== undefined}<input
      type="hidden"
      name="_seen"
      value={answer?.conflict ? answer.values._seen : seen}
    />{/if}
  {#if piece}<input type="hidden" name="piece" value={piece.id} />{/if}
  {#each Object.entries(also) as [name, value] (name)}
    {#if value !== undefined && value !== false}<input
        type="hidden"
        {name}
        value={value === true ? 'on' : (value ?? '')}
      />{/if}
  {/each}
  {@render children?.()}
  {#if answer && !answer.ok}
    <div class="trouble" role="alert">
      <p>{answer.message}</p>
      {#if answer.conflict}
        <Fold open title={t.bothSideBySide}>
          <pre>{JSON.stringify(answer.conflict.newer ?? answer.conflict.first, null, 1)}</pre>
          <pre>{JSON.stringify(answer.values, null, 1)}</pre>
          <a class="link" href={page.url.pathname + page.url.search} data-sveltekit-reload>{t.lookAtItAs}</a>
        </Fold>
      {/if}
    </div>
  {/if}
  <div class="send">
    <Button type="submit" disabled={busy} tone={tone === 'plain' ? 'deep' : tone === 'quiet' ? 'plain' : tone}>
      {busy ? t.writing : submit}
    </Button>
    <span role="status" class="soft">{said}</span>
  </div>
</form>

<style>
  form {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.85rem;
  }
  .send {
    display: flex;
    align-items: center;
    gap: 0.8rem;
    flex-wrap: wrap;
  }
  pre {
    font-size: 0.9rem;
    white-space: pre-wrap;
    border-top: 1px solid var(--line);
    padding: 0.3rem 0;
  }
</style>
