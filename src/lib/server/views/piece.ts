import { iceDaysSpent } from '../../core/fish/freshness.ts';
import { effectiveEvents, wideningAmendments } from '../../core/record/amend.ts';
import { coverOf, loggedStays, staysOf } from '../../core/rules/stays.ts';
import type { PieceState } from '../../core/record/piece.ts';
import { isOwnable } from '../../core/rules/exceptions.ts';
import { judgeRun } from '../../core/rules/freezer-run.ts';
import { runContext } from '../plans/freeze.ts';
import { profileById, profilesOf } from '../../core/codes/profiles/index.ts';
import { secondsOut } from '../../core/rules/out-of-cold.ts';
import { soonestClock, soonestWarm, warmBudget } from '../../core/rules/piece-clock.ts';
import { spentBy } from '../../core/activity/cold/hazards/clock.ts';
import { isIn } from '../../core/record/occupation.ts';
import { wantedRoute } from '../../core/rules/headline.ts';
import { foldLineages, judge, verdict, type JudgeInput, type Verdict } from '../../core/rules/verdict.ts';
import { missingWord } from '../../words/scopes.ts';
import type { Room } from '../room.ts';
import { cardOf, noticeOf, toldOfPiece } from '../facts/declarations.ts';
import { candidatesOfLot } from '../facts/lot-species.ts';
import { rigorOf } from '../facts/rigor.ts';
import { lastSpoken, presentOf } from './now.ts';
import { horizonOf, todoOf } from './todo.ts';
import { byDanger } from '../../core/service/danger.ts';
import { benchesOf } from '../../core/service/benches.ts';
import { handsQueue, stepsOf, type ProjectedPiece } from '../../core/service/hands.ts';
import { stageOf } from '../../core/service/stage.ts';
import { stepWords } from '../../words/tasks.ts';

/** Clocks of a piece as used and left: days on ice, warm hours, stiffness. */
function clocksOf(room: Room, pieceId: string, at: number, known: number, reasons: Verdict['reasons']) {
  const { store } = room;
  const house = store.projections.house(Infinity, known);
  const inputs = foldLineages(store.projections.lineages(pieceId), {
    house,
    at,
    knownAt: known,
    logs: store.projections.logs.book(at, known)
  });
  const [{ lot, chain }] = inputs;
  const fresh = soonestClock(inputs);
  return {
    freshness: fresh
      ? {
          spent: iceDaysSpent(fresh.track, at),
          iceDays: fresh.iceDays,
          share: fresh.share,
          basis: fresh.basis,
          rawUntil: fresh.rawUntil,
          until: fresh.until
        }
      : null,
    warm: warmOf(inputs, at),
    histamine: warmBudget(reasons),
    secondsOut: secondsOut(chain, at),
    where: whereabouts(room, chain, at, known),
    rigor: rigorOf(lot, house.zone, at)
  };
}

/** Its time in the warm, spell by spell, as far as it has come; what an unread hour would add is told as the time to read it by. */
function warmOf(inputs: readonly JudgeInput[], at: number) {
  const clock = soonestWarm(inputs);
  if (!clock) return null;
  return {
    spentSeconds: spentBy(clock.spells, at),
    budgetSeconds: clock.budgetSeconds,
    isHot: clock.isHot,
    readBy: clock.readBy,
    spells: clock.spells
      .filter(({ from, to }) => from < at && to > from)
      .map(({ from, to, cause }) => ({ from, to: Math.min(to, at), cause }))
  };
}

/** Where it lay, newest first, and what the log of the place says of that time; an assumption where none does. */
function whereabouts(room: Room, chain: readonly PieceState[], at: number, known: number) {
  const logs = room.store.projections.logs.book(at, known);
  const loggedPlaces = loggedStays(chain, logs, at);
  return staysOf(chain)
    .map((stay) => {
      const logged = loggedPlaces.find((each) => each.stay.seq === stay.seq && each.from === stay.from);
      return { ...stay, log: logged ? coverOf(logged) : null };
    })
    .reverse();
}

/** What goes on with a piece and its ancestors, what it wants next, and where that is done. */
function nextOf(room: Room, found: ProjectedPiece, judged: Verdict, now: number) {
  const { store } = room;
  const house = store.projections.currentHouse();
  const { state, lot } = found;
  const asked = handsQueue([found], now, house.warnMinutes * 60, lastSpoken(room, now)).map((task) => ({
    ...task,
    name: state.made.name,
    path: `/piece/${state.id}`
  }));
  return {
    steps: stepsOf(state, now).map((step) => ({ ...step, label: stepWords(step) })),
    next: todoOf(store, asked, [found], horizonOf(house, now)).sort(byDanger(now)),
    benches: state.gone
      ? []
      : benchesOf({
          state,
          stage: stageOf(state, lot),
          missing: found.missing,
          wanted: wantedOf(state),
          isOpen: judged.windows.some((window) => window.state === 'open' || window.state === 'ebbing')
        })
  };
}
const wantedOf = (state: PieceState) =>
  wantedRoute({
    use: state.made.use,
    inCure: isIn(state, 'cure'),
    inAcid: isIn(state, 'acid'),
    cured: state.cures.length > 0
  });

