<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import type { HouseState } from '$lib/core/record/house.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { AUTHORITY_SCOPES } from '$lib/core/rules/exceptions.ts';
  import { scopeWord } from '$lib/words/scopes.ts';
  import { FORM_OPTIONS } from '../receive/options.ts';
  import { massUnits, temperatureUnits } from '../units.ts';

  /** The papers of a lot: what each says, the paper itself, and a form for one more. */
  let { view, house, wanted }: { view: PieceView; house: Pick<HouseState, 'units'>; wanted: boolean } = $props();
  const lot = $derived(view.lot);
  let paper = $state('feed-statement');
  const KINDS = [
    { value: 'feed-statement', name: 'Feed statement (farm)' },
    { value: 'freezing-statement', name: 'Freezing statement (supplier)' },
    { value: 'chill-record', name: 'Chilling record (boat)' },
    { value: 'supplier-letter', name: 'Supplier’s letter: its plan, and how warm on the way' },
    { value: 'area-document', name: 'Harvest-area paper' },
    { value: 'shellfish-tag', name: 'Shellfish tag' },
    { value: 'licence', name: 'Licence or licensed channel' },
    { value: 'histamine-test', name: 'Histamine test of your ageing' },
    { value: 'authority', name: 'Document of your authority' },
    { value: 'other', name: 'Another paper' }
  ];
  const kind = (value: string) => KINDS.find((each) => each.value === value)?.name ?? value;
  const closing = (seq: number) => lot.tags.filter((tag) => tag.evidence === seq).at(-1);
  const size = (bytes: number) =>
    bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;
</script>

<Fold class="sheet no-print" open={wanted} title="Attach a paper to the lot">
  <OperationForm
    operation="attach-evidence"
    subject={lot.id}
    seen={view.lots.length > 1 ? undefined : view.lotVersion}
    submit="Attach"
    files
  >
    {#if view.lots.length > 1}
      <Field
        name="lot"
        label="Of which of its lots"
        hint="Below stand the papers of {lot.id}; those of the others are on their own pieces."
        kind="choice"
        value={lot.id}
        options={view.lots.map((value) => ({ value, name: value }))}
      />
    {:else}
      <input type="hidden" name="lot" value={lot.id} />
    {/if}
    <Field name="type" label="What paper" kind="choice" options={KINDS} bind:value={paper} />
    <div class="fields">
      <Field name="issuer" label="Issuer" />
      <Field name="reference" label="Number on it" optional />
      <Field name="issuedOn" label="Issued" kind="date" optional />
      <Field name="expiresOn" label="Expires" kind="date" optional />
    </div>
    {#if paper === 'feed-statement'}
      <p class="soft">What the paper itself says:</p>
      <Field name="raised" label="How they were raised: net pens in open water, tanks or ponds" kind="tick" />
      <Field name="formulatedFeed" label="Fed formulated feed without live parasites" kind="tick" />
      <Field name="fromEmbryos" label="Raised from embryos" kind="tick" />
      <Field
        name="noHazardVerified"
        label="Parasite-free environment, or verified by an approved procedure"
        kind="tick"
      />
    {:else if paper === 'freezing-statement'}
      <div class="fields">
        <Field name="frozenAt" label="Frozen at or below" kind="quantity" units={temperatureUnits(house.units)} />
        <Field name="frozenFor" label="For" kind="quantity" units={['h', 'd']} />
        <Field name="frozenFrom" label="From" kind="date" optional />
        <Field name="frozenTo" label="Until" kind="date" optional />
      </div>
      <Field name="solidAt35" label="Frozen solid at −35 °C (−31 °F) or below first" kind="tick" />
    {:else if paper === 'shellfish-tag'}
      <p class="soft">What the tag itself says. Without all four it is no tag.</p>
      <div class="fields">
        <Field name="dealer" label="Dealer’s number" />
        <Field name="harvestedOn" label="Harvested" kind="date" />
        <Field name="harvestArea" label="Waters" />
        <Field name="mass" label="Weight on it" kind="quantity" units={massUnits(house.units)} optional />
        <Field name="count" label="Or pieces" kind="number" optional />
      </div>
    {:else if paper === 'supplier-letter'}
      <Field name="transit" label="Warmest on the way" kind="quantity" units={temperatureUnits(house.units)} />
    {:else if paper === 'authority'}
      <p class="soft">
        It opens what it covers, from its first day to its last. It needs its number, both dates and the file.
      </p>
      <Field
        name="covers"
        label="What it covers"
        kind="choice"
        options={AUTHORITY_SCOPES.map((value) => ({ value, name: scopeWord(value) }))}
      />
    {:else if paper === 'area-document'}
      <Field name="areaCleared" label="It clears the grounds of ciguatera" kind="tick" />
    {/if}
    {#if paper === 'freezing-statement' || paper === 'feed-statement'}
      <Fold title="Whom it names: supplier, cut, weight" headClass="small further">
        <p class="soft">What is filled in must fit this lot; then a paper for other fish is noticed.</p>
        <div class="fields">
          <Field name="supplier" label="Supplier on it" optional />
          <Field
            name="form"
            label="Cut on it"
            kind="choice"
            options={[{ value: '', name: 'not given' }, ...FORM_OPTIONS]}
          />
          <Field name="mass" label="Weight on it" kind="quantity" units={massUnits(house.units)} optional />
        </div>
      </Fold>
    {/if}
    <Field name="file" label="The paper itself" kind="file" hint="PDF, JPEG or PNG, up to 10 MB" optional />
    {#if lot.received.delivery}
      <Field name="wholeDelivery" label="It speaks for every lot of this species in the delivery" kind="tick" />
    {/if}
  </OperationForm>
</Fold>
<section class="sheet">
  <h2>Papers</h2>
  {#each lot.evidence as evidence (evidence.seq)}
    {@const tag = closing(evidence.seq)}
    <div class="paper">
      <p>
        <b>{kind(evidence.type)}</b> · {evidence.issuer}{evidence.reference ? `, ${evidence.reference}` : ''}
        {#if evidence.expiresOn}<span class="soft">until {evidence.expiresOn}</span>{/if}
        {#if evidence.frozenAt && evidence.frozenFor}<span class="soft"
            >{evidence.frozenAt.typed} for {evidence.frozenFor.typed}</span
          >{/if}
        {#if evidence.file}
          · <a class="link" href="/files/{evidence.file.hash}" rel="external"
            >{evidence.file.name} ({size(evidence.file.bytes)})</a
          >{/if}
      </p>
      {#if evidence.type === 'shellfish-tag'}
        {#if tag}
          <p>Last served {tag.lastServedOn}; the tag is kept until <b>{tag.keepUntil}</b>.</p>
        {:else}
          <Fold class="no-print" title="Write the last-served date on the tag" headClass="small further">
            <OperationForm
              operation="close-tag"
              subject={lot.id}
              seen={view.lotVersion}
              submit="Write it"
              also={{ lot: lot.id, evidence: evidence.seq }}
            >
              <Field
                name="lastServedOn"
                label="Last served on"
                kind="date"
                hint="The tag is kept {view.tagKeepDays} days from it."
              />
            </OperationForm>
          </Fold>
        {/if}
      {/if}
    </div>
  {:else}<p class="soft">None yet.</p>{/each}
  {#if lot.received.claim}<p class="soft">Seller’s words: “{lot.received.claim}”. A claim, not evidence.</p>{/if}
</section>

<style>
  .paper {
    overflow-wrap: anywhere;
  }
</style>
