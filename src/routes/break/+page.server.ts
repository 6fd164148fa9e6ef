import { boardView } from '$lib/server/views/board.ts';
import { theApp } from '$lib/server/app.ts';
import { atBench, pieceChoices, type PieceChoice } from '$lib/server/facts/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/break');

const asked = (text: string | null) => text ?? undefined;

export const load = (({ url }) => {
  const app = theApp();
  const rank = ({ may, form }: PieceChoice) =>
    may.includes('board-work') ? 0 : ['whole', 'gutted', 'live', 'shell-on'].includes(form) ? 1 : 2;
  const pieces = pieceChoices(app)
    .filter(({ may }) => may.includes('break-down') || may.includes('board-work'))
    .sort((a, b) => rank(a) - rank(b));
  const { searchParams: search } = url;
  const { chosen, away, left } = atBench(app, search.get('piece'), 'break-down', pieces);
  // A piece whose board was just closed has left the row, and is still shown.
  const wasHere = away !== null && app.store.projections.piece(away.id).state.boards.length > 0;
  const id = wasHere ? away.id : chosen;
  const ways = ['pin-bones', 'skin', 'belly'].map((way) => [way, search.get(`way-${way}`) ?? '']);
  return {
    pieces,
    chosen: id,
    away: wasHere ? null : away,
    left,
    part: search.get('part'),
    playable: app.config.mode !== 'production' && app.config.pan !== null,
    view: id
      ? boardView(app, id, {
          map: asked(search.get('map')),
          template: asked(search.get('template')),
          school: asked(search.get('school')),
          ways: Object.fromEntries(ways)
        })
      : null
  };
}) satisfies PageServerLoad;
