import { expect } from 'chai';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const core = join(import.meta.dirname, '..', '..', 'src', 'lib', 'core');
const files = readdirSync(core, { recursive: true, encoding: 'utf8' }).filter((name) => name.endsWith('.ts'));

interface Example {
  readonly file: string;
  readonly code: string;
  readonly expected: string;
}

/** The `@example` lines of every docstring: an expression, and behind "// =>" what it gives. */
function examplesOf(file: string): Example[] {
  const text = readFileSync(join(core, file), 'utf8');
  return [...text.matchAll(/@example\n((?:\s*\*[^/@\n]?[^\n]*\n)+?)\s*\*(?:\/|\s@)/g)].map(([, block]) => {
    const joined = block!
      .split('\n')
      .map((line) => line.replace(/^\s*\*\s?/, ''))
      .join(' ');
    const [code = '', expected = ''] = joined.split('// =>');
    return { file, code: code.trim(), expected: expected.trim() };
  });
}

describe('examples in docstrings', () => {
  const examples = files.flatMap(examplesOf);
  it('are there', () => expect(examples.length).to.be.greaterThan(30));
  for (const { file, code, expected } of examples) {
    it(`${file}: ${code}`, async () => {
      expect(expected, 'an example says what it gives').to.not.equal('');
      const module = (await import(pathToFileURL(join(core, file)).href)) as Record<string, unknown>;
      const evaluate = (source: string): unknown =>
        new Function(...Object.keys(module), `return (${source});`)(...Object.values(module));
      const seen = evaluate(code);
      const wanted = evaluate(expected);
      if (typeof wanted === 'number' && !Number.isInteger(wanted)) {
        expect(seen).to.be.closeTo(wanted, Math.abs(wanted) * 1e-9);
      } else expect(seen).to.deep.equal(wanted);
    });
  }
});
