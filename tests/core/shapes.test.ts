import { expect } from 'chai';
import { createHash } from 'node:crypto';
import { appendFileSync, readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { EVENT_KINDS } from '../../src/lib/core/record/events.ts';

/**
 * Every shape that was ever shipped, by kind and version, with a digest of it; a file for each word a kind begins with. A line
 * is never changed: what is on record was written in that shape. `EMBER_TIDE_PIN_SHAPES=1` adds the lines of new kinds and
 * versions, and no others.
 */
const FOLDER = join(import.meta.dirname, '../fixtures/shapes');
const fileOf = (name: string) => `${name.split('.')[0]}.txt`;
const digest = (body: z.ZodType): string =>
  createHash('sha256')
    .update(JSON.stringify(z.toJSONSchema(body, { io: 'input', unrepresentable: 'any' })))
    .digest('hex')
    .slice(0, 16);

describe('shapes of entries', () => {
  const now = Object.entries(EVENT_KINDS).map(
    ([name, { version, body }]) => [`${name}@${version}`, digest(body)] as const
  );
  const read = () =>
    new Map(
      readdirSync(FOLDER)
        .flatMap((file) => readFileSync(join(FOLDER, file), 'utf8').split('\n').filter(Boolean))
        .map((line) => line.split(' ') as [string, string])
    );
  it('are never changed once shipped, not by a list they lean on either: a new version is added', () => {
    let kept = read();
    if (process.env.EMBER_TIDE_PIN_SHAPES) {
      for (const [name, seen] of now) {
        if (!kept.has(name)) appendFileSync(join(FOLDER, fileOf(name)), `${name} ${seen}\n`);
      }
      kept = read();
    }
    expect(now.length).to.be.greaterThan(60);
    for (const [name, seen] of now) {
      expect(kept.get(name), `${name}: raise its version and bring the old one up, or pin it if it is new`).to.equal(
        seen
      );
    }
  });
  it('each older version has its way up', () => {
    for (const [name, { version, upcasts }] of Object.entries(EVENT_KINDS)) {
      expect(upcasts.length, name).to.equal(version - 1);
    }
  });
  it('a digest sees a value that is added to a list', () => {
    const shape = (...values: string[]) => digest(z.object({ how: z.enum(values) }));
    expect(shape('a', 'b')).to.equal(shape('a', 'b'));
    expect(shape('a', 'b')).to.not.equal(shape('a', 'b', 'c'));
  });
});
