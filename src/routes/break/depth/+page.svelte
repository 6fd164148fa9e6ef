<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { titled } from '$lib/words/screens/common.ts';
  import { breakDepthPage as t } from '$lib/words/screens/break.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import { untrack } from 'svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import DepthDrawing from '$lib/ui/charts/DepthDrawing.svelte';
  import { lengthUnits, startWith } from '$lib/ui/units.ts';
  import { planDepth, type DepthPlan } from '$lib/core/bench/breakdown/depth.ts';
  import { EmberError } from '$lib/core/errors.ts';
  import { parseQuantity } from '$lib/core/measure/parse.ts';
  import { errorSentence } from '$lib/words/errors.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const STATIONS = [0, 1, 2, 3, 4, 5, 6];
  const names = [t.headEnd, '1/6', '2/6', t.middle, '4/6', '5/6', t.tailEnd];
  let length = $state('');
  let lengthUnit = $state<string>();
  let depths = $state<string[]>(STATIONS.map(() => ''));
  let wanted = $state('');
  let wantedUnit = $state<string>();
  const depthUnit = $derived(lengthUnits()[0]!);

  const measured = $derived(JSON.stringify([data.piece?.id, data.piece?.depth ?? data.piece?.thicknessMm]));
  // What was measured last stands here again; a fresh piece starts from its one thickness. What was typed stands until then: the
  // page's data come anew with every reading of the house.
  $effect(() => {
    void measured;
    untrack(startAgain);
  });
  function startAgain() {
    const { piece } = data;
    if (!piece) return;
    [length, lengthUnit] = startWith('length', piece.depth?.lengthMm ?? 300);
    depths = STATIONS.map((station) => {
      const at = ((piece.depth?.lengthMm ?? 300) * station) / 6;
      const known = piece.depth?.points.find((point) => Math.abs(point.at - at) < 1e-6);
      const start = station === 0 || station === 3 ? piece.thicknessMm : null;
      const mm = piece.depth ? (known?.mm ?? null) : start;
      return mm === null ? '' : startWith('length', mm)[0];
    });
  }

  /** As drawn and typed so far; computed here, so that it follows the finger. */
  const read = (text: string, unit: string) => parseQuantity('length', text, { defaultUnit: unit }).si;
  const keyOf = (symbol: string | undefined) => (symbol === 'in' || symbol === 'cm' ? symbol : 'mm');
  const computed = $derived.by((): DepthPlan | string => {
    if (!data.piece || depths.filter((text) => text.trim() !== '').length < 2) return '';
    try {
      const lengthMm = read(length, keyOf(lengthUnit));
      const points = depths.flatMap((text, station) =>
        text.trim() === '' ? [] : [{ at: (lengthMm * station) / 6, mm: read(text, keyOf(depthUnit)) }]
      );
      const goal = wanted.trim() === '' ? null : read(wanted, keyOf(wantedUnit));
      return planDepth({ lengthMm, points }, Math.max(1, data.piece.grams), goal);
    } catch (error) {
      if (error instanceof EmberError) return errorSentence(error.code, error.details);
      throw error;
    }
  });
  const preview = $derived(typeof computed === 'string' ? null : computed);
  const trimCents = $derived(preview && data.perGram !== null ? Math.round(data.perGram * preview.trim.grams) : null);
  const times = (value: number) => t.times(value < 10 ? say.exactly(value, 1) : Math.round(value));
  function drag(station: number, mm: number) {
    depths[station] = startWith('length', Math.round(mm))[0];
  }
</script>

<svelte:head><title>{titled(t.evenDepth)}</title></svelte:head>
<h1>{t.evenDepth}</h1>
<p class="soft">{t.howThickAPiece}</p>
<PiecePick pieces={data.pieces} chosen={data.chosen} away={data.away} left={data.left} empty={t.nothingLiesHereTo} />
{#if data.piece}
  {#key data.piece.id}
    <div class="halves main">
      <section class="sheet">
        <h2>{data.piece.name} <span class="soft">{say.mass(data.piece.grams)}</span></h2>
        <DepthDrawing {preview} stations={depths} ondrag={drag} />
        <OperationForm operation="set-depth" piece={data.piece} submit={t.keepThisDepth}>
          <Field
            name="length"
            label={t.length}
            kind="quantity"
            units={lengthUnits()}
            bind:value={length}
            bind:unit={lengthUnit}
          />
          <div class="stations">
            {#each STATIONS as station (station)}
              <Field
                name="t{station}"
                label={names[station]!}
                kind="quantity"
                units={[depthUnit]}
                bind:value={depths[station]}
              />
            {/each}
          </div>
          <p class="soft">
            {t.twoAreEnoughLeave}
            {#if data.piece.depth}{t.thisPieceWasMeasured}{/if}
          </p>
        </OperationForm>
      </section>
      <section class="sheet">
        <h2>{t.forAnEvenCure}</h2>
        <Field
          name="wanted"
          label={t.depthWanted}
          kind="quantity"
          units={lengthUnits()}
          bind:value={wanted}
          bind:unit={wantedUnit}
          optional
        />
        {#if preview}
          <p class="figure">
            {times(preview.timesLonger)} <small>{t.longerToTheMiddle}</small>
          </p>
          <p>
            {t.atTheThickestAt(say.length(preview.most), say.length(preview.least), say.length(preview.wanted))}
          </p>
          <Table>
            <tbody>
              <tr>
                <th>{t.shaveTheThickEnd}</th>
                <td>
                  {#if preview.trim.grams < 0.5}{t.nothingStandsAboveThat}{:else}
                    {t.costs} <b>{say.mass(preview.trim.grams)}</b>{t.then(
                      trimCents === null ? '' : ` (${say.money(trimCents, data.house.currency)})`,
                      times(preview.trim.timesLonger)
                    )}{/if}
                </td>
              </tr>
              <tr>
                <th>{t.foldTheThinEnd}</th>
                <td>
                  {#if preview.fold}{t.atFromTheHead(
                      say.length(preview.fold.atMm),
                      say.length(preview.fold.underMm),
                      times(preview.fold.timesLonger)
                    )}{:else}{t.noFoldStaysWithin}{/if}
                </td>
              </tr>
              <tr>
                <th>{t.cutTheThinEnd}</th>
                <td>
                  {#if preview.cutOff}{t.at(say.length(preview.cutOff.atMm))}
                    <b>{say.mass(preview.cutOff.grams)}</b>
                    {t.apartThen(times(preview.cutOff.timesLonger))}{:else}{t.noEndIsThinner}{/if}
                </td>
              </tr>
            </tbody>
          </Table>
          <p class="caution">
            {t.timeToTheMiddle}
          </p>
        {:else}
          <p class="soft">
            {(typeof computed === 'string' && computed) || t.giveTwoThicknessesAnd}
          </p>
        {/if}
      </section>
    </div>
  {/key}
{/if}

<style>
  .stations {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 6.5625rem), 1fr));
    gap: 0.5rem;
  }
  section {
    display: grid;
    gap: 0.7rem;
    grid-template-columns: minmax(0, 1fr);
  }
  th {
    text-align: left;
    padding-right: 1rem;
    vertical-align: top;
  }
  td,
  th {
    padding-top: 0.3rem;
    padding-bottom: 0.3rem;
  }
</style>
