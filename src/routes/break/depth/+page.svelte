<script lang="ts">
  import Table from '$lib/ui/kit/Table.svelte';
  import { untrack } from 'svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import DepthDrawing from '$lib/ui/charts/DepthDrawing.svelte';
  import { formatLength, formatMass } from '$lib/ui/format.ts';
  import { money } from '$lib/ui/money.ts';
  import { lengthUnits, startWith } from '$lib/ui/units.ts';
  import { planDepth, type DepthPlan } from '$lib/core/bench/breakdown/depth.ts';
  import { EmberError } from '$lib/core/errors.ts';
  import { parseQuantity } from '$lib/core/measure/parse.ts';
  import { errorSentence } from '$lib/words/errors.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const units = $derived(data.house.units);
  const STATIONS = [0, 1, 2, 3, 4, 5, 6];
  const names = ['Head end', '1/6', '2/6', 'Middle', '4/6', '5/6', 'Tail end'];
  let length = $state('');
  let lengthUnit = $state<string>();
  let depths = $state<string[]>(STATIONS.map(() => ''));
  let wanted = $state('');
  let wantedUnit = $state<string>();
  const depthUnit = $derived(lengthUnits(units)[0]!);

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
    [length, lengthUnit] = startWith('length', piece.depth?.lengthMm ?? 300, units);
    depths = STATIONS.map((station) => {
      const at = ((piece.depth?.lengthMm ?? 300) * station) / 6;
      const known = piece.depth?.points.find((point) => Math.abs(point.at - at) < 1e-6);
      const start = station === 0 || station === 3 ? piece.thicknessMm : null;
      const mm = piece.depth ? (known?.mm ?? null) : start;
      return mm === null ? '' : startWith('length', mm, units)[0];
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
  const times = (value: number) => `${value < 10 ? value.toFixed(1) : Math.round(value)} times`;
  function drag(station: number, mm: number) {
    depths[station] = startWith('length', Math.round(mm), units)[0];
  }
</script>

<svelte:head><title>Even depth · Ember Tide</title></svelte:head>
<h1>Even depth</h1>
<p class="soft">How thick a piece is along its length: salt and cold reach the middle of the thick end last.</p>
<PiecePick pieces={data.pieces} chosen={data.chosen} empty="Nothing lies here to be measured." />
{#if data.piece}
  {#key data.piece.id}
    <div class="halves main">
      <section class="sheet">
        <h2>{data.piece.name} <span class="soft">{formatMass(data.piece.grams, units)}</span></h2>
        <DepthDrawing {preview} stations={depths} {units} ondrag={drag} />
        <OperationForm operation="set-depth" piece={data.piece} submit="Keep this depth">
          <Field
            name="length"
            label="Length"
            kind="quantity"
            units={lengthUnits(units)}
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
            Two are enough; leave out what was not measured. Or draw: drag the points of the upper edge.
            {#if data.piece.depth}This piece was measured before; it stands as it was kept.{/if}
          </p>
        </OperationForm>
      </section>
      <section class="sheet">
        <h2>For an even cure</h2>
        <Field
          name="wanted"
          label="Depth wanted"
          kind="quantity"
          units={lengthUnits(units)}
          bind:value={wanted}
          bind:unit={wantedUnit}
          optional
        />
        {#if preview}
          <p class="figure">
            {times(preview.timesLonger)} <small>longer to the middle of the thick end than of the thin</small>
          </p>
          <p>
            {formatLength(preview.most, units)} at the thickest, {formatLength(preview.least, units)} at the thinnest; worked
            to {formatLength(preview.wanted, units)}.
          </p>
          <Table>
            <tbody>
              <tr>
                <th>Shave the thick end</th>
                <td>
                  {#if preview.trim.grams < 0.5}Nothing stands above that.{:else}
                    Costs <b>{formatMass(preview.trim.grams, units)}</b>{trimCents === null
                      ? ''
                      : ` (${money(trimCents, data.house.currency)})`}; then {times(preview.trim.timesLonger)}.{/if}
                </td>
              </tr>
              <tr>
                <th>Fold the thin end under</th>
                <td>
                  {#if preview.fold}At {formatLength(preview.fold.atMm, units)} from the head end, {formatLength(
                      preview.fold.underMm,
                      units
                    )} under: costs nothing; then {times(preview.fold.timesLonger)}.{:else}No fold stays within a tenth
                    over that depth and makes it more even.{/if}
                </td>
              </tr>
              <tr>
                <th>Cut the thin end off, cure it apart</th>
                <td>
                  {#if preview.cutOff}At {formatLength(preview.cutOff.atMm, units)}:
                    <b>{formatMass(preview.cutOff.grams, units)}</b>
                    apart; then {times(preview.cutOff.timesLonger)}.{:else}No end is thinner than six tenths of it.{/if}
                </td>
              </tr>
            </tbody>
          </Table>
          <p class="caution">
            Time to the middle goes as the square of the depth, as in diffusion from both faces (Crank 1975). The piece
            is taken as one width. The six-tenths rule is the house’s; check it against your own cures.
          </p>
        {:else}
          <p class="soft">
            {(typeof computed === 'string' && computed) || 'Give two thicknesses, and the rest stands here.'}
          </p>
        {/if}
      </section>
    </div>
  {/key}
{/if}

<style>
  .stations {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(105px, 1fr));
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
