import canonicalize from 'canonicalize';
import { EmberError } from '../errors.ts';

/**
 * JSON in one and only one spelling (RFC 8785): sorted keys, shortest numbers, no spaces. What is hashed and stored.
 *
 * @throws EmberError `record.body-invalid` for anything JSON cannot hold, NaN and undefined values among them
 * @example
 * canonical({ b: 1, a: [true, null] }) // => '{"a":[true,null],"b":1}'
 */
export function canonical(value: unknown): string {
  let text: string | undefined;
  try {
    text = canonicalize(value);
  } catch (error) {
    throw new EmberError('record.body-invalid', { seen: String(error) });
  }
  if (text === undefined) throw new EmberError('record.body-invalid', { seen: String(value) });
  return text;
}

/** An event as the store holds it; `body` is already canonical text. */
export interface StoredEvent {
  readonly seq: number;
  readonly happened: number;
  readonly recorded: number;
  readonly actor: string;
  readonly kind: string;
  readonly subject: string;
  readonly version: number;
  readonly body: string;
  readonly prev: string;
  readonly hash: string;
}

/**
 * The canonical bytes of an event, the stored body inside them untouched: these are what the chain hashes.
 *
 * @example
 * canonicalEnvelope({ seq: 1, happened: 0, recorded: 0, actor: 'p', kind: 'k', subject: 's', version: 1, body: '{}', prev: '' })
 * // => '{"actor":"p","body":{},"happened":0,"kind":"k","prev":"","recorded":0,"seq":1,"subject":"s","version":1}'
 */
export function canonicalEnvelope(event: Omit<StoredEvent, 'hash'>): string {
  // Keys in sorted order by hand: the body must go in as stored, not parsed and spelled anew.
  return (
    `{"actor":${canonical(event.actor)},"body":${event.body},"happened":${canonical(event.happened)},` +
    `"kind":${canonical(event.kind)},"prev":${canonical(event.prev)},"recorded":${canonical(event.recorded)},` +
    `"seq":${canonical(event.seq)},"subject":${canonical(event.subject)},"version":${canonical(event.version)}}`
  );
}
