<script lang="ts">
  import { piecePick as t } from '$lib/words/screens/controls.ts';
  import { scannedPiece } from '$lib/core/find.ts';
  import { readLabel } from '$lib/workers/label.ts';

  /** A label read from a photograph: taken on a tablet, or chosen. */
  let { onRead }: { onRead: (piece: string) => void } = $props();
  let said = $state('');
  const id = $props.id();
  async function read(input: HTMLInputElement) {
    const photo = input.files?.[0];
    if (!photo) return;
    said = t.looking;
    const piece = scannedPiece((await readLabel(photo)) ?? '');
    input.value = '';
    said = piece ? '' : t.noCodeInIt;
    if (piece) onRead(piece);
  }
</script>

<span class="photo">
  <input {id} type="file" accept="image/*" capture="environment" onchange={(event) => void read(event.currentTarget)} />
  <label for={id}>{t.photographALabel}</label>
  <span role="status" class="soft">{said}</span>
</span>

<style>
  .photo {
    display: flex;
    align-items: center;
    gap: 0.5rem;
  }
  input {
    position: absolute;
    width: 1px;
    height: 1px;
    opacity: 0;
  }
  label {
    display: inline-flex;
    align-items: center;
    min-height: 48px;
    padding: 0 0.9rem;
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    background: var(--surface);
    font-weight: 600;
    cursor: pointer;
  }
  input:focus-visible + label {
    outline: 3px solid var(--ember-glow);
    outline-offset: 2px;
  }
</style>
