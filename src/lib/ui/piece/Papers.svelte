<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { papers as t } from '$lib/words/screens/piece.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { AUTHORITY_SCOPES } from '$lib/core/rules/exceptions.ts';
  import { scopeWord } from '$lib/words/scopes.ts';
  import { FORM_OPTIONS } from '$lib/words/receive.ts';
  import { massUnits, temperatureUnits } from '../units.ts';

  /** The papers of a lot: what each says, the paper itself, and a form for one more. */
  let { view, wanted }: { view: PieceView; wanted: boolean } = $props();
  const lot = $derived(view.lot);
  let paper = $state('feed-statement');
  const KINDS = [
    { value: 'feed-statement', name: t.feedStatementFarm },
    { value: 'freezing-statement', name: t.freezingStatementSupplier },
    { value: 'chill-record', name: t.chillingRecordBoat },
    { value: 'supplier-letter', name: t.suppliersLetterItsPlan },
    { value: 'area-document', name: t.harvestAreaPaper },
    { value: 'shellfish-tag', name: t.shellfishTag },
    { value: 'licence', name: t.licenceOrLicensedChannel },
    { value: 'histamine-test', name: t.histamineTestOfYour },
    { value: 'authority', name: t.documentOfYourAuthority },
    { value: 'other', name: t.anotherPaper }
  ];
  const kind = (value: string) => KINDS.find((each) => each.value === value)?.name ?? value;
  const closing = (seq: number) => lot.tags.filter((tag) => tag.evidence === seq).at(-1);
  const size = (bytes: number) =>
    bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${say.exactly(bytes / 1_000_000, 1)} MB`;
</script>

<Fold class="sheet no-print" id="papers" open={wanted} title={t.attachAPaperTo}>
  <OperationForm
    operation="attach-evidence"
    subject={lot.id}
    seen={view.lots.length > 1 ? undefined : view.lotVersion}
    submit={t.attach}
    files
  >
    {#if view.lots.length > 1}
      <Field
        name="lot"
        label={t.ofWhichOfIts}
        hint={t.belowStandThePapers(lot.id)}
        kind="choice"
        start={lot.id}
        options={view.lots.map((value) => ({ value, name: value }))}
      />
    {:else}
      <input type="hidden" name="lot" value={lot.id} />
    {/if}
    <Field name="type" label={t.whatPaper} kind="choice" options={KINDS} bind:value={paper} />
    <div class="fields">
      <Field name="issuer" label={t.issuer} among={lot.received.supplier ? [lot.received.supplier] : []} />
      <Field name="reference" label={t.numberOnIt} optional />
      <Field name="issuedOn" label={t.issued} kind="date" optional />
      <Field name="expiresOn" label={t.expires} kind="date" optional />
    </div>
    {#if paper === 'feed-statement'}
      <p class="soft">{t.whatThePaperItself}</p>
      <Field name="raised" label={t.howTheyWereRaised} kind="tick" />
      <Field name="formulatedFeed" label={t.fedFormulatedFeedWithout} kind="tick" />
      <Field name="fromEmbryos" label={t.raisedFromEmbryos} kind="tick" />
      <Field name="noHazardVerified" label={t.parasiteFreeEnvironmentOr} kind="tick" />
    {:else if paper === 'freezing-statement'}
      <div class="fields">
        <Field name="frozenAt" label={t.frozenAtOrBelow} kind="quantity" units={temperatureUnits()} />
        <Field name="frozenFor" label={t.forText} kind="quantity" units={['h', 'd']} />
        <Field name="frozenFrom" label={t.from} kind="date" optional />
        <Field name="frozenTo" label={t.until} kind="date" optional />
      </div>
      <Field name="solidAt35" label={t.frozenSolidAtC} kind="tick" />
    {:else if paper === 'shellfish-tag'}
      <p class="soft">{t.whatTheTagItself}</p>
      <div class="fields">
        <Field name="dealer" label={t.dealersNumber} />
        <Field name="harvestedOn" label={t.harvested} kind="date" />
        <Field name="harvestArea" label={t.waters} />
        <Field name="mass" label={t.weightOnIt} kind="quantity" units={massUnits()} optional />
        <Field name="count" label={t.orPieces} kind="number" optional />
      </div>
    {:else if paper === 'supplier-letter'}
      <Field name="transit" label={t.warmestOnTheWay} kind="quantity" units={temperatureUnits()} />
    {:else if paper === 'authority'}
      <p class="soft">
        {t.itOpensWhatIt}
      </p>
      <Field
        name="covers"
        label={t.whatItCovers}
        kind="choice"
        options={AUTHORITY_SCOPES.map((value) => ({ value, name: scopeWord(value) }))}
      />
    {:else if paper === 'area-document'}
      <Field name="areaCleared" label={t.itClearsTheGrounds} kind="tick" />
    {/if}
    {#if paper === 'freezing-statement' || paper === 'feed-statement'}
      <Fold title={t.whomItNamesSupplier} headClass="small further">
        <p class="soft">{t.whatIsFilledIn}</p>
        <div class="fields">
          <Field name="supplier" label={t.supplierOnIt} optional />
          <Field name="form" label={t.cutOnIt} kind="choice" options={{ '': t.notGiven, ...FORM_OPTIONS }} />
          <Field name="mass" label={t.weightOnIt} kind="quantity" units={massUnits()} optional />
        </div>
      </Fold>
    {/if}
    <Field name="file" label={t.thePaperItself} kind="file" hint={t.pdfJpegOrPng} optional />
    {#if lot.received.delivery}
      <Field name="wholeDelivery" label={t.itSpeaksForEvery} kind="tick" />
    {/if}
  </OperationForm>
</Fold>
<section class="sheet">
  <h2>{t.papers}</h2>
  {#each lot.evidence as evidence (evidence.seq)}
    {@const tag = closing(evidence.seq)}
    <div class="paper">
      <p>
        <b>{kind(evidence.type)}</b> · {evidence.issuer}{evidence.reference ? `, ${evidence.reference}` : ''}
        {#if evidence.expiresOn}<span class="soft">{t.until2(say.day(evidence.expiresOn))}</span>{/if}
        {#if evidence.frozenAt && evidence.frozenFor}<span class="soft"
            >{t.for2(evidence.frozenAt.typed, evidence.frozenFor.typed)}</span
          >{/if}
        {#if evidence.file}
          · <a class="link" href="/files/{evidence.file.hash}" rel="external"
            >{evidence.file.name} ({size(evidence.file.bytes)})</a
          >{/if}
      </p>
      {#if evidence.type === 'shellfish-tag'}
        {#if tag}
          <p>{t.lastServedTheTag(say.day(tag.lastServedOn), say.day(tag.keepUntil))}</p>
        {:else}
          <Fold class="no-print" title={t.writeTheLastServed} headClass="small further">
            <OperationForm
              operation="close-tag"
              subject={lot.id}
              seen={view.lotVersion}
              submit={t.writeIt}
              also={{ lot: lot.id, evidence: evidence.seq }}
            >
              <Field name="lastServedOn" label={t.lastServedOn} kind="date" hint={t.theTagIsKept(view.tagKeepDays)} />
            </OperationForm>
          </Fold>
        {/if}
      {/if}
    </div>
  {:else}<p class="soft">{t.noneYet}</p>{/each}
  {#if lot.received.claim}<p class="soft">{t.sellersWordsAClaim(lot.received.claim)}</p>{/if}
</section>

<style>
  .paper {
    overflow-wrap: anywhere;
  }
</style>
