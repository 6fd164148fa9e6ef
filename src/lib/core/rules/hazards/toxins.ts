import { ALL_ROUTES, papers, reason, type Hazard } from '../context.ts';
import { RAW_ROUTES, type Reason } from '../window.ts';

/** Poisons of the fish itself, and ciguatera from its grounds. Neither cold, acid, salt nor heat takes them away. */
export const toxins: Hazard = (context) => {
  const { species, lot, profile } = context;
  const out: Reason[] = [];
  if (species.hazards.includes('tetrodotoxin')) {
    // Both: a licensed house, and a lot through the licensed channel.
    const channel = papers(context, 'licence').valid[0];
    const { pufferLicence } = context.house;
    out.push(
      channel && pufferLicence !== ''
        ? reason(context, 'toxins', 'toxins.licensed', { kind: 'pass' }, profile.poisons, {
            routes: ALL_ROUTES,
            evidence: [channel.seq],
            seen: { licence: pufferLicence, issuer: channel.issuer, reference: channel.reference }
          })
        : reason(context, 'toxins', 'toxins.licensed-only', { kind: 'never' }, profile.poisons, { routes: ALL_ROUTES })
    );
  }
  if (species.hazards.includes('raw-blood')) {
    out.push(reason(context, 'toxins', 'toxins.raw-blood', { kind: 'never' }, profile.poisons, { routes: RAW_ROUTES }));
  }
  if (species.hazards.includes('gempylotoxin')) {
    out.push(
      reason(context, 'toxins', 'toxins.purging-oil', { kind: 'missing' }, profile.poisons, {
        routes: ALL_ROUTES,
        wouldChange: 'authority-word'
      })
    );
  }
  if (species.hazards.includes('ciguatera')) {
    const farmPaper =
      lot.received.source === 'farmed'
        ? papers(context, 'feed-statement').valid.find((paper) => paper.formulatedFeed)
        : undefined;
    const areaPaper = papers(context, 'area-document').valid.find((paper) => paper.areaCleared);
    const paper = farmPaper ?? areaPaper;
    out.push(
      paper
        ? reason(context, 'toxins', 'toxins.area-cleared', { kind: 'pass' }, profile.ciguatera, {
            routes: ALL_ROUTES,
            evidence: [paper.seq],
            seen: { issuer: paper.issuer }
          })
        : reason(context, 'toxins', 'toxins.area-unknown', { kind: 'missing' }, profile.ciguatera, {
            routes: ALL_ROUTES,
            evidence: [lot.received.seq],
            seen: { area: lot.received.area },
            wouldChange: 'area-document'
          })
    );
  }
  return out;
};
