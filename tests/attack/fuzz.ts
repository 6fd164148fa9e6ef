import { seededChance, type Chance } from '../../src/lib/core/random.ts';
import { EXAMPLES } from '../../src/lib/server/examples.ts';

/** What a field is sent instead of what belongs in it. */
const STRANGE: readonly unknown[] = [
  '',
  ' ',
  null,
  true,
  -1,
  0,
  1e308,
  -1e-308,
  '1e309',
  'NaN',
  '9'.repeat(400),
  'x'.repeat(100_000),
  '__proto__',
  'constructor',
  'toString',
  '\u0000',
  '\ud800',
  'A\u200bda',
  '\u202egnp.exe',
  '<script>alert(1)</script>',
  `'; DROP TABLE events; --`,
  '%E0%A4',
  '../../etc/passwd',
  '2026-02-31',
  '2026-03-29T02:30',
  '9999-12-31T23:59:59Z',
  '-5 kg',
  '5 stone',
  '1,000.5 g',
  '∞ °C',
  [],
  {},
  [[[[[[]]]]]],
  { si: 1e308, unit: 'g', typed: '1' },
  Array(3000).fill('a')
];

/** A request that nobody in a kitchen sends, and what a refusal of it has to be like. */
export interface Attack {
  readonly what: string;
  readonly path: string;
  readonly init: RequestInit;
  /** It changes nothing where it is refused. */
  readonly isOperation: boolean;
}

const BODIES = ['', '{', '[]', 'null', '"text"', '{"a":1}{"b":2}', '\u0000', '{"__proto__":{"x":1}}', '['.repeat(5000)];
const TYPES = [
  'application/json',
  'text/plain',
  'application/x-www-form-urlencoded',
  'multipart/form-data; boundary=x',
  ''
];

const pickOf = (chance: Chance) => {
  const below = (count: number) => Math.min(count - 1, Math.floor(chance.uniform(0, count)));
  return { below, one: <Value>(values: readonly Value[]): Value => values[below(values.length)]! };
};

/**
 * Requests without end, from what each operation takes when it is done right: a field or two put otherwise, left out or added; or a
 * body that is none. The same seed, the same requests.
 *
 * @param queries paths of the API that are asked, as its document names them
 */
export function* attacks(seed: number, queries: readonly string[]): Generator<Attack, never> {
  const chance = seededChance(seed);
  const { below, one } = pickOf(chance);
  const headers = { 'x-ember-person': 'p1' };
  for (;;) {
    const turn = below(10);
    if (turn === 0) {
      const path = one(queries).replace(/\{\w+\}/g, () =>
        encodeURIComponent(String(one(STRANGE)).toWellFormed().slice(0, 900))
      );
      const search = new URLSearchParams({
        [one(['at', 'id', 'piece', 'q', 'limit'])]: String(one(STRANGE)).slice(0, 3000)
      });
      yield { what: `GET ${path}`, path: `/api/v1${path}?${search}`, init: { headers }, isOperation: false };
      continue;
    }
    const { operation, input } = one(EXAMPLES);
    const path = `/api/v1/operations/${operation}`;
    if (turn === 1) {
      const type = one(TYPES);
      yield {
        what: `POST ${operation} as ${type || 'nothing'}`,
        path,
        init: { method: 'POST', headers: { ...headers, ...(type ? { 'content-type': type } : {}) }, body: one(BODIES) },
        isOperation: true
      };
      continue;
    }
    const sent: Record<string, unknown> = { ...input };
    for (let changes = 1 + below(2); changes > 0; changes--) {
      const name = one([...Object.keys(input), 'at', 'place', 'note', 'constructor']);
      if (below(5) === 0) Reflect.deleteProperty(sent, name);
      else
        Object.defineProperty(sent, name, {
          value: one(STRANGE),
          enumerable: true,
          configurable: true,
          writable: true
        });
    }
    yield {
      what: `POST ${operation} ${JSON.stringify(sent).slice(0, 160)}`,
      path,
      init: {
        method: 'POST',
        headers: { ...headers, 'content-type': 'application/json' },
        body: JSON.stringify(sent)
      },
      isOperation: true
    };
  }
}

/** Longest that anything may take, ms. */
const PATIENCE_MS = 5000;
/** Refusals that say what is wrong with a whole request, and so name no field. */
const OF_THE_WHOLE =
  /^(request|time\.clock|store|record\.(not-found|not-allowed-now|stale|key-reused|not-balanced|combine-refused|exception-refused|needs|not-for-sale|source-required)|person|device|file|note|recipe|log|piece)/;

/** Sends one, and hands back what was wrong with the answer; null for a good one. */
export async function troubleWith(url: string, { what, path, init, isOperation }: Attack): Promise<string | null> {
  const head = async () => ((await (await fetch(`${url}/healthz`)).json()) as { seq: number }).seq;
  const before = isOperation ? await head() : 0;
  try {
    const answer = await fetch(url + path, { ...init, signal: AbortSignal.timeout(PATIENCE_MS) });
    const text = await answer.text();
    if (answer.status >= 500) {
      // A printer that is not there, and a clock or a disk that stops everything, are answers and no faults.
      return answer.status === 503 ? null : `${answer.status} ${what}`;
    }
    if (!isOperation || answer.status < 400) return null;
    if ((await head()) !== before) return `refused, and wrote all the same: ${what}`;
    if (answer.status !== 422) return null;
    const { title, fields } = JSON.parse(text) as { title: string; fields?: { field: string }[] };
    const isNamed = (fields?.length ?? 0) > 0 && fields!.every(({ field }) => field !== '');
    return isNamed || OF_THE_WHOLE.test(title) ? null : `${title} names no field: ${what}`;
  } catch (error) {
    return `${(error as Error).name}: ${what}`;
  }
}
