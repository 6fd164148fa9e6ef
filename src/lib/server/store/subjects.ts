import { EmberError } from '../../core/errors.ts';
import { subjectId } from '../../core/record/view.ts';
import type { SubjectKind, SubjectState } from '../../core/service/subject.ts';
import { subjectKindOf } from '../../core/service/subjects.ts';
import type { Db } from './open.ts';
import type { RecordStore } from './record.ts';

interface Row {
  id: string;
  kind: string;
  live: number;
  state: string;
  seq: number;
}
export interface KeptSubject {
  readonly kind: SubjectKind;
  readonly state: SubjectState;
}

/** What activities keep beside fish, as their entries leave it. */
export function openSubjects(db: Db, record: RecordStore) {
  const put = db.prepare<Row>(
    `INSERT INTO subjects (id, kind, live, state, seq) VALUES (@id, @kind, @live, @state, @seq)
     ON CONFLICT (id) DO UPDATE SET live = excluded.live, state = excluded.state, seq = excluded.seq`
  );
  const drop = db.prepare<[string]>('DELETE FROM subjects WHERE id = ?');
  const row = db.prepare<[string], Row>('SELECT * FROM subjects WHERE id = ?');
  const rows = db.prepare<[], Row>('SELECT * FROM subjects ORDER BY id');
  const liveRows = db.prepare<[], Row>('SELECT * FROM subjects WHERE live = 1 ORDER BY id');
  const unpack = ({ kind, id, state }: Row): KeptSubject => ({
    kind: subjectKindOf(`${kind}:${id}`)!,
    state: JSON.parse(state) as SubjectState
  });

  return {
    /** Brings a subject into step with its entries; false where it is none that an activity keeps. */
    refold(subject: string, at: number): boolean {
      const kind = subjectKindOf(subject);
      if (!kind) return false;
      const id = subjectId(subject, kind.kind);
      const state = kind.fold(id, record.eventsOf(subject), { at, knownAt: at });
      if (!state) drop.run(id);
      else put.run({ id, kind: kind.kind, live: Number(state.live), state: JSON.stringify(state), seq: state.lastSeq });
      return true;
    },
    /** Null where there is none of that name. */
    find: (id: string): KeptSubject | null => {
      const found = row.get(id);
      return found ? unpack(found) : null;
    },
    /**
     * One of a kind.
     *
     * @throws EmberError `record.not-found`
     */
    get<State extends SubjectState>(kind: SubjectKind<State>, id: string): State {
      const found = row.get(id);
      if (found?.kind !== kind.kind) throw new EmberError('record.not-found', { field: kind.kind, seen: id });
      return JSON.parse(found.state) as State;
    },
    live: (): KeptSubject[] => liveRows.all().map(unpack),
    all: (): KeptSubject[] => rows.all().map(unpack),
    dump: () => rows.all().map((each) => ({ table: 'subjects', id: each.id, text: JSON.stringify(each) })),
    emptied: 'DELETE FROM subjects;'
  };
}
