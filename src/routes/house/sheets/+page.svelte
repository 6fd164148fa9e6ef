<script lang="ts">
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import Guide from '$lib/ui/marks/Guide.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const names = $derived(Object.fromEntries(data.people.map((person) => [person.id, person.name])));
</script>

<p><a class="link" href="/house">House</a></p>
<h1>Inspection sheets</h1>
<p class="soft">
  Words and weights are the house’s to set; what decides by itself (rotten, burst, dead) stays. Points grow with days on
  ice, in the manner of the quality index method.
</p>
<nav aria-label="Sheet">
  {#each data.all as each (each.id)}
    <a href="/house/sheets?sheet={each.id}" aria-current={each.id === data.sheet.id ? 'true' : undefined}
      >{each.name}{each.own ? ' (own)' : ''}</a
    >
  {/each}
</nav>
<section class="sheet">
  <h2>{data.sheet.name}</h2>
  <p class="soft">
    Version {data.sheet.version}{data.own ? `. ${names[data.own.by] ?? data.own.by}: “${data.own.reason}”` : ''}
  </p>
  {#key `${data.sheet.id}:${data.sheet.version}`}
    <OperationForm
      operation="set-sheet"
      subject={data.sheet.id}
      seen={data.houseVersion}
      submit="Set the sheet"
      also={{ sheet: data.sheet.id }}
    >
      {#each data.sheet.attributes as attribute, row (attribute.id)}
        <fieldset>
          <legend>{attribute.name}</legend>
          <Field
            name="weight-{attribute.id}"
            label="Weight, 0 to 5"
            kind="number"
            value={String(attribute.weight)}
            hint={data.shipped.attributes[row]!.weight === attribute.weight
              ? ''
              : `shipped: ${data.shipped.attributes[row]!.weight}`}
          />
          {#each attribute.levels as level, index (index)}
            <div class="level">
              <Guide drawing={attribute.guide} level={index} />
              <Field
                name="text-{attribute.id}-{index}"
                label="{level.points} points{level.settles === 'send-back'
                  ? ', sends back'
                  : level.settles
                    ? ', ends raw'
                    : ''}"
                value={level.text}
                hint={data.shipped.attributes[row]!.levels[index]!.text === level.text
                  ? ''
                  : `shipped: ${data.shipped.attributes[row]!.levels[index]!.text}`}
              />
            </div>
          {/each}
        </fieldset>
      {/each}
      <Field name="reason" label="Why" />
      {#if data.own}<Field name="reset" label="Bring the shipped sheet back" kind="tick" />{/if}
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
  @media (max-width: 900px) {
    fieldset {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
  }
</style>
