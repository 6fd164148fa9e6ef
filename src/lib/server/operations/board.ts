import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { balanceOf, scaleError, scaleIntervalOf } from '../../core/bench/breakdown/mass.ts';
import {
  cutMap,
  forLicensedHands,
  mapFor,
  mapId,
  partOfWaste,
  partsOf,
  templatesOf
} from '../../core/bench/breakdown/maps.ts';
import type { CutPart } from '../../core/bench/breakdown/map-types.ts';
import { GRADES, USES, WASTES } from '../../core/activity/piece/bodies.ts';
import { FORMS } from '../../core/activity/receive/bodies.ts';
import { running } from '../../core/record/occupation.ts';
import { type BoardRun } from '../../core/activity/board/fold.ts';
import { type HouseState } from '../../core/record/house.ts';
import { type PieceState } from '../../core/record/piece.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { versionsFor } from '../../core/rules/verdict.ts';
import { partWord } from '../../words/cuts.ts';
import { candidatesOfLot, speciesOfLot } from '../facts/lot-species.ts';
import { draft, type Draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import { expectedYield } from '../facts/yields.ts';
import {
  choice,
  neededText,
  optionalQuantity,
  pieceId,
  quantity,
  shortText,
  TEMPERATURE,
  THICKNESS,
  ticked,
  when
} from '../../core/fields/field.ts';
import { after, pieceForStep } from './guard.ts';
import { operation } from './operation.ts';
import { checkMass, creditFor, leaving, movedTo, nextCodes, PART_MASS } from './pieces.ts';
import { numeric } from '../../core/fields/field.ts';
import { notNow } from './not-now.ts';

/** Parts of the map a board follows, as the house divides it. */
export function partsOfBoard(house: HouseState, board: Pick<BoardRun, 'plan'>): readonly CutPart[] {
  const template = templatesOf(house.templates).find(({ id }) => id === board.plan.template) ?? null;
  const map = mapId.safeParse(board.plan.map);
  return map.success ? partsOf(cutMap(map.data), template) : [];
}

export const openBoardOperation = operation({
  name: 'open-board',
  page: '/break',
  summary: 'Start cutting a piece: its map and school are chosen, and its time out of the cold begins.',
  input: z.object({
    piece: pieceId,
    map: z
      .union([z.literal(''), mapId])
      .default('')
      .describe('cut map; the one that fits when empty'),
    school: shortText(40),
    'way-pin-bones': shortText(40),
    'way-skin': shortText(40),
    'way-belly': shortText(40),
    template: shortText(60).describe('division of a side'),
    mass: optionalQuantity('mass', PART_MASS).describe('weighed before the knife; as on record when empty'),
    core: optionalQuantity('temperature', TEMPERATURE),
    sure: ticked,
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run(context, input) {
    const { store, house, instant } = context;
    const { state, lot } = pieceForStep(store, input.piece, 'break-down');
    const at = after(state, instant(input.at, 'at'), input.at);
    if (forLicensedHands(candidatesOfLot(lot, house))) {
      throw notNow('piece', 'licensed-hands');
    }
    const species = speciesOfLot(lot, house);
    const map = cutMap(input.map === '' ? mapFor(species, state.made.form) : input.map);
    const school = map.schools.find(({ id }) => id === input.school)?.id ?? map.schools[0]!.id;
    const ways = map.choices.map(({ id, ways: all }) => {
      const wanted = (input as Record<string, unknown>)[`way-${id}`];
      return typeof wanted === 'string' && all.includes(wanted) ? wanted : all[0]!;
    });
    const templates = templatesOf(house.templates);
    const template = map.id === 'side' ? (templates.find(({ id }) => id === input.template) ?? templates[0]!).id : '';
    const interval = scaleIntervalOf(house);
    const events: Draft[] = [];
    let grams = state.grams;
    if (input.mass) {
      checkMass(input.mass, grams * 1.1, grams * 0.3, input.sure, scaleError(grams, interval));
      if (Math.abs(input.mass.si - grams) > 0) {
        const within = Math.abs(input.mass.si - grams) <= 2 * scaleError(grams, interval);
        events.push(
          draft('piece.reweighed', `piece:${state.id}`, at, {
            mass: input.mass,
            before: grams,
            cause: within ? 'scale' : input.mass.si < grams ? 'drip' : 'uptake',
            note: 'before the knife'
          })
        );
      }
      grams = input.mass.si;
    }
    const { low, likely, high } = expectedYield(store, house, lot, state.made.form);
    events.push(
      draft('board.opened', `piece:${state.id}`, at, {
        map: map.id,
        school: [school, ...ways].join(' '),
        template,
        grams,
        core: input.core,
        scaleInterval: interval,
        expected: { low, likely, high },
        pins: versionsFor(profileById(house.profile, house.profiles), house)
      })
    );
    if (input.core) events.push(draft('cold.read', `piece:${state.id}`, at, { reading: input.core, place: 'board' }));
    return { events, result: { piece: state.id, grams } };
  }
});

/** "Turbot, eye-side back": the fish it came from, and what it is. */
function nameOf(parent: PieceState, part: CutPart | undefined, given: string): string {
  if (given !== '') return given;
  const fish = parent.made.name.split(',')[0]!;
  return `${fish}, ${partWord(part ?? 'other')}`.slice(0, 80);
}

export const takePart = operation({
  name: 'take-part',
  page: '/break',
  summary: 'Weigh a part off the board: it becomes a piece, with its usual use.',
  input: z.object({
    piece: pieceId.describe('the piece on the board'),
    part: neededText(40).describe('part of its cut map'),
    mass: quantity('mass', PART_MASS),
    name: shortText(80),
    form: choice(['', ...FORMS], ''),
    use: choice(USES, ''),
    grade: choice(['', ...GRADES], ''),
    thickness: optionalQuantity('length', THICKNESS),
    sure: ticked.describe('it weighs that, however odd'),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, input) {
    const { state, lot } = pieceForStep(store, input.piece, 'board-work');
    const board = running(state.boards)!;
    const at = after(state, instant(input.at, 'at'), input.at);
    const part = partsOfBoard(house, board).find(({ id }) => id === input.part);
    const { open, tolerance } = balanceOf(board);
    checkMass(input.mass, open, (part?.share[0] ?? 0) * board.plan.grams, input.sure, tolerance);
    const [code] = nextCodes(store, lot.id, 1);
    const use = input.use === '' ? (part?.use ?? '') : input.use;
    const grade = input.grade === '' ? (part?.grade ?? 'prime') : input.grade;
    return {
      events: leaving(
        state,
        {
          code: code!,
          lot: lot.id,
          name: nameOf(state, part, input.name),
          form: input.form === '' ? (part?.form ?? 'portion') : input.form,
          mass: input.mass,
          thicknessMm: input.thickness?.si ?? null,
          part: input.part,
          use,
          grade,
          creditPerKg: creditFor(house, use, grade),
          board: board.seq
        },
        at
      ),
      result: { piece: code, grams: input.mass.si }
    };
  }
});

export const weighWaste = operation({
  name: 'weigh-waste',
  page: '/break',
  summary: 'Weigh waste or drip off the board.',
  input: z.object({
    piece: pieceId,
    what: z.enum(WASTES),
    mass: quantity('mass', PART_MASS),
    note: shortText(120),
    sure: ticked,
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, input) {
    const { state } = pieceForStep(store, input.piece, 'board-work');
    const board = running(state.boards)!;
    const at = after(state, instant(input.at, 'at'), input.at);
    const part = partOfWaste(partsOfBoard(house, board), input.what);
    const { open, tolerance } = balanceOf(board);
    checkMass(input.mass, open, (part?.share[0] ?? 0) * board.plan.grams, input.sure, tolerance);
    return {
      events: [
        draft('piece.wasted', `piece:${state.id}`, at, { what: input.what, mass: input.mass, note: input.note })
      ],
      result: { piece: state.id, grams: input.mass.si }
    };
  }
});

/** Voids an entry; what it did is undone, and the ledger shows both. */
export const voided = (seq: number, subject: string, at: number, reason: string): Draft =>
  draft('entry.amended', subject, at, { amends: seq, void: true, happened: null, patch: {}, reason, widens: [] });

export const putBack = operation({
  name: 'put-back',
  page: '/break',
  summary: 'Undo a part or a waste weighing: it is back on the board. Its entries stay in the ledger, as undone.',
  input: z.object({
    piece: pieceId.describe('the piece on the board'),
    child: z
      .union([z.literal(''), pieceId])
      .default('')
      .describe('the piece that was taken'),
    entry: numeric(0, Number.MAX_SAFE_INTEGER, { whole: true, fallback: 0 }).describe(
      'or the entry of a waste weighing'
    )
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, now }, input) {
    const { state } = pieceForStep(store, input.piece, 'board-work');
    const board = running(state.boards)!;
    const events = store.record.eventsOf(`piece:${state.id}`);
    if (input.child === '') {
      const entry = events.find(({ seq, kind }) => seq === input.entry && kind === 'piece.wasted');
      if (!entry || entry.seq < board.seq)
        throw new EmberError('record.not-found', { field: 'entry', seen: input.entry });
      return { events: [voided(entry.seq, `piece:${state.id}`, now, 'put back on the board')], result: {} };
    }
    const child = store.projections.piece(input.child);
    const { made, grams, lastSeq } = child.state;
    if (made.board !== board.seq) throw notNow('child', 'other-board');
    if (child.children.length > 0 || grams !== made.mass.si || lastSeq !== made.seq) {
      throw notNow('child', 'worked-on');
    }
    const gave = events.find((event) => event.kind === 'piece.gave' && event.body.child === input.child);
    if (!gave) throw new EmberError('record.not-found', { field: 'child', seen: input.child });
    return {
      events: [
        voided(gave.seq, `piece:${state.id}`, now, 'put back on the board'),
        voided(made.seq, `piece:${input.child}`, now, 'put back on the board')
      ],
      result: { piece: state.id }
    };
  }
});

/** What came off a board, and of what came off it, and is still out of the cold beside it. */
function lyingThere(store: Store, piece: string, board: number): PieceState[] {
  const seen = new Set<string>();
  const out: PieceState[] = [];
  const walk = (id: string) => {
    for (const child of store.projections.relations.childrenOf(id)) {
      if (child.made === null || seen.has(child.id)) continue;
      seen.add(child.id);
      const { state } = store.projections.piece(child.id);
      if (state.made.board !== board) continue;
      if (!state.gone && !running(state.boards) && state.outs.at(-1)?.to === null) out.push(state);
      walk(child.id);
    }
  };
  walk(piece);
  return out;
}

export const closeBoard = operation({
  name: 'close-board',
  page: '/break',
  summary:
    'Finish the board: parts, waste and drip are balanced against the input. The parts go to the place named; without one they stay out of the cold.',
  input: z.object({
    piece: pieceId,
    remains: optionalQuantity('mass', { min: 0, max: 500_000 }).describe('what stays uncut; nothing when empty'),
    place: shortText(60).describe('where the parts go; empty: nowhere cold yet'),
    core: optionalQuantity('temperature', TEMPERATURE).describe('core of the warmest part as it goes back'),
    gapReason: shortText(200).describe('where more than the scale can be out by went'),
    note: shortText(200),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, input) {
    const { state } = pieceForStep(store, input.piece, 'board-work');
    const board = running(state.boards)!;
    const at = after(state, instant(input.at, 'at'), input.at);
    const remains = input.remains?.si ?? 0;
    const { open, tolerance, closes } = balanceOf(board, remains);
    if (!closes && input.gapReason === '') {
      throw new EmberError('record.not-balanced', { field: 'gapReason', unit: 'g', seen: open, max: tolerance });
    }
    const out = lyingThere(store, state.id, board.seq);
    const lying = remains > 0 ? [state, ...out] : out;
    const last = out.reduce((latest, child) => Math.max(latest, child.made.at), board.at);
    if (at < last) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at ?? 'now' });
    return {
      events: [
        draft('board.closed', `piece:${state.id}`, at, {
          remains,
          gap: open,
          tolerance,
          gapReason: closes ? '' : input.gapReason,
          secondsOut: (at - board.at) / 1000,
          note: input.note
        }),
        // Nobody said where: then they lie where they lay, and their time in the warm runs on.
        ...(input.place === '' ? [] : lying.map((each) => movedTo(house, each, input.place, input.core, at)))
      ],
      result: { piece: state.id, gap: open, tolerance, moved: input.place === '' ? [] : out.map(({ id }) => id) }
    };
  }
});
