import type { DepthProfile } from '../../core/bench/breakdown/depth.ts';
import { templatesOf } from '../../core/bench/breakdown/maps.ts';
import { depthOfCut } from '../../core/bench/breakdown/templates.ts';
import type { PieceState } from '../../core/record/piece.ts';
import type { Room } from '../room.ts';
import { atBench, pieceChoices } from './choices.ts';
import { knifeLately, knivesNow } from './knives.ts';
import { slicedFish, sliceSubject } from './slicing.ts';

/** How deep a piece is along it: as it was measured, else by its stretch of the side it was cut from, where that was. */
export function depthKnown(
  { store: { projections } }: Pick<Room, 'store'>,
  { depth, made }: PieceState
): { readonly depth: DepthProfile | null; readonly ofSide: boolean } {
  if (depth) return { depth, ofSide: false };
  const [parent] = made.parents;
  const side = parent && made.board !== null ? projections.piece(parent).state : null;
  const board = side?.boards.find(({ seq }) => seq === made.board);
  const part = templatesOf(projections.currentHouse().templates)
    .find(({ id }) => id === board?.plan.template)
    ?.parts.find(({ id }) => id === made.part);
  return side?.depth && side.depth.points.length > 1 && part
    ? { depth: depthOfCut(side.depth, part), ofSide: true }
    : { depth: null, ofSide: false };
}

/** What a board for the knife is opened with: which pieces may lie on it, the one that does, where what comes of it may go, and with which knife. */
export function knifeBench(
  room: Room,
  asked: string | null,
  person: string | null,
  takes: (form: string, state: PieceState) => boolean
) {
  const { projections } = room.store;
  const states = new Map(projections.livePieces().map(({ state }) => [state.id, state]));
  const pieces = pieceChoices(room).filter(
    ({ id, may, form }) => may.includes('slice') && states.has(id) && takes(form, states.get(id)!)
  );
  const { chosen, away, left } = atBench(room, asked, 'slice', pieces);
  const house = projections.currentHouse();
  const found = chosen ? projections.piece(chosen) : null;
  return {
    pieces,
    chosen,
    away,
    left,
    block: found
      ? {
          grams: found.state.grams,
          form: found.state.made.form,
          ...depthKnown(room, found.state),
          size: found.state.blockSize,
          fish: slicedFish(room, found.state.id),
          subject: sliceSubject(found.lot, house)
        }
      : null,
    knives: knivesNow(room),
    /** The one that whoever is here cut with last. */
    knife: knifeLately(room, person),
    places: Object.values(house.places)
      .filter(({ kind }) => kind !== 'freezer' && kind !== 'blast')
      .map(({ id, name }) => ({ id, name }))
  };
}
