import { tubs } from '../activity/rice/subject.ts';
import type { SubjectKind } from './subject.ts';

/** Every kind of subject beside lots, pieces and the house. */
export const SUBJECTS = [tubs] as const;

type Codes<Each> = Each extends { readonly codes: readonly (infer Code)[] } ? Code : never;
export type SubjectCode = Codes<(typeof SUBJECTS)[number]>;

/** The kind an entry's subject is of; null for a lot, a piece, the house. */
export const subjectKindOf = (subject: string): SubjectKind | null =>
  (SUBJECTS as readonly unknown[] as readonly SubjectKind[]).find(({ kind }) => subject.startsWith(`${kind}:`)) ?? null;
