<script lang="ts">
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
  import { formatMass, weighed } from '$lib/ui/format.ts';
  import { SAUCE_KIND_WORDS } from '$lib/words/acid.ts';
  import { TOLD_WORDS, toldLine } from '$lib/words/notices.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const units = $derived(data.house.units);
  const zone = $derived(data.house.zone);
  const sauce = $derived(data.sauce);
  const scaled = $derived(data.scaled);
  const body = $derived(scaled.body);
  const isCurrent = $derived(scaled.version === sauce.version);
  const fractions = (exact: number) => (Math.abs(exact - Math.round(exact)) < 0.05 ? 'just right' : exact.toFixed(1));
</script>

<PageSheet
  page={sauce}
  version={scaled.version}
  kind={SAUCE_KIND_WORDS[body.kind]}
  goodFor={body.goodFor}
  caution="A sauce poured over raw fish is acid, not heat: it kills nothing. Guidance only: your local code and licensed practice decide."
>
  {#snippet tabs()}<AcidTabs />{/snippet}
  <h2>{formatMass(scaled.grams, units)} for {formatMass(scaled.fish, units)} of fish</h2>
  {#key `${sauce.id} ${scaled.version} ${scaled.fish}`}
    <OperationForm
      operation="correct-sauce"
      subject={sauce.id}
      submit="What was added becomes the next version"
      onDone={() =>
        void goto(
          page.url.pathname + (data.picked.length > 0 ? `?${data.picked.map((id) => `pieces=${id}`).join('&')}` : '')
        )}
      also={{ id: sauce.id, mass: `${scaled.fish} g` }}
    >
      <Table data-sauce-lines>
        <thead>
          <tr>
            <th>What</th><th>Weigh</th>
            {#if body.portions.length > 1}
              {#each body.portions as share, index (index)}
                <th>{index === 0 ? 'First' : index === 1 ? 'then' : 'last'} {Math.round(share * 100)}&nbsp;%</th>
              {/each}
            {/if}
            {#if isCurrent}<th>Added by taste, g</th>{/if}
          </tr>
        </thead>
        <tbody>
          {#each scaled.lines as line, index (index)}
            <tr>
              <td>
                {line.what}
                {#if line.whole}<span class="soft" data-whole
                    >: {fractions(line.whole.exact)}; take {line.whole.take}</span
                  >{/if}
              </td>
              <td><b>{weighed(line.weighed, units)}</b></td>
              {#if body.portions.length > 1}
                {#each line.portions as grams, portion (portion)}<td>{weighed(grams, units)}</td>{/each}
              {/if}
              {#if isCurrent}
                <td>
                  <Line class="w-24" inputmode="decimal" name="added-{index}" aria-label="Added {line.what}, g" />
                </td>
              {/if}
            </tr>
          {/each}
        </tbody>
      </Table>
      {#if scaled.evenFor !== null}
        <p class="soft">
          What comes whole does not scale smoothly: a whole number of it is right for {formatMass(
            scaled.evenFor,
            units
          )}
          of fish.
        </p>
      {/if}
      {#if body.portions.length > 1}
        <p class="soft">Fold it in portion by portion and taste between; write down what you added.</p>
      {/if}
      {#if isCurrent}
        <div class="fields">
          <Field
            name="extra"
            label="New in it"
            optional
            placeholder="Ginger 4 g, Sugar 2 g"
            hint="From the list; else say what it holds: Shiso oil = sesame 2 g."
          />
          <Field name="reason" label="Why" optional placeholder="too sharp for turbot" />
        </div>
      {:else}<p class="soft">An earlier version: what is added by taste is written to the newest.</p>{/if}
    </OperationForm>
  {/key}
  <Swapped swaps={data.swaps} />
  <p class="told" data-told>{TOLD_WORDS.tell} {toldLine(data.told)}; and the fish.</p>
  <PageChanges changes={scaled.changes} per="a kilogram of fish" />
  {#if body.steps.length > 0}
    <ol>
      {#each body.steps as step (step)}<li>{step}</li>{/each}
    </ol>
  {/if}
  <p>
    <a class="link" href="/acid?sauce={sauce.id}{data.picked[0] ? `&piece=${data.picked[0]}` : ''}"
      >Dress a piece with it</a
    >
    ·
    <a class="link" href="/acid/sauces/export?id={sauce.id}" download="{sauce.id}.json">as a file</a>
  </p>
  {#snippet side()}
    <ScaledTo pieces={data.pieces} chosen={data.picked} grams={scaled.fish} {units} />
    <PageSide shape="sauce" page={sauce} people={data.people} {zone} />
  {/snippet}
  {#snippet next()}
    {#key `${sauce.id} ${scaled.version} ${sauce.version}`}
      <Fold class="sheet" title="Write the next version from version {scaled.version}">
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
