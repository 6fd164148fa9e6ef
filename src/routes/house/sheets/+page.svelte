<script lang="ts">
  import { common, titled } from '$lib/words/screens/common.ts';
  import { houseSheetsPage as t } from '$lib/words/screens/house.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import Guide from '$lib/ui/marks/Guide.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const names = $derived(Object.fromEntries(data.people.map((person) => [person.id, person.name])));
</script>

<svelte:head><title>{titled(t.inspectionSheets)}</title></svelte:head>
<p><a class="link way" href="/house">{common.house}</a></p>
<h1>{t.inspectionSheets}</h1>
<p class="soft">
  {t.wordsAndWeightsAre}
</p>
<nav aria-label={t.sheet}>
  {#each data.all as each (each.id)}
    <a href="/house/sheets?sheet={each.id}" aria-current={each.id === data.sheet.id ? 'true' : undefined}
      >{each.name}{each.own ? t.own : ''}</a
    >
  {/each}
</nav>
<section class="sheet">
  <h2>{data.sheet.name}</h2>
  <p class="soft">
    {t.version(data.sheet.version, data.own ? `. ${names[data.own.by] ?? data.own.by}: “${data.own.reason}”` : '')}
  </p>
  {#key `${data.sheet.id}:${data.sheet.version}`}
    <OperationForm
      operation="set-sheet"
      subject={data.sheet.id}
      seen={data.houseVersion}
      submit={t.setTheSheet}
      also={{ sheet: data.sheet.id }}
    >
      {#each data.sheet.attributes as attribute, row (attribute.id)}
        <fieldset>
          <legend>{attribute.name}</legend>
          <Field
            name="weight-{attribute.id}"
            label={t.weightTo}
            kind="number"
            start={String(attribute.weight)}
            hint={data.shipped.attributes[row]!.weight === attribute.weight
              ? ''
              : t.shipped(data.shipped.attributes[row]!.weight)}
          />
          {#each attribute.levels as level, index (index)}
            <div class="level">
              <Guide drawing={attribute.guide} level={index} />
              <Field
                name="text-{attribute.id}-{index}"
                label={t.points(
                  level.points,
                  level.settles === 'send-back' ? t.sendsBack : level.settles ? t.endsRaw : ''
                )}
                start={level.text}
                hint={data.shipped.attributes[row]!.levels[index]!.text === level.text
                  ? ''
                  : t.shipped2(data.shipped.attributes[row]!.levels[index]!.text)}
              />
            </div>
          {/each}
        </fieldset>
      {/each}
      <Field name="reason" label={common.why} />
      {#if data.own}<Field name="reset" label={t.bringTheShippedSheet} kind="tick" />{/if}
    </OperationForm>
  {/key}
</section>

<style>
  nav {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1.1rem;
    margin: 0.6rem 0;
  }
  nav a {
    min-height: 44px;
    display: grid;
    place-items: center;
    color: var(--soft);
  }
  nav a[aria-current] {
    color: var(--ink);
    font-weight: 700;
    border-bottom: 3px solid var(--water);
  }
  fieldset {
    display: grid;
    grid-template-columns: 7rem repeat(4, minmax(0, 1fr));
    gap: 0.7rem;
    padding: 0.6rem 0;
    border-top: 1px solid var(--line);
  }
  legend {
    font-weight: 700;
  }
  .level {
    display: grid;
    gap: 0.2rem;
    align-content: start;
  }
  @media (max-width: 56.25em) {
    fieldset {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
  }
</style>