/** One piece with everything a person may ask about it. */
export function pieceView(room: Room, pieceId: string, at?: number, knownAt?: number, profile?: string) {
  const { store } = room;
  const now = presentOf(room);
  const found = store.projections.piece(pieceId);
  const lineages = store.projections.lineages(pieceId);
  const asked = at ?? now;
  const known = knownAt ?? now;
  const house = store.projections.house(Infinity, known);
  const once = new Map(
    lineages
      .flatMap(({ lotId, lot, pieces }) => [{ id: `lot ${lotId}`, events: lot }, ...pieces])
      .map((link) => [link.id, link.events])
  );
  const events = [...once.values()].flat();
  const run = found.state.freezes.at(-1);
  const rules = profileById(house.profile, house.profiles);
  const logs = store.projections.logs.book(asked, known);
  const judged = verdict(lineages, house, asked, known, profile, logs);
  const candidates = candidatesOfLot(found.lot, house);
  return {
    piece: found.state,
    lot: found.lot,
    /** The species it is; null where nobody has settled it. */
    species: candidates.length === 1 ? candidates[0]! : null,
    candidates: candidates.map(({ id, name }) => ({ id, name })),
    children: found.children,
    ancestors: [...once.keys()].filter((id) => id !== pieceId && !id.startsWith('lot ')),
    lots: found.lots,
    /** Kinds in it, a lot after the other, each once; what may be several says so. */
    kinds: [
      ...new Set(
        found.lots.map(
          (id) =>
            candidatesOfLot(store.projections.lot(id), house)
              .map(({ name }) => name)
              .join(' or ') || 'unidentified'
        )
      )
    ],
    onBoard: isIn(found.state, 'board'),
    lotVersion: store.record.versionOf(`lot:${found.lot.id}`),
    verdict: judged,
    /** The route it is most likely wanted for. */
    wanted: wantedOf(found.state),
    ownable: [...new Set(judged.reasons.filter(isOwnable).map(({ code }) => code))],
    clocks: clocksOf(room, pieceId, asked, known, judged.reasons),
    told: toldOfPiece(store, pieceId, house, asked),
    notice: noticeOf(house),
    card: cardOf(store, pieceId, house),
    tagKeepDays: rules.shellfishTag.keepDays,
    freeze: run
      ? { run, results: judgeRun({ ...runContext(store, house, pieceId, run, asked), profile: rules, logs }, run) }
      : null,
    history: effectiveEvents(events, known).reverse(),
    ...nextOf(room, found, judged, now),
    owned: [
      ...wideningAmendments(events).map(({ seq, actor, recorded, body }) => ({
        seq,
        by: actor,
        at: recorded,
        what: `widened ${body.widens.join(', ')}`,
        reason: body.reason,
        exception: false
      })),
      ...found.lot.inspections
        .filter((sheet) => sheet.owned)
        .map(({ seq, by, at: when, decision, reason }) => ({
          seq,
          by,
          at: when,
          what: `decided “${decision}” against the sheet or an earlier decision`,
          reason,
          exception: false
        })),
      ...found.state.exceptions.map(({ seq, by, at: when, code, routes, reason }) => ({
        seq,
        by,
        at: when,
        what: `answers for ${missingWord(code)} (${routes.join(', ')})`,
        reason,
        exception: true
      }))
    ]
  };
}
export type PieceView = ReturnType<typeof pieceView>;

/** One piece under every rule profile there is, side by side. */
export function compareView(room: Room, pieceId: string) {
  const { store } = room;
  const at = presentOf(room);
  const house = store.projections.currentHouse();
  const lineages = store.projections.lineages(pieceId);
  return {
    piece: pieceId,
    at,
    profiles: profilesOf(house.profiles).map(({ id, name, version }) => {
      const judged = judge(
        foldLineages(lineages, { house, at, knownAt: at, profile: id, logs: store.projections.logs.book(at, at) })
      );
      return {
        id,
        name,
        version,
        inForce: id === house.profile,
        windows: judged.windows,
        // What makes the difference: whatever holds back, shuts, opens or closes it here.
        reasons: judged.reasons.filter(({ effect }) => effect.kind !== 'pass')
      };
    })
  };
}
export type CompareView = ReturnType<typeof compareView>;
