<script lang="ts">
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { dayAndTime } from '../format.ts';

  /** Beside a page of the book: what was tasted, its versions and who wrote them, out of the book and back. */
  let {
    shape,
    page,
    people,
    zone
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
    zone: string;
  } = $props();
  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? 'forgotten';
</script>

<section class="sheet">
  <h2>Tasted</h2>
  {#each page.notes as note (note.at)}
    <p>
      {note.note}
      <span class="soft">version {note.version}, {nameOf(note.by)}, {dayAndTime(note.at, zone)}</span>
    </p>
  {:else}<p class="soft">No notes yet.</p>{/each}
  <OperationForm operation="note-{shape}" subject={page.id} submit="Keep the note" also={{ id: page.id }}>
    <Field name="note" label="Correction, to be tried" placeholder="a third less sugar; lemon at the end" />
  </OperationForm>
</section>
<section class="sheet">
  <h2>Versions</h2>
  <ul>
    {#each [...page.history].reverse() as each, index (index)}
      <li>
        <a class="link" href="?version={each.version}">version {each.version}</a>
        <span class="soft"
          >{each.at === null ? 'as it ships' : `${nameOf(each.by!)}, ${dayAndTime(each.at, zone)}`}{each.reason
            ? `: ${each.reason}`
            : ''}</span
        >
      </li>
    {/each}
  </ul>
  <OperationForm
    operation="withdraw-{shape}"
    subject={page.id}
    submit={page.withdrawn ? 'Back into the book' : 'Take it out of the book'}
    tone="quiet"
    also={{ id: page.id, back: page.withdrawn ? 'on' : undefined }}
  ></OperationForm>
</section>
