<script lang="ts">
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { BoardView } from '$lib/server/views/board.ts';

  /** The end of the step: it balances, or somebody says where the rest went. */
  let { view, units }: { view: BoardView; units: UnitPreferences } = $props();
</script>

<section class="sheet">
  <h2>Close the board</h2>
  <OperationForm operation="close-board" piece={view.piece} submit="Close the board">
    <div class="fields">
      <Field name="remains" label="Stays uncut" kind="quantity" units={massUnits(units)} optional />
      <Field name="place" label="Parts go to" among={view.places} placeholder="the coldest drawer" optional />
      <Field name="core" label="Warmest core now" kind="quantity" units={temperatureUnits(units)} optional />
    </div>
    <p class="soft">Name a place on your list of cold places. Without one the parts count as out of the cold.</p>
    <Field
      name="gapReason"
      label="Where the rest went"
      hint="Asked for where more is missing than the scale can be out by."
      optional={view.balance?.closes ?? false}
    />
  </OperationForm>
</section>
