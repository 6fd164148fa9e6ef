<script lang="ts">
  import { bookFile as t } from '$lib/words/screens/book.ts';
  import Lines from '$lib/ui/kit/Lines.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import OperationForm from '../controls/OperationForm.svelte';

  /** A part of the book taken elsewhere as a file, or one taken in. */
  let { list, path }: { list: 'recipes' | 'sauces' | 'dishes'; path: string } = $props();
  let text = $state('');
  let taken = $state('');
  async function read(event: Event & { currentTarget: HTMLInputElement }) {
    text = (await event.currentTarget.files?.[0]?.text()) ?? '';
  }
</script>

<Fold class="sheet" title={t.takeElsewhereOrIn(list)}>
  <p><a class="link" href="{path}/export" download="ember-tide-{list}.json">{t.allAsAFile(list)}</a> {t.json}</p>
  <OperationForm
    operation="import-{list}"
    submit={t.takeThemIn}
    onDone={(result) => {
      const names = result.taken as string[];
      taken = t.takenInKnownAlready(names.length, Number(result.alike));
      text = '';
    }}
  >
    <label class="file">{t.aFileOf(list)} <input type="file" accept="application/json,.json" onchange={read} /></label>
    <label class="file">
      {t.orItsText}
      <Lines name="text" rows={5} bind:value={text} />
    </label>
  </OperationForm>
  {#if taken}<p role="status">{taken}</p>{/if}
  <p class="soft">
    {t.oneOfAKnown}
  </p>
</Fold>

<style>
  .file {
    display: grid;
    gap: 0.3rem;
    font-weight: 600;
  }
  .file input {
    min-height: 48px;
    padding: 0.4rem;
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    background-color: var(--surface);
    color: var(--ink);
    font-weight: 400;
  }
</style>
