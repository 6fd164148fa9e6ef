import { expect } from 'chai';
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { DATABASE_FILE } from '../../src/lib/server/store/open.ts';
import { CHAR, openTestHouse, scratch } from './house.ts';
import { pack } from './packed.ts';

const root = join(import.meta.dirname, '..', '..');
const read = (name: string) => readFileSync(join(root, name), 'utf8');

/** The tools as they are packed once: a dozen processes that each compile the house would take most of a minute. */
const packed = scratch();
before(() => {
  pack(
    ['verify', 'backup', 'restore', 'rebuild'].map((name) => `scripts/${name}.ts`),
    packed.path
  );
});
after(() => packed.clear());

function toolAs(command: string[], data: string) {
  const { status, stdout, stderr } = spawnSync(process.execPath, command, {
    cwd: root,
    env: { ...process.env, EMBER_TIDE_DATA: data },
    encoding: 'utf8'
  });
  return { status, said: stdout + stderr };
}
/** Runs a tool of the house on data of its own. */
const tool = (name: string, data: string, ...args: string[]) =>
  toolAs([join(packed.path, `${name}.mjs`), ...args], data);

describe('the tools by hand', () => {
  let folder: ReturnType<typeof scratch>;
  beforeEach(() => {
    folder = scratch();
    const house = openTestHouse(join(folder.path, DATABASE_FILE));
    house.done('receive-lot', CHAR);
    house.close();
  });
  afterEach(() => folder.clear());
  const lots = () => {
    const db = new Database(join(folder.path, DATABASE_FILE), { readonly: true });
    const { count } = db.prepare('SELECT count(*) AS count FROM lots').get() as { count: number };
    db.close();
    return count;
  };

  it('verify says that it holds, and ends with 1 and the entry where it does not', () => {
    // As somebody runs it, from its source.
    const good = toolAs(['--import', 'tsx', 'scripts/verify.ts'], folder.path);
    expect(good.status).to.equal(0);
    expect(good.said).to.contain('The ledger holds: 3 entries');
    const db = new Database(join(folder.path, DATABASE_FILE));
    db.exec(
      `DROP TRIGGER events_are_never_changed; UPDATE events SET body = replace(body, 'Skarnes', 'Other') WHERE seq = 2`
    );
    db.close();
    const bad = tool('verify', folder.path);
    expect(bad.status).to.equal(1);
    expect(bad.said).to.contain('entry 2 is not what was written');
  });
  it('backup, then more work, then restore: the noted head is the end of the log again', () => {
    const copy = join(folder.path, 'copies', 'evening.db');
    const made = tool('backup', folder.path, copy);
    expect(made.status, made.said).to.equal(0);
    const [, seq, hash] = /entry (\d+), ([0-9a-f]{64})/.exec(made.said)!;
    const house = openTestHouse(join(folder.path, DATABASE_FILE));
    house.done('receive-lot', { ...CHAR, mass: '3 kg' });
    house.close();
    expect(lots()).to.equal(2);
    expect(tool('verify', folder.path, seq!, hash!).status).to.equal(0);
    const asked = tool('restore', folder.path, copy);
    expect(asked.status).to.equal(1);
    expect(asked.said).to.match(/entries stand in the record and not in the copy:\n {2}\d+ .*Z .*\./);
    const restored = tool('restore', folder.path, copy, '--drop-them');
    expect(restored.status, restored.said).to.equal(0);
    expect(restored.said).to.contain(`entry ${seq}, ${hash}`);
    expect(lots()).to.equal(1);
    expect(tool('verify', folder.path, seq!, hash!).status).to.equal(0);
    expect(tool('verify', folder.path, String(Number(seq) + 1), hash!).status).to.equal(1);
  });
  it('restore without a file, or with something that is no record, changes nothing', () => {
    expect(tool('restore', folder.path).status).to.equal(1);
    const junk = join(folder.path, 'junk.db');
    writeFileSync(junk, 'this is not a database, not at all');
    expect(tool('restore', folder.path, junk).status).to.not.equal(0);
    expect(lots()).to.equal(1);
  });
  it('rebuild brings back projections that were lost', () => {
    const db = new Database(join(folder.path, DATABASE_FILE));
    db.exec('DELETE FROM pieces; DELETE FROM lots;');
    db.close();
    expect(tool('verify', folder.path).status).to.equal(1);
    expect(tool('rebuild', folder.path).status).to.equal(0);
    expect(lots()).to.equal(1);
    expect(tool('verify', folder.path).status).to.equal(0);
  });
});

describe('a bare machine', () => {
  const lock = JSON.parse(read('package-lock.json')) as {
    packages: Record<string, { version?: string; resolved?: string; optionalDependencies?: Record<string, string> }>;
  };
  it('the lock file names no registry, and every optional package of it has its own entry', () => {
    const packages = Object.entries(lock.packages);
    expect(packages.length).to.be.greaterThan(200);
    expect(packages.filter(([, { resolved }]) => resolved !== undefined)).to.deep.equal([]);
    const names = new Set(packages.map(([path]) => path.split('node_modules/').at(-1)!));
    for (const [path, { optionalDependencies = {} }] of packages) {
      for (const name of Object.keys(optionalDependencies))
        expect(names.has(name), `${path} wants ${name}`).to.equal(true);
    }
  });
  it('what the server loads at run time is a dependency, not a development one', () => {
    const { dependencies } = JSON.parse(read('package.json')) as { dependencies: Record<string, string> };
    expect(dependencies).to.include.keys('better-sqlite3', 'compression', 'zod', 'tsx');
  });
  it('the first steps need nothing but Node', () => {
    for (const name of ['bootstrap', 'demo', 'start', 'test', 'run', 'dev', 'serve', 'demo-check']) {
      const imports = [...read(join('scripts', `${name}.mjs`)).matchAll(/(?:from|import\()\s*'([^']+)'/g)].map(
        ([, from]) => from!
      );
      // What is built was installed before, and brings what it is packed with.
      imports
        .filter((from) => name !== 'serve' || from !== 'compression')
        .forEach((from) => expect(from, name).to.match(/^node:|^\.\/|^\.\.\/build\//));
    }
  });
  it('without Chromium, and without the right to install it, says which variable names one', () => {
    const ask = (env: Record<string, string>) =>
      spawnSync(process.execPath, ['-e', `import('./scripts/bootstrap.mjs').then((steps) => steps.ensureChromium())`], {
        cwd: root,
        env: { ...process.env, ...env },
        encoding: 'utf8'
      });
    const wrong = ask({ CHROMIUM_PATH: '/nowhere/chromium' });
    expect(wrong.status).to.equal(1);
    expect(wrong.stderr).to.contain('CHROMIUM_PATH is /nowhere/chromium');
  });
});
