<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { acidSaucesOnePage as t } from '$lib/words/screens/acid.ts';
  import Line from '$lib/ui/kit/Line.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import PageChanges from '$lib/ui/book/PageChanges.svelte';
  import PageSheet from '$lib/ui/book/PageSheet.svelte';
  import PageSide from '$lib/ui/book/PageSide.svelte';
  import ScaledTo from '$lib/ui/book/ScaledTo.svelte';
  import AcidTabs from '$lib/ui/acid/AcidTabs.svelte';
  import SauceForm from '$lib/ui/acid/SauceForm.svelte';
  import Swapped from '$lib/ui/controls/Swapped.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { SAUCE_KIND_WORDS } from '$lib/words/acid.ts';
  import { TOLD_WORDS, toldLine } from '$lib/words/notices.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const sauce = $derived(data.sauce);
  const scaled = $derived(data.scaled);
  const body = $derived(scaled.body);
  const isCurrent = $derived(scaled.version === sauce.version);
  const fractions = (exact: number) =>
    Math.abs(exact - Math.round(exact)) < 0.05 ? t.justRight : say.exactly(exact, 1);
</script>

<PageSheet
  page={sauce}
  version={scaled.version}
  kind={SAUCE_KIND_WORDS[body.kind]}
  goodFor={body.goodFor}
  caution={t.aSaucePouredOver}
>
  {#snippet tabs()}<AcidTabs />{/snippet}
  <h2>{t.forOfFish(say.mass(scaled.grams), say.mass(scaled.fish))}</h2>
  {#key `${sauce.id} ${scaled.version} ${scaled.fish}`}
    <OperationForm
      operation="correct-sauce"
      subject={sauce.id}
      submit={t.whatWasAddedBecomes}
      onDone={() =>
        void goto(
          page.url.pathname + (data.picked.length > 0 ? `?${data.picked.map((id) => `pieces=${id}`).join('&')}` : '')
        )}
      also={{ id: sauce.id, mass: `${scaled.fish} g` }}
    >
      <Table data-sauce-lines>
        <thead>
          <tr>
            <th>{common.what}</th><th>{common.weigh}</th>
            {#if body.portions.length > 1}
              {#each body.portions as share, index (index)}
                <th>{index === 0 ? t.first : index === 1 ? t.then : t.last} {Math.round(share * 100)}&nbsp;%</th>
              {/each}
            {/if}
            {#if isCurrent}<th>{t.addedByTasteG}</th>{/if}
          </tr>
        </thead>
        <tbody>
          {#each scaled.lines as line, index (index)}
            <tr>
              <td>
                {line.what}
                {#if line.whole}<span class="soft" data-whole
                    >{t.take(fractions(line.whole.exact), line.whole.take)}</span
                  >{/if}
              </td>
              <td><b>{say.weighed(line.weighed)}</b></td>
              {#if body.portions.length > 1}
                {#each line.portions as grams, portion (portion)}<td>{say.weighed(grams)}</td>{/each}
              {/if}
              {#if isCurrent}
                <td>
                  <Line class="w-24" inputmode="decimal" name="added-{index}" aria-label={t.addedG(line.what)} />
                </td>
              {/if}
            </tr>
          {/each}
        </tbody>
      </Table>
      {#if scaled.evenFor !== null}
        <p class="soft">
          {t.whatComesWholeDoes(say.mass(scaled.evenFor))}
        </p>
      {/if}
      {#if body.portions.length > 1}
        <p class="soft">{t.foldItInPortion}</p>
      {/if}
      {#if isCurrent}
        <div class="fields">
          <Field name="extra" label={t.newInIt} optional placeholder={t.gingerGSugarG} hint={t.fromTheListElse} />
          <Field name="reason" label={common.why} optional placeholder={t.tooSharpForTurbot} />
        </div>
      {:else}<p class="soft">{t.anEarlierVersionWhat}</p>{/if}
    </OperationForm>
  {/key}
  <Swapped swaps={data.swaps} />
  <p class="told" data-told>{t.andTheFish(TOLD_WORDS.tell, toldLine(data.told))}</p>
  <PageChanges changes={scaled.changes} per={t.aKilogramOfFish} />
  {#if body.steps.length > 0}
    <ol>
      {#each body.steps as step (step)}<li>{step}</li>{/each}
    </ol>
  {/if}
  <p class="no-print">
    <a class="link" href="/acid?sauce={sauce.id}{data.picked[0] ? `&piece=${data.picked[0]}` : ''}"
      >{t.dressAPieceWith}</a
    >
    ·
    <a class="link" href="/acid/sauces/export?id={sauce.id}" download="{sauce.id}.json">{common.asAFile}</a>
  </p>
  {#snippet side()}
    <ScaledTo pieces={data.pieces} chosen={data.picked} grams={scaled.fish} />
    <PageSide shape="sauce" page={sauce} people={data.people} />
  {/snippet}
  {#snippet next()}
    {#key `${sauce.id} ${scaled.version} ${sauce.version}`}
      <Fold class="sheet" title={t.writeTheNextVersion(scaled.version)}>
        <SauceForm id={sauce.id} sauce={body} />
      </Fold>
    {/key}
  {/snippet}
</PageSheet>

<style>
  td {
    overflow-wrap: anywhere;
  }
</style>
