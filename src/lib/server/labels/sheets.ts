import { connect } from 'node:net';
import { setImmediate } from 'node:timers/promises';
import { EmberError } from '../../core/errors.ts';
import type { LabelData } from '../../core/trace/label.ts';
import { labelWords } from '../../words/labels.ts';
import { ACTIVITIES } from '../activities.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { Room } from '../room.ts';
import { labelData } from '../views/label.ts';
import { sizeNamed, type Printed } from './print.ts';
import { inThread } from './thread.ts';

/**
 * The label of a piece, or of what else an activity keeps.
 *
 * @throws EmberError `record.not-found`
 */
export function printedOf(room: Room, id: string): Printed {
  const kept = room.store.projections.subjects.find(id);
  const label = kept && ACTIVITIES.find((each) => each.label?.kind === kept.kind.kind)?.label;
  if (kept && label) return { words: label.lines(room.store, id), path: kept.kind.path(id), code: id };
  return {
    words: labelWords(labelData(room, id), room.store.projections.currentHouse()),
    path: `/piece/${id}`,
    code: id
  };
}

/** Labels worded at a time: others are answered in between. */
const AT_A_TIME = 4;

/**
 * Labels as a PDF: one a page on a roll, or many on a sheet from a place on.
 *
 * @param skip labels already taken off the first sheet
 */
export async function labelPdf(
  room: Room,
  pieces: readonly string[],
  sizeId: string,
  origin: string,
  skip = 0
): Promise<Buffer> {
  const labels: Printed[] = [];
  for (const [index, id] of pieces.entries()) {
    if (index % AT_A_TIME === AT_A_TIME - 1) await setImmediate();
    labels.push(printedOf(room, id));
  }
  return printedAsPdf(labels, sizeId, { origin, skip });
}

/** Labels of pieces as they stand, as a PDF. */
export const labelsAsPdf = (
  labels: readonly LabelData[],
  sizeId: string,
  { house, ...sheet }: { readonly origin: string; readonly house: HouseState; readonly skip?: number }
): Promise<Buffer> =>
  printedAsPdf(
    labels.map((label) => ({ words: labelWords(label, house), path: `/piece/${label.code}`, code: label.code })),
    sizeId,
    sheet
  );

/** @throws EmberError `form.value-unknown`, `form.incomplete` */
async function printedAsPdf(
  labels: readonly Printed[],
  size: string,
  { origin, skip = 0 }: { readonly origin: string; readonly skip?: number }
): Promise<Buffer> {
  sizeNamed(size);
  if (labels.length === 0) throw new EmberError('form.incomplete', { field: 'pieces' });
  return inThread({ labels, size, origin, skip });
}

/** Sends a PDF to the label printer; resolves to the file it says it printed. */
export function sendToPrinter(
  address: { host: string; port: number } | null,
  name: string,
  content: Buffer
): Promise<string> {
  return new Promise((resolve, reject) => {
    if (!address) return reject(new EmberError('device.no-printer', { seen: 'none is set' }));
    const gone = () => {
      socket.destroy();
      reject(new EmberError('device.no-printer', { seen: `${address.host}:${address.port}` }));
    };
    const socket = connect(address.port, address.host, () => {
      socket.write(`PRINT ${name.replace(/[^A-Za-z0-9._-]/g, '-').slice(0, 60)} ${content.length}\n`);
      socket.write(content);
    });
    let text = '';
    socket.setTimeout(5000, gone);
    socket.on('error', gone);
    socket.on('data', (chunk: Buffer) => {
      text += chunk.toString('latin1');
      if (!text.includes('\n')) return;
      socket.end();
      const answer = text.trim();
      if (answer.startsWith('OK ')) resolve(answer.slice(3));
      else reject(new EmberError('device.no-printer', { seen: answer.slice(0, 80) }));
    });
    socket.on('close', gone);
  });
}
