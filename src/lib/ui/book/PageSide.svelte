<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { pageSide as t } from '$lib/words/screens/book.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';

  /** Beside a page of the book: what was tasted, its versions and who wrote them, out of the book and back. */
  let {
    shape,
    page,
    people
  }: {
    shape: 'recipe' | 'sauce' | 'dish';
    page: {
      readonly id: string;
      readonly withdrawn: boolean;
      readonly notes: readonly {
        readonly note: string;
        readonly version: number;
        readonly by: string;
        readonly at: number;
      }[];
      readonly history: readonly {
        readonly version: number;
        readonly reason: string;
        readonly at: number | null;
        readonly by: string | null;
      }[];
    };
    people: readonly { readonly id: string; readonly name: string | null }[];
  } = $props();
  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? 'forgotten';
</script>

<section class="sheet">
  <h2>{t.tasted}</h2>
  {#each page.notes as note (note.at)}
    <p>
      {note.note}
      <span class="soft">{t.version(note.version, nameOf(note.by), say.dayAndTime(note.at))}</span>
    </p>
  {:else}<p class="soft">{t.noNotesYet}</p>{/each}
  <OperationForm operation="note-{shape}" subject={page.id} submit={t.keepTheNote} also={{ id: page.id }}>
    <Field name="note" label={t.correctionToBeTried} placeholder={t.aThirdLessSugar} />
  </OperationForm>
</section>
<section class="sheet">
  <h2>{t.versions}</h2>
  <ul>
    {#each [...page.history].reverse() as each, index (index)}
      <li>
        <a class="link" href="?version={each.version}">{t.version2(each.version)}</a>
        <span class="soft"
          >{each.at === null ? t.asItShips : `${nameOf(each.by!)}, ${say.dayAndTime(each.at)}`}{each.reason
            ? `: ${each.reason}`
            : ''}</span
        >
      </li>
    {/each}
  </ul>
  <OperationForm
    operation="withdraw-{shape}"
    subject={page.id}
    submit={page.withdrawn ? t.backIntoTheBook : t.takeItOutOf}
    tone="quiet"
    also={{ id: page.id, back: page.withdrawn ? 'on' : undefined }}
  ></OperationForm>
</section>
