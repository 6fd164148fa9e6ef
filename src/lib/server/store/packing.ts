import { inRange } from '../../core/errors.ts';
import { inOrder, type Series } from '../../core/log/series.ts';

/** First four bytes of a packed chunk: "ETR2". Those of the first version had none. */
const MAGIC = 0x32525445;
/** "ETR3": each reading also says when it came. */
const MAGIC_CAME = 0x33525445;
const HEAD = 16;
const HEAD_CAME = 24;
const OLD_BYTES = 12;
const CELSIUS_RANGE = { field: 'celsius', unit: '°C', min: -200, max: 200 };
const OFFSET_RANGE = { field: 'at', unit: 'ms', min: 0, max: 0xffffffff };

/** Where the columns of a chunk lie in its bytes. */
function columnsOf(bytes: ArrayBuffer, length: number, hasCame: boolean) {
  const first = hasCame ? HEAD_CAME : HEAD;
  const wide = (index: number) => first + length * 4 * index;
  return {
    offsets: new Uint32Array(bytes, first, length),
    figures: new Int32Array(bytes, wide(1), length),
    came: hasCame ? new Uint32Array(bytes, wide(2), length) : null,
    scales: new Uint8Array(bytes, wide(hasCame ? 3 : 2), length)
  };
}

/**
 * Packs readings: a head (magic, count, first instant), then their instants (ms after the first), their figures (thousandths of a
 * degree in the scale they were read in), and that scale. Nine bytes a reading, little-endian. Where they came one by one the
 * head also holds when the first came, and each reading when it came (ms after that): thirteen bytes a reading.
 *
 * @param came when each was received, ms; left out where all came together
 * @throws EmberError `quantity.out-of-range`
 */
export function pack(series: Series, came?: Float64Array): Buffer {
  const { length, at, celsius, fahrenheit } = series;
  const base = length > 0 ? at[0]! : 0;
  const bytes = new ArrayBuffer((came ? HEAD_CAME + length * 4 : HEAD) + length * 9);
  const head = new DataView(bytes);
  head.setUint32(0, came ? MAGIC_CAME : MAGIC, true);
  head.setUint32(4, length, true);
  head.setFloat64(8, base, true);
  const firstCame = came ? came.reduce((a, b) => Math.min(a, b), Infinity) : 0;
  if (came) head.setFloat64(16, firstCame, true);
  const { offsets, figures, scales, came: later } = columnsOf(bytes, length, came !== undefined);
  for (let index = 0; index < length; index++) {
    inRange(celsius[index]!, CELSIUS_RANGE);
    offsets[index] = inRange(at[index]! - base, OFFSET_RANGE);
    scales[index] = fahrenheit[index]!;
    figures[index] = Math.round((fahrenheit[index] ? (celsius[index]! * 9) / 5 + 32 : celsius[index]!) * 1000);
    if (later) {
      later[index] = inRange(came![index]! - firstCame, { field: 'received', unit: 'ms', min: 0, max: 0xffffffff });
    }
  }
  return Buffer.from(bytes);
}

/**
 * The readings of a packed chunk, of this version or the first.
 *
 * @param known only those that had come by then, where the chunk says when each came; ms
 */
export function unpack(packed: Buffer, known = Infinity): Series {
  const bytes = packed.buffer.slice(packed.byteOffset, packed.byteOffset + packed.byteLength) as ArrayBuffer;
  const magic = packed.length >= HEAD ? packed.readUInt32LE(0) : 0;
  if (magic === MAGIC || magic === MAGIC_CAME) {
    const all = packed.readUInt32LE(4);
    const base = packed.readDoubleLE(8);
    const { offsets, figures, scales, came } = columnsOf(bytes, all, magic === MAGIC_CAME);
    const within = came ? known - packed.readDoubleLE(16) : Infinity;
    const at = new Float64Array(all);
    const celsius = new Float64Array(all);
    const fahrenheit = new Uint8Array(all);
    let length = 0;
    for (let index = 0; index < all; index++) {
      if (came && came[index]! > within) continue;
      at[length] = base + offsets[index]!;
      celsius[length] = scales[index] ? ((figures[index]! / 1000 - 32) * 5) / 9 : figures[index]! / 1000;
      fahrenheit[length++] = scales[index]!;
    }
    return {
      length,
      at: at.subarray(0, length),
      celsius: celsius.subarray(0, length),
      fahrenheit: fahrenheit.subarray(0, length)
    };
  }
  const length = packed.length / OLD_BYTES;
  return inOrder(
    Float64Array.from({ length }, (_, index) => packed.readDoubleLE(index * OLD_BYTES)),
    Float64Array.from({ length }, (_, index) => packed.readInt32LE(index * OLD_BYTES + 8) / 100),
    new Uint8Array(length),
    length
  );
}

/** Chunks kept unpacked: a few weeks of a few dozen sensors. */
const MOST_UNPACKED = 1000;

/** Chunks as they were unpacked last: each is asked for with every reading that comes, and none of them ever changes. */
export function unpackedLast() {
  const kept = new Map<number, Series>();
  return {
    /** @param known only what had come by then, ms */
    seriesIn({ id, packed }: { readonly id: number; readonly packed: Buffer }, known: number): Series {
      if (known !== Infinity) return unpack(packed, known);
      const before = kept.get(id);
      if (before) return before;
      const series = unpack(packed);
      if (kept.size >= MOST_UNPACKED) kept.clear();
      kept.set(id, series);
      return series;
    },
    clear: (): void => kept.clear()
  };
}
