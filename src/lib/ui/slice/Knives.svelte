<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { SHARPENINGS } from '$lib/core/activity/slice/lists.ts';
  import type { KnifeNow } from '$lib/server/facts/knives.ts';
  import * as say from '$lib/words/say.ts';
  import { knifeLog as t } from '$lib/words/screens/slice.ts';
  import { SHARPENING_WORDS } from '$lib/words/knife-names.ts';

  /** The house's knives: strokes since each had its edge, when that was and by whom, and the next one. */
  let { knives, named }: { knives: readonly KnifeNow[]; named: (person: string) => string } = $props();
</script>

<section class="sheet stack" data-knives>
  <h2>{t.knives}</h2>
  {#each knives as knife (knife.id)}
    <div class="stack" data-knife={knife.id}>
      <p>
        <b>{knife.name}</b>
        {t.strokes(knife.strokes, knife.every)}
        {#if knife.isDue}<b class="trouble">{t.due}</b>{/if}
      </p>
      <meter min="0" max={knife.every} value={Math.min(knife.strokes, knife.every)} aria-label={knife.name}></meter>
      <p class="soft">
        {knife.sharpened
          ? t.sharpenedThen(
              say.dayAndTime(knife.sharpened.at),
              named(knife.sharpened.by),
              SHARPENING_WORDS[knife.sharpened.how]
            )
          : t.never}
        {knife.sharpened?.note ?? ''}
      </p>
      <OperationForm operation="sharpen-knife" subject={knife.id} submit={t.sharpened} also={{ knife: knife.id }}>
        <div class="fields">
          <Field
            name="how"
            label={t.how}
            kind="choice"
            start="stone"
            options={SHARPENINGS.map((value) => ({ value, name: SHARPENING_WORDS[value] }))}
          />
          <Field name="note" label={t.note} optional />
        </div>
      </OperationForm>
    </div>
  {:else}
    <p>{t.none}</p>
  {/each}
  <Fold title={t.nameAKnife} open={knives.length === 0}>
    <OperationForm operation="set-knife" subject="knife" submit={t.nameIt}>
      <div class="fields">
        <Field name="name" label={t.name} among={knives.map(({ name }) => ({ name }))} />
        <Field name="every" label={t.every} start="600" />
      </div>
      <Field name="withdraw" label={t.takeOut} kind="tick" />
    </OperationForm>
  </Fold>
</section>

<style>
  meter {
    width: 100%;
    height: 0.75rem;
  }
</style>
