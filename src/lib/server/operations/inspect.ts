import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import { DECISIONS, UNIDENTIFIED } from '../../core/activity/receive/bodies.ts';
import { STRICTNESS } from '../../core/inspect/score.ts';
import { SHEET_IDS } from '../../core/inspect/sheets.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { isOwnable } from '../../core/rules/exceptions.ts';
import { foldLineages, judge, versionsFor } from '../../core/rules/verdict.ts';
import { ROUTES } from '../../core/codes/window.ts';
import { draft } from '../store/record.ts';
import {
  list,
  neededText,
  numeric,
  optionalQuantity,
  pieceId,
  shortText,
  ticked,
  when
} from '../../core/fields/field.ts';
import { operation } from './operation.ts';
import { answersFrom, appraise, sheetForLot } from '../plans/inspect.ts';
import { notNow } from './not-now.ts';

export const inspectLot = operation({
  name: 'inspect-lot',
  page: '/inspect/[lot]',
  summary: 'Judge a lot by eye, nose and finger on its sheet, and decide. The sheet recommends; the person decides.',
  input: z
    .object({
      lot: neededText(40),
      sheet: z.enum(SHEET_IDS).optional(),
      decision: z.enum(DECISIONS),
      reason: shortText(300),
      own: ticked.describe('I answer for a decision looser than the sheet or than the one before'),
      note: shortText(300),
      at: when
    })
    .catchall(z.union([z.string(), z.number()]))
    .describe('one field "level-<attribute>" each: 0 to 3, or "unseen"'),
  subject: (input) => `lot:${input.lot}`,
  run({ store, house, now, instant }, input) {
    const lot = store.projections.lot(input.lot);
    const at = instant(input.at, 'at');
    if (at < lot.received.at) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    const answers = answersFrom(input);
    const { sheet, score, recommended } = appraise(
      store,
      house,
      lot,
      input.sheet ?? sheetForLot(lot, house),
      answers,
      now
    );
    const looser =
      STRICTNESS[input.decision] < STRICTNESS[lot.decision.decision] ||
      score.settled.some(({ decision }) => STRICTNESS[input.decision] < STRICTNESS[decision]);
    const needsReason = input.decision !== 'accept' || STRICTNESS[input.decision] < STRICTNESS[recommended] || looser;
    if (needsReason && input.reason === '') throw new EmberError('form.incomplete', { field: 'reason' });
    if (looser && !input.own) {
      throw new EmberError('record.widens-without-owner', { field: 'own', seen: input.decision });
    }
    return {
      events: [
        draft('lot.inspected', `lot:${input.lot}`, at, {
          sheet: sheet.id,
          version: sheet.version,
          answers: { ...answers },
          points: score.points,
          most: score.most,
          iceDays: score.iceDays,
          recommended,
          decision: input.decision,
          reason: input.reason,
          owned: looser,
          note: input.note,
          pins: versionsFor(profileById(house.profile, house.profiles), house)
        })
      ],
      result: { lot: input.lot, recommended, iceDays: score.iceDays, points: score.points, most: score.most }
    };
  }
});

export const identifyLot = operation({
  name: 'identify-lot',
  page: '/inspect/[lot]',
  summary: 'Say what an unidentified lot is, by the marks seen, or narrow what it may be.',
  input: z.object({
    lot: neededText(40),
    species: neededText(60),
    candidates: list(8),
    marks: list(12),
    note: shortText(300)
  }),
  subject: (input) => `lot:${input.lot}`,
  run({ store, house, now }, input) {
    const lot = store.projections.lot(input.lot);
    if (lot.species.length === 1) {
      throw notNow('lot', 'identified');
    }
    const candidates = input.species === UNIDENTIFIED ? input.candidates : [];
    const named = input.species === UNIDENTIFIED ? candidates : [input.species];
    if (named.length === 0) throw new EmberError('form.incomplete', { field: 'species' });
    for (const id of named) {
      speciesIn(house.species, id);
      // What was never among the candidates is another fish: that is a correction of the receipt, and owned as one.
      const first = lot.received.candidates;
      if (first.length > 0 && !first.includes(id)) {
        throw new EmberError('form.value-unknown', { field: 'species', seen: id, candidates: first });
      }
    }
    if (input.marks.length === 0) throw new EmberError('form.incomplete', { field: 'marks' });
    return {
      events: [
        draft('lot.identified', `lot:${input.lot}`, now, {
          species: input.species,
          candidates,
          marks: input.marks,
          note: input.note
        })
      ],
      result: { lot: input.lot, species: input.species }
    };
  }
});

const HOURS_MOST = 14 * 24;

export const ownException = operation({
  name: 'own-exception',
  page: '/piece/[id]',
  summary: 'Take responsibility for something the rule book holds back. For some findings nobody can.',
  input: z.object({
    piece: pieceId,
    code: neededText(60).describe('code of the finding'),
    routes: list(5).describe('routes it opens'),
    reason: z.string().trim().min(12).max(300),
    until: optionalQuantity('duration', { min: 600, max: HOURS_MOST * 3600 }).describe(
      'for how long; no end when empty'
    ),
    own: ticked.describe('I answer for it; my name and reason stay on the piece for ever')
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, now }, input) {
    const { state } = store.projections.piece(input.piece);
    if (state.gone) throw new EmberError('record.exception-refused', { field: 'code', seen: state.gone.how });
    if (!input.own) throw new EmberError('record.widens-without-owner', { field: 'own', seen: input.code });
    const lineages = store.projections.lineages(input.piece);
    const found = judge(
      foldLineages(lineages, { house, at: now, knownAt: now, logs: store.projections.logs.book(now, now) })
    ).reasons.filter(({ code }) => code === input.code);
    if (found.length === 0) throw new EmberError('record.not-found', { field: 'code', seen: input.code });
    if (!found.some(isOwnable)) throw new EmberError('record.exception-refused', { field: 'code', seen: input.code });
    const routes = ROUTES.filter(
      (route) => input.routes.includes(route) && found.some((reason) => reason.routes.includes(route))
    );
    if (routes.length === 0) throw new EmberError('form.incomplete', { field: 'routes' });
    return {
      events: [
        draft('exception.owned', `piece:${input.piece}`, now, {
          code: input.code,
          routes,
          reason: input.reason,
          until: input.until ? now + input.until.si * 1000 : null,
          pins: versionsFor(profileById(house.profile, house.profiles), house)
        })
      ],
      result: { piece: input.piece, routes }
    };
  }
});

export const withdrawException = operation({
  name: 'withdraw-exception',
  page: '/piece/[id]',
  summary: 'Undo a responsibility that was taken: the rule book holds again.',
  input: z.object({
    piece: pieceId,
    exception: numeric(1, Number.MAX_SAFE_INTEGER),
    reason: neededText(200)
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, now }, input) {
    const { state } = store.projections.piece(input.piece);
    if (!state.exceptions.some(({ seq }) => seq === input.exception)) {
      throw new EmberError('record.not-found', { field: 'exception', seen: input.exception });
    }
    return {
      events: [
        draft('exception.withdrawn', `piece:${input.piece}`, now, {
          exception: input.exception,
          reason: input.reason
        })
      ],
      result: { piece: input.piece }
    };
  }
});
