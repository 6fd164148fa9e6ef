<script lang="ts" module>
  import type { FormAnswer } from '$lib/server/forms.ts';

  export interface FormContext {
    readonly answer: () => FormAnswer | null;
    readonly value: (name: string) => string | undefined;
    /** How often its fields were emptied, as what was in them is written. */
    readonly emptied: () => number;
  }
  export const FORM_CONTEXT = Symbol('form');
</script>

<script lang="ts">
  import { operationForm as t } from '$lib/words/screens/controls.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { enhance } from '$app/forms';
  import { goto, invalidateAll } from '$app/navigation';
  import { page } from '$app/state';
  import { browser } from '$app/environment';
  import { onDestroy, onMount, setContext, tick, type Snippet } from 'svelte';
  import Hold from '../kit/Hold.svelte';
  import { answered, keepRefusal } from '$lib/ui/answered.svelte.ts';
  import { beginSending, isSending, seenOf, tell, wroteEntry } from '$lib/ui/told.svelte.ts';
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
    all = null,
    resets = true,
    held = false,
    onTouch,
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
    /** After it was sent its fields are empty again; not where they are a plan that stands on the page. */
    resets?: boolean;
    /** What the deed to all of it is called, with its grams, where there is one: a control of its own, held down. */
    all?: string | null;
    /** It has to be meant: what sends it is held down. */
    held?: boolean;
    /** It is not sent from here: whoever keeps it sends it, under this key. */
    onTouch?: (key: string) => void;
    children?: Snippet;
  } = $props();

  const mine = (answer: FormAnswer | null): FormAnswer | null => {
    if (!answer || answer.operation !== operation) return null;
    return answer.values.piece === undefined || subject === '' || answer.values.piece === subject ? answer : null;
  };
  const answer = $derived(mine(answered<FormAnswer>()));
  const draftName = $derived(`ember-draft:${operation}:${subject}`);
  let busy = $state(false);
  let said = $state('');
  /** How many were written from this page as it was served: each has a key of its own. */
  let written = $state(0);
  let emptied = $state(0);
  /** The key of what was sent and never answered: sent again it is the same, so that it happens once. */
  let unanswered = $state<string | null>(null);
  const key = $derived(unanswered ?? `${page.data.formKey}${subject}${written > 0 ? `-${written}` : ''}`);
  const seenNow = $derived(piece && seen !== undefined ? Math.max(seen, seenOf(piece.id)) : seen);
  let element = $state<HTMLFormElement>();

  setContext<FormContext>(FORM_CONTEXT, {
    answer: () => answer,
    value: (name) => answer?.values[name],
    emptied: () => emptied
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
  const ASK_MS = 2000;
  /** Asks, once the house can be reached, whether what was sent came before the line broke. It is never sent again unasked. */
  async function askAfter(sent: string) {
    for (; unanswered === sent && element?.isConnected; await new Promise((resolve) => setTimeout(resolve, ASK_MS))) {
      const query = new URLSearchParams({ key: `${sent}:${operation}` });
      const answer = await fetch(`/me/sent?${query}`).catch(() => null);
      if (!answer?.ok) continue;
      const { written: came } = (await answer.json()) as { written: boolean };
      if (unanswered !== sent) return;
      if (!came) return void (said = t.itDidNotReach);
      unanswered = null;
      written++;
      forget();
      element.reset();
      said = t.itCame;
      await invalidateAll();
      emptied++;
      return;
    }
  }
  let isAll = $state(false);
  async function sendAll() {
    isAll = true;
    await tick();
    // A figure that was begun and left is not meant as well.
    for (const each of named()) if (each.name === 'mass') each.value = '';
    element?.requestSubmit();
    isAll = false;
  }
  /** A bench that chose a piece by itself stays with the one that something was done to: no other takes its place unasked. */
  async function pin(): Promise<boolean> {
    if (!piece || page.url.searchParams.has('piece') || page.route.id?.includes('[')) return false;
    const url = new URL(page.url);
    url.searchParams.set('piece', piece.id);
    await goto(url, { replaceState: true, noScroll: true, keepFocus: true, invalidateAll: true });
    return true;
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
  use:enhance={({ cancel, formData }) => {
    if (onTouch) {
      cancel();
      onTouch(`${String(formData.get('_key'))}:${operation}`);
      written++;
      return;
    }
    // Pressed again meanwhile, it is one deed still.
    if (busy) return cancel();
    said = '';
    const before = isSending();
    if (before) {
      cancel();
      said = t.writing;
      // What the other wrote is seen first: what goes with this form would else be of before it, and be refused.
      void before.then(tick).then(() => element?.requestSubmit());
      return;
    }
    busy = true;
    const [sent, from] = [String(formData.get('_key')), page.url.pathname];
    const isAnswered = beginSending();
    return async ({ result, update }) => {
      busy = false;
      if (result.type === 'error') {
        said = t.itDidNotReach;
        unanswered = sent;
        isAnswered();
        void askAfter(sent);
        return;
      }
      unanswered = null;
      // A page that is refreshed meanwhile forgets what it was told; the form does not.
      const answer = ('data' in result ? result.data : undefined) as unknown as FormAnswer | undefined;
      if (result.type === 'success' || result.type === 'redirect') {
        forget();
        said = t.doneAndInThe;
        written++;
        if (piece && answer?.seq) wroteEntry(piece.id, answer.seq);
        if (answer?.deed) tell({ kind: 'done', text: answer.deed.line, ...answer.deed });
        else tell(null);
      } else if (answer?.newer && answer.newer.length > 0) {
        // The form may be gone with what it was about: what became of it is said where everybody sees it.
        tell({ kind: 'refused', text: t.notWritten(answer.message), newer: answer.newer });
      }
      keepRefusal(from, answer && !answer.ok ? answer : null);
      isAnswered();
      const pinned = result.type === 'success' && (await pin());
      await update({ reset: resets && result.type === 'success', invalidateAll: !pinned });
      if (resets && result.type === 'success') emptied++;
      // Last, as it may lead elsewhere: a page that is made anew meanwhile would stay where it was.
      if (result.type === 'success') onDone?.(answer?.result ?? {});
      const wrong = element?.querySelector<HTMLElement>('[aria-invalid="true"]');
      wrong?.closest('details')?.setAttribute('open', '');
      wrong?.focus();
    };
  }}
>
  <input type="hidden" name="_key" value={key} />
  {#if seen !== undefined}<input
      type="hidden"
      name="_seen"
      value={answer?.conflict ? answer.values._seen : seenNow}
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
          <!-- Seldom seen: its words come when they are wanted. -->
          {#await import('./Conflict.svelte') then { default: Conflict }}
            <Conflict newer={answer.newer ?? []} values={answer.values} />
          {/await}
          <a class="link" href={page.url.pathname + page.url.search} data-sveltekit-reload>{t.lookAtItAs}</a>
        </Fold>
      {/if}
    </div>
  {/if}
  <div class="send">
    {#if held}
      <Hold label={busy ? t.writing : submit} disabled={busy} onHeld={() => element?.requestSubmit()} />
    {:else}
      <Button type="submit" disabled={busy} tone={tone === 'plain' ? 'deep' : tone === 'quiet' ? 'plain' : tone}>
        {busy ? t.writing : submit}
      </Button>
    {/if}
    {#if all}
      <input type="hidden" name="all" value={isAll ? 'on' : ''} />
      <Hold label={all} disabled={busy} onHeld={() => void sendAll()} />
    {/if}
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
</style>
